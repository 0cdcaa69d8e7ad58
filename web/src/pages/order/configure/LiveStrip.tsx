import { Box } from '@chakra-ui/react';
import { printMinutes, printMoney, printWeight } from '@rubbet/core/measure';
import type { OrderComputation } from '@rubbet/core/order';
import { Figure } from '../../../parts/Text.tsx';

const carriers = (weight: number): string =>
  weight <= 50
    ? 'one carries it'
    : weight <= 160
      ? 'two carry it'
      : weight <= 320
        ? 'four carry it'
        : 'rollers, or the tilt trailer';

/** Weight, price, hours, waste and birds, as they are at this moment. */
export const LiveStrip = ({ computed }: { readonly computed: OrderComputation | undefined }) => {
  const s = computed?.summary;
  const cell = { px: 4, py: 3, borderRight: '1px solid', borderColor: 'hair' } as const;
  return (
    <Box
      bg="sheet"
      borderTop="2px solid"
      borderColor="ink"
      display="grid"
      gridTemplateColumns="repeat(6, minmax(0,1fr))"
      minH="104px"
      aria-live="off"
      data-testid="live-strip"
    >
      {s && (
        <>
          <Box {...cell}>
            <Figure label="Birds" value={s.birds} tone={(s.firstAt ?? 999) < s.birds ? 'keel' : undefined}>
              {s.firstLimit === undefined
                ? 'no flock yet'
                : (s.firstAt ?? 0) < s.birds
                  ? `${s.firstLimit} ${s.firstLimit === 'nests' ? 'are' : 'is'} enough for ${s.firstAt ?? 0}`
                  : `${s.firstLimit} ${s.firstLimit === 'nests' ? 'run' : 'runs'} out first, at ${(s.firstAt ?? 0) + 1}`}
            </Figure>
          </Box>
          <Box {...cell}>
            <Figure label="Weight" value={printWeight(s.weight)}>
              {s.moving
                ? `${Math.round(s.moving.lift)} lb to lift one end, ${Math.round(s.moving.pull)} lb to pull`
                : carriers(s.weight)}
            </Figure>
          </Box>
          <Box {...cell}>
            <Figure label="Stands in wind to" value={`${Math.floor(s.tipSpeed)} mph`}>
              stake it down beyond that
            </Figure>
          </Box>
          <Box {...cell}>
            <Figure label="Material" value={printMoney(s.material, true)}>
              {s.sticks} sticks, {s.sheets} sheets, {Math.round(s.waste * 100)} % left over
            </Figure>
          </Box>
          <Box {...cell}>
            <Figure label="Bench time" value={printMinutes(s.benchMinutes)}>
              {s.coats > 0 ? 'two coats, a night after each' : 'no drying'}
            </Figure>
          </Box>
          <Box px={4} py={3}>
            <Figure label="Price" value={printMoney(s.price, true)} tone="moss">
              {Math.round(s.marginShare * 100)} % margin
            </Figure>
          </Box>
        </>
      )}
    </Box>
  );
};
