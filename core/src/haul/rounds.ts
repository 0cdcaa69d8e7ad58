import { driveMinutes } from '../steps/index.ts';
import type { LabourRates } from '../steps/index.ts';
import type { FlatLoad } from './bedOf.ts';
import type { Trailer } from './planLoad.ts';

/** Where a site lies from the shop: miles of road, and which way, degrees from north over east. */
export interface SiteWay {
  readonly miles: number;
  readonly bearing: number;
}

/** Miles between two sites, as roads go round corners no more than those from the shop do. */
export const milesBetween = (a: SiteWay, b: SiteWay): number => {
  const angle = ((a.bearing - b.bearing) * Math.PI) / 180;
  return Math.sqrt(Math.max(0, a.miles ** 2 + b.miles ** 2 - 2 * a.miles * b.miles * Math.cos(angle)));
};

/** What one round must save of two trips out and home, as a share of them. */
const SAVES = 0.25;

/** Minutes from the one site to the other, where both lie on one round; undefined where two trips are as good. */
export const hopMinutes = (a: SiteWay, b: SiteWay, rates: LabourRates): number | undefined => {
  const hop = driveMinutes(milesBetween(a, b), rates);
  const ways = driveMinutes(a.miles, rates) + driveMinutes(b.miles, rates);
  return ways - hop >= SAVES * 2 * ways - 1e-9 ? hop : undefined;
};

/**
 * Share of each trailer that units take which travel whole, standing after each other on the bed: by length or by weight, whichever
 * is more. Trailers that do not take them are left out; inches and pounds.
 */
export const loadShares = (
  unit: { readonly size: readonly [number, number, number]; readonly weight: number },
  quantity: number,
  trailers: readonly Trailer[],
  limits: { readonly width: number; readonly overBed: number },
): Readonly<Record<string, number>> => {
  const [a, b, high] = unit.size;
  const [long, wide] = [Math.max(a, b), Math.min(a, b)];
  if (wide > limits.width || high > limits.overBed) return {};
  return Object.fromEntries(
    trailers.flatMap((t) => {
      const share = quantity * Math.max(long / t.bedLength, unit.weight / t.carries);
      return share <= 1 ? [[t.id, share]] : [];
    }),
  );
};

/** The same of panels and bundles that lie flat; what stands out behind a bed shares it with nothing. */
export const flatShares = (load: FlatLoad, trailers: readonly Trailer[]): Readonly<Record<string, number>> =>
  Object.fromEntries(
    trailers.flatMap((t) => {
      const share = Math.max(load.bed / t.bedLength, load.weight / t.carries);
      return share <= 1 ? [[t.id, share]] : [];
    }),
  );
