import type { Fitting, FrameNote, Side } from '../../unit/index.ts';
import { findNearestPlace, findWidest, nestRowWidth, openingSide } from '../../frame/index.ts';
import type { FitsIn, OpeningWish } from '../../frame/index.ts';
import { BOUGHT, findBought, largestBought, printHalf } from '../../stock/index.ts';
import type { HouseParams } from './types.ts';

/** A wish for what is bought: its rough opening, which nothing may be taken from. Others stay as they are. */
export const boughtSize = (key: string, wish: OpeningWish): OpeningWish => {
  const unit = findBought(key);
  return unit ? { ...wish, width: unit.width, height: unit.height, leastHeight: unit.height, unit: key } : wish;
};

/** A fitting by hand that is bought: the largest that goes into its size; the smallest there is where none does. */
export const boughtByHand = (f: Fitting): string => {
  if (f.style !== 'bought') return '';
  const kind = f.kind === 'window' ? 'window' : 'door';
  return (largestBought(kind, f.width, f.height) ?? BOUGHT.find((b) => b.kind === kind))?.key ?? '';
};

/** Narrowest that is still of use, by kind. */
const NARROWEST: Partial<Record<Fitting['kind'], number>> = { 'people door': 20, window: 10, 'clean-out': 16 };

/** What mends an opening that found no room: the widest that does, else to do without. */
export const leftOutFix = (o: OpeningWish, p: HouseParams, zone: FitsIn): FrameNote['fix'] | undefined => {
  const fix = (label: string, patch: Record<string, string | number>): FrameNote['fix'] => ({ label, patch });
  if (o.at !== undefined) return undefined;
  const least = NARROWEST[o.kind];
  const widest = least === undefined ? undefined : findWidest(zone, o, least);
  if (o.unit !== undefined) {
    // The largest that is bought and stands whole, else one that is made to fit.
    const other = BOUGHT.filter((b) => b.kind === (o.kind === 'window' ? 'window' : 'door'))
      .sort((m, n) => n.width * n.height - m.width * m.height)
      .find((b) => findWidest(zone, boughtSize(b.key, o), b.width) !== undefined);
    const what = o.kind === 'window' ? 'window' : 'door';
    return other
      ? fix(`Take the ${other.name}`, { [`${what}Unit`]: other.key })
      : fix(`Make the ${what} in the shop`, { [`${what}Style`]: o.kind === 'window' ? 'mesh' : 'single' });
  }
  if (o.kind === 'window')
    return widest === undefined
      ? fix('Leave the window out', { windowWall: 'none' })
      : fix(`Make the window ${widest}″ wide`, { windowWidth: widest });
  if (o.kind === 'nest') {
    for (let n = p.nestCount - 1; n > 0; n--)
      if (findWidest(zone, o, nestRowWidth(n, p.nestWidth)) !== undefined)
        return fix(`Make it ${n === 1 ? 'one nest' : `${n} nests`}`, { nestCount: n });
    return fix('No nests here', { nestWall: 'none' });
  }
  if (o.kind === 'people door' && widest !== undefined)
    return fix(`Make the door ${widest}″ wide`, { doorWidth: widest });
  if (o.kind === 'clean-out' && widest !== undefined)
    return fix(`Make the clean-out ${widest}″`, { cleanOutWidth: widest });
  return undefined;
};

/** Why an opening was left out, with what would stand. */
export const leftOutWhy = (o: OpeningWish, zone: FitsIn): string => {
  if (o.unit !== undefined && o.at === undefined)
    return `It comes in its frame and wants a rough opening of ${printHalf(o.width)} × ${printHalf(o.height)}″, with its header under the plate; it was left out.`;
  if (o.at === undefined) {
    const studs = openingSide(o) === 3 ? 'a king and a jack stud' : 'a stud';
    return `It needs ${o.width}″ with ${studs} on each side beside what else stands there, and ${o.leastHeight}″ of height; it was left out.`;
  }
  const near = findNearestPlace(zone, o);
  const widest = near === undefined ? findWidest(zone, o, 8) : undefined;
  const instead =
    near !== undefined
      ? ` The nearest place where it stands is ${near}″.`
      : widest === undefined
        ? ' This wall has no place for it.'
        : ` At its place the widest that stands is ${widest}″.`;
  return `Its studs would run into a corner or into those of another opening, or its header into the plate; it was left out.${instead}`;
};

/** A parameter that makes some of the walls higher, what it is now and the most that it may be, inches. */
export interface Raise {
  readonly param: string;
  readonly now: number;
  readonly most: number;
  /** All of them where left out. */
  readonly sides?: readonly Side[];
}

/** What mends an opening that came out lower than asked: walls that let it stand as it is wanted, else the highest that does. */
export const loweredFix = (
  o: OpeningWish,
  got: number,
  side: Side,
  raise: readonly Raise[],
): Pick<FrameNote, 'fix'> => {
  if (o.kind === 'people door') {
    const by = raise.find((r) => r.sides?.includes(side) ?? true);
    const high = by && Math.ceil((by.now + o.height - got) * 2) / 2;
    if (by && high !== undefined && high <= by.most)
      return { fix: { label: `Raise the wall to ${high}″`, patch: { [by.param]: high } } };
  }
  if (o.at !== undefined) return {};
  if (o.kind === 'people door') {
    const half = Math.max(24, Math.floor(got * 2) / 2);
    return { fix: { label: `Make the door ${half}″`, patch: { doorHeight: half } } };
  }
  return o.kind === 'window' ? { fix: { label: 'Leave the window out', patch: { windowWall: 'none' } } } : {};
};
