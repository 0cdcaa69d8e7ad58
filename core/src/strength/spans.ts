import { findLumber } from '../stock/index.ts';

/** Loads on a row of members, pounds per square foot, and the deflection allowed as a share of the span. */
export interface SpanLoad {
  readonly live: number;
  readonly dead: number;
  readonly deflection: number;
  /** Load duration factor: 1 for floors, 1.15 for snow. */
  readonly duration: number;
}

/** Design values of No. 2 spruce-pine-fir: bending and stiffness in psi. Source: NDS Supplement, table 4A (from memory). */
const BENDING = 875;
const STIFFNESS = 1.4e6;
/** Repetitive members share their load. Source: NDS 4.3.9 (from memory). */
const REPETITIVE = 1.15;
/** Size factors for bending by nominal depth. Source: NDS Supplement, table 4A (from memory). */
const SIZE: Readonly<Record<string, number>> = {
  '2x3': 1.5,
  '2x4': 1.5,
  '2x6': 1.3,
  '2x8': 1.2,
  '2x10': 1.1,
  '2x12': 1.0,
};

/** Floor joists: 40 psf live, 10 dead, L/360. */
export const FLOOR_LOAD: SpanLoad = { live: 40, dead: 10, deflection: 360, duration: 1 };
/** Rafters under a ground snow load in psf, 10 dead, L/180. */
export const snowLoad = (snow: number): SpanLoad => ({
  live: Math.max(20, snow),
  dead: 10,
  deflection: 180,
  duration: 1.15,
});

/** What a member of that depth bears in bending, psi, for a load of that duration. */
const strengthOf = (item: string, duration: number): number => BENDING * (SIZE[item] ?? 1) * duration;

/**
 * Longest simple span in inches of a member on edge: the lesser of bending, w·L²/8 ≤ F'b·S, and live-load
 * deflection, 5·w·L⁴/(384·E·I) ≤ L/n. Source: NDS bending and deflection formulas.
 * @param spacing on centre, or the width that a beam carries, inches
 * @param many one of a row, which share their load, or a beam by itself
 */
export const measureLongestSpan = (
  item: string,
  spacing: number,
  load: SpanLoad,
  many: 'row' | 'beam' = 'row',
): number => {
  const lumber = findLumber(item.replace('-pt', ''));
  const b = lumber.thickness;
  const d = lumber.width;
  const section = (b * d * d) / 6;
  const inertia = (b * d * d * d) / 12;
  const strength = strengthOf(lumber.key, load.duration) * (many === 'row' ? REPETITIVE : 1);
  const total = ((load.live + load.dead) * spacing) / 144;
  const live = (load.live * spacing) / 144;
  const bending = Math.sqrt((8 * strength * section) / total);
  const deflection = Math.cbrt((384 * STIFFNESS * inertia) / (5 * live * load.deflection));
  return Math.min(bending, deflection);
};

/** Crushing across the grain, spruce-pine-fir, psi. Source: NDS Supplement, table 4A (from memory). */
const CRUSHING = 425;

/** Load on the middle of a header that a member on edge, `count` of them side by side, bears over a span, pounds: P·L/4 ≤ F'b·S. */
export const measurePointLoad = (item: string, count: number, span: number, duration: number): number => {
  const { key, thickness, width } = findLumber(item.replace('-pt', ''));
  return (4 * strengthOf(key, duration) * count * thickness * width * width) / 6 / span;
};

/** Load that a beam may lay on the end grain of a post, `long` by `wide` inches, pounds. */
export const measureBearing = (long: number, wide: number): number => CRUSHING * long * wide;
