import { Box } from '@chakra-ui/react';
import { printMinutes } from '@rubbet/core/measure';
import type { OrderComputation } from '@rubbet/core/order';
import { useMe } from '../../../data/hooks.ts';
import { isOffice } from '../../../data/roles.ts';
import { Figure } from '../../../parts/Text.tsx';
import { useShow } from '../../../data/useShow.tsx';

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
  const show = useShow();
  const s = computed?.summary;
  // Rates are the office's; without them there is no price to show.
  const money = isOffice(useMe().me);
  const cell = { px: 4, py: 3, borderRight: '1px solid', borderColor: 'hair' } as const;
  return (
    <Box
      bg="sheet"
      borderTop="2px solid"
      borderColor="ink"
      display="grid"
      gridTemplateColumns={{ base: 'repeat(2, minmax(0,1fr))', lg: `repeat(${money ? 6 : 4}, minmax(0,1fr))` }}
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
                  ? `too many: ${s.firstLimit} for ${s.firstAt ?? 0}`
                  : `room for ${s.firstAt ?? 0}; the ${s.firstLimit} ${s.firstLimit === 'nests' ? 'are' : 'is'} full first`}
            </Figure>
          </Box>
          <Box {...cell}>
            <Figure label="Weight" value={show.weight(s.weight)}>
              {s.moving
                ? `${show.weight(s.moving.lift)} to lift one end, ${show.weight(s.moving.pull)} to pull`
                : carriers(s.weight)}
            </Figure>
          </Box>
          <Box {...cell}>
            <Figure label="Stands in wind to" value={show.speed(Math.floor(s.tipSpeed))}>
              stake it down beyond that
            </Figure>
          </Box>
          {money && (
            <Box {...cell}>
              <Figure label="Material" value={show.money(s.material, true)}>
                {s.sticks} sticks, {s.sheets} sheets, {Math.round(s.waste * 100)} % left over
              </Figure>
            </Box>
          )}
          <Box {...cell}>
            <Figure label="Bench time" value={printMinutes(s.benchMinutes)}>
              {s.coats > 0 ? 'two coats, a night after each' : 'no drying'}
            </Figure>
          </Box>
          {money && (
            <Box px={4} py={3}>
              <Figure label="Price" value={show.money(s.price, true)} tone="moss">
                {Math.round(s.marginShare * 100)} % margin
              </Figure>
            </Box>
          )}
        </>
      )}
    </Box>
  );
};
