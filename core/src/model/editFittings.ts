import { toLocal, toWorld } from '../geometry/index.ts';
import { SWAPPED } from '../unit/index.ts';
import type { Assembly, Build, Fitting, Opening, OpeningKind, Side } from '../unit/index.ts';
import { headTop, mayStandOver, openingSide } from '../frame/index.ts';
import { FITTING_RANGE, FITTING_SIZES, FITTING_STYLES } from './fittings.ts';
import { buildSpec } from './spec.ts';
import type { Spec } from './spec.ts';

/** What an elevation editor needs to know of a wall: its length, and the low edges of its full-height studs. */
export interface WallLayout {
  readonly side: Side;
  readonly assembly: string;
  readonly length: number;
  /** What the corners take of its ends. */
  readonly corner: number;
  /** Its own end studs may serve an opening: true of walls that stand between others. */
  readonly between: boolean;
  /** No rafter bears on it: its openings want no jacks. */
  readonly flat: boolean;
  readonly studs: readonly number[];
}

/** The wall seen on a side: in a mirrored build it is the one that was framed for the other. */
const wallOf = (build: Build, side: Side): Assembly | undefined =>
  build.assemblies.find((a) => a.id === `${a.turned === undefined ? side : SWAPPED[side]}-wall`);

/** A fitting as it is seen on a build, as its spec has it: a mirrored unit is specified as it was drawn. */
export const asSpecified = (build: Build, fitting: Fitting): Fitting => {
  const turned = wallOf(build, fitting.wall)?.turned;
  return turned === undefined
    ? fitting
    : { ...fitting, wall: SWAPPED[fitting.wall], left: turned - fitting.left - fitting.width };
};

/** Layout of a house's wall as it is framed now; nothing where the unit has no such wall. */
export const wallLayout = (build: Build, side: Side): WallLayout | undefined => {
  const assembly = wallOf(build, side);
  if (!assembly) return undefined;
  const tape = assembly.tapes[0];
  const plate = build.parts.find((p) => p.id === tape?.parts[0]);
  const ends = plate ? [0, plate.length].map((n) => toLocal(assembly.face, toWorld(plate.place, n, 0))[0]) : [0];
  const start = Math.min(...ends);
  const studs = (tape?.marks ?? [])
    .filter((m) => m.what === 'stud')
    .map((m) => start + m.at - (m.side === 'left' ? 1.5 : 0))
    .map((a) => Math.round(a * 16) / 16)
    .sort((p, q) => p - q);
  // Inside the corners of the front and the back stand the end walls; those stand between them.
  const level = start < 0.01;
  const depth = plate ? Math.max(plate.width, plate.thickness) : 0;
  return {
    side,
    assembly: assembly.id,
    length: tape ? start * 2 + tape.length : 0,
    corner: level ? depth + 1 : start,
    between: !level,
    flat: assembly.bearsNothing === true,
    studs,
  };
};

/** How near an opening must come to a stud to take it for its king. */
const CATCH = 1;

/**
 * The place that a fitting snaps to: one that lets a stud already there be its king, when that is within an inch, else the whole
 * inch. Kept on the wall.
 */
export const snapLeft = (
  left: number,
  width: number,
  wall: Pick<WallLayout, 'length' | 'studs' | 'corner' | 'between' | 'flat'>,
): number => {
  const side = openingSide({ width, flat: wall.flat });
  const [least, most] = edgesOf(width, wall);
  const kings = wall.studs.flatMap((s) => [s + side, s + 1.5 - side - width]);
  const near = kings
    .filter((k) => k >= least && k <= most && Math.abs(k - left) <= CATCH)
    .sort((p, q) => Math.abs(p - left) - Math.abs(q - left))[0];
  const place = near ?? Math.round(left);
  const free = (edge: number, way: 1 | -1): number =>
    Math.abs(place - edge) < 0.75 || (place - edge) * way < 0 ? edge : edge + 1.5 * way;
  // Right at the end the wall's own stud is the king; else there is room for one of its own.
  if (wall.between && place < least + 1.5) return Math.min(free(least, 1), Math.max(least, most));
  if (wall.between && place > most - 1.5) return Math.max(free(most, -1), least);
  return Math.min(Math.max(place, least), Math.max(least, most));
};

/** The least and the greatest place of an opening's left edge on a wall. */
const edgesOf = (
  width: number,
  { length, corner, between, flat }: Pick<WallLayout, 'length' | 'corner' | 'between' | 'flat'>,
): readonly [number, number] => {
  const side = openingSide({ width, flat });
  const least = between ? corner + side : Math.max(corner, side + 1.5);
  return [least, length - width - least];
};

