import { boxPart, faceOf, frameWall, skinWall, WALL } from '../../../frame/index.ts';
import type { Axes, LeanSlope, PlacedOpening, Sketch } from '../../../frame/index.ts';
import { findSheet } from '../../../stock/index.ts';
import type { Side } from './openings.ts';
import type { LeanToParams } from './params.ts';

const TRIM = 0.75;

/** What the walls are drawn from: their directions, the slope above them and the rim below. */
export interface WallSetting {
  readonly axes: Record<Side, Axes>;
  readonly slope: LeanSlope;
  readonly rim: number;
  readonly placed: Record<Side, readonly PlacedOpening[]>;
}

/** Distance from the front's outer face, for a place along a side wall. */
const depthAt = (p: LeanToParams, side: 'left' | 'right', a: number): number => (side === 'right' ? a : p.depth - a);

/** Frames and skins the four walls of the house and covers their corners. */
export const frameHouseWalls = (sketch: Sketch, p: LeanToParams, s: WallSetting): void => {
  const skin = findSheet(p.siding);
  const out = skin.thickness;
  const deckUnder = (t: number): number => s.slope.under(t) + s.slope.plumb;
  for (const side of ['front', 'back', 'left', 'right'] as const) {
    const level = side === 'front' || side === 'back';
    const axes = s.axes[side];
    const id = `${side}-wall`;
    const name = side === 'front' ? 'front wall' : side === 'back' ? 'back wall' : `${side} rake wall`;
    const wide = level ? p.length : p.depth;
    const openings = s.placed[side];
    const slope = level ? 0 : side === 'right' ? -s.slope.fall : s.slope.fall;
    const height = level
      ? side === 'front'
        ? p.highWall
        : p.lowWall
      : s.slope.under(depthAt(p, side as 'left' | 'right', 0));
    const framed = frameWall(sketch, {
      id,
      name,
      axes,
      from: level ? 0 : WALL,
      to: level ? wide : wide - WALL,
      height,
      slope,
      spacing: p.studSpacing,
      layoutFrom: 0,
      openings,
    });
    // The back siding stops under the rafter tails, the front's at the plate, the rakes' at the deck.
    const top =
      side === 'front'
        ? () => p.highWall
        : side === 'back'
          ? () => Math.min(p.lowWall, s.slope.under(p.depth + out))
          : (a: number) => deckUnder(depthAt(p, side as 'left' | 'right', a));
    skinWall(sketch, {
      id,
      name,
      axes,
      from: 0,
      to: wide,
      bottom: -s.rim,
      top,
      item: p.siding,
      thickness: out,
      sheet: skin.width,
      centres: framed.centres,
      openings,
    });
    sketch.assembly({
      id,
      name,
      kind: 'wall',
      face: faceOf(axes),
      flat: true,
      ...(level ? { square: { width: wide, height } } : {}),
      tapes: [framed.tape],
      joins: {
        to: 'base',
        how: level
          ? 'stood on the floor, plates nailed through into the rim'
          : 'stood between front and back wall, nailed through both',
      },
    });
    for (const o of openings)
      sketch.opening({
        id: `${id}/${o.id}`,
        kind: o.kind,
        assembly: id,
        left: o.left,
        bottom: o.bottom,
        width: o.width,
        height: o.height,
        sillAboveGround: axes.origin[2] + o.bottom,
      });
    const roofAt = (t: number): number => deckUnder(t);
    sketch.face({
      id,
      name,
      place: faceOf(axes),
      region: level
        ? [
            [0, -s.rim],
            [wide, -s.rim],
            [wide, side === 'front' ? roofAt(WALL - 0.75) : roofAt(p.depth - 0.75)],
            [0, side === 'front' ? roofAt(WALL - 0.75) : roofAt(p.depth - 0.75)],
          ]
        : [
            [0, -s.rim],
            [wide, -s.rim],
            [wide, roofAt(depthAt(p, side as 'left' | 'right', wide))],
            [0, roofAt(depthAt(p, side as 'left' | 'right', 0))],
          ],
      // A nest row closes its opening from outside.
      within: [-WALL, openings.some((o) => o.kind === 'nest') ? p.nestDepth + 2 : 1.5],
    });
    // Corner boards; where a run stands against the house its end studs cover the corner.
    const nextToRun = (end: 'start' | 'end'): boolean =>
      p.run && ((side === 'front' && end === 'start') || (side === 'back' && end === 'end'));
    if (p.run && side === 'left') continue;
    for (const end of ['start', 'end'] as const) {
      const board = level ? 3.5 : 2.5;
      const beyond = level && !nextToRun(end) ? out + TRIM : out;
      const a = end === 'start' ? -beyond : wide + beyond - board;
      const t = level
        ? 0
        : Math.max(depthAt(p, side as 'left' | 'right', a), depthAt(p, side as 'left' | 'right', a + board));
      const high =
        side === 'front'
          ? p.highWall
          : side === 'back'
            ? Math.min(p.lowWall, s.slope.under(p.depth + out + TRIM))
            : s.slope.under(t);
      sketch.add(
        boxPart(
          axes,
          'corners',
          { id: `corners/${side}-${end}`, name: 'corner board', role: 'trim', item: level ? '1x4' : '1x3' },
          [a, -out - TRIM, -s.rim],
          [board, TRIM, high + s.rim],
          'z',
        ),
      );
    }
  }
  sketch.assembly({
    id: 'corners',
    name: 'corner boards',
    kind: 'fittings',
    face: faceOf(s.axes.front),
    flat: false,
    tapes: [],
    joins: { to: 'front-wall', how: 'primed, nailed over the sheet edges' },
  });
};
