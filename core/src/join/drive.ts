import { HARDWARE } from '../stock/index.ts';
import type { Driver } from '../stock/index.ts';
import type { Driven } from '../unit/index.ts';

/** Hold that is enough in any wood, inches, and as a share of the thinner part. Common practice, no source. */
export const ENOUGH = 1.25;
export const ENOUGH_SHARE = 1.5;
/** A point may come no nearer to the far side than this, except where nothing else holds. */
const COVER = 1 / 16;
const EPS = 1e-6;

const byDriver = new Map<Driver, { readonly item: string; readonly length: number }[]>();
for (const h of HARDWARE) {
  if (h.driver === undefined || h.length === undefined) continue;
  const list = byDriver.get(h.driver) ?? [];
  list.push({ item: h.key, length: h.length });
  byDriver.set(h.driver, list);
}
for (const list of byDriver.values()) list.sort((a, b) => a.length - b.length);

/** Screws of thin steel are held by no less than this, where there is so much wood. Common practice, no source. */
const LEAST_WANTED: Partial<Record<Driver, number>> = { 'roof screw': 1 };

/** What a fastener should be held by: 1¼ in, or one and a half times the thinner part where that is less. */
export const wantedHold = (through: number, into: number, driver?: Driver): number =>
  Math.max(
    Math.min(ENOUGH, ENOUGH_SHARE * Math.min(through, into)),
    Math.min(driver ? (LEAST_WANTED[driver] ?? 0) : 0, into - COVER),
  );

/**
 * The shortest fastener of a kind that passes `through` inches and is held well in the `into` behind, without coming out of it; where
 * none is held well, the longest that stays inside. Undefined where every one of the kind comes out or none reaches.
 * @param least hold in inches below which a joint is none
 */
export const chooseFastener = (
  driver: Driver,
  through: number,
  into: number,
  least = 0.3,
): { readonly item: string; readonly length: number } | undefined => {
  const wanted = through + wantedHold(through, into, driver);
  const most = through + into;
  const all = byDriver.get(driver) ?? [];
  const inside = all.filter((f) => f.length <= most - COVER + EPS);
  const good = inside.find((f) => f.length >= wanted - EPS);
  if (good) return good;
  // Flush with the far side is still inside.
  const flush = all.find((f) => f.length >= wanted - EPS && f.length <= most + EPS);
  if (flush) return flush;
  const longest = inside.at(-1);
  return longest && longest.length >= through + Math.min(least, wantedHold(through, into)) - EPS ? longest : undefined;
};

/** So many of a fastener. */
export const driven = (fastener: { readonly item: string; readonly length: number }, count: number): Driven[] => [
  { item: fastener.item, length: fastener.length, count },
];

/** How many fasteners stand along a line: one near each end and no more than `spacing` between. */
export const alongLine = (length: number, spacing: number, least = 2): number =>
  Math.max(least, Math.ceil(Math.max(0, length - 1) / spacing - EPS) + 1);
