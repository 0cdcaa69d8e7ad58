import { createContext, useContext, useMemo } from 'react';
import type { ReactNode } from 'react';
import { useLocation } from 'react-router';
import useSWR from 'swr';
import { BUSINESS, BUSINESS_RULES, makeShow } from '@rubbet/core/order';
import type { Show } from '@rubbet/core/order';
import type { Units } from '@rubbet/core/measure';
import { Loading } from '../parts/Loading.tsx';
import type { BusinessData, Me, SettingsData } from './types.ts';

const Shown = createContext<Show>(makeShow(BUSINESS_RULES.units, BUSINESS.currency));

/** Prints figures and sentences for whoever is at the screen: their units, else the business's, and its money. */
export const useShow = (): Show => useContext(Shown);

/** Pages that are seen without signing in, each with units of its own. */
const OUTSIDE = /^\/(sign-in|setup|visit|welcome)(\/|$)/;

/** Gives a page units and money of its own. */
export const ShowIn = ({
  units,
  currency = BUSINESS.currency,
  children,
}: {
  readonly units: Units;
  readonly currency?: string;
  readonly children: ReactNode;
}) => {
  const { style, denominator } = units;
  const show = useMemo(() => makeShow({ style, denominator }, currency), [style, denominator, currency]);
  return <Shown.Provider value={show}>{children}</Shown.Provider>;
};

/** Everything shown inside is shown for the signed-in person. */
export const ShowForMe = ({ children }: { readonly children: ReactNode }) => {
  const outside = OUTSIDE.test(useLocation().pathname);
  const { data: me, error: nobody } = useSWR<Me, unknown>(outside ? null : '/session');
  const { data: settings, error: unset } = useSWR<SettingsData, unknown>(outside || !me ? null : '/settings');
  const { data: business } = useSWR<BusinessData>(outside || !me ? null : '/business');
  // A field that opens with a length writes it in the reader's unit: nothing opens before that is known.
  const known = outside || nobody !== undefined || me?.units != null || settings !== undefined || unset !== undefined;
  if (!known) return <Loading />;
  return (
    <ShowIn
      units={me?.units ?? settings?.rules.units ?? BUSINESS_RULES.units}
      currency={business?.currency ?? BUSINESS.currency}
    >
      {children}
    </ShowIn>
  );
};
