import { Box } from '@chakra-ui/react';
import { Outlet } from 'react-router';
import { useMe } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import { TabLink } from '../../parts/TabLink.tsx';
import { Title } from '../../parts/Text.tsx';

/** Parts of the rack, and whether they are the office's alone. */
const SECTIONS = [
  ['/rack', 'What is there', false],
  ['/rack/saw', 'The saw', false],
  ['/rack/buying', 'Buying', true],
  ['/rack/items', 'Items and prices', true],
  ['/rack/yield', 'Where it went', true],
  ['/rack/count', 'Count', false],
] as const;

/** Wood and what belongs to it: what is there, what is cut from it, what is bought. */
export const RackFrame = () => {
  const { me } = useMe();
  const office = isOffice(me);
  return (
    <Box px={{ base: 3, md: 6 }} pt={{ base: 3, md: 5 }} pb={16}>
      <Title mb={2}>Rack</Title>
      <Box
        as="nav"
        aria-label="Rack"
        display="flex"
        overflowX="auto"
        borderBottom="2px solid"
        borderColor="ink"
        mb={5}
        className="no-print"
      >
        {SECTIONS.filter(([, , only]) => office || !only).map(([to, name]) => (
          <TabLink key={to} to={to} end={to === '/rack'}>
            {name}
          </TabLink>
        ))}
      </Box>
      <Outlet />
    </Box>
  );
};
