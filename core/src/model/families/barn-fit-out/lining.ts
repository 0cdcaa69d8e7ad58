import { rectangle } from '../../../geometry/index.ts';
import { faceOf, polyPart, UNIT_AXES, wallAxes } from '../../../frame/index.ts';
import type { Axes, Sketch } from '../../../frame/index.ts';
import { findSheet } from '../../../stock/index.ts';

const LINER = 0.25;
const LINER_HIGH = 48;

/** Lines the barn's own walls, left and back, as high as birds reach. */
export const lineBarn = (sketch: Sketch, L: number, D: number): void => {
  const sheet = findSheet('ply-1/4');
  const sides: { id: string; axes: Axes; wide: number }[] = [
    { id: 'left', axes: wallAxes('left', [0, D, 0]), wide: D },
    { id: 'back', axes: wallAxes('back', [L, D, 0]), wide: L },
  ];
  for (const s of sides)
    for (let a = 0, n = 1; a < s.wide - 1e-6; a += sheet.length, n++)
      sketch.add(
        polyPart(
          s.axes,
          'lining',
          { id: `lining/${s.id}-${n}`, name: 'lining on the barn’s wall', role: 'liner', item: sheet.key },
          'az',
          rectangle(a, 0, Math.min(s.wide, a + sheet.length), LINER_HIGH),
          -LINER,
          LINER,
        ),
      );
  sketch.assembly({
    id: 'lining',
    name: 'lining',
    kind: 'fittings',
    face: faceOf(UNIT_AXES),
    flat: false,
    tapes: [],
    joins: { to: 'front-wall', how: 'screwed to the barn’s framing where the birds reach' },
    site: true,
  });
  for (const part of sketch.parts.filter((x) => x.assembly === 'lining'))
    sketch.join({
      kind: 'face-screwed',
      parts: [part.id],
      fasteners: [{ item: 'screw-1-1/4', length: 1.25, count: 5 * Math.max(2, Math.ceil(part.length / 16)) }],
    });
};
