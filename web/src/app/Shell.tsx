import { Box } from '@chakra-ui/react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Link, Navigate, Outlet, useLocation, useNavigate } from 'react-router';
import useSWR from 'swr';
import { api } from '../data/api.ts';
import { useMe } from '../data/hooks.ts';
import { isOffice } from '../data/roles.ts';
import type { BusinessData } from '../data/types.ts';
import { useLive } from '../data/useLive.ts';
import { Loading } from '../parts/Loading.tsx';
import { useNarrow } from '../parts/useNarrow.ts';
import { isDriverOnly } from './places.ts';
import { Bar, Rail } from './Rail.tsx';

const Palette = lazy(async () => ({ default: (await import('./Palette.tsx')).Palette }));

/** Said for as long as anybody who can read could sign in. */
const DemoPasswords = () => {
  const { data } = useSWR<BusinessData>('/business');
  const { me } = useMe();
  if (!data?.demoPasswords) return null;
  return (
    <Box bg="amberwash" color="ink" px={4} py="2px" fontSize="13.5px" className="no-print" data-testid="demo-passwords">
      The passwords of the demo stand, so this Rubbet answers on this machine only.
      {isOffice(me) && (
        <>
          {' '}
          <Link to="/settings/people">Change them</Link> before others come in.
        </>
      )}
    </Box>
  );
};

/** The frame of every page: the way between places, the page, the palette. */
export const Shell = () => {
  const { me, error, isLoading } = useMe();
  const [palette, setPalette] = useState<'closed' | 'find' | 'keys'>('closed');
  const navigate = useNavigate();
  const location = useLocation();
  const narrow = useNarrow();
  const [opening, setOpening] = useState(true);
  const away = location.pathname !== '/';
  useEffect(() => {
    if (away) setOpening(false);
  }, [away]);
  useLive(me !== undefined);

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
  // A driver's telephone opens with the loads; Today is a tap away from there.
  if (narrow && opening && location.pathname === '/' && isDriverOnly(me.roles)) return <Navigate to="/roads" replace />;
  const signOut = (): void => {
    void api('/session', { method: 'DELETE' }).then(() => navigate('/sign-in', { replace: true }));
  };
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: 'minmax(0,1fr)', md: '76px minmax(0,1fr)' }}
      gridTemplateRows={{ base: 'minmax(0,1fr) auto', md: 'minmax(0,1fr)' }}
      height="100%"
      minH={0}
      className="shell"
    >
      <a className="skip" href="#page">
        To the page
      </a>
      <Rail me={me} onFind={() => setPalette('find')} onSignOut={signOut} />
      <Box display="grid" gridTemplateRows="auto minmax(0,1fr)" minW={0} minH={0} className="shell">
        <DemoPasswords />
        <Box as="main" id="page" tabIndex={0} minW={0} minH={0} overflow="auto" bg="paper" outlineOffset="-4px">
          <Outlet />
        </Box>
      </Box>
      <Bar me={me} onFind={() => setPalette('find')} />
      {palette !== 'closed' && (
        <Suspense fallback={null}>
          <Palette mode={palette} me={me} close={() => setPalette('closed')} signOut={signOut} />
        </Suspense>
      )}
    </Box>
  );
};
