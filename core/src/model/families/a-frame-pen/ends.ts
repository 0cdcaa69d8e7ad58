import { clipBelow, measurePtBounds } from '../../../geometry/index.ts';
import type { Pt } from '../../../geometry/index.ts';
import { boxPart, cutStrip, faceOf, fitDoor, polyPart, sawAngle } from '../../../frame/index.ts';
import type { Axes, Sketch } from '../../../frame/index.ts';
import { findMesh } from '../../../stock/index.ts';
import { RAIL } from './slope.ts';
import type { AFrame } from './slope.ts';

const T = 1.5;

/** One end of the pen: its skin and the door or hatch in it. */
export interface EndPlan {
  readonly id: string;
  readonly name: string;
  readonly axes: Axes;
  readonly section: AFrame;
  readonly skin: { readonly item: string; readonly thickness: number; readonly mesh: boolean };
  readonly door: { readonly id: string; readonly name: string; readonly width: number; readonly height: number };
  /** A meshed vent under the peak. */
  readonly vent: boolean;
}

/** Largest door height in an end for a width, its head and uprights under the rafters. */
export const mostDoorHeight = (s: AFrame, width: number): number =>
  Math.floor((s.inner(s.width / 2 - width / 2 - T) - RAIL - T) * 2) / 2;

/** Frames an end: uprights bevelled under the rafters, a head between them, skin to the peak, door, and the vent. */
export const frameEnd = (
  sketch: Sketch,
  plan: EndPlan,
): { readonly clearWidth: number; readonly clearHeight: number; readonly ventArea: number } => {
  const { axes, id, name, section: s } = plan;
  const W = s.width;
  const left = W / 2 - plan.door.width / 2;
  const right = W / 2 + plan.door.width / 2;
  const top = RAIL + plan.door.height;
  const bevel = sawAngle(s.angle);
  const upright = (a: number, n: number): void => {
    const ring: Pt[] = [
      [a, RAIL],
      [a + T, RAIL],
      [a + T, s.inner(a + T)],
      [a, s.inner(a)],
    ];
    sketch.add(
      polyPart(
        axes,
        id,
        {
          id: `${id}/upright-${n}`,
          name: `${name} upright`,
          role: 'upright',
          item: '2x2',
          cuts: [
            { end: 'start', kind: 'square', angle: 0 },
            { end: 'end', kind: 'mitre', angle: bevel },
          ],
        },
        'az',
        ring,
        0,
        T,
        { turn: 90 },
      ),
    );
  };
  upright(left - T, 1);
  upright(right, 2);
  sketch.add(
    boxPart(
      axes,
      id,
      { id: `${id}/head`, name: `${name} head`, role: 'rail', item: '2x2', fit: 'measure in place', tolerance: 0.125 },
      [left, 0, top],
      [right - left, T, T],
      'a',
    ),
  );
  const holes: Pt[][] = [
    [
      [left, RAIL],
      [right, RAIL],
      [right, top],
      [left, top],
    ],
  ];
  let ventArea = 0;
  if (plan.vent) {
    // The mesh behind it must fit between the rafters: its upper corners decide.
    const half = 3;
    const meshTop = s.apex - s.plumb - (half + 1) * s.tan - 0.25;
    const ventTop = meshTop - 1;
    const bottom = Math.max(top + T + 0.5 + 1, ventTop - 5);
    if (ventTop - bottom > 2) {
      const mesh = findMesh('hardware-cloth');
      holes.push([
        [W / 2 - half, bottom],
        [W / 2 + half, bottom],
        [W / 2 + half, ventTop],
        [W / 2 - half, ventTop],
      ]);
      sketch.add(
        boxPart(
          axes,
          id,
          { id: `${id}/vent-mesh`, name: 'vent mesh', role: 'mesh', item: mesh.key },
          [W / 2 - half - 1, 0, bottom - 1],
          [2 * half + 2, mesh.thickness, ventTop - bottom + 2],
          'a',
        ),
      );
      ventArea = (2 * half * (ventTop - bottom)) / 144;
    }
  }
  const ring: Pt[] = [
    [0, 0],
    [W, 0],
    [W, RAIL],
    [W / 2, s.apex],
    [0, RAIL],
  ];
  // A wide end of ply is in three: the joints lie on the uprights beside the door.
  const joints = !plan.skin.mesh && W > 48 ? [0, left - T / 2, right + T / 2, W] : [0, W];
  for (let k = 0; k + 1 < joints.length; k++) {
    const [from, to] = [joints[k] as number, joints[k + 1] as number];
    const strip = clipBelow(clipBelow(ring, [1, 0], to), [-1, 0], -from);
    const pieces = cutStrip(
      strip,
      holes.map((h) => {
        const [x0, z0, x1, z1] = measurePtBounds(h);
        return { left: x0, right: x1, bottom: z0, top: z1 };
      }),
    );
    pieces.forEach((piece, n) => {
      const [x0, z0, x1, z1] = measurePtBounds(piece.ring);
      sketch.add(
        polyPart(
          axes,
          id,
          {
            id: `${id}/skin-${k + 1}${pieces.length > 1 ? `-${n + 1}` : ''}`,
            name: `${name} skin`,
            role: plan.skin.mesh ? 'mesh' : 'siding',
            item: plan.skin.item,
          },
          'az',
          piece.ring,
          -plan.skin.thickness,
          plan.skin.thickness,
          { holes: piece.holes, grain: z1 - z0 > x1 - x0 ? 'v' : 'u' },
        ),
      );
    });
  }
  sketch.assembly({
    id,
    name,
    kind: 'wall',
    face: faceOf(axes),
    flat: true,
    tapes: [],
    joins: { to: 'base', how: 'stood on the end rail between the long rails, its rafters screwed down into them' },
  });
  sketch.face({ id, name, place: faceOf(axes), region: ring, within: [-T, 1] });
  sketch.opening({
    id: `${id}/${plan.door.id}`,
    kind: plan.skin.mesh ? 'gate' : 'clean-out',
    assembly: id,
    left,
    bottom: RAIL,
    width: plan.door.width,
    height: plan.door.height,
    sillAboveGround: RAIL,
  });
  const way = fitDoor(sketch, {
    id: plan.door.id,
    name: plan.door.name,
    axes,
    opening: {
      id: plan.door.id,
      kind: 'gate',
      left,
      bottom: RAIL,
      width: plan.door.width,
      height: plan.door.height,
      leastHeight: 8,
    },
    skin: { item: plan.skin.item, thickness: plan.skin.thickness, role: plan.skin.mesh ? 'mesh' : 'door' },
    joins: id,
  });
  return { ...way, ventArea };
};
