import { layoutOpenings } from './layoutOpenings.ts';
import type { OpeningWish } from './layoutOpenings.ts';

/** Steps in which places and widths are tried, inches. */
const STEP = 0.5;

/** A stretch of wall and everything that is wished for in it. */
export interface FitsIn {
  readonly from: number;
  readonly to: number;
  readonly wishes: readonly OpeningWish[];
  readonly ceiling: (a: number) => number;
}

/** How many openings stand as asked when one of them is changed. */
const standing = (zone: FitsIn, wish: OpeningWish): { readonly it: boolean; readonly others: number } => {
  const wishes = zone.wishes.map((w) => (w.id === wish.id ? wish : w));
  const { placed, lowered } = layoutOpenings(zone.from, zone.to, wishes, zone.ceiling);
  const whole = placed.filter((p) => !lowered.some((l) => l.id === p.id));
  return { it: whole.some((p) => p.id === wish.id), others: placed.filter((p) => p.id !== wish.id).length };
};

/** The place nearest to the one asked for at which an opening stands whole and takes no other's place. */
export const findNearestPlace = (zone: FitsIn, wish: OpeningWish): number | undefined => {
  if (wish.at === undefined) return undefined;
  const { others } = standing(zone, wish);
  const most = Math.max(zone.to - wish.at, wish.at - zone.from);
  const start = Math.round(wish.at / STEP) * STEP;
  for (let d = 0; d <= most; d += STEP)
    for (const at of d === 0 ? [start] : [start - d, start + d]) {
      if (at < zone.from || at > zone.to) continue;
      const got = standing(zone, { ...wish, at });
      if (got.it && got.others >= others) return at;
    }
  return undefined;
};

/** The greatest width, at most the one asked for, with which an opening stands whole and takes no other's place. */
export const findWidest = (zone: FitsIn, wish: OpeningWish, least: number): number | undefined => {
  const { others } = standing(zone, wish);
  for (let width = Math.floor(wish.width / STEP) * STEP; width >= least; width -= STEP) {
    const got = standing(zone, { ...wish, width });
    if (got.it && got.others >= others) return width;
  }
  return undefined;
};
