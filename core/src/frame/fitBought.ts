import { printHalf } from '../stock/index.ts';
import type { Bought } from '../stock/index.ts';
import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import { boxPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

/** Screws through a frame: at each hinge and across from it, over and under. Makers' usual instruction, from memory. */
const SCREWS = { door: 12, window: 8 } as const;
/** Side of a frame that its screws pass. */
const JAMB = 0.75;

/**
 * A door or window bought in its frame, set flush with the siding; with its shims it fills the rough opening.
 * @returns clear width and height of the way through
 */
export const fitBought = (
  sketch: Sketch,
  plan: {
    readonly id: string;
    readonly name: string;
    readonly axes: Axes;
    readonly opening: PlacedOpening;
    readonly unit: Bought;
    readonly joins: string;
    /** Thickness of the siding outside. */
    readonly out: number;
  },
): { readonly clearWidth: number; readonly clearHeight: number } => {
  const { axes, id, name, opening: o, unit } = plan;
  sketch.add(
    boxPart(
      axes,
      id,
      {
        id: `${id}/unit`,
        name: `${name}, bought`,
        role: 'unit',
        item: unit.key,
        notches: [`rough opening ${printHalf(o.width)} × ${printHalf(o.height)} in`],
      },
      [o.left, -plan.out, o.bottom],
      [o.width, unit.depth, o.height],
      'z',
    ),
  );
  sketch.join({
    kind: 'hung',
    parts: [`${id}/unit`],
    nearest: plan.joins,
    fasteners: [{ item: 'screw-2-1/2', length: 2.5, count: SCREWS[unit.kind] }],
    bite: { through: JAMB, into: 2.5 - JAMB },
  });
  sketch.assembly({
    id,
    name,
    kind: 'door',
    face: faceOf(axes, o.left, 0, o.bottom),
    flat: false,
    tapes: [],
    joins: {
      to: plan.joins,
      how:
        unit.kind === 'door'
          ? 'set on a bead of sealant, plumbed on the hinge side with shims behind each hinge and the latch, screwed through the frame there'
          : 'set on a bead of sealant, level, with shims at its corners, screwed through the frame',
    },
  });
  return { clearWidth: unit.clear[0], clearHeight: unit.clear[1] };
};
