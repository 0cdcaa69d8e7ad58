import type { Fitting, FittingStyle, Side } from '../../unit/index.ts';
import {
  cladding,
  headerHeight,
  layoutOpenings,
  nestRowWidth,
  openingSide,
  openingTop,
  WALL,
} from '../../frame/index.ts';
import type { FitsIn, OpeningWish, Span, PlacedOpening, Sketch } from '../../frame/index.ts';
import { boughtByHand, boughtSize, leftOutFix, leftOutWhy, loweredFix } from './leftOut.ts';
import type { Raise } from './leftOut.ts';
import { gableUnder, sidingTop } from './roof.ts';
import type { HouseRoof } from './roof.ts';
import type { HouseParams } from './types.ts';
import { SIDES } from './walls.ts';

const T = 1.5;
/** Clear height of a nest hole. */
const NEST_HOLE = 12;
/** Clear height of the slot that litter is swept out of: 8 to 10 in. Common practice, no source. */
const CLEAN_OUT = 9;
/** Wall that the channels of a sliding pop door take on each side. */
const CHANNELS = 3.25;
/** Where a pop door and a nest hole begin at the least, so that channels and lid pass the corner boards. */
const CHANNELS_IN = 7;
const LID_IN = 4.5;
/** A nest's lid stands over on both sides: as much wall as a king and a jack take. */
const lidSide = (o: Span): number => 3 - openingSide(o);

/** Rafters bear on the front and the back; the ends carry nothing but themselves. */
const isEnd = (wall: Side | 'none'): boolean => wall === 'left' || wall === 'right';

interface Wish {
  readonly wall: Side;
  readonly wish: OpeningWish;
}

const plateTop = (roof: HouseRoof, wall: Side): number =>
  wall === 'front' ? roof.front : wall === 'back' ? roof.back : Math.min(roof.front, roof.back);

/** Widest leaf that one sheet skins. */
const WIDEST_LEAF = 47;

/** A door that is too wide for one leaf gets two. */
const doorStyle = (style: FittingStyle, width: number): FittingStyle =>
  (style === 'single' || style === 'dutch') && width > WIDEST_LEAF ? 'double' : style;

/** Where an opening stands: on the floor, on the plate, or clear of it by a sill. */
export const sillFor = (threshold: number): number =>
  threshold < T / 2 ? 0 : threshold < 2.25 ? T : Math.max(2 * T, threshold);

/** Kinds whose plate may be sawn out under them, so that what is swept or wheeled goes through level. */
const TO_FLOOR: ReadonlySet<Fitting['kind']> = new Set(['people door', 'clean-out', 'gate']);

/** The openings that the parameters ask for. */
const wishesOf = (p: HouseParams, roof: HouseRoof, plates: 1 | 2): Wish[] => {
  const out: Wish[] = [];
  const add = (wall: Side | 'none', wish: OpeningWish): void => {
    if (wall !== 'none') out.push({ wall, wish: { ...wish, flat: isEnd(wall) } });
  };
  const sill = sillFor(p.threshold);
  add(
    p.doorWall,
    boughtSize(p.doorStyle === 'bought' ? p.doorUnit : '', {
      id: 'door',
      kind: 'people door',
      ...(p.popInDoor ? { level: true } : {}),
      style: doorStyle(p.doorStyle, p.doorWidth),
      width: p.doorWidth,
      height: p.doorHeight,
      bottom: sill,
      leastHeight: 20,
    }),
  );
  add(p.popInDoor ? 'none' : p.popWall, {
    id: 'pop',
    kind: 'pop door',
    style: p.popMotor ? 'motor' : 'sliding',
    width: p.popWidth,
    height: p.popHeight,
    bottom: Math.max(2 * T, p.threshold),
    leastHeight: 10,
    margin: CHANNELS,
    ends: CHANNELS_IN,
  });
  if (p.nestStyle !== 'inside')
    add(p.nestWall, {
      id: 'nest',
      kind: 'nest',
      style: p.nestStyle,
      width: nestRowWidth(p.nestCount, p.nestWidth),
      height: NEST_HOLE,
      bottom: p.nestBottom,
      leastHeight: 10,
      margin: lidSide({ width: nestRowWidth(p.nestCount, p.nestWidth), flat: isEnd(p.nestWall) }),
      ends: LID_IN,
    });
  if (p.windowWall !== 'none') {
    const high = plateTop(roof, p.windowWall);
    const asked = boughtSize(p.windowStyle === 'bought' ? p.windowUnit : '', {
      id: 'window',
      kind: 'window',
      style: p.windowStyle,
      width: p.windowWidth,
      height: p.windowHeight,
      bottom: 0,
      leastHeight: 6,
    });
    // Up under its header, above the birds' heads.
    const bottom = Math.max(12, Math.floor((high - T - 3.5 - 2 - asked.height) * 2) / 2);
    add(p.windowWall, { ...asked, bottom });
  }
  if (p.cleanOutWall !== 'none') {
    const doors = p.cleanOutStyle === 'doors';
    // Doors reach up to what their header leaves under a single or doubled plate.
    const most =
      plateTop(roof, p.cleanOutWall) -
      plates * T -
      headerHeight({ width: p.cleanOutWidth, flat: isEnd(p.cleanOutWall) }) -
      T;
    add(p.cleanOutWall, {
      id: 'clean-out',
      kind: 'clean-out',
      style: doors ? 'double' : 'single',
      width: p.cleanOutWidth,
      height: doors ? Math.floor(Math.min(most, 72) * 2) / 2 : CLEAN_OUT,
      // A slot sweeps flat; doors keep the plate, which holds the litter when they stand open.
      bottom: doors ? T : 0,
      leastHeight: 8,
    });
  }
  return out;
};

