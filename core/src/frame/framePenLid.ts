import { findMesh } from '../stock/index.ts';
import { UNIT_AXES } from './axes.ts';
import { PEN_RAIL, uprightPlaces } from './framePenSides.ts';
import { boxPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;

/** A lid over part of a pen's top, from `from` to `to` along its length. */
export interface PenLidPlan {
  readonly from: number;
  readonly to: number;
  readonly width: number;
  /** Top of the pen's frame. */
  readonly height: number;
  readonly mesh: string;
  readonly joins: string;
}

/** A lid of 2×3 laid flat with mesh on it, a middle bar where it is wide; hinged at its low end, bolted at the other. */
export const framePenLid = (sketch: Sketch, plan: PenLidPlan): void => {
  const { from, to, width: W, height: H } = plan;
  const m = findMesh(plan.mesh).thickness;
  const a = UNIT_AXES;
  const rail = (id: string, name: string, x: number) =>
    sketch.add(boxPart(a, 'lid', { id, name, role: 'lid', item: '2x3' }, [x, 0, H], [PEN_RAIL, W, T], 't'));
  rail('lid/hinge-rail', 'lid hinge rail', from);
  rail('lid/lift-rail', 'lid lift rail', to - PEN_RAIL);
  uprightPlaces(0, W, PEN_RAIL, 36).forEach((y, i) =>
    sketch.add(
      boxPart(
        a,
        'lid',
        { id: `lid/stile-${i + 1}`, name: 'lid stile', role: 'lid', item: '2x3' },
        [from + PEN_RAIL, y, H],
        [to - from - 2 * PEN_RAIL, PEN_RAIL, T],
        'a',
      ),
    ),
  );
  sketch.add(
    boxPart(
      a,
      'lid',
      { id: 'lid/mesh', name: 'lid mesh', role: 'mesh', item: plan.mesh },
      [from, 0, H + T],
      [to - from, W, m],
      't',
    ),
  );
  sketch.assembly({
    id: 'lid',
    name: 'lid',
    kind: 'lid',
    face: { origin: [from, 0, H], u: [1, 0, 0], v: [0, 1, 0] },
    flat: true,
    square: { width: to - from, height: W },
    tapes: [],
    joins: { to: plan.joins, how: 'hinged on the crossbar, two bolts at the lift rail' },
  });
  sketch.join({ kind: 'hinge', parts: ['lid/hinge-rail'], nearest: plan.joins, hardware: { hinge: W > 48 ? 3 : 2 } });
  sketch.join({ kind: 'latch', parts: ['lid/lift-rail'], nearest: true, hardware: { latch: 2 } });
};
