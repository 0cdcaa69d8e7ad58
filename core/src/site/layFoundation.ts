import type { Build } from '../unit/index.ts';
import { findBearings } from './findBearings.ts';
import { drawnGround, surveyedGround } from './ground.ts';
import type { FoundationPlan, Support } from './planFoundation.ts';
import { PAD_RULES } from './planPads.ts';
import type { PadRules } from './planPads.ts';
import type { Survey } from './readSurvey.ts';

/** A box of a foundation where it lies: its least and greatest corner, inches. */
export interface FoundationSolid {
  readonly kind: 'block' | 'paver' | 'shim' | 'slab' | 'ring';
  readonly low: readonly [number, number, number];
  readonly high: readonly [number, number, number];
}

/** The ground around a unit as a net of heights: rows from the front to the back, each from left to right. Inches. */
export interface GroundNet {
  readonly x: readonly number[];
  readonly y: readonly number[];
  readonly z: readonly (readonly number[])[];
}

/** What a unit stands on, to be drawn with it. */
export interface LaidFoundation {
  readonly solids: readonly FoundationSolid[];
  readonly ground: GroundNet;
}

/** Block and paver in plan: the long side along the unit. */
const BLOCK = [15.625, 7.625] as const;
const SHIM = [7.5, 3.5] as const;
/** Ground that is drawn beyond the unit, and how many meshes of its net there are each way. */
const AROUND = 24;
const MESHES = 10;

/** One stack from the bottom of what is dug up to what it carries: block, paver, shims. */
const stackSolids = (s: Support, rules: PadRules): FoundationSolid[] => {
  const out: FoundationSolid[] = [];
  let z = s.ground - s.dig;
  const lay = (kind: FoundationSolid['kind'], [wide, deep]: readonly [number, number], high: number): void => {
    out.push({
      kind,
      low: [s.x - wide / 2, s.y - deep / 2, z],
      high: [s.x + wide / 2, s.y + deep / 2, z + high],
    });
    z += high;
  };
  for (let i = 0; i < s.blocks; i++) {
    if (i > 0) z += rules.joint;
    lay('block', BLOCK, rules.block);
  }
  for (let i = 0; i < s.pavers; i++) lay('paver', BLOCK, rules.paver);
  if (s.shims > 0) lay('shim', SHIM, s.shims);
  return out;
};

/**
 * Where the pieces of a foundation lie, and the ground that they stand in.
 * @param survey readings of the ground; that which the unit is drawn for where there are none
 */
export const layFoundation = (
  build: Build,
  plan: FoundationPlan,
  survey?: Survey,
  rules: PadRules = PAD_RULES,
): LaidFoundation => {
  const [x0, y0, x1, y1] = build.facts.base;
  const at = survey ? surveyedGround(survey, build.facts.base) : drawnGround(build);
  const soles = findBearings(build).filter((b) => b.kind === 'sill' || b.kind === 'sole');
  const top = soles.length > 0 ? Math.min(...soles.map((b) => b.z)) : 0;
  const concrete = plan.concrete.flatMap((c): FoundationSolid[] => {
    // It lies under the house, which ends at the right of what the unit rests on.
    const [left, back] = [x1 - c.length, y0 + c.width];
    const box = (a: number, b: number, e: number, d: number): FoundationSolid => ({
      kind: c.kind === 'slab' ? 'slab' : 'ring',
      low: [a, b, top - c.depth],
      high: [e, d, top],
    });
    if (c.wide === undefined) return [box(left, y0, x1, back)];
    const w = c.wide;
    return [
      box(left, y0, x1, y0 + w),
      box(left, back - w, x1, back),
      box(left, y0 + w, left + w, back - w),
      box(x1 - w, y0 + w, x1, back - w),
    ];
  });
  const net = (from: number, to: number): number[] =>
    Array.from({ length: MESHES + 1 }, (_, i) => from - AROUND + ((to - from + 2 * AROUND) * i) / MESHES);
  const [x, y] = [net(x0, x1), net(y0, y1)];
  return {
    solids: [...plan.supports.flatMap((s) => stackSolids(s, rules)), ...concrete],
    ground: { x, y, z: y.map((b) => x.map((a) => at(a, b))) },
  };
};
