import type { Side } from '../../unit/index.ts';
import { findPieces, rectangle } from '../../geometry/index.ts';
import type { ConvexPiece } from '../../geometry/index.ts';
import {
  backFixtures,
  fitInsideNests,
  fitWaterBar,
  freeStretches,
  inAxes,
  insideNestSize,
  insideNestWidth,
  reachStuds,
  boxPart,
} from '../../frame/index.ts';
import type { Axes, PlacedOpening, Sketch, Stretch } from '../../frame/index.ts';
import { findSheet } from '../../stock/index.ts';
import type { HouseParams } from './types.ts';

/** Room that things inside keep from each other, and that a bird wants in front of them. */
const CLEAR = 1;
const STANDING = 6;
/** The bar hangs at the height of a hen's head, its nipples 8 in apart. Common practice, no source. */
const BAR_HEIGHT = 14;
const NIPPLES_AT = 8;
/** What its ends take: an elbow and a cap. */
const BAR_ENDS = 4;

/** The bird room as what hangs inside it sees it. */
export interface RoomPlan {
  readonly axes: Record<Side, Axes>;
  /** Ends of the room along the front, and along the depth. */
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
  /** Inner face of a wall, from its outer one. */
  readonly face: number;
  /** Depth of the walls' framing. */
  readonly deep: number;
  readonly placed: Record<Side, readonly PlacedOpening[]>;
  /** Centres of studs in each wall. */
  readonly centres: Record<Side, readonly number[]>;
  /** Where the birds sleep, along the depth: nothing stands under it. */
  readonly roost?: readonly [number, number];
  /** Underside of the rafters at a wall. */
  readonly under: Record<Side, number>;
  /** Walls that belong to this room. */
  readonly walls: readonly Side[];
}

const boxPieces = (axes: Axes, a: Stretch, t: Stretch, z: Stretch): readonly ConvexPiece[] =>
  findPieces(
    { outline: rectangle(0, 0, a[1] - a[0], t[1] - t[0]), holes: [], depth: z[1] - z[0] },
    { origin: inAxes(axes, a[0], t[0], z[0]), u: axes.a, v: axes.t },
  );

/** Stretch of a wall that is in the room, along the wall's own `a`. */
const spanOf = (room: RoomPlan, side: Side): Stretch => {
  const along = side === 'front' || side === 'back' ? room.x : room.y;
  const { origin, a } = room.axes[side];
  const k = side === 'front' || side === 'back' ? 0 : 1;
  const [p, q] = along.map((v) => (v - (origin[k] as number)) * (a[k] as number)) as [number, number];
  return [Math.min(p, q), Math.max(p, q)];
};

/** What must stay free: ways in with the swing of their doors, and the floor under the roost. */
const keptFree = (p: HouseParams, room: RoomPlan): readonly ConvexPiece[] => {
  const out: ConvexPiece[] = [];
  for (const side of room.walls)
    for (const o of room.placed[side]) {
      const way = o.kind === 'people door' || o.kind === 'pop door' || o.kind === 'clean-out' || o.kind === 'gate';
      const deep = o.kind === 'people door' && p.doorOpens === 'inward' ? o.width : way ? 18 : 2;
      out.push(
        ...boxPieces(
          room.axes[side],
          [o.left, o.left + o.width],
          [room.face - 1, room.face + deep],
          [o.bottom, o.bottom + o.height],
        ),
      );
    }
  if (room.roost)
    out.push(
      ...boxPieces(
        { origin: [0, 0, room.axes.front.origin[2]], a: [1, 0, 0], t: [0, 1, 0], z: [0, 0, 1] },
        room.x,
        room.roost,
        [0, p.roostHeight + 12],
      ),
    );
  return out;
};

const standing = (sketch: Sketch): ConvexPiece[] => sketch.parts.flatMap((p) => [...findPieces(p.shape, p.place)]);

/** Free stretches of a wall's inside, for something `deep` into the room between two heights. */
const roomOn = (
  room: RoomPlan,
  side: Side,
  pieces: readonly ConvexPiece[],
  deep: number,
  heights: Stretch,
  least: number,
): readonly Stretch[] => {
  const [from, to] = spanOf(room, side);
  if (to - from < least || heights[1] > room.under[side]) return [];
  const axes = room.axes[side];
  const [zone] = boxPieces(axes, [from, to], [room.face + 1 / 16, room.face + deep], heights);
  if (!zone) return [];
  return freeStretches(zone, inAxes(axes, from, 0, 0), axes.a, to - from, pieces, CLEAR, least).map(
    ([a, b]): Stretch => [from + a, from + b],
  );
};

/** Place in a stretch for something `wide` that catches most studs, nearest to the stretch's middle. */
const onStuds = ([a, b]: Stretch, wide: number, centres: readonly number[]): number => {
  const middle = (a + b - wide) / 2;
  const caught = (from: number): number => centres.filter((c) => c > from + 0.5 && c < from + wide - 0.5).length;
  const places = [middle, a, b - wide, ...centres.flatMap((c) => [c - 2, c + 2 - wide])].filter(
    (n) => n >= a - 1e-9 && n + wide <= b + 1e-9,
  );
  return [...places].sort(
    (m, n) => caught(n) - caught(m) || Math.abs(m - middle) - Math.abs(n - middle) || m - n,
  )[0] as number;
};

