import type { Pt } from '../geometry/index.ts';
import { plumbCuts, rafterRing } from './frameLeanRoof.ts';
import type { LeanRoofPlan } from './frameLeanRoof.ts';
import { polyPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;

/** Barge rafters at both overhanging edges, carried by lookouts. */
export const frameBargeRafters = (sketch: Sketch, plan: LeanRoofPlan, edges: readonly number[]): void => {
  const { slope: s } = plan;
  const turn = (-Math.atan(s.fall) * 180) / Math.PI;
  edges.forEach((a, i) =>
    sketch.add(
      polyPart(
        plan.axes,
        plan.id,
        {
          id: `${plan.id}/barge-${i + 1}`,
          name: `${plan.name} barge rafter`,
          role: 'barge',
          item: plan.rafterItem,
          cuts: plumbCuts(s),
        },
        'tz',
        rafterRing(s, plan.front, plan.back, 'none'),
        a,
        T,
        { turn },
      ),
    ),
  );
};

/** Distance of the blocks that carry a barge rafter. Common practice, no source. */
const LOOKOUT_AT = 24;
/** Lookouts keep this far from a wall's corner, where trim stands. */
const CORNER = 4;
/** An overhang shorter than this leaves no room for a block. */
const LEAST_LOOKOUT = 0.5;

/**
 * Blocks on edge from the end rafters out to the barge rafters, tops flush, every 24 in along the slope: without them a barge rafter
 * hangs by the skin of the roof alone. They stand on the siding, `out` inches from the end rafters, and are screwed through it.
 */
export const frameLookouts = (
  sketch: Sketch,
  plan: LeanRoofPlan,
  places: readonly number[],
  edges: readonly [number, number],
  out: number,
): void => {
  const { slope: s } = plan;
  const angle = Math.atan(s.fall);
  const c = Math.cos(angle);
  const run = (s.depth + plan.front + plan.back) / c;
  const rows = Math.max(2, Math.ceil(run / LOOKOUT_AT));
  const deep = s.plumb * c;
  // On a steep slope a block's foot leans up towards the plumb cut.
  const start = Math.max(4, T + deep * s.fall);
  const base = s.under(-plan.front) + s.plumb;
  const at = (d: number, q: number): Pt => [
    -plan.front + d * c + q * Math.sin(angle),
    base - d * Math.sin(angle) + q * c,
  ];
  const [first, last] = [places[0] ?? 0, places.at(-1) ?? 0];
  for (const [k, [from, to]] of (
    [
      [edges[0] + T, first],
      [last + T, edges[1]],
    ] as const
  ).entries()) {
    if (to - from - out < LEAST_LOOKOUT) continue;
    for (let r = 0; r < rows; r++) {
      // Clear of the plumb cuts at both ends, and of the wall's corners.
      const wanted = start + ((run - start - 4) * r) / (rows - 1);
      const t = -plan.front + wanted * c;
      const beside = [0, s.depth].find((corner) => Math.abs(t - corner) < CORNER);
      const inward = beside === undefined ? t : beside === 0 ? CORNER : s.depth - CORNER;
      const d = (inward + plan.front) / c;
      const beyond = inward < 0 || inward > s.depth;
      const ring: Pt[] = [at(d - T / 2, -deep), at(d + T / 2, -deep), at(d + T / 2, 0), at(d - T / 2, 0)];
      sketch.add(
        polyPart(
          plan.axes,
          plan.id,
          { id: `${plan.id}/lookout-${k + 1}-${r + 1}`, name: 'lookout', role: 'blocking', item: plan.rafterItem },
          'tz',
          ring,
          // In front of the wall there is no siding between.
          beyond || k === 0 ? from : from + out,
          to - from - (beyond ? 0 : out),
          { turn: (-angle * 180) / Math.PI + 90, form: 'section' },
        ),
      );
    }
  }
};
