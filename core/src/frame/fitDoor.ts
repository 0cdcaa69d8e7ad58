import { rectangle } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import { alongLine, driven } from '../join/index.ts';
import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import { fitRakedStops, frameRakedLeaf } from './fitRakedLeaf.ts';
import { fitLeafPop, leastLeaf, popHole, popTop } from './fitLeafPop.ts';
import type { LeafPop } from './fitLeafPop.ts';
import { boxPart, polyPart } from './makePart.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import type { Sketch } from './sketch.ts';

/** Even gap around a leaf. */
export const DOOR_GAP = 0.125;
const BOARD = 0.75;
const STILE = 3.5;
const STOP = 1.5;
/** Clear sheet of a glazed door, how far it laps what holds it, and what is worth looking through. Common practice, no source. */
const CLEAR = { item: 'clear-1/8', thickness: 0.125 };
const GLASS_LAP = 1;
const LEAST_GLASS = 8;
/** Least height of a door that is worth parting into two leaves. Common practice, no source. */
const DUTCH_LEAST = 30;

/** A leaf hung in an opening: what covers it and how thick that is. */
export interface DoorPlan {
  readonly id: string;
  readonly name: string;
  readonly axes: Axes;
  readonly opening: PlacedOpening;
  readonly skin: { readonly item: string; readonly thickness: number; readonly role: 'door' | 'mesh' | 'glazing' };
  readonly joins: string;
  readonly style?: 'single' | 'double' | 'dutch';
  /** Depth of the wall's framing, which the stops stay within; that of a 2×4 wall where left out. */
  readonly wall?: number;
  /** Depth of the leaf's frame behind the wall's face. */
  readonly inset?: number;
  /** Clear sheet in the upper panel of a single leaf. */
  readonly glass?: boolean;
  /** A pop door in the leaf, of a single one that is wide enough. */
  readonly pop?: LeafPop;
}

/** One leaf: stiles and rails of 1×4, or 1×2 where it is small, behind its skin. */
export const frameLeaf = (
  sketch: Sketch,
  plan: Pick<DoorPlan, 'id' | 'name' | 'axes' | 'skin' | 'inset' | 'glass' | 'pop'>,
  tag: string,
  a0: number,
  z0: number,
  wide: number,
  high: number,
): { readonly popHole?: readonly Pt[]; readonly upTo: number } => {
  const { axes, id, name, skin } = plan;
  const t = plan.inset ?? 0;
  const small = skin.role === 'glazing' || wide < 2 * STILE + 3 || high < 2 * STILE + 0.5;
  const stile = small ? STOP : STILE;
  const board = { item: small ? '1x2' : '1x4', role: 'door' as const };
  const rails = high > 40 ? 3 : 2;
  const railAt = (i: number): number => z0 + ((high - stile) * i) / (rails - 1);
  // The panel between the two upper rails, where there is enough of it to see through.
  const panel = rectangle(a0 + stile, railAt(rails - 2) + stile, a0 + wide - stile, railAt(rails - 1));
  const popped =
    plan.pop && wide >= leastLeaf(plan.pop) && popTop(plan.pop, z0) <= railAt(1)
      ? popHole(plan.pop, a0, z0, wide)
      : undefined;
  const holes = popped ? [popped] : [];
  const seen = plan.glass === true && !small && wide - 2 * stile >= LEAST_GLASS;
  if (seen)
    sketch.add(
      polyPart(
        axes,
        id,
        { id: `${id}/${tag}glass`, name: `${name} glazing`, role: 'glazing', item: CLEAR.item },
        'az',
        rectangle(
          a0 + stile - GLASS_LAP,
          railAt(rails - 2) + stile - GLASS_LAP,
          a0 + wide - stile + GLASS_LAP,
          railAt(rails - 1) + GLASS_LAP,
        ),
        t + BOARD,
        CLEAR.thickness,
      ),
    );
  sketch.add(
    polyPart(
      axes,
      id,
      { id: `${id}/${tag}skin`, name: `${name} skin`, role: skin.role, item: skin.item },
      'az',
      rectangle(a0, z0, a0 + wide, z0 + high),
      t - skin.thickness,
      skin.thickness,
      { grain: wide > 48 ? 'u' : 'v', holes: seen ? [...holes, panel] : holes },
    ),
    boxPart(
      axes,
      id,
      { id: `${id}/${tag}stile-1`, name: `${name} stile`, ...board },
      [a0, t, z0],
      [stile, BOARD, high],
      'z',
    ),
    boxPart(
      axes,
      id,
      { id: `${id}/${tag}stile-2`, name: `${name} stile`, ...board },
      [a0 + wide - stile, t, z0],
      [stile, BOARD, high],
      'z',
    ),
  );
  for (let i = 0; i < rails; i++)
    sketch.add(
      boxPart(
        axes,
        id,
        { id: `${id}/${tag}rail-${i + 1}`, name: `${name} rail`, ...board },
        [a0 + stile, t, railAt(i)],
        [wide - 2 * stile, BOARD, stile],
        'a',
      ),
    );
  return { ...(popped ? { popHole: popped } : {}), upTo: railAt(1) };
};

/**
 * A door standing in its opening with an even gap of 1/8 in, closing on 1×2 stops; its skin lies flush with the wall's. A double
 * door's leaves meet under an astragal, a Dutch door's upper leaf opens alone. A Dutch door too low for that gets one leaf, noted.
 * @returns clear width and height of the way through, stops counted, and the foot of a pop door in its leaf over the wall's
 */
