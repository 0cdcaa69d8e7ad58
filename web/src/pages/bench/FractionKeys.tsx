import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { isMetric } from '@rubbet/core/measure';
import { useShow } from '../../data/useShow.tsx';
import { Len } from '../../parts/Text.tsx';

const Key = chakra('button', {
  base: {
    minH: '44px',
    minW: '44px',
    textAlign: 'center',
    fontFamily: 'heading',
    fontWeight: 650,
    fontSize: '19px',
    border: '1px solid',
    borderColor: 'rule',
    bg: 'sheet',
    '&[aria-pressed=true]': { bg: 'ink', color: 'sheet' },
    _disabled: { color: 'soft' },
  },
});

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'] as const;
const SIXTEENTHS = Array.from({ length: 15 }, (_, i) => i + 1);
const MM = 25.4;
/** Most digits of a whole number: 400 in, or 9999 mm. */
const LONGEST = 4;

/** What the keys say: inches of a whole number and sixteenths, or of millimetres; undefined while nothing is keyed. */
export const readKeys = (whole: string, sixteenths: number, metric: boolean): number | undefined => {
  if (whole === '' && sixteenths === 0) return undefined;
  return metric ? Number(whole) / MM : Number(whole || '0') + sixteenths / 16;
};

/** A length keyed in with gloves on: whole inches by digits, the rest by one key for each mark of the tape. */
export const FractionKeys = ({
  label,
  onTake,
}: {
  readonly label: string;
  readonly onTake: (inches: number) => void;
}) => {
  const show = useShow();
  const metric = isMetric(show.units);
  const [whole, setWhole] = useState('');
  const [sixteenths, setSixteenths] = useState(0);
  const value = readKeys(whole, sixteenths, metric);
  const clear = (): void => {
    setWhole('');
    setSixteenths(0);
  };
  return (
    <Box display="flex" gap={3} flexWrap="wrap" alignItems="start" role="group" aria-label={label}>
      <Box display="grid" gridTemplateColumns="repeat(6, 44px)" gap="4px">
        {DIGITS.map((d) => (
          <Key key={d} disabled={whole.length >= LONGEST} onClick={() => setWhole((w) => (w === '0' ? d : w + d))}>
            {d}
          </Key>
        ))}
        <Key
          aria-label="Take back the last key"
          onClick={() => (sixteenths > 0 ? setSixteenths(0) : setWhole(whole.slice(0, -1)))}
        >
          ⌫
        </Key>
        <Key aria-label="Clear" onClick={clear}>
          C
        </Key>
      </Box>
      {!metric && (
        <Box display="grid" gridTemplateColumns="repeat(8, 48px)" gap="4px">
          {SIXTEENTHS.map((n) => (
            <Key
              key={n}
              aria-pressed={sixteenths === n}
              aria-label={`${n} sixteenths`}
              onClick={() => setSixteenths(sixteenths === n ? 0 : n)}
            >
              <Len inches={n / 16} />
            </Key>
          ))}
        </Box>
      )}
      <Box>
        <Box className="cond" fontSize="30px" minH="44px" minW="120px" textAlign="right" data-testid="keyed">
          {value === undefined ? '–' : <Len inches={value} />}
        </Box>
        <Key
          px={4}
          bg="chalkfill"
          color="#fff"
          width="100%"
          disabled={value === undefined}
          onClick={() => {
            if (value === undefined) return;
            onTake(value);
            clear();
          }}
        >
          Take it
        </Key>
      </Box>
    </Box>
  );
};
