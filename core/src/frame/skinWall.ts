import { clipBelow, rectangle } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import type { Axes } from './axes.ts';
import { chooseJoints } from './chooseJoints.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import { polyPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

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
  /** Longest piece of a sheet, upright. */
  readonly course?: number;
  /** Heights with framing behind, where sheets may be joined one above the other. */
  readonly breaks?: readonly number[];
  /** Where the top line bends, such as under a ridge. */
  readonly peaks?: readonly number[];
  readonly centres: readonly number[];
  /** Where cripples over wide openings stand, for joints that find no stud. */
  readonly cripples?: readonly number[];
  readonly openings: readonly PlacedOpening[];
}

/** The outline of a wall's skin between two places, from its foot to its top line. */
export const skinRing = (plan: Pick<SkinPlan, 'bottom' | 'top' | 'peaks'>, a: number, b: number): Pt[] => [
  [a, plan.bottom],
  [b, plan.bottom],
  [b, plan.top(b)],
  ...[...(plan.peaks ?? [])]
    .filter((p) => p > a + 1e-6 && p < b - 1e-6)
    .sort((p, q) => q - p)
    .map((p): Pt => [p, plan.top(p)]),
  [a, plan.top(a)],
];

const EPS = 1e-6;

/** An opening's rectangle. */
export const rectOf = (o: PlacedOpening) => ({
  left: o.left,
  right: o.left + o.width,
  bottom: o.bottom,
  top: o.bottom + o.height,
});

/** An upright strip of a wall from `a` to `b` with the openings taken out: notched where one reaches in, parted where one crosses. */
export const stripRings = (
  column: readonly Pt[],
  a: number,
  b: number,
  holes: readonly { readonly left: number; readonly right: number; readonly bottom: number; readonly top: number }[],
): { readonly ring: Pt[]; readonly holes: Pt[][] }[] => {
  const near = holes.filter((h) => h.left < b - EPS && h.right > a + EPS).sort((p, q) => p.bottom - q.bottom);
  const across = near.filter((h) => h.left <= a + EPS && h.right >= b - EPS);
  const partial = near.filter((h) => !across.includes(h));
  const foot = Math.min(...column.map((p) => p[1]));
  const spans: [number, number][] = [];
  let z = foot;
  for (const h of across) {
    if (h.bottom > z + EPS) spans.push([z, h.bottom]);
    z = Math.max(z, h.top);
  }
  spans.push([z, Infinity]);
  return spans.flatMap(([z0, z1]) => {
    const body = clipBelow(z1 === Infinity ? [...column] : clipBelow(column, [0, 1], z1), [0, -1], -z0);
    if (body.length < 3 || Math.max(...body.map((p) => p[1])) - z0 < 0.25) return [];
    const mine = partial.filter((h) => h.top > z0 + EPS && h.bottom < z1 - EPS);
    const right = mine.filter((h) => h.right >= b - EPS);
    const left = mine.filter((h) => h.left <= a + EPS);
    const inside = mine.filter((h) => !right.includes(h) && !left.includes(h));
    // The top line of the body, from right to left.
    const topLine = body.filter((p) => p[1] > z0 + EPS).sort((p, q) => q[0] - p[0]);
    const ring: Pt[] = [
      [a, z0],
      [b, z0],
      ...right.flatMap((h): Pt[] => [
        [b, h.bottom],
        [h.left, h.bottom],
        [h.left, h.top],
        [b, h.top],
      ]),
      ...topLine,
      ...[...left].reverse().flatMap((h): Pt[] => [
        [a, h.top],
        [h.right, h.top],
        [h.right, h.bottom],
        [a, h.bottom],
      ]),
    ];
    // A notch that starts at the foot leaves doubled points.
    const clean = ring.filter((p, i) => {
      const q = ring[(i + 1) % ring.length] as Pt;
      return Math.abs(p[0] - q[0]) > EPS || Math.abs(p[1] - q[1]) > EPS;
    });
    return [{ ring: clean, holes: inside.map((h) => rectangle(h.left, h.bottom, h.right, h.top)) }];
  });
};

/** Covers a wall with sheets joined on studs, openings cut out on the bench. */
export const skinWall = (sketch: Sketch, plan: SkinPlan): void => {
  const joints = chooseJoints(plan.from, plan.to, plan.sheet, plan.centres, plan.cripples);
  let n = 0;
  for (let i = 0; i + 1 < joints.length; i++) {
    const a = joints[i] as number;
    const b = joints[i + 1] as number;
    const column = skinRing(plan, a, b);
    const high = Math.max(...column.map((p) => p[1]));
    const lines = chooseJoints(plan.bottom, high, plan.course ?? 1000, plan.breaks ?? []);
    for (let k = 0; k + 1 < lines.length; k++) {
      const z0 = lines[k] as number;
      const z1 = lines[k + 1] as number;
      const part = clipBelow(clipBelow(column, [0, 1], z1), [0, -1], -z0);
      if (part.length < 3) continue;
      for (const piece of stripRings(part, a, b, plan.openings.map(rectOf)))
        sketch.add(
          polyPart(
            plan.axes,
            plan.id,
            { id: `${plan.id}/skin-${++n}`, name: `${plan.name} siding`, role: 'siding', item: plan.item },
            'az',
            piece.ring,
            -plan.thickness,
            plan.thickness,
            { holes: piece.holes, grain: 'v' },
          ),
        );
    }
  }
};

/** Mesh over a wall's outside, one piece, cut out at doors. */
export const meshWall = (
  sketch: Sketch,
  plan: Omit<SkinPlan, 'sheet' | 'centres' | 'cripples' | 'course' | 'breaks'>,
): void => {
  const holes = plan.openings.map((o) => rectangle(o.left, o.bottom, o.left + o.width, o.bottom + o.height));
  sketch.add(
    polyPart(
      plan.axes,
      plan.id,
      { id: `${plan.id}/mesh`, name: `${plan.name} mesh`, role: 'mesh', item: plan.item },
      'az',
      skinRing(plan, plan.from, plan.to),
      -plan.thickness,
      plan.thickness,
      { holes },
    ),
  );
};
