import type { Pt } from '../geometry/index.ts';
import { rectangle } from '../geometry/index.ts';
import type { EndCut, Tape, TapeMark } from '../build/index.ts';
import { findLumber } from '../stock/index.ts';
import type { Axes } from './axes.ts';
import { boxPart, polyPart, sawAngle } from './makePart.ts';
import { headerHeight, OPENING_SIDE } from './layoutOpenings.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import type { Sketch } from './sketch.ts';

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
}

/** Centres of full-height verticals, where sheets may be joined. */
export interface FramedWall {
  readonly centres: readonly number[];
  readonly tape: Tape;
  readonly ceiling: (a: number) => number;
}

const headerParts = (sketch: Sketch, plan: WallPlan, o: PlacedOpening): void => {
  const { axes, id, name } = plan;
  const z = o.bottom + o.height;
  const length = o.width + 2 * T;
  const a = o.left - T;
  const h = headerHeight(o.width);
  const text = { name: `${name} header, ${o.kind}`, role: 'header' as const };
  if (h === T) {
    sketch.add(
      boxPart(axes, id, { ...text, id: `${id}/${o.id}/header`, item: '2x4' }, [a, 0, z], [length, WALL, T], 'a'),
    );
    return;
  }
  const item = h === 3.5 ? '2x4' : '2x6';
  for (const [k, t] of [0, WALL - T].entries())
    sketch.add(
      boxPart(axes, id, { ...text, id: `${id}/${o.id}/header-${k + 1}`, item }, [a, t, z], [length, T, h], 'a'),
    );
  sketch.add(
    boxPart(
      axes,
      id,
      { id: `${id}/${o.id}/spacer`, name: `${name} header spacer, ${o.kind}`, role: 'spacer', item: 'ply-1/2' },
      [a, T, z],
      [length, 0.5, h],
      'a',
    ),
  );
};

/**
 * Frames a wall: bottom and top plate, end studs, studs on the layout, and for every opening king and jack studs, header,
 * sill and cripples. Under a slope the plate follows it, studs get their own lengths and a bevel.
 */