export const fitDoor = (
  sketch: Sketch,
  plan: DoorPlan,
): { readonly clearWidth: number; readonly clearHeight: number; readonly popped?: number } => {
  const { axes, id, name, opening: o } = plan;
  const a0 = o.left + DOOR_GAP;
  const z0 = o.bottom + DOOR_GAP;
  const wide = o.width - 2 * DOOR_GAP;
  const high = o.height - 2 * DOOR_GAP;
  const low = plan.style === 'dutch' && o.height < DUTCH_LEAST;
  const style = low ? 'single' : (plan.style ?? 'single');
  if (low)
    sketch.note({
      code: `${id}-one-leaf`,
      where: [`${id}/skin`],
      severity: 'warn',
      what: `A Dutch door ${o.height}″ high is too low to be parted.`,
      why: `Its halves would be slats, not leaves, under ${DUTCH_LEAST}″; it was drawn with one leaf.`,
    });
  const raked = o.rake !== undefined;
  // Only a leaf that stands whole takes a pop door.
  const { pop, ...bare } = plan;
  let leaf: ReturnType<typeof frameLeaf> | undefined;
  if (style === 'double') {
    const half = (wide - DOOR_GAP) / 2;
    frameLeaf(sketch, bare, 'left-', a0, z0, half, high);
    frameLeaf(sketch, bare, 'right-', a0 + half + DOOR_GAP, z0, half, high);
    sketch.add(
      boxPart(
        axes,
        id,
        { id: `${id}/astragal`, name: `${name} astragal`, role: 'stop', item: '1x3' },
        [a0 + wide / 2 - 1.25, BOARD, o.bottom],
        [2.5, BOARD, o.height - BOARD],
        'z',
      ),
    );
  } else if (style === 'dutch') {
    const lower = Math.round((high - DOOR_GAP) * 0.55 * 16) / 16;
    frameLeaf(sketch, bare, 'lower-', a0, z0, wide, lower);
    frameLeaf(sketch, bare, 'upper-', a0, z0 + lower + DOOR_GAP, wide, high - lower - DOOR_GAP);
  } else if (raked) frameRakedLeaf(sketch, plan, DOOR_GAP);
  else leaf = frameLeaf(sketch, plan, '', a0, z0, wide, high);
  const deep = Math.min(STOP, (plan.wall ?? 3.5) - BOARD);
  const stop = {
    name: `${name} stop`,
    role: 'stop' as const,
    item: '1x2',
    ...(deep < STOP ? { rip: deep } : {}),
    fit: 'measure in place' as const,
    tolerance: 0.25,
  };
  if (raked) fitRakedStops(sketch, plan, deep, stop);
  else
    sketch.add(
      boxPart(axes, id, { id: `${id}/stop-1`, ...stop }, [o.left, BOARD, o.bottom], [BOARD, deep, o.height], 'z'),
      boxPart(
        axes,
        id,
        { id: `${id}/stop-2`, ...stop },
        [o.left + o.width - BOARD, BOARD, o.bottom],
        [BOARD, deep, o.height],
        'z',
      ),
      boxPart(
        axes,
        id,
        { id: `${id}/stop-3`, ...stop },
        [o.left + BOARD, BOARD, o.bottom + o.height - BOARD],
        [o.width - 2 * BOARD, deep, BOARD],
        'a',
      ),
    );
  sketch.assembly({
    id,
    name,
    kind: 'door',
    face: faceOf(axes, a0, 0, z0),
    flat: true,
    // Diagonals say nothing of a leaf with a slanting head.
    ...(raked ? {} : { square: { width: wide, height: high } }),
    tapes: [],
    joins: { to: plan.joins, how: 'hung with shims for an even ⅛″ gap, stops added, then the latch' },
  });
  const hinges = { hinge: high / (style === 'dutch' ? 2 : 1) > 40 ? 3 : 2 };
  const hang = (stile: string): void =>
    sketch.join({ kind: 'hinge', parts: [`${id}/${stile}`], nearest: plan.joins, hardware: hinges });
  const shut = (stile: string, latches: number): void =>
    sketch.join({ kind: 'latch', parts: [`${id}/${stile}`], nearest: plan.joins, hardware: { latch: latches } });
  if (style === 'double') {
    hang('left-stile-1');
    hang('right-stile-2');
    // The astragal is on the leaf that is bolted first; the other closes against it.
    sketch.join({
      kind: 'face-screwed',
      parts: [`${id}/astragal`, `${id}/left-stile-2`],
      fasteners: driven({ item: 'screw-1-1/4', length: 1.25 }, alongLine(o.height - BOARD, 12)),
      bite: { through: BOARD, into: 0.5 },
    });
    sketch.join({ kind: 'latch', parts: [`${id}/left-stile-2`, `${id}/right-stile-1`], hardware: { latch: 2 } });
  } else if (style === 'dutch') {
    for (const leaf of ['lower', 'upper']) {
      hang(`${leaf}-stile-1`);
      shut(`${leaf}-stile-2`, 1);
    }
  } else {
    hang('stile-1');
    shut('stile-2', high > 40 ? 2 : 1);
  }
  const popped =
    pop && leaf?.popHole ? fitLeafPop(sketch, { ...bare, leaf: [a0, z0] }, pop, leaf.popHole, leaf.upTo) : undefined;
  return {
    clearWidth: o.width - 2 * BOARD,
    clearHeight: o.height - BOARD,
    ...(popped === undefined ? {} : { popped }),
  };
};
