import type { SheetKind } from './types.ts';

/** A rectangle with its kerfs, as parts of a sheet's length and width: as it lies, and turned where it may be. */
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
 * The least that sheets cost which hold some rectangles, of several kinds of sheet: by area where they differ, by
 * dual-feasible functions where only one kind takes any of them.
 */
export const boundSheets = (
  kinds: readonly SheetKind[],
  pieces: readonly { readonly length: number; readonly width: number; readonly grain: boolean }[],
  kerf: number,
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
  const [only] = kinds;
  if (kinds.length > 1 || !only) return least;
  const [l, w] = [only.length + kerf, only.width + kerf];
  const lying = pieces.map((p): Lying => {
    const straight = [(p.length + kerf) / l, (p.width + kerf) / w] as const;
    const turned = [(p.width + kerf) / l, (p.length + kerf) / w] as const;
    const fits = ([a, b]: readonly [number, number]): boolean => a <= 1 + EPS && b <= 1 + EPS;
    const ways = [straight, ...(p.grain ? [] : [turned])].filter(fits);
    return { ways: ways.length > 0 ? ways : [straight] };
  });
  return Math.max(least, leastSheets(lying) * only.cost);
};