/** Least height that is still of use, by kind. */
const LEAST: Record<Fitting['kind'], number> = {
  'people door': 20,
  'pop door': 10,
  nest: 10,
  window: 6,
  vent: 3,
  'clean-out': 8,
  gate: 20,
};

/** A fitting put by hand, as a wish with its place. */
const pinned = (f: Fitting): Wish => ({
  wall: f.wall,
  wish: boughtSize(boughtByHand(f), {
    id: f.id,
    kind: f.kind,
    style: f.kind === 'people door' ? doorStyle(f.style, f.width) : f.style,
    width: f.width,
    height: f.height,
    // An opening stands on the plate or clear of it by a sill; a nest row's ledger always wants the sill.
    flat: isEnd(f.wall),
    bottom: f.kind === 'nest' ? Math.max(2 * T, f.bottom) : Math.max(TO_FLOOR.has(f.kind) ? 0 : T, sillFor(f.bottom)),
    leastHeight: Math.min(f.height, LEAST[f.kind]),
    at: f.left,
    ...(f.kind === 'pop door'
      ? { margin: CHANNELS, ends: CHANNELS_IN }
      : f.kind === 'nest'
        ? { margin: lidSide({ width: f.width, flat: isEnd(f.wall) }), ends: LID_IN }
        : {}),
  }),
});

/** How far a nest lid stands out beyond its boxes, and how much higher than the hole it starts. */
const LID_OUT = 1.5;
const LID_RISE = 1.7;
const LID_FALL = Math.tan((15 * Math.PI) / 180);

/** Highest that the floor of a nest row may be on a level wall, so that its lid passes under the rafter tails. */
const highestNest = (p: HouseParams, roof: HouseRoof, side: 'front' | 'back', hole: number): number => {
  const out = cladding(p.siding).thickness;
  const overhang = side === 'front' ? p.overhangFront : p.overhangBack;
  const reach = Math.min(out + p.nestDepth + LID_OUT, overhang);
  const eave = side === 'front' ? roof.under(-reach) : roof.under(roof.depth + reach);
  const lid = hole + LID_RISE - Math.max(0, reach - out) * LID_FALL;
  return Math.floor((Math.min(eave - lid, sidingTop(roof, side, out) - hole - LID_RISE) - 0.25) * 2) / 2;
};