/** The fitting that an opening of a build stands for, pinned where it stands now. */
export const fittingOf = (opening: Opening): Fitting | undefined => {
  const id = opening.id.split('/')[1];
  if (!opening.wall || id === undefined) return undefined;
  return {
    id,
    kind: opening.kind,
    style: opening.style ?? (FITTING_STYLES[opening.kind][0] as Fitting['style']),
    wall: opening.wall,
    left: opening.left,
    bottom: opening.bottom,
    width: opening.width,
    height: opening.height,
  };
};

const within = (value: number, [min, max]: readonly [number, number]): number => Math.min(max, Math.max(min, value));

/** A spec with a fitting put in, or put elsewhere if one of its id is there. Sizes are kept in their ranges, to the sixteenth. */
export const putFitting = (spec: Spec, fitting: Fitting): Spec => {
  const sixteenth = (n: number): number => Math.round(n * 16) / 16;
  const kept: Fitting = {
    ...fitting,
    left: sixteenth(within(fitting.left, FITTING_RANGE.left)),
    bottom: sixteenth(within(fitting.bottom, FITTING_RANGE.bottom)),
    width: sixteenth(within(fitting.width, FITTING_RANGE.width)),
    height: sixteenth(within(fitting.height, FITTING_RANGE.height)),
  };
  const others = (spec.fittings ?? []).filter((f) => f.id !== fitting.id);
  return { ...spec, fittings: [...others, kept] };
};

/** Parameters that leave out a fitting of the parameters, by its id. */
const WITHOUT: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  door: { doorWall: 'none' },
  pop: { popWall: 'none' },
  nest: { nestWall: 'none' },
  window: { windowWall: 'none' },
  'clean-out': { cleanOutWall: 'none' },
};

/** A spec without a fitting: one put by hand is taken out, one of the parameters is switched off. */
export const removeFitting = (spec: Spec, id: string): Spec => {
  const { fittings, ...rest } = spec;
  const left = (fittings ?? []).filter((f) => f.id !== id);
  const off = WITHOUT[id];
  return {
    ...rest,
    ...(left.length > 0 ? { fittings: left } : {}),
    params: off && Object.keys(off).every((k) => k in spec.params) ? { ...spec.params, ...off } : spec.params,
  };
};

/** A name for a new fitting that no other has. */
const freeId = (spec: Spec, kind: OpeningKind): string => {
  const taken = new Set((spec.fittings ?? []).map((f) => f.id));
  const base = kind.replace(' ', '-');
  for (let n = 2; ; n++) if (!taken.has(`${base}-${n}`)) return `${base}-${n}`;
};

/** Where on a wall a new fitting finds room: the middle of the widest free stretch, snapped. */
export const findRoom = (build: Build, wall: WallLayout, width: number): number => {
  const sideOf = (w: number): number => openingSide({ width: w, flat: wall.flat });
  const side = sideOf(width);
  const stands = build.openings
    .filter((o) => o.assembly === wall.assembly)
    .map((o) => [o.left - sideOf(o.width), o.left + o.width + sideOf(o.width)] as const)
    .sort((p, q) => p[0] - q[0]);
  const [least] = edgesOf(width, wall);
  const edge = least - side;
  let best: readonly [number, number] = [0, 0];
  let from = edge;
  for (const [a, b] of [...stands, [wall.length - edge, wall.length] as const]) {
    if (a - from > best[1] - best[0]) best = [from, a];
    from = Math.max(from, b);
  }
  return snapLeft((best[0] + best[1] - width) / 2, width, wall);
};

/** How far apart places are tried for a new fitting, inches. */
const TRY_AT = 3;

/** What is left over the header of an opening under what is put over it: a sill, and room for a rip or cripples. */
const ABOVE = 2.5;

/** Whether a fitting stands in a build as it was put, and everything else still does. */
const standsIn = (spec: Spec, build: Build, fitting: Fitting): boolean => {
  const next = buildSpec(putFitting(spec, asSpecified(build, fitting)));
  const got = next.openings.find((o) => o.id.endsWith(`/${fitting.id}`));
  const there = new Set(next.openings.map((o) => o.id.split('/')[1]));
  return (
    got !== undefined &&
    got.height >= fitting.height - 1 / 16 &&
    build.openings.every((o) => there.has(o.id.split('/')[1]))
  );
};

/** How many places are tried on the way back from where something was dragged, and how far apart they are at the least. */
const TRIES = 16;
const BACK_BY = 0.5;

