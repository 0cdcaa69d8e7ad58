import type { Pt } from '../../geometry/index.ts';
import type { OpeningKind, Side } from '../../unit/index.ts';
import {
  boxPart,
  braceDoorway,
  braceWall,
  cladding,
  claddingDepth,
  cladWall,
  faceOf,
  frameGableStuds,
  frameWall,
  RIDGE_HALF,
  ridgeOf,
  headerHeight,
  headTop,
  WALL,
} from '../../frame/index.ts';
import type { Axes, PlacedOpening, Sketch } from '../../frame/index.ts';
import { endTop, faceTop, sidingTop } from './roof.ts';
import type { HouseRoof } from './roof.ts';
import type { HouseParams } from './types.ts';

/** Openings that take the stiffness out of a wall. */
const DOORS: ReadonlySet<OpeningKind> = new Set(['people door', 'clean-out', 'gate']);
/** Share of doors from which a wall's door frames get steel angles. Common practice, no source. */
const DOOR_SHARE = 0.5;
/** Upright boards are nailed at least this often along their length. Common practice, no source. */
const BOARDS_NAILED = 24;
/** Rows of blocks closer than this to one that is there anyway are left out. */
const LEAST_APART = 4;
/** Longest sheet, upright. */
const SHEET = 96;

export const SIDES: readonly Side[] = ['front', 'back', 'left', 'right'];

/** How far untreated siding keeps off what a house stands on. Source: IRC R317.1 (6 in off soil, 1 in off concrete, from memory). */
const OFF_GROUND = { soil: 6, concrete: 1 } as const;

/** How far siding may reach below the floor: over the rim, but not down to the ground. */
export const sidingSkirt = (rim: number, floor: number, on: keyof typeof OFF_GROUND): number =>
  Math.min(rim, floor - OFF_GROUND[on]);

/** What the walls are drawn from: their directions, the roof above them, and how far the siding runs below the floor. */
export interface WallSetting {
  readonly axes: Record<Side, Axes>;
  readonly roof: HouseRoof;
  readonly skirt: number;
  readonly placed: Record<Side, readonly PlacedOpening[]>;
  readonly sole?: string;
  readonly doublePlate?: boolean;
  /** Stud and its depth, where the walls are lighter than 2×4. */
  readonly stud?: { readonly item: string; readonly depth: number };
  /** How the walls hold together, where they do not stay nailed. */
  readonly bolted?: boolean;
  readonly joins: string;
  /** Rows of blocking that something hung on each wall needs. */
  readonly blockRows?: Partial<Record<Side, readonly number[]>>;
  /** Sides whose corner boards something else stands in front of. */
  readonly bare?: readonly { readonly side: Side; readonly end: 'start' | 'end' | 'both' }[];
}

/** Distance from the front's outer face, for a place along a side wall. */
export const depthAt = (depth: number, side: 'left' | 'right', a: number): number => (side === 'right' ? a : depth - a);

const isLevel = (side: Side): side is 'front' | 'back' => side === 'front' || side === 'back';

/** Name of a wall as a framer would call it. */
export const wallName = (roof: HouseRoof, side: Side): string =>
  isLevel(side) ? `${side} wall` : roof.kind === 'lean' ? `${side} rake wall` : `${side} gable wall`;

/** Whether sheets may meet at a height: on blocks clear of every opening, across the middle of one, or on its header. */
export const mayMeet = (z: number, openings: readonly PlacedOpening[]): boolean =>
  openings.every((o) => {
    const top = o.bottom + o.height;
    const head = headerHeight(o);
    const clear = z < o.bottom - 2.5 || z > headTop(o) + 1;
    const across = z > o.bottom + 0.5 && z < top - 0.5;
    const onHeader = o.rake === undefined && head >= 3.5 && z > top + 0.5 && z < top + head - 0.5;
    return clear || across || onHeader;
  });

/** Highest height between two where sheets may meet. */
export const meetingLine = (openings: readonly PlacedOpening[], from: number, to: number): number => {
  for (let z = to; z >= from; z -= 0.5) if (mayMeet(z, openings)) return z;
  return to;
};

/**
 * Where the sheets of a gable end meet: on its plates, or, where a head rises past those and its header does not reach up to the
 * middle of them, on blocks under them and on the header.
 * @param ceiling underside of the plates
 */
const endLine = (openings: readonly PlacedOpening[], ceiling: number, plateLine: number): number => {
  const through = openings.filter((o) => o.through);
  const holds = (z: number): boolean =>
    through.every((o) => {
      const top = o.bottom + o.height;
      return z < top - 0.5 || (z > top + 0.5 && z < headTop(o) - 0.5);
    });
  return [plateLine, ceiling + 0.75, ceiling - 0.75].find(holds) ?? plateLine;
};