/** Longest sheet, and longest 2×2. */
const LONGEST = findSheet('ply-1/2').length;

/** Nest boxes inside, on the wall that is asked for. @returns how many found room */
export const hangNests = (sketch: Sketch, p: HouseParams, room: RoomPlan): number => {
  const side = p.nestWall;
  if (side === 'none' || p.nestStyle !== 'inside') return 0;
  const size = insideNestSize(p.nestDepth);
  const pieces = [...standing(sketch), ...keptFree(p, room)];
  const heights: Stretch = [p.nestBottom + size.low, p.nestBottom + size.high];
  const free = room.walls.includes(side)
    ? roomOn(room, side, pieces, p.nestDepth + size.lip + STANDING, heights, insideNestWidth(1, p.nestWidth))
    : [];
  let count = p.nestCount;
  const holds = (n: number): Stretch | undefined => free.find(([a, b]) => b - a >= insideNestWidth(n, p.nestWidth));
  while (count > 0 && (!holds(count) || insideNestWidth(count, p.nestWidth) > LONGEST)) count--;
  const sheetEnds = holds(count + 1) !== undefined;
  if (count < p.nestCount)
    sketch.note({
      code: 'nests-inside',
      where: [`${side}-wall/bottom-plate`],
      severity: 'stop',
      what:
        count === 0
          ? `No nests find room inside the ${side} wall.`
          : `Only ${count} of ${p.nestCount} nests find room inside the ${side} wall.`,
      why: sheetEnds
        ? `Floor and back of the row are one piece each, and sheets end at ${LONGEST}″.`
        : 'They stand clear of doors and their swing, of other fittings, of the rafters and of the floor under the roost.',
      fix:
        count === 0
          ? { label: 'Hang them outside', patch: { nestStyle: 'outside lid' } }
          : { label: `Make it ${count}`, patch: { nestCount: count } },
    });
  const stretch = holds(count);
  if (count === 0 || !stretch) return 0;
  const wide = insideNestWidth(count, p.nestWidth);
  const axes = room.axes[side];
  const from = onStuds(stretch, wide, room.centres[side]);
  const reached = reachStuds([from, from + wide], stretch, room.centres[side]);
  // No longer than a stick: the studs between its ends hold it.
  const ledger = reached[1] - reached[0] > LONGEST ? ([from, from + wide] as const) : reached;
  const unbacked = backFixtures(
    sketch,
    { id: `${side}-wall`, name: `${side} wall`, axes, deep: room.deep },
    room.centres[side],
    [{ from: ledger[0], to: ledger[1], low: p.nestBottom - 2, high: p.nestBottom - 0.5 }],
  );
  // Where the wall has nothing to screw to it stands on posts.
  for (const f of unbacked)
    for (const [k, at] of [f.from, f.to - 1.5].entries())
      sketch.add(
        boxPart(
          axes,
          'nests',
          { id: `nests/post-${k + 1}`, name: 'nest post', role: 'post', item: '2x2' },
          [at, room.face, 0],
          [1.5, 1.5, f.low],
          'z',
        ),
      );
  fitInsideNests(sketch, {
    axes: { ...axes, origin: inAxes(axes, 0, room.face, 0) },
    from,
    ledger,
    count,
    boxWidth: p.nestWidth,
    depth: p.nestDepth,
    bottom: p.nestBottom,
    joins: `${side}-wall`,
  });
  return count;
};

/** A bar of nipples along the wall that has most room for it. @returns how many nipples found room */
export const hangWaterBar = (sketch: Sketch, p: HouseParams, room: RoomPlan): number => {
  if (p.nipples === 0) return 0;
  const pieces = [...standing(sketch), ...keptFree(p, room)];
  const least = BAR_ENDS + NIPPLES_AT;
  const free = room.walls.flatMap((side) =>
    roomOn(room, side, pieces, STANDING, [BAR_HEIGHT - 4, BAR_HEIGHT + 4], Math.max(least, 18)).map((stretch) => ({
      side,
      stretch,
      long: stretch[1] - stretch[0],
    })),
  );
  const best = [...free].sort((a, b) => b.long - a.long)[0];
  const drawn = best ? Math.min(p.nipples, Math.floor((best.long - BAR_ENDS) / NIPPLES_AT)) : 0;
  if (drawn < p.nipples)
    sketch.note({
      code: 'water-bar-short',
      where: [`${best?.side ?? 'front'}-wall/bottom-plate`],
      severity: 'warn',
      what:
        drawn === 0
          ? `A water bar finds no free wall at ${BAR_HEIGHT}″.`
          : `Only ${drawn} of ${p.nipples} nipples find room on one bar.`,
      why: 'The bar hangs on one wall, clear of doors, of other fittings and of the roost.',
      fix: { label: drawn === 0 ? 'No water bar' : `Make it ${drawn}`, patch: { nipples: drawn } },
    });
  if (!best || drawn === 0) return 0;
  // Long enough to be strapped to two studs.
  const wide = Math.min(best.long, Math.max(BAR_ENDS + drawn * NIPPLES_AT, 36));
  const axes = room.axes[best.side];
  fitWaterBar(
    sketch,
    { ...axes, origin: inAxes(axes, 0, room.face, 0) },
    {
      from: onStuds(best.stretch, wide, room.centres[best.side]),
      length: wide,
      height: BAR_HEIGHT,
      joins: `${best.side}-wall`,
    },
  );
  return drawn;
};