export const frameWall = (sketch: Sketch, plan: WallPlan): FramedWall => {
  const { axes, id, name, from, to, slope } = plan;
  const studItem = plan.studItem ?? '2x4';
  const depth = findLumber(studItem).width;
  const angle = Math.atan(slope);
  const plateHigh = T / Math.cos(angle);
  const top = (a: number): number => plan.height + slope * a;
  const ceiling = (a: number): number => top(a) - plateHigh;
  const marks: TapeMark[] = [];
  const centres: number[] = [];
  let count = 0;

  sketch.add(
    boxPart(
      axes,
      id,
      { id: `${id}/bottom-plate`, name: `${name} bottom plate`, role: 'plate', item: plan.bottomItem ?? studItem },
      [from, 0, 0],
      [to - from, depth, T],
      'a',
    ),
  );
  const plate = { id: `${id}/top-plate`, name: `${name} top plate`, role: 'plate' as const, item: studItem };
  if (slope === 0) sketch.add(boxPart(axes, id, plate, [from, 0, ceiling(0)], [to - from, depth, T], 'a'));
  else {
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
    sketch.add(polyPart(axes, id, { ...plate, cuts }, 'az', ring, 0, depth, { turn: (angle * 180) / Math.PI }));
  }

  const vertical = (
    a: number,
    z0: number,
    z1: 'plate' | number,
    role: 'stud' | 'king' | 'jack' | 'cripple',
    what: string,
  ): void => {
    const part = { id: `${id}/${role}-${++count}`, name: `${name} ${what}`, role, item: studItem };
    if (z1 !== 'plate' || slope === 0) {
      const end = z1 === 'plate' ? ceiling(0) : z1;
      sketch.add(boxPart(axes, id, part, [a, 0, z0], [T, depth, end - z0], 'z'));
    } else {
      const ring: Pt[] = [
        [a, z0],
        [a + T, z0],
        [a + T, ceiling(a + T)],
        [a, ceiling(a)],
      ];
      const cuts: EndCut[] = [
        { end: 'start', kind: 'square', angle: 0 },
        { end: 'end', kind: 'bevel', angle: sawAngle(angle) },
      ];
      sketch.add(polyPart(axes, id, { ...part, cuts }, 'az', ring, 0, depth, { turn: 90 }));
    }
    if (role !== 'cripple' || z0 <= T + 1e-9) marks.push({ at: a - from, side: 'right', what: role, part: part.id });
    if (z1 === 'plate' && z0 <= T + 1e-9 && role !== 'jack') centres.push(a + T / 2);
  };

  vertical(from, T, 'plate', 'stud', 'end stud');
  vertical(to - T, T, 'plate', 'stud', 'end stud');
  for (const o of plan.openings) {
    const right = o.left + o.width;
    const head = o.bottom + o.height;
    vertical(o.left - OPENING_SIDE, T, 'plate', 'king', `king stud, ${o.kind}`);
    vertical(right + T, T, 'plate', 'king', `king stud, ${o.kind}`);
    vertical(o.left - T, T, head, 'jack', `jack stud, ${o.kind}`);
    vertical(right, T, head, 'jack', `jack stud, ${o.kind}`);
    headerParts(sketch, plan, o);
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
  const firstK = Math.ceil((from - plan.layoutFrom) / plan.spacing);
  for (let k = firstK; plan.layoutFrom + k * plan.spacing < to; k++) {
    const a = plan.layoutFrom + k * plan.spacing - T / 2;
    if (a < from + T || a + T > to - T) continue;
    const inOpening = plan.openings.find((o) => a + T > o.left - OPENING_SIDE && a < o.left + o.width + OPENING_SIDE);
    if (!inOpening) {
      vertical(a, T, 'plate', 'stud', 'stud');
      continue;
    }
    if (a < inOpening.left || a + T > inOpening.left + inOpening.width) continue;
    const headTop = inOpening.bottom + inOpening.height + headerHeight(inOpening.width);
    if (ceiling(a) - headTop > 0.5 && ceiling(a + T) - headTop > 0.5)
      vertical(a, headTop, 'plate', 'cripple', `cripple over ${inOpening.kind}`);
    if (inOpening.bottom - 2 * T > 0.5)
      vertical(a, T, inOpening.bottom - T, 'cripple', `cripple under ${inOpening.kind}`);
  }
  marks.sort((p, q) => p.at - q.at);
  const tape: Tape = {
    title: slope === 0 ? 'both plates' : 'bottom plate',
    parts: slope === 0 ? [`${id}/bottom-plate`, `${id}/top-plate`] : [`${id}/bottom-plate`],
    length: to - from,
    marks,
  };
  return { centres: [...centres].sort((p, q) => p - q), tape, ceiling };
};

/** Where a run of `size` inches is joined: at the farthest candidate within `sheet` of the last joint. */
export const chooseJoints = (from: number, to: number, sheet: number, candidates: readonly number[]): number[] => {
  const joints = [from];
  let last = from;
  while (to - last > sheet + 1e-6) {
    const next =
      candidates.filter((c) => c > last + 1 && c <= last + sheet + 1e-6 && c < to - 1e-6).pop() ?? last + sheet;
    joints.push(next);
    last = next;
  }
  return [...joints, to];
};

/** A skin of sheets outside a framed wall. */
export interface SkinPlan {
  readonly id: string;
  readonly name: string;
  readonly axes: Axes;
  readonly from: number;
  readonly to: number;
  readonly bottom: number;
  readonly top: (a: number) => number;
  readonly item: string;
  readonly thickness: number;
  readonly sheet: number;
  readonly centres: readonly number[];
  readonly openings: readonly PlacedOpening[];
}

/** Covers a wall with sheets joined on studs, openings cut out on the bench. */
export const skinWall = (sketch: Sketch, plan: SkinPlan): void => {
  const joints = chooseJoints(plan.from, plan.to, plan.sheet, plan.centres);
  for (let i = 0; i + 1 < joints.length; i++) {
    const a = joints[i] as number;
    const b = joints[i + 1] as number;
    const ring: Pt[] = [
      [a, plan.bottom],
      [b, plan.bottom],
      [b, plan.top(b)],
      [a, plan.top(a)],
    ];
    const holes = plan.openings
      .filter((o) => o.left >= a - 1e-6 && o.left + o.width <= b + 1e-6)
      .map((o) => rectangle(o.left, o.bottom, o.left + o.width, o.bottom + o.height));
    sketch.add(
      polyPart(
        plan.axes,
        plan.id,
        { id: `${plan.id}/skin-${i + 1}`, name: `${plan.name} siding`, role: 'siding', item: plan.item },
        'az',
        ring,
        -plan.thickness,
        plan.thickness,
        { holes, grain: 'v' },
      ),
    );
  }
};

/** Mesh over a wall's outside, one piece, cut out at doors. */
export const meshWall = (sketch: Sketch, plan: Omit<SkinPlan, 'sheet' | 'centres'>): void => {
  const ring: Pt[] = [
    [plan.from, plan.bottom],
    [plan.to, plan.bottom],
    [plan.to, plan.top(plan.to)],
    [plan.from, plan.top(plan.from)],
  ];
  const holes = plan.openings.map((o) => rectangle(o.left, o.bottom, o.left + o.width, o.bottom + o.height));
  sketch.add(
    polyPart(
      plan.axes,
      plan.id,
      { id: `${plan.id}/mesh`, name: `${plan.name} mesh`, role: 'mesh', item: plan.item },
      'az',
      ring,
      -plan.thickness,
      plan.thickness,
      { holes },
    ),
  );
};
