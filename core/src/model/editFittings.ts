import { toLocal, toWorld } from '../geometry/index.ts';
import { SWAPPED } from '../unit/index.ts';
import type { Assembly, Build, Fitting, Opening, OpeningKind, Side } from '../unit/index.ts';
import { OPENING_SIDE } from '../frame/index.ts';
import { FITTING_RANGE, FITTING_SIZES, FITTING_STYLES } from './fittings.ts';
import type { Spec } from './spec.ts';

/** What an elevation editor needs to know of a wall: its length, and the low edges of its full-height studs. */
export interface WallLayout {
  readonly side: Side;
  readonly assembly: string;
  readonly length: number;
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
  return { side, assembly: assembly.id, length: tape ? start * 2 + tape.length : 0, studs };
};

/** How near an opening must come to a stud to take it for its king. */
const CATCH = 1;

/**
 * The place that a fitting snaps to: one that lets a stud already there be its king, when that is within an inch, else the whole
 * inch. Kept on the wall.
 */
export const snapLeft = (left: number, width: number, wall: Pick<WallLayout, 'length' | 'studs'>): number => {
  const least = 1.5 + OPENING_SIDE;
  const most = wall.length - width - least;
  const kings = wall.studs.flatMap((s) => [s + OPENING_SIDE, s + 1.5 - OPENING_SIDE - width]);
  const near = kings
    .filter((k) => k >= least && k <= most && Math.abs(k - left) <= CATCH)
    .sort((p, q) => Math.abs(p - left) - Math.abs(q - left))[0];
  const place = near ?? Math.round(left);
  return Math.min(Math.max(place, least), Math.max(least, most));
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
  const stands = build.openings
    .filter((o) => o.assembly === wall.assembly)
    .map((o) => [o.left - OPENING_SIDE, o.left + o.width + OPENING_SIDE] as const)
    .sort((p, q) => p[0] - q[0]);
  let best: readonly [number, number] = [0, 0];
  let from = 1.5;
  for (const [a, b] of [...stands, [wall.length - 1.5, wall.length] as const]) {
    if (a - from > best[1] - best[0]) best = [from, a];
    from = Math.max(from, b);
  }
  return snapLeft((best[0] + best[1] - width) / 2, width, wall);
};

/** A new fitting of a kind on a wall, of its usual size, where there is most room. */
export const newFitting = (spec: Spec, build: Build, side: Side, kind: OpeningKind): Fitting | undefined => {
  const wall = wallLayout(build, side);
  if (!wall) return undefined;
  const [width, height, bottom] = FITTING_SIZES[kind];
  return {
    id: freeId(spec, kind),
    kind,
    style: FITTING_STYLES[kind][0] as Fitting['style'],
    wall: side,
    left: findRoom(build, wall, width),
    bottom,
    width,
    height,
  };
};

/** A copy of a fitting beside it, or where there is most room. */
export const copyFitting = (spec: Spec, build: Build, fitting: Fitting): Fitting => {
  const wall = wallLayout(build, fitting.wall);
  return {
    ...fitting,
    id: freeId(spec, fitting.kind),
    left: wall ? findRoom(build, wall, fitting.width) : fitting.left,
  };
};
