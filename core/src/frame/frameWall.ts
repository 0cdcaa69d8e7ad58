import type { Pt } from '../geometry/index.ts';
import type { EndCut, Tape, TapeMark } from '../unit/index.ts';
import { findLumber } from '../stock/index.ts';
import type { Axes } from './axes.ts';
import { longestPiece, splitMember } from './chooseJoints.ts';
import { boxPart, polyPart, sawAngle } from './makePart.ts';
import type { PartText } from './makePart.ts';
import { headTop, openingSide, standsOnFloor } from './layoutOpenings.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import type { Sketch } from './sketch.ts';
import { frameBlockRow } from './blockRow.ts';
import type { Upright } from './blockRow.ts';
import { headerParts, packers } from './wallHeads.ts';

const T = 1.5;
/** Depth of a 2×4 wall. */
export const WALL = 3.5;

/** A stick-framed wall in its own directions; the foot of its bottom plate is z = 0. */
export interface WallPlan {
  readonly id: string;
  readonly name: string;
  readonly axes: Axes;
  readonly from: number;
  readonly to: number;
  /** Top of the top plate along the wall: `height` at a = 0, changing by `slope` per inch. */
  readonly height: number;
  readonly slope: number;
  readonly spacing: number;
  /** Where the stud layout is hooked. */
  readonly layoutFrom: number;
  readonly openings: readonly PlacedOpening[];
  readonly studItem?: string;
  readonly bottomItem?: string;
  /** A second top plate over the first, joints apart. */
  readonly doublePlate?: boolean;
  /** Heights of rows of blocking between the studs, for what is fixed there. */
  readonly blockRows?: readonly number[];
  /** Places under which a stud must stand, for what bears on the plate there. */
  readonly bearings?: readonly number[];
}

/** Centres of full-height verticals, where sheets may be joined. */
export interface FramedWall {
  readonly centres: readonly number[];
  /** Centres over openings of what stands on their headers: cripples on the layout, studs of another opening. */
  readonly cripples: readonly number[];
  readonly tape: Tape;
  readonly ceiling: (a: number) => number;
}

/** Sheets are joined on every stud that is a whole number of these from the hook. */
const SHEET_AT = 48;
/** A gap between two studs that is too little for either. Common practice, no source. */
const CLOSE = 1;

/**
 * Frames a wall: bottom and top plate, end studs, studs on the layout, and for every opening king and jack studs, header,
 * sill and cripples, or packers where those would be slivers. Under a slope the plate follows it, studs get their own lengths and a bevel.
 */