/** Values from the one that was asked for back to the one that was, that one left out. */
const wayBack = (asked: number, was: number): number[] => {
  const step = Math.max(BACK_BY, Math.ceil((Math.abs(asked - was) / TRIES) * 2) / 2) * Math.sign(was - asked);
  const out: number[] = [];
  for (let n = asked + step; step !== 0 && (was - n) * step > 1e-9; n += step) out.push(n);
  return out;
};

/**
 * A fitting as it may be put: where it would meet a corner or another opening it stops on its way, at the last place where it stands,
 * and one that would grow too large stops growing. What can stand nowhere on the way is put as it was asked for, and is judged.
 */
export const settleFitting = (spec: Spec, build: Build, fitting: Fitting): Fitting => {
  const pinned = pinWall(spec, build, fitting.wall, fitting.id);
  if (standsIn(pinned, build, fitting)) return fitting;
  const opening = build.openings.find((o) => o.wall === fitting.wall && o.id.endsWith(`/${fitting.id}`));
  const was = opening && fittingOf(opening);
  if (!was) return fitting;
  let at = fitting;
  // Sideways first, so that it still goes up or down as far as it was taken.
  for (const key of ['left', 'width', 'bottom', 'height'] as const) {
    for (const value of wayBack(at[key], was[key])) {
      const back = { ...at, [key]: value };
      if (standsIn(pinned, build, back)) return back;
    }
    at = { ...at, [key]: was[key] };
    if (standsIn(pinned, build, at)) return at;
  }
  return fitting;
};

/** A new fitting of a kind on a wall, of its usual size or lower, where it can stand; nothing where the wall has no room for it. */
export const newFitting = (spec: Spec, build: Build, side: Side, kind: OpeningKind): Fitting | undefined => {
  const wall = wallLayout(build, side);
  if (!wall) return undefined;
  const pinned = pinWall(spec, build, side);
  const [width, height, bottom] = FITTING_SIZES[kind];
  const usual = { id: freeId(spec, kind), kind, style: FITTING_STYLES[kind][0] as Fitting['style'], wall: side };
  const first = findRoom(build, wall, width);
  const [least, most] = edgesOf(width, wall);
  const sideOf = (w: number): number => openingSide({ width: w, flat: wall.flat });
  // Only where its studs meet no other's is it worth framing the wall anew.
  const taken = build.openings
    .filter((o) => o.assembly === wall.assembly)
    .map((o) => [o.left - sideOf(o.width), o.left + o.width + sideOf(o.width)] as const);
  const reach = sideOf(width);
  const free = (at: number): boolean =>
    taken.every(([a, b]) => at + width + reach <= a + 1e-6 || at - reach >= b - 1e-6);
  const places = [first].filter(free);
  for (let at = least; at <= most + 1e-9; at += TRY_AT) if (free(at)) places.push(at);
  places.sort((p, q) => Math.abs(p - first) - Math.abs(q - first));
  for (const share of [1, 0.75, 0.5])
    for (const left of places) {
      const fitting = { ...usual, left, bottom: Math.round(bottom * share), width, height: Math.round(height * share) };
      if (standsIn(pinned, build, fitting)) return fitting;
    }
  // Over another one, between the same studs: a window over nests.
  for (const o of build.openings.filter((q) => q.assembly === wall.assembly && mayStandOver(kind, q.kind)))
    for (const share of [1, 0.75, 0.5]) {
      const over = Math.ceil(headTop({ ...o, flat: wall.flat }) + ABOVE);
      const left = o.left + (o.width - width) / 2;
      const fitting = { ...usual, left, bottom: Math.max(over, bottom), width, height: Math.round(height * share) };
      if (left > 0 && standsIn(pinned, build, fitting)) return fitting;
    }
  return undefined;
};

/** A spec in which the openings of a wall stand where they stand now, so that moving one moves no other. */
export const pinWall = (spec: Spec, build: Build, side: Side, but?: string): Spec =>
  build.openings
    .filter((o) => o.wall === side)
    .flatMap((o) => fittingOf(o) ?? [])
    .filter((f) => f.id !== but && !(spec.fittings ?? []).some((g) => g.id === f.id))
    .reduce((s, f) => putFitting(s, asSpecified(build, f)), spec);

/** A copy of a fitting beside it, or where there is most room. */
export const copyFitting = (spec: Spec, build: Build, fitting: Fitting): Fitting => {
  const wall = wallLayout(build, fitting.wall);
  return {
    ...fitting,
    id: freeId(spec, fitting.kind),
    left: wall ? findRoom(build, wall, fitting.width) : fitting.left,
  };
};
