import { Box } from '@chakra-ui/react';
import { Navigate, Outlet, useLocation } from 'react-router';
import { useMe } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import { TabLink } from '../../parts/TabLink.tsx';
import { Title } from '../../parts/Text.tsx';

/** Parts of the settings, and whether they are the office's alone. */
export const SECTIONS = [
  ['business', 'Business', true],
  ['people', 'People', true],
  ['crews', 'Crews and bays', true],
  ['fleet', 'Trailers', true],
  ['calendar', 'Calendar', true],
  ['rates', 'Rates and rules', true],
  ['mine', 'My sign-in', false],
  ['book', 'The book', true],
  ['export', 'Take it out', true],
] as const;

/** Everything that the business sets for itself, each part a page of its own. */
export const SettingsFrame = () => {
  const { me } = useMe();
  const { pathname } = useLocation();
  const office = isOffice(me);
  const mine = SECTIONS.filter(([, , only]) => office || !only);
  if (pathname === '/settings' || pathname === '/settings/')
    return <Navigate to={office ? '/settings/business' : '/settings/mine'} replace />;
  return (
    <Box px={{ base: 3, md: 6 }} pt={{ base: 3, md: 5 }} pb={16} maxW="1180px">
      <Title mb={2}>Settings</Title>
      <Box
        as="nav"
        aria-label="Settings"
        display="flex"
        overflowX="auto"
        borderBottom="2px solid"
        borderColor="ink"
        mb={5}
        className="no-print"
      >
        {mine.map(([to, name]) => (
          <TabLink key={to} to={`/settings/${to}`}>
            {name}
          </TabLink>
        ))}
      </Box>
      <Outlet />
    </Box>
  );
};
