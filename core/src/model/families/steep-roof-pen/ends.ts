import type { Pt } from '../../../geometry/index.ts';
import { boxPart, faceOf, polyPart, wallAxes } from '../../../frame/index.ts';
import type { Sketch } from '../../../frame/index.ts';
import { findMesh, findSheet, MESH_LAP, MESHES } from '../../../stock/index.ts';
import type { SteepRoofPenParams } from './params.ts';

const T = 1.5;
const RAIL = 3.5;
const WIDEST = Math.max(...MESHES.flatMap((r) => r.rolls.map((one) => one.width)));

/** Closes the back end under the roof, with ply or mesh over a post in the middle, and names the front end. */
export const frameEnds = (
  sketch: Sketch,
  p: SteepRoofPenParams,
  roof: {
    readonly deck: (t: number) => number;
    readonly under: (t: number) => number;
    readonly ridgeBottom: number;
  },
): void => {
  const { length: L, width: W, sideHeight: H } = p;
  const m = findMesh(p.mesh).thickness;
  const left = wallAxes('left', [0, W, 0]);
  const endRing: Pt[] = [
    [0, 0],
    [W, 0],
    [W, roof.deck(W)],
    [W / 2, roof.deck(W / 2)],
    [0, roof.deck(0)],
  ];
  // It stands in wet grass.
  const sheet = findSheet('ply-1/2-pt');
  const closed = p.backEnd === 'closed';
  sketch.add(
    boxPart(
      left,
      'left',
      { id: 'left/post', name: 'middle post', role: 'post', item: '2x4', fit: 'measure in place', tolerance: 0.25 },
      [W / 2 - 1.75, 0, H],
      [3.5, T, Math.min(roof.ridgeBottom, roof.under(W / 2 + 1.75)) - H],
      'z',
    ),
  );
  // Where two sheets or two strips of mesh meet, with the lap around the edge.
  if (W > (closed ? sheet.width : WIDEST - 2 * MESH_LAP))
    sketch.add(
      boxPart(
        left,
        'left',
        {
          id: 'left/post-low',
          name: 'post behind the joint',
          role: 'post',
          item: '2x4',
          fit: 'measure in place',
          tolerance: 0.25,
        },
        [W / 2 - 1.75, 0, RAIL],
        [3.5, T, H - 2 * RAIL],
        'z',
      ),
    );
  if (closed && W > sheet.width) {
    // Two sheets meet on the middle post.
    const halves: Pt[][] = [
      [
        [0, 0],
        [W / 2, 0],
        [W / 2, roof.deck(W / 2)],
        [0, roof.deck(0)],
      ],
      [
        [W / 2, 0],
        [W, 0],
        [W, roof.deck(W)],
        [W / 2, roof.deck(W / 2)],
      ],
    ];
    halves.forEach((ring, i) =>
      sketch.add(
        polyPart(
          left,
          'left',
          { id: `left/skin-${i + 1}`, name: 'back end skin', role: 'siding', item: sheet.key },
          'az',
          ring,
          -sheet.thickness,
          sheet.thickness,
          { grain: 'v' },
        ),
      ),
    );
  } else
    sketch.add(
      polyPart(
        left,
        'left',
        closed
          ? { id: 'left/skin', name: 'back end skin', role: 'siding', item: sheet.key }
          : { id: 'left/mesh', name: 'back end mesh', role: 'mesh', item: p.mesh },
        'az',
        endRing,
        closed ? -sheet.thickness : -m,
        closed ? sheet.thickness : m,
        { grain: 'v' },
      ),
    );
  sketch.assembly({
    id: 'left',
    name: 'back end',
    kind: 'frame',
    face: faceOf(left),
    flat: false,
    tapes: [],
    joins: { to: 'front', how: 'end pieces screwed between the sides, post under the ridge' },
  });
  sketch.assembly({
    id: 'right',
    name: 'front end',
    kind: 'frame',
    face: faceOf(wallAxes('right', [L, 0, 0])),
    flat: false,
    tapes: [],
    joins: { to: 'front', how: 'end piece screwed between the sides as a sill' },
  });
  sketch.face({ id: 'left', name: 'back end', place: faceOf(left), region: endRing, within: [-T, 1] });
};
