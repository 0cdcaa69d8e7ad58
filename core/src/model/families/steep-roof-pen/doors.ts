import { rectangle } from '../../../geometry/index.ts';
import type { Pt } from '../../../geometry/index.ts';
import { boxPart, faceOf, polyPart, sawAngle } from '../../../frame/index.ts';
import type { Axes, Sketch } from '../../../frame/index.ts';
import { findMesh } from '../../../stock/index.ts';

const BOARD = 0.75;
const WIDE = 3.5;
/** Gap between the leaves. */
const MEET = 0.125;

/** Two leaves over a gable end, from the ground sill to the roof. */
export interface PeakDoorsPlan {
  readonly axes: Axes;
  readonly width: number;
  readonly foot: number;
  /** Underside of the roof's covering along the end. */
  readonly top: (a: number) => number;
  /** Fall of the roof, rise over run. */
  readonly fall: number;
  /** Height of the middle rail. */
  readonly rail: number;
  readonly mesh: string;
}

/** Two mesh leaves with angled heads, hung on the end frame's face and meeting in the middle. Gives the clear way in. */
export const fitPeakDoors = (
  sketch: Sketch,
  plan: PeakDoorsPlan,
): { readonly clearWidth: number; readonly clearHeight: number } => {
  const { axes, width: W, foot: z0 } = plan;
  const m = findMesh(plan.mesh).thickness;
  const head = WIDE * Math.sqrt(1 + plan.fall ** 2);
  const angle = Math.atan(plan.fall);
  const cut = sawAngle(angle);
  for (const [k, way] of (['left', 'right'] as const).entries()) {
    const id = `door-${way}`;
    const name = `${way} door`;
    // Drawn for the left leaf: hinge side at a = 0, lock side at the middle; the right one is its mirror image.
    const flip = (a: number): number => (k === 0 ? a : W - a);
    const mirrored = (ring: readonly Pt[]): Pt[] => {
      const out = ring.map(([a, z]): Pt => [flip(a), z]);
      return k === 0 ? out : out.reverse();
    };
    const lock = W / 2 - MEET / 2;
    const board = { role: 'door' as const, item: '1x4' };
    const piece = (tag: string, what: string, ring: readonly Pt[], turn: number, cuts: 'head' | 'one' | 'none'): void =>
      sketch.add(
        polyPart(
          axes,
          id,
          {
            id: `${id}/${tag}`,
            name: `${name} ${what}`,
            ...board,
            ...(cuts === 'none'
              ? {}
              : {
                  cuts: [
                    { end: 'start', kind: cuts === 'head' ? 'mitre' : 'square', angle: cuts === 'head' ? cut : 0 },
                    { end: 'end', kind: 'mitre', angle: cut },
                  ],
                }),
          },
          'az',
          mirrored(ring),
          -BOARD,
          BOARD,
          { turn: k === 0 ? turn : 180 - turn },
        ),
      );
    const line = plan.top;
    piece(
      'hinge-stile',
      'hinge stile',
      [
        [0, z0],
        [WIDE, z0],
        [WIDE, line(WIDE) - head],
        [0, line(0) - head],
      ],
      90,
      'one',
    );
    piece(
      'lock-stile',
      'lock stile',
      [
        [lock - WIDE, z0],
        [lock, z0],
        [lock, line(lock)],
        [lock - WIDE, line(lock - WIDE)],
      ],
      90,
      'one',
    );
    piece(
      'head',
      'angled head',
      [
        [0, line(0) - head],
        [lock - WIDE, line(lock - WIDE) - head],
        [lock - WIDE, line(lock - WIDE)],
        [0, line(0)],
      ],
      (angle * 180) / Math.PI,
      'head',
    );
    const rails = [z0, ...(plan.rail > z0 + 10 && plan.rail < line(WIDE) - head - WIDE - 1 ? [plan.rail] : [])];
    rails.forEach((z, i) => {
      const from = Math.min(flip(WIDE), flip(lock - WIDE));
      sketch.add(
        boxPart(
          axes,
          id,
          { id: `${id}/rail-${i + 1}`, name: `${name} rail`, ...board },
          [from, -BOARD, z],
          [lock - 2 * WIDE, BOARD, WIDE],
          'a',
        ),
      );
    });
    sketch.add(
      polyPart(
        axes,
        id,
        { id: `${id}/mesh`, name: `${name} mesh`, role: 'mesh', item: plan.mesh },
        'az',
        mirrored([
          [0, z0],
          [lock, z0],
          [lock, line(lock)],
          [0, line(0)],
        ]),
        -BOARD - m,
        m,
      ),
    );
    sketch.assembly({
      id,
      name,
      kind: 'door',
      face: faceOf(axes, Math.min(flip(0), flip(lock)), -BOARD, z0),
      flat: true,
      tapes: [],
      joins: { to: 'right', how: 'head marked in place against the rafter, hung with the mesh outside' },
    });
    sketch.join({ kind: 'hinge', parts: [`${id}/hinge-stile`], nearest: true, hardware: { hinge: 2 } });
    sketch.join({ kind: 'latch', parts: [`${id}/lock-stile`], nearest: true, hardware: { latch: 1 } });
  }
  sketch.face({
    id: 'doors',
    name: 'front doors',
    place: faceOf(axes),
    region: [
      ...rectangle(0, z0, W, plan.top(0)).slice(0, 2),
      [W, plan.top(W)],
      [W / 2, plan.top(W / 2)],
      [0, plan.top(0)],
    ],
    within: [-1, 2],
  });
  return { clearWidth: W - 3, clearHeight: plan.top(W / 2) - z0 - 2 * head };
};
