import { cross, rectangle } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import { faceOf, inAxes } from './axes.ts';
import type { Axes } from './axes.ts';
import { boxPart, polyPart } from './makePart.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import type { Sketch } from './sketch.ts';

const PLY = 0.5;
/** Fall of the lid per inch outward: 15°. */
const FALL = Math.tan((15 * Math.PI) / 180);

/** A row of nest boxes outside a wall, behind one wide opening. */
export interface NestPlan {
  readonly axes: Axes;
  readonly opening: PlacedOpening;
  readonly count: number;
  readonly boxWidth: number;
  readonly depth: number;
  /** Thickness of the siding it is fixed against. */
  readonly out: number;
  readonly joins: string;
  /** Its assembly; `nests` where left out. */
  readonly id?: string;
  readonly style?: 'outside lid' | 'drop front';
}

/** Clear width of a row of boxes with ½ in dividers. */
export const nestRowWidth = (count: number, boxWidth: number): number => count * boxWidth + (count - 1) * PLY;

/** A nest row of ½ in ply: floor, ends, dividers, front and a lid sloped 15°, on a ledger screwed into the opening's sill. */
export const fitNestRow = (sketch: Sketch, plan: NestPlan): void => {
  const { axes, opening: o, depth, out } = plan;
  const id = plan.id ?? 'nests';
  const drops = plan.style === 'drop front';
  const high = o.height + 1;
  const ply = { role: 'nest' as const, item: 'ply-1/2' };
  const z = (outward: number): number => o.bottom + high - outward * FALL;
  const left = o.left - PLY;
  const wide = o.width + 2 * PLY;
  sketch.add(
    boxPart(
      axes,
      id,
      { id: `${id}/ledger`, name: 'nest ledger', role: 'cleat', item: '2x4' },
      [left, -out - 1.5, o.bottom - PLY - 3.5],
      [wide, 1.5, 3.5],
      'a',
    ),
    boxPart(
      axes,
      id,
      { id: `${id}/floor`, name: 'nest floor', ...ply },
      [left, -out - depth, o.bottom - PLY],
      [wide, depth, PLY],
      'a',
    ),
    polyPart(
      axes,
      id,
      {
        id: `${id}/front`,
        name: drops ? 'nest drop front' : 'nest front',
        ...ply,
        ...(drops ? { role: 'lid' as const } : {}),
      },
      'az',
      rectangle(left, o.bottom - PLY, left + wide, z(depth + PLY)),
      -out - depth - PLY,
      PLY,
    ),
  );
  const end: Pt[] = [
    [-out - depth, o.bottom],
    [-out, o.bottom],
    [-out, z(0)],
    [-out - depth, z(depth)],
  ];
  for (let i = 0; i <= plan.count; i++) {
    const edge = i === 0 || i === plan.count;
    const a = i === 0 ? left : i === plan.count ? o.left + o.width : o.left + i * (plan.boxWidth + PLY) - PLY;
    sketch.add(
      polyPart(
        axes,
        id,
        { id: `${id}/divider-${i + 1}`, name: edge ? 'nest end' : 'nest divider', ...ply },
        'tz',
        end,
        a,
        PLY,
      ),
    );
  }
  const reach = depth + PLY + 1;
  const c = Math.cos(Math.atan(FALL));
  const s = Math.sin(Math.atan(FALL));
  const along = reach / c;
  // Drawn in the t–z plane: outward is −t, so the lid rises toward the wall.
  const at = (p: number, q: number): Pt => [-out - p * c - q * s, z(0) - p * s + q * c];
  const lid: Pt[] = [at(0, 0), at(along, 0), at(along, PLY), at(0, PLY)];
  sketch.add(
    polyPart(
      axes,
      id,
      { id: `${id}/lid`, name: drops ? 'nest roof' : 'nest lid', role: drops ? 'nest' : 'lid', item: 'ply-1/2' },
      'tz',
      lid,
      left - 1,
      wide + 2,
      { turn: 15, form: 'edge' },
    ),
  );
  sketch.assembly({
    id,
    name: 'nest row',
    kind: 'nest',
    face: faceOf(axes, left, -out, o.bottom - PLY),
    flat: false,
    tapes: [],
    joins: { to: plan.joins, how: 'set on its ledger, screwed through the siding into sill and jack studs' },
  });
  const hinges = { hinge: plan.count > 2 ? 3 : 2 };
  if (drops) {
    sketch.join({ kind: 'hinge', parts: [`${id}/front`, `${id}/floor`], hardware: hinges });
    sketch.join({ kind: 'latch', parts: [`${id}/front`, `${id}/lid`], hardware: { latch: 2 } });
  } else {
    sketch.join({ kind: 'hinge', parts: [`${id}/lid`], nearest: plan.joins, hardware: hinges });
    sketch.join({ kind: 'latch', parts: [`${id}/lid`, `${id}/front`], hardware: { latch: 1 } });
  }
  sketch.face({
    id: `${id}-front`,
    name: 'nest front',
    place: faceOf(axes, 0, -out - depth - PLY),
    region: rectangle(left, o.bottom - PLY, left + wide, z(depth)),
    within: [-PLY, PLY],
  });
  const down = faceOf(axes, left, -out, o.bottom - PLY);
  sketch.face({
    id: `${id}-floor`,
    name: 'nest floor',
    place: { origin: inAxes(axes, left, -out, o.bottom - PLY), u: down.u, v: cross(axes.z, axes.a) },
    region: rectangle(0, -depth, wide, 0),
    within: [-PLY, PLY + 0.1],
  });
};
