import type { Stretch } from './freeStretches.ts';

/** How far a stud's middle must lie within what is screwed to it. */
const HELD = 0.4;
const HALF_STUD = 0.75;

/** The run of a ledger or a cleat, made longer within a free stretch until it lies over two studs, or over as many as are to be had. */
export const reachStuds = (run: Stretch, stretch: Stretch, centres: readonly number[]): Stretch => {
  let [a, b] = run;
  const held = (): number => centres.filter((c) => c > a + HELD && c < b - HELD).length;
  while (held() < 2) {
    const before = Math.max(-Infinity, ...centres.filter((c) => c <= a + HELD)) - HALF_STUD;
    const after = Math.min(Infinity, ...centres.filter((c) => c >= b - HELD)) + HALF_STUD;
    const back = before >= stretch[0] - 1e-6;
    const on = after <= stretch[1] + 1e-6;
    if (!back && !on) break;
    if (back && (!on || a - before <= after - b)) a = before;
    else b = after;
  }
  return [a, b];
};