/** Lowers nests whose lids would meet the eave; leaves out those that find no height at all. */
const underEave = (sketch: Sketch, p: HouseParams, roof: HouseRoof, wishes: readonly Wish[]): Wish[] =>
  wishes.flatMap((w) => {
    if (w.wish.kind !== 'nest' || (w.wall !== 'front' && w.wall !== 'back')) return [w];
    const most = highestNest(p, roof, w.wall, w.wish.height);
    if (w.wish.bottom <= most) return [w];
    const drawn = most >= 4;
    sketch.note({
      code: 'nest-under-eave',
      where: ['nests/lid', `${w.wall}-wall/top-plate`],
      severity: 'stop',
      what: `A nest floor at ${w.wish.bottom}″ brings the lid into the rafter tails of the ${w.wall}.`,
      why: drawn
        ? 'The lid must pass under the eave; it was drawn lower.'
        : 'There is no room for it under this eave; it was left out.',
      ...(w.wish.at !== undefined
        ? {}
        : {
            fix: drawn
              ? { label: `Set the nest floor at ${most}″`, patch: { nestBottom: most } }
              : { label: 'Put the nests in the right wall', patch: { nestWall: 'right' } },
          }),
    });
    return drawn ? [{ ...w, wish: { ...w.wish, bottom: most } }] : [];
  });

/** An inner wall across the house: the end of the bird room and the start of the store, along the front. */
export interface InnerLine {
  readonly birdEnd: number;
  readonly storeStart: number;
}

interface Zone {
  readonly from: number;
  readonly to: number;
  readonly wishes: readonly OpeningWish[];
}

/** Stretches of a wall that openings are spread over: doors into the store, all else to the birds, where there are two rooms. */
const zonesOf = (
  p: HouseParams,
  side: Side,
  wall: number,
  asked: readonly OpeningWish[],
  inner: InnerLine | undefined,
): readonly Zone[] => {
  if (side === 'left' || side === 'right') return [{ from: wall, to: p.depth - wall, wishes: asked }];
  if (!inner) return [{ from: 0, to: p.length, wishes: asked }];
  const flip = (x: number): number => (side === 'front' ? x : p.length - x);
  const [b0, b1] = [flip(0), flip(inner.birdEnd)].sort((m, n) => m - n) as [number, number];
  const [s0, s1] = [flip(inner.storeStart), flip(p.length)].sort((m, n) => m - n) as [number, number];
  const inStore = (w: OpeningWish): boolean =>
    w.at === undefined ? w.kind === 'people door' && s1 - s0 >= w.width + 9 : w.at + w.width / 2 > s0 && w.at < s1;
  return [
    { from: b0, to: b1, wishes: asked.filter((w) => !inStore(w)) },
    { from: s0, to: s1, wishes: asked.filter(inStore) },
  ];
};

/** Height over a wall's foot that something else leaves free in front of it, such as the roof of a run. */
export type Overhead = (side: Side, a: number) => number;

/** Leaves out what would stand out into the roof of a run or into the rafter tails of an eave, noting it. */
const underRoofs = (
  sketch: Sketch,
  p: HouseParams,
  roof: HouseRoof,
  wishes: readonly Wish[],
  overhead: Overhead,
): Wish[] =>
  wishes.filter(({ wall, wish: o }) => {
    if (o.kind !== 'nest' && o.kind !== 'pop door') return true;
    const at = o.at;
    const out = cladding(p.siding).thickness;
    const run = at === undefined ? Infinity : Math.min(overhead(wall, at - 4), overhead(wall, at + o.width + 4)) - 2;
    const eave =
      o.kind === 'pop door' && (wall === 'front' || wall === 'back') ? sidingTop(roof, wall, out + 1.5) : Infinity;
    // A pop door's panel laps its opening by an inch.
    if (o.bottom + o.height + 1 <= Math.min(run, eave)) return true;
    sketch.note({
      code: `${o.id}-in-roof`,
      where: [`${wall}-wall/top-plate`],
      severity: 'stop',
      what: `The ${o.kind} in the ${wall} wall reaches into the rafters over it.`,
      why: 'What stands out from that wall must pass under the rafters; it was left out.',
    });
    return false;
  });

/** An opening in an end that a ridge beam bears on: its header may carry the beam's post, and a door may rise past the plates. */
const underBeam = (w: OpeningWish, roof: HouseRoof): OpeningWish => ({
  ...w,
  heavy: true,
  flat: false,
  bearing: roof.depth / 2,
  ...(w.kind === 'people door' ? { past: gableUnder(roof.slope) } : {}),
});

