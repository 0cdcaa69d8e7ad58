import { rectangle } from '../geometry/index.ts';
import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import { boxPart, polyPart } from './makePart.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import type { Sketch } from './sketch.ts';

/** Even gap around a leaf. */
export const DOOR_GAP = 0.125;
const BOARD = 0.75;
const STILE = 3.5;
const STOP = 1.5;

/** A leaf hung in an opening: what covers it and how thick that is. */
export interface DoorPlan {
  readonly id: string;
  readonly name: string;
  readonly axes: Axes;
  readonly opening: PlacedOpening;
  readonly skin: { readonly item: string; readonly thickness: number; readonly mesh: boolean };
  readonly joins: string;
}

/**
 * A door of 1×4 stiles and rails behind its skin, standing in its opening with an even gap of 1/8 in, closing on 1×2 stops.
 * The leaf's skin lies flush with the wall's.
 * @returns clear width and height of the way through, stops counted
 */
export const fitDoor = (
  sketch: Sketch,
  plan: DoorPlan,
): { readonly clearWidth: number; readonly clearHeight: number } => {
  const { axes, id, name, opening: o, skin } = plan;
  const a0 = o.left + DOOR_GAP;
  const z0 = o.bottom + DOOR_GAP;
  const wide = o.width - 2 * DOOR_GAP;
  const high = o.height - 2 * DOOR_GAP;
  const board = { item: '1x4', role: 'door' as const };
  sketch.add(
    polyPart(
      axes,
      id,
      { id: `${id}/skin`, name: `${name} skin`, role: skin.mesh ? 'mesh' : 'door', item: skin.item },
      'az',
      rectangle(a0, z0, a0 + wide, z0 + high),
      -skin.thickness,
      skin.thickness,
      { grain: 'v' },
    ),
    boxPart(axes, id, { id: `${id}/stile-1`, name: `${name} stile`, ...board }, [a0, 0, z0], [STILE, BOARD, high], 'z'),
    boxPart(
      axes,
      id,
      { id: `${id}/stile-2`, name: `${name} stile`, ...board },
      [a0 + wide - STILE, 0, z0],
      [STILE, BOARD, high],
      'z',
    ),
  );
  const rails = high > 40 ? 3 : 2;
  for (let i = 0; i < rails; i++)
    sketch.add(
      boxPart(
        axes,
        id,
        { id: `${id}/rail-${i + 1}`, name: `${name} rail`, ...board },
        [a0 + STILE, 0, z0 + ((high - STILE) * i) / (rails - 1)],
        [wide - 2 * STILE, BOARD, STILE],
        'a',
      ),
    );
  const stop = {
    name: `${name} stop`,
    role: 'stop' as const,
    item: '1x2',
    fit: 'measure in place' as const,
    tolerance: 0.25,
  };
  sketch.add(
    boxPart(axes, id, { id: `${id}/stop-1`, ...stop }, [o.left, BOARD, o.bottom], [BOARD, STOP, o.height], 'z'),
    boxPart(
      axes,
      id,
      { id: `${id}/stop-2`, ...stop },
      [o.left + o.width - BOARD, BOARD, o.bottom],
      [BOARD, STOP, o.height],
      'z',
    ),
    boxPart(
      axes,
      id,
      { id: `${id}/stop-3`, ...stop },
      [o.left + BOARD, BOARD, o.bottom + o.height - BOARD],
      [o.width - 2 * BOARD, STOP, BOARD],
      'a',
    ),
  );
  sketch.assembly({
    id,
    name,
    kind: 'door',
    face: faceOf(axes, a0, 0, z0),
    flat: true,
    square: { width: wide, height: high },
    tapes: [],
    joins: { to: plan.joins, how: 'hung with shims for an even ⅛″ gap, stops added, then the latch' },
  });
  sketch.hardware('hinge', high > 40 ? 3 : 2, name);
  sketch.hardware('latch', high > 40 ? 2 : 1, name);
  return { clearWidth: o.width - 2 * BOARD, clearHeight: o.height - BOARD };
};
