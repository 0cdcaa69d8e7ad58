import type { Pt } from './vec.ts';

/** A circular arc over a chord: radius, half its opening angle in radians, and its rise over the chord. */
export interface Arc {
  readonly radius: number;
  readonly halfAngle: number;
  readonly rise: number;
}

/**
 * The arc that a strip of `length` takes when it is sprung between two points `chord` apart: length = 2rθ, chord = 2r sin θ.
 * @throws RangeError when the strip is not longer than the chord, or longer than the semicircle over it
 */
export const solveArc = (chord: number, length: number): Arc => {
  const most = (Math.PI / 2) * chord;
  if (length <= chord || length > most + 1e-9)
    throw new RangeError(`An arc over ${chord} must be longer than that and at most ${most}, not ${length}.`);
  // sin θ / θ falls steadily from 1 to 2/π on (0, π/2].
  let low = 1e-9;
  let high = Math.PI / 2;
  for (let i = 0; i < 80; i++) {
    const mid = (low + high) / 2;
    if (Math.sin(mid) / mid > chord / length) low = mid;
    else high = mid;
  }
  const halfAngle = (low + high) / 2;
  const radius = length / (2 * halfAngle);
  return { radius, halfAngle, rise: radius * (1 - Math.cos(halfAngle)) };
};

/** A band between two radii over an arc, as a ring: its crown at (x, z + rise of the inner circle). Angles from straight up. */
export const arcBand = (centre: Pt, inner: number, outer: number, halfAngle: number, steps: number): Pt[] => {
  const at = (r: number, k: number): Pt => {
    const a = -halfAngle + (2 * halfAngle * k) / steps;
    return [centre[0] + r * Math.sin(a), centre[1] + r * Math.cos(a)];
  };
  const ks = Array.from({ length: steps + 1 }, (_, k) => k);
  return [...ks.map((k) => at(inner, k)), ...ks.reverse().map((k) => at(outer, k))];
};
