/** A stick by the lengths of what is cut from it; whole units of any kind, the saw's kerf counted into each. */
export interface BareStick {
  /** Pieces, the longest first. */
  readonly pieces: readonly number[];
  readonly capacity: number;
}

/** What a plan is judged by besides its sticks: lower is better. */
export interface Tidiness {
  /** Cents of a remainder. */
  readonly worth: (left: number) => number;
  /** Cents of setting the stop. */
  readonly move: number;
  /** Equal sticks that are cut together. */
  readonly high: number;
}

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
const keyOf = (s: BareStick): string => `${s.capacity}|${s.pieces.join()}`;
const kinds = (pieces: readonly number[]): number => new Set(pieces).size;

/** Exchanges that are looked at, at most. */
const MOST = 150_000;

/**
 * The same pieces from the same sticks, changed about between two of them as long as that leaves longer remainders or sets the
 * stop less often. Gives the sticks in their order; none takes more than its length.
 */
export const tidySticks = (sticks: readonly BareStick[], by: Tidiness): BareStick[] => {
  let now = sticks.map((s) => ({ capacity: s.capacity, pieces: [...s.pieces].sort((a, b) => b - a) }));
  let looked = 0;
  const stops = (counts: ReadonlyMap<string, number>, key: string, change: number, k: number): number => {
    const n = counts.get(key) ?? 0;
    return (Math.ceil((n + change) / by.high) - Math.ceil(n / by.high)) * k;
  };
  for (let better = true; better && looked < MOST;) {
    better = false;
    const counts = new Map<string, number>();
    for (const s of now) counts.set(keyOf(s), (counts.get(keyOf(s)) ?? 0) + 1);
    const first = new Map<string, number>();
    now.forEach((s, i) => first.has(keyOf(s)) || first.set(keyOf(s), i));
    const at = [...first.values()];
    const gainOf = (a: BareStick, b: BareStick, x: BareStick, y: BareStick): number => {
      const change = new Map<string, { n: number; k: number }>();
      const put = (s: BareStick, n: number): void => {
        const key = keyOf(s);
        change.set(key, { n: (change.get(key)?.n ?? 0) + n, k: kinds(s.pieces) });
      };
      put(a, -1);
      put(b, -1);
      put(x, 1);
      put(y, 1);
      let moves = 0;
      for (const [key, { n, k }] of change) moves += stops(counts, key, n, k);
      const left = (s: BareStick): number => by.worth(s.capacity - sum(s.pieces));
      return left(x) + left(y) - left(a) - left(b) - moves * by.move;
    };
    search: for (let i = 0; i < at.length; i++)
      for (let j = 0; j < at.length; j++) {
        if (i === j) continue;
        const [ia, ib] = [at[i] as number, at[j] as number];
        const [a, b] = [now[ia] as BareStick, now[ib] as BareStick];
        const room = b.capacity - sum(b.pieces);
        for (const x of new Set(a.pieces)) {
          // Nothing in exchange, or one of the other's.
          for (const y of [0, ...new Set(b.pieces)]) {
            if (x <= y || x - y > room || (y === 0 && a.pieces.length === 1)) continue;
            if (++looked > MOST) break search;
            const without = (list: readonly number[], n: number): number[] => {
              const k = list.indexOf(n);
              return k < 0 ? [...list] : [...list.slice(0, k), ...list.slice(k + 1)];
            };
            const next = (s: BareStick, out: number, into: number): BareStick => ({
              capacity: s.capacity,
              pieces: [...without(s.pieces, out), ...(into > 0 ? [into] : [])].sort((p, q) => q - p),
            });
            const [u, v] = [next(a, x, y), next(b, y, x)];
            if (gainOf(a, b, u, v) <= 1e-6) continue;
            now = now.map((s, k) => (k === ia ? u : k === ib ? v : s)) as typeof now;
            better = true;
            break search;
          }
        }
      }
  }
  return now;
};
