import { measurePtBounds, rectangle } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import { boxPart } from './makePart.ts';
import type { DoorPlan } from './fitDoor.ts';
import { fitPopDoor } from './fitPopDoor.ts';
import type { Sketch } from './sketch.ts';

const BOARD = 0.75;
const MEMBER = 3.5;

/** A pop door in the leaf of another door: its hole and how it is worked. */
export interface LeafPop {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly motor: boolean;
}

/** Least width of a leaf that takes a pop door between two members of its own and its stiles. */
export const leastLeaf = (pop: Pick<LeafPop, 'width'>): number => pop.width + 4 * MEMBER;

/** Top of the member over its hole in a leaf whose foot is at `z0`. */
export const popTop = (pop: Pick<LeafPop, 'height'>, z0: number): number => z0 + 2 * MEMBER + pop.height;

/** The hole of a pop door in a leaf of stiles and rails: in its middle, on the bottom rail. */
export const popHole = (pop: LeafPop, a0: number, z0: number, wide: number): readonly Pt[] => {
  const left = a0 + (wide - pop.width) / 2;
  const foot = z0 + MEMBER;
  return rectangle(left, foot, left + pop.width, foot + pop.height);
};

/**
 * Frames a pop door into a leaf: a member on each side of its hole from the bottom rail to the next, one across over it, and the
 * panel that slides in channels on the leaf's skin.
 * @param upTo underside of the rail over it
 * @returns its foot over the wall's
 */
export const fitLeafPop = (
  sketch: Sketch,
  plan: Pick<DoorPlan, 'id' | 'name' | 'axes' | 'skin' | 'opening'> & { readonly leaf: readonly [number, number] },
  pop: LeafPop,
  hole: readonly Pt[],
  upTo: number,
): number => {
  const { axes, id, name } = plan;
  const [left, foot, right, top] = measurePtBounds(hole);
  const board = { name: `${name} member`, role: 'door' as const, item: '1x4' };
  sketch.add(
    ...[left - MEMBER, right].map((a, k) =>
      boxPart(axes, id, { ...board, id: `${id}/member-${k + 1}` }, [a, 0, foot], [MEMBER, BOARD, upTo - foot], 'z'),
    ),
    boxPart(axes, id, { ...board, id: `${id}/member-3` }, [left, 0, top], [right - left, BOARD, MEMBER], 'a'),
  );
  fitPopDoor(
    sketch,
    axes,
    pop.id,
    { ...plan.opening, id: pop.id, kind: 'pop door', left, bottom: foot, width: pop.width, height: pop.height },
    plan.skin.thickness,
    id,
    pop.motor,
    upTo,
  );
  sketch.opening({
    id: `${id}/pop`,
    kind: 'pop door',
    assembly: id,
    // As the leaf's own face looks at it.
    left: left - plan.leaf[0],
    bottom: foot - plan.leaf[1],
    width: pop.width,
    height: pop.height,
    sillAboveGround: axes.origin[2] + foot,
  });
  return foot;
};
