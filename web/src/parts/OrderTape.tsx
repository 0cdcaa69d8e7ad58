import { Box, chakra } from '@chakra-ui/react';
import { NavLink } from 'react-router';
import { lifeOf, stationOf, STATIONS, STATION_NAMES } from '@rubbet/core/order';
import type { Order } from '../data/types.ts';

const Mark = chakra(NavLink, {
  base: {
    flex: { base: '1 0 84px', md: 1 },
    whiteSpace: 'nowrap',
    position: 'relative',
    display: 'flex',
    alignItems: 'flex-end',
    justifyContent: 'center',
    pb: '4px',
    fontFamily: 'heading',
    fontStretch: '82%',
    fontWeight: 600,
    fontSize: '16px',
    textDecoration: 'none',
    borderRight: '1.6px solid',
    '&.active': { fontWeight: 750 },
    '&.active::after': {
      content: '""',
      position: 'absolute',
      bottom: 0,
      left: '18%',
      right: '18%',
      height: '4px',
      bg: 'currentColor',
    },
  },
});

/** The order's tape: its stations as lengths, filled as far as the order has come. */
export const OrderTape = ({ order }: { readonly order: Order }) => {
  const { id } = order;
  const at = stationOf(lifeOf(order));
  const reached = at === undefined ? STATIONS.length : STATIONS.indexOf(at);
  return (
    <Box
      as="nav"
      aria-label="Stations"
      display="flex"
      height="40px"
      overflowX={{ base: 'auto', md: 'visible' }}
      ref={(tape: HTMLElement | null) =>
        tape?.querySelector('.active')?.scrollIntoView({ inline: 'center', block: 'nearest' })
      }
      position="relative"
      borderBottom="1px solid"
      borderColor="ink"
    >
      {STATIONS.map((s, i) => {
        const full = i < reached;
        const here = i === reached;
        return (
          <Mark
            key={s}
            to={`/orders/${id}/${s}`}
            aria-current={undefined}
            title={full ? 'done' : here ? 'it stands here' : 'to come'}
            style={{
              color: full || here ? 'var(--rb-colors-tapeink)' : 'var(--rb-colors-tapeofftext)',
              borderColor: full || here ? '#5A4300' : 'var(--rb-colors-tick)',
              background: `repeating-linear-gradient(90deg, ${full || here ? '#5A4300' : 'var(--rb-colors-tick)'} 0 1px, transparent 1px 6px) 0 0 / 100% 6px no-repeat, ${full ? 'var(--rb-colors-tape)' : here ? 'linear-gradient(90deg, var(--rb-colors-tape) 55%, #F7DB86 55%)' : 'var(--rb-colors-tapeoff)'}`,
            }}
          >
            {STATION_NAMES[s]}
          </Mark>
        );
      })}
    </Box>
  );
};
