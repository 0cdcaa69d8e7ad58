import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import { DOOR_GAP, frameLeaf } from './fitDoor.ts';
import { WALL } from './frameWall.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import { boxPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

/** How far window mesh laps its opening, so that it ends before a corner. */
const LAP = 1;
const CLEAR = { item: 'clear-1/8', thickness: 0.125, role: 'glazing' } as const;

/** A window or vent and what it stands in. */
export interface WindowPlan {
  readonly id: string;
  readonly name: string;
  readonly axes: Axes;
  readonly opening: PlacedOpening;
  readonly mesh: { readonly key: string; readonly thickness: number };
  readonly joins: string;
  readonly style: 'mesh' | 'sliding' | 'top-hung';
  /** Depth of the wall's framing. */
  readonly wall?: number;
}

/** Mesh over a window from the inside, lapping its framing. */
export const meshWindow = (
  sketch: Sketch,
  plan: Pick<WindowPlan, 'id' | 'name' | 'axes' | 'opening' | 'mesh'> & { readonly wall: number },
): void => {
  const { axes, id, name, opening: o, mesh, wall } = plan;
  sketch.add(
    boxPart(
      axes,
      id,
      { id: `${id}/mesh`, name: `${name} mesh`, role: 'mesh', item: mesh.key },
      [o.left - LAP, wall, o.bottom - LAP],
      [o.width + 2 * LAP, mesh.thickness, o.height + 2 * LAP],
      'a',
    ),
  );
};

/**
 * A window or vent in its framed opening: mesh from the inside over it, and for the glazed kinds one sash hung at its top or two
 * that slide past each other.
 */
export const fitWindow = (sketch: Sketch, plan: WindowPlan): void => {
  const { axes, id, name, opening: o, mesh } = plan;
  const wall = plan.wall ?? WALL;
  meshWindow(sketch, { id, name, axes, opening: o, mesh, wall });
  const a = o.left + DOOR_GAP;
  const z = o.bottom + DOOR_GAP;
  const wide = o.width - 2 * DOOR_GAP;
  const high = o.height - 2 * DOOR_GAP;
  // A thin wall has no room for two sashes behind each other.
  const single = plan.style === 'top-hung' || (plan.style === 'sliding' && wall < 2);
  if (single) {
    frameLeaf(sketch, { id, name: `${name} sash`, axes, skin: CLEAR }, '', a, z, wide, high);
    const rail = `${id}/rail-${high > 40 ? 3 : 2}`;
    sketch.join({ kind: 'hinge', parts: [rail], nearest: plan.joins, hardware: { hinge: 2 } });
    sketch.join({ kind: 'latch', parts: [`${id}/rail-1`], nearest: plan.joins, hardware: { latch: 1 } });
  }
  if (plan.style === 'sliding' && !single) {
    // Each sash laps the other by its stile.
    const leaf = wide / 2 + 0.75;
    frameLeaf(sketch, { id, name: `${name} sash`, axes, skin: CLEAR }, 'left-', a, z, leaf, high);
    frameLeaf(
      sketch,
      { id, name: `${name} sash`, axes, skin: CLEAR, inset: 1 },
      'right-',
      a + wide - leaf,
      z,
      leaf,
      high,
    );
    // They slide on the sill between the mesh and the skin, held by the stops of the opening.
    for (const leaf of ['left', 'right'])
      sketch.join({ kind: 'rests', parts: [`${id}/${leaf}-rail-1`], nearest: plan.joins });
    sketch.join({ kind: 'latch', parts: [`${id}/left-stile-2`, `${id}/right-stile-1`], hardware: { latch: 1 } });
  }
  sketch.assembly({
    id,
    name,
    kind: 'fittings',
    face: faceOf(axes, o.left, wall, o.bottom),
    flat: false,
    tapes: [],
    joins: {
      to: plan.joins,
      how:
        plan.style === 'mesh'
          ? 'mesh from the inside over the opening, stapled every 3″'
          : 'mesh from the inside over the opening, then the sash with an even ⅛″ gap',
    },
  });
};
