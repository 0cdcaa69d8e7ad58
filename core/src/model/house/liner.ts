import { rectangle } from '../../geometry/index.ts';
import type { Side } from '../../unit/index.ts';
import { chooseJoints, faceOf, polyPart, rectOf, cutStrip, wallAxes, WALL } from '../../frame/index.ts';
import type { Axes, PlacedOpening, Sketch } from '../../frame/index.ts';
import { findSheet } from '../../stock/index.ts';

const ITEM = 'ply-1/4';

/** A smooth lining of the bird room, from the floor up. */
export interface LinerPlan {
  readonly length: number;
  readonly depth: number;
  readonly floor: number;
  readonly height: number;
  /** Right end of the bird room along the front. */
  readonly to: number;
  readonly placed: Record<Side, readonly PlacedOpening[]>;
  readonly centres: Record<Side, readonly number[]>;
  /** The inner wall's openings and studs, where there is one; seen from the store, its own `a` runs to the back. */
  readonly inner?: { readonly openings: readonly PlacedOpening[]; readonly centres: readonly number[] };
}

/** What the liner is cut out for: openings, and the mesh that laps round windows. */
const holeOf = (o: PlacedOpening) => {
  const r = rectOf(o);
  const lap = o.kind === 'window' || o.kind === 'vent' ? 1 : 0;
  return { ...r, left: r.left - lap, right: r.right + lap, bottom: r.bottom - lap, top: r.top + lap };
};

/** Lines the walls of the bird room with sheets joined on studs, cut out at openings. */
export const frameLiner = (sketch: Sketch, plan: LinerPlan): void => {
  const { length: L, depth: D, floor: z, height } = plan;
  const sheet = findSheet(ITEM);
  const m = sheet.thickness;
  const walls: {
    id: string;
    axes: Axes;
    from: number;
    to: number;
    t: number;
    openings: readonly PlacedOpening[];
    centres: readonly number[];
  }[] = [
    {
      id: 'front',
      axes: wallAxes('front', [0, 0, z]),
      from: WALL,
      to: plan.to,
      t: WALL,
      openings: plan.placed.front,
      centres: plan.centres.front,
    },
    {
      id: 'back',
      axes: wallAxes('back', [L, D, z]),
      from: L - plan.to,
      to: L - WALL,
      t: WALL,
      openings: plan.placed.back,
      centres: plan.centres.back,
    },
    {
      id: 'left',
      axes: wallAxes('left', [0, D, z]),
      from: WALL + m,
      to: D - WALL - m,
      t: WALL,
      openings: plan.placed.left,
      centres: plan.centres.left,
    },
    plan.inner
      ? {
          id: 'inner',
          axes: wallAxes('right', [plan.to + WALL, 0, z]),
          from: WALL + m,
          to: D - WALL - m,
          t: WALL,
          openings: plan.inner.openings,
          centres: plan.inner.centres,
        }
      : {
          id: 'right',
          axes: wallAxes('right', [L, 0, z]),
          from: WALL + m,
          to: D - WALL - m,
          t: WALL,
          openings: plan.placed.right,
          centres: plan.centres.right,
        },
  ];
  let n = 0;
  for (const w of walls) {
    const joints = chooseJoints(w.from, w.to, sheet.length, w.centres);
    for (let i = 0; i + 1 < joints.length; i++) {
      const [a, b] = [joints[i] as number, joints[i + 1] as number];
      for (const piece of cutStrip(rectangle(a, 0, b, height), w.openings.map(holeOf)))
        sketch.add(
          polyPart(
            w.axes,
            'liner',
            { id: `liner/${w.id}-${++n}`, name: `liner, ${w.id} wall`, role: 'liner', item: ITEM },
            'az',
            piece.ring,
            w.t,
            m,
            { holes: piece.holes },
          ),
        );
    }
  }
  sketch.assembly({
    id: 'liner',
    name: 'liner',
    kind: 'fittings',
    face: faceOf(wallAxes('front', [0, 0, z])),
    flat: false,
    tapes: [],
    joins: { to: 'front-wall', how: 'screwed to the studs inside, joints on studs, foot on the floor' },
  });
};
