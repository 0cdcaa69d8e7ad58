import { Box, chakra } from '@chakra-ui/react';
import { NavLink } from 'react-router';
import type { Me } from '../data/types.ts';
import { toggleTheme } from './lightDark.ts';
import { barOf, PLACES } from './places.ts';

const link = {
  display: 'block',
  textAlign: 'center',
  fontFamily: 'heading',
  fontStretch: '80%',
  fontWeight: 600,
  color: 'railtext',
  textDecoration: 'none',
  position: 'relative',
  _hover: { bg: 'railon' },
  '&.active': { bg: 'railon' },
} as const;

const RailLink = chakra(NavLink, {
  base: {
    ...link,
    py: '11px',
    fontSize: '13px',
    '&.active::before': { content: '""', position: 'absolute', left: 0, top: 0, bottom: 0, width: '5px', bg: 'tape' },
  },
});
const BarLink = chakra(NavLink, {
  base: {
    ...link,
    py: '15px',
    fontSize: '15px',
    '&.active::before': { content: '""', position: 'absolute', left: 0, right: 0, top: 0, height: '5px', bg: 'tape' },
  },
});
const BarButton = chakra('button', { base: { ...link, width: '100%', py: '15px', fontSize: '15px' } });
const RailButton = chakra('button', {
  base: { ...link, width: '100%', py: '7px', fontWeight: 500, fontSize: '12px' },
});

interface Props {
  readonly me: Me;
  readonly onFind: () => void;
  readonly onSignOut: () => void;
}

/** The way between places, at the left of a desk or a tablet. */
export const Rail = ({ me, onFind, onSignOut }: Props) => (
  <Box
    as="nav"
    className="rail"
    aria-label="Main"
    bg="rail"
    color="railtext"
    pt="10px"
    display={{ base: 'none', md: 'flex' }}
    flexDirection="column"
    overflowY="auto"
  >
    <Box textAlign="center" mb="10px" aria-hidden="true">
      <svg width="44" height="38" viewBox="0 0 44 40">
        <path d="M6 36V18L22 6l16 12v18" fill="none" stroke="#F2C230" strokeWidth="3" />
        <path d="M14 36V24h16v12M14 30h16" stroke="#F2C230" strokeWidth="2" fill="none" />
      </svg>
      <Box color="tape" fontFamily="heading" fontStretch="82%" fontWeight={750} fontSize="15px">
        Rubbet
      </Box>
    </Box>
    {PLACES.map(([to, name]) => (
      <RailLink key={to} to={to} end={to === '/'}>
        {name}
      </RailLink>
    ))}
    <Box mt="auto" pb={2}>
      <RailButton onClick={onFind} title="Find anything (Ctrl K)">
        Find
      </RailButton>
      <RailButton onClick={toggleTheme}>Light, dark</RailButton>
      <RailButton title={`${me.name}, ${me.roles.join(', ')}`} onClick={onSignOut}>
        Sign out
      </RailButton>
    </Box>
  </Box>
);

/** The same at the foot of a telephone, for one thumb; what does not fit is under More. */
export const Bar = ({ me, onFind }: Omit<Props, 'onSignOut'>) => (
  <Box
    as="nav"
    className="rail"
    aria-label="Main, at the foot"
    bg="rail"
    display={{ base: 'grid', md: 'none' }}
    gridTemplateColumns="repeat(5, 1fr)"
    pb="env(safe-area-inset-bottom)"
  >
    {barOf(me.roles).map(([to, name]) => (
      <BarLink key={to} to={to} end={to === '/'}>
        {name}
      </BarLink>
    ))}
    <BarButton onClick={onFind}>More</BarButton>
  </Box>
);
