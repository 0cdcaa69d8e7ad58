import polygonClipping from 'polygon-clipping';
import { clipBelow, measureArea, measurePtBounds, rectangle } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import type { Axes } from './axes.ts';
import { chooseJoints } from './chooseJoints.ts';
import { openingTop } from './layoutOpenings.ts';
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

/** What is taken out of a skin: a rectangle, or a ring within it where the head slants. */
export interface Cutout {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
  readonly ring?: readonly Pt[];
}

/** What an opening takes out of a skin. */
export const rectOf = (o: PlacedOpening): Cutout => {
  const [left, right] = [o.left, o.left + o.width];
  const [start, end] = [openingTop(o, left), openingTop(o, right)];
  const ring: Pt[] = [
    [left, o.bottom],
    [right, o.bottom],
    [right, end],
    [left, start],
  ];
  return { left, right, bottom: o.bottom, top: Math.max(start, end), ...(o.rake === undefined ? {} : { ring }) };
};

const ringOfCutout = (h: Cutout): readonly Pt[] => h.ring ?? rectangle(h.left, h.bottom, h.right, h.top);

/** A piece of skin: its outline and the openings wholly inside it. */
export interface StripPiece {
  readonly ring: Pt[];
  readonly holes: Pt[][];
}

/** Narrowest piece that is worth cutting; what is less stays open, as a joint. */
const LEAST_PIECE = 0.25;

/**
 * A strip of a wall's skin with the openings taken out: a hole where one lies inside, a notch where one reaches in, two pieces
 * where one crosses.
 */
export const cutStrip = (column: readonly Pt[], openings: readonly Cutout[]): StripPiece[] => {
  const [a, low, b, high] = measurePtBounds(column);
  const near = openings.filter(
    (h) => h.left < b - EPS && h.right > a + EPS && h.bottom < high - EPS && h.top > low + EPS,
  );
  const rect = isRectangle(column);
  if (near.every((h) => rect && h.left > a + EPS && h.right < b - EPS && h.bottom > low + EPS && h.top < high - EPS))
    return [{ ring: [...column], holes: near.map((h) => [...ringOfCutout(h)]) }];
  const ringOf = (ring: readonly Pt[]): [number, number][] => ring.map((p) => [p[0], p[1]]);
  const cut = polygonClipping.difference(
    [ringOf(column)],
    ...near.map((h): [number, number][][] => [ringOf(ringOfCutout(h))]),
  );
  return cut.flatMap((polygon) => {
    const rings = polygon.map((ring) => ring.slice(0, -1).map((p): Pt => [p[0], p[1]]));
    const outer = rings[0] as Pt[];
    const [x0, y0, x1, y1] = measurePtBounds(outer);
    return Math.min(x1 - x0, y1 - y0) < LEAST_PIECE ? [] : [{ ring: outer, holes: rings.slice(1) }];
  });
};

const isRectangle = (ring: readonly Pt[]): boolean => {
  const [x0, y0, x1, y1] = measurePtBounds(ring);
  return Math.abs(Math.abs(measureArea(ring)) - (x1 - x0) * (y1 - y0)) < EPS;
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
      for (const piece of cutStrip(part, plan.openings.map(rectOf)))
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

/** Mesh over a wall's outside, one piece where no opening parts it, cut out at doors. */
export const meshWall = (
  sketch: Sketch,
  plan: Omit<SkinPlan, 'sheet' | 'centres' | 'cripples' | 'course' | 'breaks'>,
): void =>
  cutStrip(skinRing(plan, plan.from, plan.to), plan.openings.map(rectOf)).forEach((piece, i) =>
    sketch.add(
      polyPart(
        plan.axes,
        plan.id,
        {
          id: `${plan.id}/mesh${i === 0 ? '' : `-${i + 1}`}`,
          name: `${plan.name} mesh`,
          role: 'mesh',
          item: plan.item,
        },
        'az',
        piece.ring,
        -plan.thickness,
        plan.thickness,
        { holes: piece.holes },
      ),
    ),
  );
