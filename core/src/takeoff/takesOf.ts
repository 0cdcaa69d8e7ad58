import type { CutRoll } from '../cut/index.ts';
import { findRoofing } from '../stock/index.ts';
import type { StockCount } from '../stock/index.ts';
import type { Build } from '../unit/index.ts';
import { stickDemandOf } from './takeOff.ts';
import type { Takeoff } from './takeOff.ts';

/** What units are made of, as it is looked for on the rack: what is cut at the saw, and what is put on as they are built. */
export interface Takes {
  /** Pieces of lumber by length, whole sheets, and lengths of rolls. */
  readonly sawn: readonly StockCount[];
  /** Roofing by length, and what is bought by the count. */
  readonly fitted: readonly StockCount[];
}

/** Equal sizes as one, the longest of an item first. */
const addUp = (list: readonly StockCount[]): StockCount[] => {
  const sums = new Map<string, StockCount>();
  for (const c of list) {
    const key = `${c.item}|${c.length}|${c.width}`;
    sums.set(key, { ...c, quantity: c.quantity + (sums.get(key)?.quantity ?? 0) });
  }
  return [...sums.values()].sort((a, b) =>
    a.item < b.item ? -1 : a.item > b.item ? 1 : (b.length ?? 0) - (a.length ?? 0),
  );
};

/** Lengths of a roll that are cut off it one by one: what lies beside each other, or runs on round a corner, comes off in one. */
const lengthsOf = (roll: CutRoll): number[] => {
  const out: { from: number; to: number }[] = [];
  for (const s of [...roll.strips].sort((a, b) => a.x - b.x)) {
    const last = out.at(-1);
    if (last && (s.x < last.to - 0.01 || s.bent)) last.to = Math.max(last.to, s.x + s.length);
    else out.push({ from: s.x, to: s.x + s.length });
  }
  return out.map((l) => l.to - l.from);
};

/** What is taken from the rack, or bought, for so many equal units. */
export const takesOf = (build: Pick<Build, 'parts'>, takeoff: Takeoff, units = 1): Takes => {
  const times = (c: StockCount): StockCount => ({ ...c, quantity: c.quantity * units });
  const one = (item: string, length: number | null, quantity: number, width: number | null = null): StockCount => ({
    item,
    length,
    width,
    quantity,
  });
  const rolls = takeoff.mesh.layout.flatMap((r) => lengthsOf(r).map((l) => one(r.item, l, 1, r.width)));
  const sheetsOfRoof = build.parts.filter((p) => p.role === 'roofing' && findRoofing(p.item).bundle === undefined);
  const counted = takeoff.lines.filter(
    ({ item, kind }) =>
      kind === 'hardware' || kind === 'piece' || (kind === 'roofing' && findRoofing(item).bundle !== undefined),
  );
  return {
    sawn: addUp([
      ...stickDemandOf(build.parts).pieces.map((p) => one(p.item, p.length, p.quantity)),
      ...takeoff.sheets.sheets.map((s) => one(s.item, null, 1)),
      ...rolls,
    ]).map(times),
    fitted: addUp([
      ...sheetsOfRoof.map((p) => one(p.item, p.length + (p.lap ?? 0), 1)),
      ...counted.map((l) => one(l.item, null, l.quantity)),
    ]).map(times),
  };
};