/** Where the ridge passes through a gable's skin to the barge rafters. */
const ridgeSlot = (roof: HouseRoof, wide: number): PlacedOpening => {
  const { bottom, apex } = ridgeOf(roof.slope);
  return {
    id: 'ridge',
    kind: 'vent',
    left: wide / 2 - RIDGE_HALF,
    width: 2 * RIDGE_HALF,
    bottom,
    height: apex - bottom + 1,
    leastHeight: 0,
  };
};

/** Frames and skins the four walls of a house and covers their corners. Gives the centres of each wall's full-height studs. */
export const frameHouseWalls = (
  sketch: Sketch,
  p: Pick<HouseParams, 'length' | 'depth' | 'studSpacing' | 'siding' | 'nestDepth' | 'trim' | 'doorBraces'>,
  s: WallSetting,
): Record<Side, readonly number[]> => {
  const clad = cladding(p.siding);
  const out = clad.thickness;
  const { roof } = s;
  // Rips of ½ in ply come out of the sheets' offcuts, and so are no longer than a sheet.
  const rips = p.trim === 'ply rips' && Math.max(roof.under(0), roof.under(p.depth)) + s.skirt <= SHEET;
  const trim = rips ? 0.5 : 0.75;
  const wall = s.stud?.depth ?? WALL;
  const studCentres: Record<Side, readonly number[]> = { front: [], back: [], left: [], right: [] };
  for (const side of SIDES) {
    const level = isLevel(side);
    const axes = s.axes[side];
    const id = `${side}-wall`;
    const name = wallName(roof, side);
    const wide = level ? p.length : p.depth;
    const openings = s.placed[side];
    const raked = !level && roof.kind === 'lean';
    const slope = raked ? (side === 'right' ? -roof.slope.fall : roof.slope.fall) : 0;
    const height = isLevel(side) ? roof[side] : raked ? roof.under(depthAt(p.depth, side, 0)) : roof.front;
    // A wall of boards is nailed to rows of blocks; sheets over 8 ft need a row where their courses meet.
    const top = isLevel(side)
      ? sidingTop(roof, side, out)
      : Math.max(endTop(roof, side, 0), endTop(roof, side, wide), endTop(roof, side, wide / 2));
    const tall = top + s.skirt > SHEET;
    const gable = !level && roof.kind === 'gable';
    const plateLine = height - 0.75;
    const lines: number[] = [];
    const rows: number[] = [...(s.blockRows?.[side] ?? [])];
    if (tall) {
      if (gable) {
        const under = s.doublePlate && !raked ? 2 : 1;
        const line = endLine(openings, height - under * 1.5, plateLine);
        if (line < height - under * 1.5) rows.push(line);
        lines.push(line);
      }
      if (!gable || plateLine + s.skirt > SHEET) {
        const plates = s.doublePlate && !raked ? 2 : 1;
        // Below the lowest plate, so that the row of blocks runs through.
        const lowest = raked ? Math.min(roof.front, roof.back) - 3 : height - plates * 1.5;
        const line = meetingLine(openings, Math.max(12, top - SHEET), Math.min(SHEET - s.skirt, lowest - 1));
        if (!rows.some((z) => Math.abs(z - line) < 3)) rows.push(line);
        lines.push(line);
      }
    }
    const boards = clad.kind === 'boards';
    if (boards) {
      const highest = raked ? Math.max(roof.front, roof.back) : height;
      const count = Math.ceil(highest / BOARDS_NAILED) - 1;
      for (let k = 1; k <= count; k++) {
        const at = Math.round((highest * k) / (count + 1));
        if (!rows.some((z) => Math.abs(z - at) < LEAST_APART)) rows.push(at);
      }
    }
    const framed = frameWall(sketch, {
      id,
      name,
      axes,
      from: level ? 0 : wall,
      to: level ? wide : wide - wall,
      ...(s.stud ? { studItem: s.stud.item } : {}),
      height,
      slope,
      spacing: p.studSpacing,
      layoutFrom: 0,
      openings,
      ...(s.sole ? { bottomItem: s.sole } : {}),
      ...(s.doublePlate ? { doublePlate: true } : {}),
      blockRows: rows,
      ...(gable && roof.slope.beam ? { bearings: [wide / 2] } : {}),
    });
    const line = isLevel(side) ? () => sidingTop(roof, side, out) : (a: number) => endTop(roof, side, a);
    const joints = cladWall(sketch, {
      id,
      name,
      axes,
      from: 0,
      to: wide,
      bottom: -s.skirt,
      top: line,
      battenTop: isLevel(side)
        ? () => sidingTop(roof, side, claddingDepth(clad))
        : (a: number) => roof.under(depthAt(p.depth, side, a)),
      cladding: clad,
      course: SHEET,
      breaks: lines.sort((a, b) => a - b),
      peaks: gable ? [wide / 2] : [],
      centres: framed.centres,
      cripples: framed.cripples,
      openings: gable ? [...openings, ridgeSlot(roof, wide)] : openings,
    });
    studCentres[side] = framed.centres;
    // Sheets hold a wall square by themselves, boards do not.
    const strapped =
      clad.kind === 'sheets' ||
      braceWall(sketch, { id, axes, from: level ? 0 : wall, to: level ? wide : wide - wall, openings }) > 0;
    const doors = openings.filter((o) => DOORS.has(o.kind) && o.height > height / 2);
    const angled = p.doorBraces && doors.reduce((n, o) => n + o.width, 0) > wide * DOOR_SHARE;
    if (angled) for (const o of doors) braceDoorway(sketch, id, o.id);
    if (!strapped && !angled)
      sketch.note({
        code: `${side}-unbraced`,
        where: [`${id}/top-plate`],
        severity: 'warn',
        what: `Nothing holds the boards of the ${name} square.`,
        why: 'Between its openings no stretch of 20″ is clear for brace straps: leave an opening out, make one narrower, or clad it with sheets.',
        fix: { label: 'Clad it with grooved panels', patch: { siding: 'siding-5/8' } },
      });
    if (gable)
      frameGableStuds(sketch, {
        id,
        name,
        axes,
        slope: roof.slope,
        plate: height,
        joints,
        centres: [wide / 2, ...framed.centres, ...framed.cripples],
        through: openings.filter((o) => o.through),
        depth: wall,
      });
    sketch.assembly({
      id,
      name,
      kind: 'wall',
      face: faceOf(axes),
      flat: true,
      ...(level ? {} : { bearsNothing: true }),
      ...(level || gable ? { square: { width: level ? wide : wide - 2 * wall, height } } : {}),
      tapes: [framed.tape],
      joins: {
        to: s.joins,
        how: s.bolted
          ? 'bolted through the corner studs and the plates, heads outside'
          : level
            ? 'stood on the floor, plates nailed through into the rim'
            : 'stood between front and back wall, nailed through both',
      },
    });
    for (const o of openings)
      sketch.opening({
        id: `${id}/${o.id}`,
        kind: o.kind,
        wall: side,
        ...(o.style ? { style: o.style } : {}),
        assembly: id,
        left: o.left,
        bottom: o.bottom,
        width: o.width,
        height: o.height,
        ...(o.rake === undefined ? {} : { rake: o.rake }),
        sillAboveGround: axes.origin[2] + o.bottom,
        above: (isLevel(side) ? sidingTop(roof, side, out) : line(o.left + o.width / 2)) - o.bottom - o.height,
      });
    const region: Pt[] = isLevel(side)
      ? [
          [0, -s.skirt],
          [wide, -s.skirt],
          [wide, faceTop(roof, side)],
          [0, faceTop(roof, side)],
        ]
      : [
          [0, -s.skirt],
          [wide, -s.skirt],
          [wide, endTop(roof, side, wide)],
          ...(gable ? ([[wide / 2, endTop(roof, side, wide / 2)]] as Pt[]) : []),
          [0, endTop(roof, side, 0)],
        ];
    sketch.face({
      id,
      name,
      place: faceOf(axes),
      region,
      // A nest row closes its opening from outside.
      within: [-wall, openings.some((o) => o.kind === 'nest') ? p.nestDepth + 4 : out + 1],
    });
    for (const end of ['start', 'end'] as const) {
      const bare = (at: Side, which: 'start' | 'end'): boolean =>
        s.bare?.some((b) => b.side === at && (b.end === which || b.end === 'both')) ?? false;
      if (bare(side, end) && !level) continue;
      const board = level ? 3.5 : 2.5;
      const beyond = level && !bare(side, end) ? out + trim : out;
      const a = end === 'start' ? -beyond : wide + beyond - board;
      const high = isLevel(side)
        ? sidingTop(roof, side, out + trim)
        : Math.min(roof.under(depthAt(p.depth, side, a)), roof.under(depthAt(p.depth, side, a + board)));
      sketch.add(
        boxPart(
          axes,
          'corners',
          {
            id: `corners/${side}-${end}`,
            name: 'corner board',
            role: 'trim',
            item: rips ? 'ply-1/2' : level ? '1x4' : '1x3',
          },
          [a, -out - trim, -s.skirt],
          [board, trim, high + s.skirt],
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
    joins: { to: 'front-wall', how: 'over the corners of the siding' },
  });
  return studCentres;
};

/** Underside of the top plate along each wall, which openings must stay under. */
export const wallCeilings = (
  p: Pick<HouseParams, 'depth'>,
  roof: HouseRoof,
  plates: 1 | 2,
): Record<Side, (a: number) => number> => {
  const T = 1.5;
  const raked = T * Math.sqrt(1 + roof.slope.fall ** 2);
  const end =
    (side: 'left' | 'right') =>
    (a: number): number =>
      roof.kind === 'gable' ? roof.front - plates * T : roof.under(depthAt(p.depth, side, a)) - raked;
  return {
    front: () => roof.front - plates * T,
    back: () => roof.back - plates * T,
    left: end('left'),
    right: end('right'),
  };
};
