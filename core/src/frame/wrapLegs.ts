import { rectangle } from '../geometry/index.ts';
import type { Side } from '../unit/index.ts';
import { findMesh, MESH_LAP, MESHES } from '../stock/index.ts';
import { faceOf, wallAxes } from './axes.ts';
import { boxPart, polyPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;
const LEG = 3.5;
const WIDEST = Math.max(...MESHES.flatMap((m) => m.rolls.map((r) => r.width)));
/** Height that a roll covers with laps above and below, and how far legs stand apart that one reaches from edge to edge. */
const HIGH = WIDEST - 2 * MESH_LAP;
const WIDE = HIGH - 2 * LEG;

/**
 * Mesh around the legs of a raised floor, on treated rails between them at the ground, so that nothing lives in the dark under it.
 * A height of 36 in takes the roll uncut.
 */
export const wrapLegs = (sketch: Sketch, length: number, depth: number, height: number, meshItem: string): void => {
  const mesh = findMesh(meshItem);
  // Round the house from its front, as a roll goes.
  const sides: readonly Side[] = ['front', 'right', 'back', 'left'];
  const bays = Math.max(1, Math.ceil((length - LEG) / 72));
  for (const side of sides) {
    const level = side === 'front' || side === 'back';
    const wide = level ? length : depth;
    const axes = wallAxes(side, [
      side === 'back' || side === 'right' ? length : 0,
      side === 'back' || side === 'left' ? depth : 0,
      0,
    ]);
    const id = `under-${side}`;
    const legs = level
      ? Array.from({ length: bays + 1 }, (_, i) => {
          const a = Math.round(((length - LEG) * i * 16) / bays) / 16;
          return side === 'front' ? a : length - a - LEG;
        }).sort((p, q) => p - q)
      : [0, depth - LEG];
    legs.slice(1).forEach((right, i) => {
      const a = (legs[i] as number) + LEG;
      // Where mesh is wider than a roll both ways its strips meet on a post.
      if (right - a > WIDE && height > HIGH)
        sketch.add(
          boxPart(
            axes,
            id,
            {
              id: `${id}/post-${i + 1}`,
              name: 'post between the legs',
              role: 'post',
              item: '2x4-pt',
              fit: 'measure in place',
              tolerance: 0.25,
            },
            [(a + right) / 2 - 1.75, 0, 3.5],
            [3.5, T, height - 3.5],
            'z',
          ),
        );
      sketch.add(
        boxPart(
          axes,
          id,
          {
            id: `${id}/rail-${i + 1}`,
            name: 'rail between the legs',
            role: 'rail',
            item: '2x4-pt',
            fit: 'measure in place',
            tolerance: 0.25,
          },
          [a, 0, 0],
          [right - a, T, 3.5],
          'a',
        ),
      );
    });
    sketch.add(
      polyPart(
        axes,
        id,
        { id: `${id}/mesh`, name: 'mesh around the legs', role: 'mesh', item: meshItem, wrap: 'the legs' },
        'az',
        rectangle(0, 0, wide, height),
        -mesh.thickness,
        mesh.thickness,
      ),
    );
    sketch.assembly({
      id,
      name: `mesh under the ${side}`,
      kind: 'fittings',
      face: faceOf(axes),
      flat: false,
      tapes: [],
      joins: {
        to: 'base',
        how: 'rails between the legs, mesh stapled over legs and rails; where the roll layouts run on to the next side it is bent round the leg, not cut',
      },
    });
    sketch.face({
      id,
      name: `under the ${side}`,
      place: faceOf(axes),
      region: rectangle(0, 0, wide, height),
      within: [-T, 0.5],
    });
  }
};
