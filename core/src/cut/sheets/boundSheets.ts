import { planSticks } from '../planSticks.ts';
import type { Effort } from '../sticks/searchPatterns.ts';
import type { SheetKind } from './types.ts';

/** A rectangle by its extents along a sheet and across it: as it lies, and turned where it may be. */
export interface Lying {
  readonly ways: readonly (readonly [number, number])[];
}

const EPS = 1e-9;

/**
 * Dual-feasible functions: of any lengths that fit into 1 together, their values fit into 1 as well. So the sums of products of
 * such values over rectangles are no more than the sheets that hold them.
 * After Fekete and Schepers, "A general framework for bounds for higher-dimensional orthogonal packing problems" (2004),
 * from memory; each is checked by trial beside this file.
 */
export const dualFeasible = (): readonly ((x: number) => number)[] => {
  const out: ((x: number) => number)[] = [(x) => x];
  // What is over a half is a whole, what is under eps nothing.
  for (const eps of [0.5, 1 / 3, 0.25, 0.2, 0.15, 0.1])
    out.push((x) => (x > 1 - eps + EPS ? 1 : x < eps - EPS ? 0 : x));
  // Rounded to k-ths: (k + 1)x whole stays, else down to a k-th.
  for (let k = 1; k <= 6; k++)
    out.push((x) => {
      const n = (k + 1) * x;
      return Math.abs(n - Math.round(n)) < EPS ? x : Math.floor(n) / k;
    });
  return out;
};

const FUNCTIONS = dualFeasible();

/** The least number of equal sheets that hold some rectangles, whatever the saw. */
export const leastSheets = (pieces: readonly Lying[]): number => {
  let least = 0;
  for (const f of FUNCTIONS)
    for (const g of FUNCTIONS) {
      let sum = 0;
      for (const { ways } of pieces) sum += Math.min(...ways.map(([a, b]) => f(Math.min(1, a)) * g(Math.min(1, b))));
      least = Math.max(least, sum);
    }
  return Math.ceil(least - 1e-6);
};

/**
 * The least that sheets cost which hold some rectangles: by area, by dual-feasible functions over the largest kind, and by what
 * cannot lie abreast.
 */
export const boundSheets = (
  kinds: readonly SheetKind[],
  pieces: readonly { readonly length: number; readonly width: number; readonly grain: boolean }[],
  kerf: number,
  effort: Effort = 'full',
): number => {
  if (pieces.length === 0 || kinds.length === 0) return 0;
  // Area by area from the cheapest on, as much as there is of it; a part of a sheet is charged as a part.
  const area = pieces.reduce((sum, p) => sum + (p.length + kerf) * (p.width + kerf), 0);
  const byArea = kinds
    .map((k) => ({ k, size: (k.length + kerf) * (k.width + kerf) }))
    .sort((a, b) => a.k.cost / a.size - b.k.cost / b.size);
  let left = area;
  let cost = 0;
  for (const { k, size } of byArea) {
    const most = k.quantity === null ? left : Math.min(left, size * k.quantity);
    cost += (most / size) * k.cost;
    left -= most;
    if (left <= EPS) break;
  }
  const least = Math.ceil(cost - 1e-6);
  const longest = Math.max(...kinds.map((k) => k.length));
  const widest = Math.max(...kinds.map((k) => k.width));
  const lying = pieces.map((p): Lying => {
    const straight = [p.length, p.width] as const;
    const turned = [p.width, p.length] as const;
    const fits = ([a, b]: readonly [number, number]): boolean => a <= longest + EPS && b <= widest + EPS;
    const ways = [straight, ...(p.grain ? [] : [turned])].filter(fits);
    return { ways: ways.length > 0 ? ways : [straight] };
  });
  // Whatever kind is taken, it is no larger than the longest and widest of them.
  const [l, w] = [longest + kerf, widest + kerf];
  const shares = lying.map(({ ways }): Lying => ({ ways: ways.map(([a, b]) => [(a + kerf) / l, (b + kerf) / w]) }));
  const sheets = Math.max(
    leastSheets(shares),
    leastAbreast(lying, { along: longest, across: widest, kerf }, effort),
    leastAbreast(
      lying.map(({ ways }) => ({ ways: ways.map(([a, b]) => [b, a] as const) })),
      { along: widest, across: longest, kerf },
      effort,
    ),
  );
  const bound = Math.max(least, costOfSheets(kinds, sheets));
  // What is free is small, as a rule: pieces that do not fit on it come out of what is paid for.
  const paid = kinds.filter((k) => k.cost > 0);
  if (paid.length === 0 || paid.length === kinds.length) return bound;
  const fitsFree = (p: { readonly length: number; readonly width: number; readonly grain: boolean }): boolean =>
    kinds.some((k) => {
      const fits = (a: number, b: number): boolean => a <= k.length + EPS && b <= k.width + EPS;
      return k.cost === 0 && (fits(p.length, p.width) || (!p.grain && fits(p.width, p.length)));
    });
  return Math.max(
    bound,
    boundSheets(
      paid,
      pieces.filter((p) => !fitsFree(p)),
      kerf,
      effort,
    ),
  );
};

/**
 * The least number of sheets that hold those pieces of which no two lie beside each other across a sheet: along it they follow
 * one another, as pieces on a stick do. Each as it lies shortest.
 */
const leastAbreast = (
  pieces: readonly Lying[],
  sheet: { readonly along: number; readonly across: number; readonly kerf: number },
  effort: Effort,
): number => {
  const alone = pieces.filter(({ ways }) => ways.every(([, b]) => b > (sheet.across - sheet.kerf) / 2 + 1e-6));
  if (alone.length === 0) return 0;
  const lengths = new Map<number, number>();
  for (const { ways } of alone) {
    const length = Math.min(...ways.map(([a]) => a));
    lengths.set(length, (lengths.get(length) ?? 0) + 1);
  }
  const { bound } = planSticks(
    {
      kerf: sheet.kerf,
      endTrim: 0,
      // What is rounded is rounded so that the bound holds.
      stock: [{ item: 'x', length: sheet.along + 1 / 64, cost: 1, quantity: null }],
      pieces: [...lengths].map(([length, quantity], i) => ({
        id: String(i),
        item: 'x',
        length: Math.floor(length * 64 + 1e-6) / 64,
        quantity,
      })),
    },
    effort === 'quick' ? 'quick' : 'full',
  );
  return Math.ceil(bound - 1e-6);
};

/** The least that so many sheets cost: the cheapest kinds first, as many as there are. */
const costOfSheets = (kinds: readonly SheetKind[], count: number): number => {
  let left = count;
  let cost = 0;
  for (const k of [...kinds].sort((a, b) => a.cost - b.cost)) {
    const taken = k.quantity === null ? left : Math.min(left, k.quantity);
    cost += taken * k.cost;
    left -= taken;
  }
  return cost;
};