/** An opening beside the post of a beam carries nothing after all. */
const besideBeam = (o: PlacedOpening, all: readonly PlacedOpening[], depth: number, wall: number): PlacedOpening => {
  if (o.bearing === undefined || o.through) return o;
  const side = openingSide(o);
  const clear = o.bearing < o.left - side || o.bearing > o.left + o.width + side;
  // Studs that the wall's ends serve for stay where they are.
  const shared = o.left - side < wall + T || o.left + o.width + side > depth - wall - T;
  const alone = o.within === undefined && !all.some((q) => q.within === o.id);
  return clear && !shared && alone ? { ...o, heavy: false, flat: true } : o;
};

/** Where every opening goes on each wall; what does not fit is left out and noted. */
export const placeOpenings = (
  sketch: Sketch,
  p: HouseParams,
  roof: HouseRoof,
  ceiling: Record<Side, (a: number) => number>,
  fittings: readonly Fitting[],
  plates: 1 | 2,
  wall: number = WALL,
  inner?: InnerLine,
  overhead: Overhead = () => Infinity,
  raise: readonly Raise[] = [],
): Record<Side, readonly PlacedOpening[]> => {
  const byHand = new Set(fittings.map((f) => f.id));
  const all = underEave(sketch, p, roof, [
    ...underRoofs(
      sketch,
      p,
      roof,
      [...fittings.map(pinned), ...wishesOf(p, roof, plates).filter((w) => !byHand.has(w.wish.id))],
      overhead,
    ),
  ]);
  if (doorStyle(p.doorStyle, p.doorWidth) !== p.doorStyle && p.doorWall !== 'none')
    sketch.note({
      code: 'leaf-too-wide',
      where: ['people-door/left-skin'],
      severity: 'warn',
      what: `A ${p.doorStyle} door ${p.doorWidth}″ wide is wider than a sheet.`,
      why: 'Its leaf would sag and could not be skinned in one piece; it was drawn as a double door.',
      fix: { label: 'Make it double', patch: { doorStyle: 'double' } },
    });
  const out: Record<Side, readonly PlacedOpening[]> = { front: [], back: [], left: [], right: [] };
  for (const side of SIDES) {
    // Inside the corners of the front and the back stand the end walls.
    const corner = side === 'front' || side === 'back' ? { least: wall + 1 } : undefined;
    const asked = all
      .filter((w) => w.wall === side)
      .map((w) => (corner ? { ...w.wish, ends: Math.max(w.wish.ends ?? 0, corner.least) } : w.wish))
      .map((w) => (roof.slope.beam && isEnd(side) ? underBeam(w, roof) : w));
    const zones = zonesOf(p, side, wall, asked, inner);
    const laid = zones.map((zone) => layoutOpenings(zone.from, zone.to, zone.wishes, ceiling[side], p.studSpacing));
    const zoneOf = (o: OpeningWish): FitsIn => ({
      ...(zones.find((z) => z.wishes.some((w) => w.id === o.id)) ?? (zones[0] as Zone)),
      ceiling: ceiling[side],
    });
    const placed = laid.flatMap((l) => l.placed).map((o, _, all) => besideBeam(o, all, roof.depth, wall));
    const lowered = laid.flatMap((l) => l.lowered);
    const left = laid.flatMap((l) => l.left);
    out[side] = placed;
    for (const o of lowered) {
      const as = placed.find((q) => q.id === o.id);
      const got = as ? Math.max(openingTop(as, as.left), openingTop(as, as.left + as.width)) - as.bottom : 0;
      sketch.note({
        code: `${o.id}-lowered`,
        where: [`${side}-wall/${o.id}/header-1`],
        severity: o.kind === 'people door' ? 'warn' : 'stop',
        what: `The ${o.kind} is ${Math.floor(got * 16) / 16}″ high, not ${o.height}″.`,
        why:
          as?.rake === undefined
            ? `Its header must pass under the top plate of the ${side} wall.`
            : `Its head is the top plate of the ${side} wall, at its highest side.`,
        ...loweredFix(o, got, side, raise),
      });
    }
    for (const o of left) {
      const fix = leftOutFix(o, p, zoneOf(o));
      sketch.note({
        code: `${o.id}-left-out`,
        where: [`${side}-wall/top-plate`],
        severity: 'stop',
        what:
          o.at === undefined
            ? `The ${o.kind} does not fit in the ${side} wall.`
            : `The ${o.kind} cannot stand at ${o.at}″ in the ${side} wall.`,
        why: leftOutWhy(o, zoneOf(o)),
        ...(fix ? { fix } : {}),
      });
    }
  }
  return out;
};
