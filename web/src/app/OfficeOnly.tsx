import type { ReactNode } from 'react';
import { useMe } from '../data/hooks.ts';
import { isOffice } from '../data/roles.ts';
import { Loading } from '../parts/Loading.tsx';
import { NotYours } from '../parts/NotYours.tsx';

/** Shows a page to the office, and says to others that it is not theirs. */
export const OfficeOnly = ({ what, children }: { readonly what: string; readonly children: ReactNode }) => {
  const { me } = useMe();
  if (!me) return <Loading />;
  return isOffice(me) ? children : <NotYours what={what} />;
};