export const frameWall = (sketch: Sketch, plan: WallPlan): FramedWall => {
  const { axes, id, name, from, to, slope } = plan;
  const studItem = plan.studItem ?? '2x4';
  const depth = findLumber(studItem).width;
  const angle = Math.atan(slope);
  const plateHigh = T / Math.cos(angle);
  const top = (a: number): number => plan.height + slope * a;
  const plates = plan.doublePlate && slope === 0 ? 2 : 1;
  const ceiling = (a: number): number => top(a) - plates * plateHigh;
  const marks: TapeMark[] = [];
  const centres: number[] = [];
  const uprights: Upright[] = [];
  const cripples: number[] = [];
  // Openings with rips instead of cripples over and under them.
  const packed = new Set<string>();
  const raised = new Set<string>();
  let count = 0;

  if (slope !== 0) {
    const cut = sawAngle(angle);
    const cuts: EndCut[] = [
      { end: 'start', kind: 'bevel', angle: cut },
      { end: 'end', kind: 'bevel', angle: cut },
    ];
    const ring: Pt[] = [
      [from, ceiling(from)],
      [to, ceiling(to)],
      [to, top(to)],
      [from, top(from)],
    ];
    const plate = { id: `${id}/top-plate`, name: `${name} top plate`, role: 'plate' as const, item: studItem };
    sketch.add(polyPart(axes, id, { ...plate, cuts }, 'az', ring, 0, depth, { turn: (angle * 180) / Math.PI }));
  }

  const vertical = (
    a: number,
    z0: number,
    z1: 'plate' | number | ((a: number) => number),
    role: 'stud' | 'king' | 'jack' | 'cripple',
    what: string,
  ): void => {
    const part = { id: `${id}/${role}-${++count}`, name: `${name} ${what}`, role, item: studItem };
    const under = z1 === 'plate' ? ceiling : z1;
    if (typeof under === 'number' || (z1 === 'plate' && slope === 0)) {
      const end = typeof under === 'number' ? under : ceiling(0);
      sketch.add(boxPart(axes, id, part, [a, 0, z0], [T, depth, end - z0], 'z'));
    } else {
      const ring: Pt[] = [
        [a, z0],
        [a + T, z0],
        [a + T, under(a + T)],
        [a, under(a)],
      ];
      const tilt = Math.atan(Math.abs(under(a + T) - under(a)) / T);
      const cuts: EndCut[] = [
        { end: 'start', kind: 'square', angle: 0 },
        { end: 'end', kind: 'bevel', angle: sawAngle(tilt) },
      ];
      sketch.add(polyPart(axes, id, { ...part, cuts }, 'az', ring, 0, depth, { turn: 90 }));
    }
    uprights.push({ a, from: z0, to: typeof under === 'number' ? under : Math.min(under(a), under(a + T)) });
    if (z0 <= T + 1e-9) marks.push({ at: a - from, side: 'right', what: role, part: part.id });
    if (typeof z1 === 'number' || role === 'jack') return;
    if (z0 <= T + 1e-9) centres.push(a + T / 2);
    // The studs of what stands over another opening carry a joint as cripples do.
    else if (role === 'king') cripples.push(a + T / 2);
  };

  vertical(from, T, 'plate', 'stud', 'end stud');
  vertical(to - T, T, 'plate', 'stud', 'end stud');
  for (const o of outerFirst(plan.openings)) {
    const right = o.left + o.width;
    const head = o.bottom + o.height;
    const side = openingSide(o);
    const reach = side - T;
    const low = o.from ?? T;
    const high = o.to ?? (o.through ? (o.past ?? 'plate') : 'plate');
    // The end stud of the wall serves where it stands there anyway, and a stud of the opening over or under it.
    const needed = (a: number): number =>
      o.rake === undefined ? o.bottom + o.height : Math.min(ceiling(a), ceiling(a + T));
    const stands = (at: number): boolean =>
      uprights.some((u) => Math.abs(u.a - at) < 1e-6 && u.from <= low + 1e-6 && u.to >= needed(u.a) - 1e-6);
    for (const at of [o.left - side, right + reach])
      if (!stands(at)) vertical(at, low, high, 'king', `king stud, ${o.kind}`);
    if (reach > 0)
      for (const at of [o.left - T, right]) if (!stands(at)) vertical(at, low, head, 'jack', `jack stud, ${o.kind}`);
    // A head that follows the plate is the plate.
    if (o.rake === undefined) headerParts(sketch, plan, o, depth);
    const over = { what: 'over', from: o.left - reach, length: o.width + 2 * reach } as const;
    if (slope === 0 && packers(sketch, plan, o, { ...over, low: headTop(o), high: o.to ?? ceiling(0) }, depth))
      packed.add(o.id);
    const under = { what: 'under', from: o.left, length: o.width } as const;
    if (packers(sketch, plan, o, { ...under, low: o.from ?? T, high: o.bottom - T }, depth)) raised.add(o.id);
    if (o.bottom > T + 0.01)
      sketch.add(
        boxPart(
          axes,
          id,
          {
            id: `${id}/${o.id}/sill`,
            name: `${name} sill, ${o.kind}`,
            role: 'sill',
            item: studItem,
            fit: 'measure in place',
            tolerance: 0.25,
          },
          [o.left, 0, o.bottom - T],
          [o.width, depth, T],
          'a',
        ),
      );
  }
  // What stands from plate to plate before the layout is laid out.
  const full = uprights.filter((u) => u.from <= T + 1e-6 && u.to >= ceiling(u.a) - 0.5).map((u) => u.a);
  const firstK = Math.ceil((from - plan.layoutFrom) / plan.spacing);
  for (let k = firstK; plan.layoutFrom + k * plan.spacing < to; k++) {
    const a = plan.layoutFrom + k * plan.spacing - T / 2;
    if (a < from + T || a + T > to - T) continue;
    const here = plan.openings.filter((o) => a + T > o.left - openingSide(o) && a < o.left + o.width + openingSide(o));
    if (here.length === 0) {
      // A stud that stands there anyway serves for one that would all but touch it, but where sheets are joined.
      const joint = (k * plan.spacing) % SHEET_AT === 0;
      if (joint || !full.some((at) => Math.abs(at - a) < T + CLOSE)) vertical(a, T, 'plate', 'stud', 'stud');
      continue;
    }
    // Openings whose studs it would lie on take its place.
    const between = (o: PlacedOpening): boolean => a >= o.left && a + T <= o.left + o.width;
    const taken = here.filter((o) => !between(o));
    if (taken.some((o) => o.within === undefined)) continue;
    if (here.every((o) => o.within === undefined || between(o))) cripples.push(a + T / 2);
    for (const gap of freeHeights(here, taken)) {
      const filled =
        (gap.over && packed.has(gap.over.id)) || (gap.under && raised.has(gap.under.id)) || gap.to - gap.from <= 0.5;
      if (filled) continue;
      if (gap.under) vertical(a, gap.from, gap.to, 'cripple', `cripple under ${gap.under.kind}`);
      else if (gap.over && ceiling(a) - gap.from > 0.5 && ceiling(a + T) - gap.from > 0.5)
        vertical(a, gap.from, 'plate', 'cripple', `cripple over ${gap.over.kind}`);
    }
  }
  for (const c of plan.bearings ?? []) {
    const [over] = plan.openings
      .filter((o) => c > o.left - openingSide(o) && c < o.left + o.width + openingSide(o))
      .sort((p, q) => headTop(q) - headTop(p));
    if (over) {
      // On its header a short one, where the head is not packed and does not rise past the plates.
      const stands = uprights.some((u) => u.from >= headTop(over) - 1e-6 && Math.abs(u.a + T / 2 - c) < T);
      const reach = openingSide(over) - T;
      // Between its king studs, which carry what stands over them.
      const a = Math.min(Math.max(c - T / 2, over.left - reach), over.left + over.width + reach - T);
      const onKing = Math.abs(a + T / 2 - c) > T / 2;
      if (!over.through && !packed.has(over.id) && !stands && !onKing && ceiling(c) - headTop(over) > 0.5)
        vertical(a, headTop(over), 'plate', 'cripple', `cripple over ${over.kind}`);
      continue;
    }
    if (centres.some((at) => Math.abs(at - c) < T)) continue;
    // Against a stud that all but touches the place, else on it.
    const near = centres.find((at) => Math.abs(at - c) < 2 * T);
    vertical((near === undefined ? c : near + Math.sign(c - near) * T) - T / 2, T, 'plate', 'stud', 'stud');
  }
  marks.sort((p, q) => p.at - q.at);
  centres.sort((p, q) => p - q);
  const level = (what: 'bottom' | 'top' | 'upper', z: number, item: string): string[] => {
    // A long plate is joined over a stud; the upper one of a pair a stud further on.
    const through = what === 'bottom' ? [] : plan.openings.filter((o) => o.through);
    const pieces = stretchesBeside(from, to, through).flatMap(([a, b]) =>
      splitMember(a, b, what === 'upper' ? centres.filter((c) => c < to - 40) : centres, longestPiece(item)),
    );
    return pieces.map(([a, b], i) => {
      const pieceId = `${id}/${what}-plate${pieces.length > 1 ? `-${i + 1}` : ''}`;
      const text = { id: pieceId, name: `${name} ${what} plate`, role: 'plate' as const, item };
      const gaps = what === 'bottom' ? plan.openings.filter((o) => standsOnFloor(o) && o.left > a && o.left < b) : [];
      addPlate(sketch, plan, text, [a, b], z, depth, gaps);
      return pieceId;
    });
  };
  const marked = level('bottom', 0, plan.bottomItem ?? studItem);
  const topPlates = slope === 0 ? level('top', ceiling(0), studItem) : [];
  // A plate that ends at what rises past it is marked from the one below.
  const broken = plan.openings.some((o) => o.through);
  if (!broken) marked.push(...topPlates);
  if (plates === 2) level('upper', ceiling(0) + T, studItem);
  for (const z of plan.blockRows ?? []) frameBlockRow(sketch, plan, uprights, z, depth, packed);
  const tape: Tape = {
    title: broken ? 'bottom plate, the top ones laid beside it' : slope === 0 ? 'both plates' : 'bottom plate',
    parts: marked,
    length: to - from,
    marks,
  };
  return { centres, cripples, tape, ceiling };
};

