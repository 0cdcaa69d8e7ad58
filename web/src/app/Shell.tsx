import { Box, chakra } from '@chakra-ui/react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Navigate, NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { api } from '../data/api.ts';
import { useMe } from '../data/hooks.ts';
import { Loading } from '../parts/Loading.tsx';
import { toggleTheme } from './lightDark.ts';
import { PLACES } from './places.ts';

const Palette = lazy(async () => ({ default: (await import('./Palette.tsx')).Palette }));

const RailLink = chakra(NavLink, {
  base: {
    display: 'block',
    textAlign: 'center',
    py: '11px',
    fontFamily: 'heading',
    fontStretch: '80%',
    fontWeight: 600,
    fontSize: '13px',
    color: 'railtext',
    textDecoration: 'none',
    position: 'relative',
    _hover: { bg: 'railon' },
    '&.active': { bg: 'railon' },
    '&.active::before': { content: '""', position: 'absolute', left: 0, top: 0, bottom: 0, width: '5px', bg: 'tape' },
  },
});

const RailButton = chakra('button', {
  base: {
    display: 'block',
    width: '100%',
    textAlign: 'center',
    py: '7px',
    fontFamily: 'heading',
    fontStretch: '80%',
    fontWeight: 500,
    fontSize: '12px',
    color: 'railtext',
    _hover: { bg: 'railon' },
  },
});

/** The frame of every office screen: the rail, the page, the palette. */
export const Shell = () => {
  const { me, error, isLoading } = useMe();
  const [palette, setPalette] = useState<'closed' | 'find' | 'keys'>('closed');
  const navigate = useNavigate();
  const location = useLocation();

  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      const typing = e.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(e.target.tagName);
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'k') {
        e.preventDefault();
        setPalette('find');
      } else if (e.key === '?' && !typing) setPalette('keys');
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);

  if (isLoading) return <Loading />;
  if (error?.status === 401) return <Navigate to="/sign-in" state={{ from: location.pathname }} replace />;
  if (error && !me) throw error;
  if (!me) return <Loading />;
  return (
    <Box display="grid" gridTemplateColumns="76px minmax(0,1fr)" height="100%" minH={0}>
      <Box
        as="nav"
        className="rail"
        aria-label="Main"
        bg="rail"
        color="railtext"
        pt="10px"
        display="flex"
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
          <RailButton onClick={() => setPalette('find')} title="Find anything (Ctrl K)">
            Find
          </RailButton>
          <RailButton onClick={toggleTheme}>Light, dark</RailButton>
          <RailButton
            title={`${me.name}, ${me.role}`}
            onClick={() => {
              void api('/session', { method: 'DELETE' }).then(() => navigate('/sign-in', { replace: true }));
            }}
          >
            Sign out
          </RailButton>
        </Box>
      </Box>
      <Box as="main" tabIndex={0} minW={0} minH={0} overflow="auto" bg="paper" outlineOffset="-4px">
        <Outlet />
      </Box>
      {palette !== 'closed' && (
        <Suspense fallback={null}>
          <Palette mode={palette} close={() => setPalette('closed')} />
        </Suspense>
      )}
    </Box>
  );
};
