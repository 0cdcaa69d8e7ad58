import { Box } from '@chakra-ui/react';
import { STATION_NAMES, STATIONS } from '@rubbet/core/order';

/** Places of an order beside its stations. */
const ASIDE: Readonly<Record<string, string>> = { done: 'Handed over', held: 'On hold', cancelled: 'Cancelled' };

/** What a place of an order is called. */
export const placeName = (place: string): string =>
  ASIDE[place] ?? STATION_NAMES[STATIONS.find((s) => s === place) ?? 'flock'];

/** A little tape that shows how far an order has come. */
export const MiniTape = ({ station }: { readonly station: string }) => {
  const reached = station === 'done' ? STATIONS.length : STATIONS.findIndex((s) => s === station);
  return (
    <Box display="flex" alignItems="center" gap={2}>
      <Box
        display="flex"
        width={{ base: '72px', md: '128px' }}
        height="11px"
        border="1px solid"
        borderColor="tick"
        aria-hidden="true"
        flexShrink={0}
      >
        {STATIONS.map((s, i) => (
          <Box key={s} flex={1} borderRight="1px solid" borderColor="tick" bg={i < reached ? 'tape' : 'tapeoff'} />
        ))}
      </Box>
      <span>{placeName(station)}</span>
    </Box>
  );
};