/** A plate; where doors stand on the floor it is cut as one, and sawn out between their studs when the wall stands. */
const addPlate = (
  sketch: Sketch,
  plan: WallPlan,
  text: { readonly id: string; readonly name: string; readonly role: 'plate'; readonly item: string },
  [from, to]: readonly [number, number],
  z: number,
  depth: number,
  gaps: readonly PlacedOpening[],
): void => {
  const place = (more: Partial<PartText>, a: number, b: number) =>
    boxPart(plan.axes, plan.id, { ...text, ...more }, [a, 0, z], [b - a, depth, T], 'a');
  const [first, ...later] = [...gaps].sort((p, q) => p.left - q.left);
  if (!first) {
    sketch.add(place({}, from, to));
    return;
  }
  const rests = [first, ...later].map((o, i) => ({
    id: `${text.id}-beyond-${i + 1}`,
    from: o.left + o.width,
    to: later[i]?.left ?? to,
  }));
  const sawn = [first, ...later].map((o) => `${o.width}″ under the ${o.kind}`).join(', ');
  const left = place(
    { notches: [`runs through; sawn out once the wall stands: ${sawn}`], sawnOut: rests.map((r) => r.id) },
    from,
    first.left,
  );
  sketch.add(
    { ...left, length: to - from, shortPoint: to - from },
    ...rests.map((r) => place({ id: r.id, fit: 'sawn in place' }, r.from, r.to)),
  );
};

/** The stretches of a plate that ends at the king studs of what rises past it. */
const stretchesBeside = (
  from: number,
  to: number,
  through: readonly PlacedOpening[],
): (readonly [number, number])[] => {
  const out: (readonly [number, number])[] = [];
  let start = from;
  for (const o of [...through].sort((p, q) => p.left - q.left)) {
    out.push([start, o.left - openingSide(o)]);
    start = o.left + o.width + openingSide(o);
  }
  return [...out, [start, to]];
};

/** Openings that share another's studs after it. */
const outerFirst = (openings: readonly PlacedOpening[]): readonly PlacedOpening[] => [
  ...openings.filter((o) => o.within === undefined),
  ...openings.filter((o) => o.within !== undefined),
];

/** A stretch of height that a layout place leaves free, with the opening that it stands on and the one that it carries. */
interface FreeHeight {
  readonly from: number;
  readonly to: number;
  readonly over?: PlacedOpening;
  readonly under?: PlacedOpening;
}

/** What openings over each other leave free at a layout place, from the bottom plate up; a place on an inner one's studs is theirs. */
const freeHeights = (here: readonly PlacedOpening[], taken: readonly PlacedOpening[]): readonly FreeHeight[] => {
  const out: FreeHeight[] = [];
  let from = T;
  let over: PlacedOpening | undefined;
  for (const o of [...here].sort((p, q) => p.bottom - q.bottom)) {
    const own = taken.includes(o);
    out.push({ from, to: own ? (o.from ?? T) : o.bottom - T, ...(over ? { over } : {}), under: o });
    from = own ? (o.to === undefined ? Infinity : o.to + T) : headTop(o);
    over = o;
  }
  if (from < Infinity) out.push({ from, to: Infinity, ...(over ? { over } : {}) });
  return out;
};
