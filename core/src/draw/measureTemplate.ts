import { measurePtBounds } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import type { Part } from '../unit/index.ts';

/** A corner of a cut, as it is marked: `at` inches along the piece from its left end, `up` inches from its lower edge. */
export interface TemplateMark {
  readonly at: number;
  readonly up: number;
}

/** A line to be sawn: between two marks, `angle` degrees off square to the piece. */
export interface TemplateCut {
  readonly from: TemplateMark;
  readonly to: TemplateMark;
  readonly angle: number;
}

/** What a piece with notches or slanting ends is marked out by, its length lying to the right. Inches. */
export interface Template {
  readonly length: number;
  readonly width: number;
  readonly ring: readonly Pt[];
  /** Corners of its cuts, from the left; those of its ends among them where they are not square. */
  readonly marks: readonly TemplateMark[];
  readonly cuts: readonly TemplateCut[];
}

const EPS = 1 / 128;
/** A part's outline lies along its length where one of its extents is that length. */
const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;

/**
 * The template of a piece whose wide face or edge shows what is sawn out of it; nothing for pieces that are square all round, and
 * for those whose outline is their cross-section.
 */
export const measureTemplate = (part: Pick<Part, 'shape' | 'length'>): Template | undefined => {
  const { outline } = part.shape;
  const [x0, y0, x1, y1] = measurePtBounds(outline);
  const lies = near(x1 - x0, part.length);
  if (!lies && !near(y1 - y0, part.length)) return undefined;
  // Upright outlines are laid down to the right.
  const ring = outline.map(([x, y]): Pt => (lies ? [x - x0, y - y0] : [y - y0, x1 - x]));
  const [length, width] = lies ? [x1 - x0, y1 - y0] : [y1 - y0, x1 - x0];
  const onEnd = (x: number): boolean => x < EPS || x > length - EPS;
  const onEdge = (y: number): boolean => y < EPS || y > width - EPS;
  const corner = ([x, y]: Pt): boolean => onEnd(x) && onEdge(y);
  const marks = ring
    .filter((p) => !corner(p))
    .map(([at, up]): TemplateMark => ({ at, up }))
    .sort((p, q) => p.at - q.at || p.up - q.up);
  if (marks.length === 0) return undefined;
  const cuts = ring.flatMap((p, i): TemplateCut[] => {
    const q = ring[(i + 1) % ring.length] as Pt;
    const along = (near(p[1], q[1]) && onEdge(p[1])) || (near(p[0], q[0]) && onEnd(p[0]));
    if (along) return [];
    const angle = Math.abs((Math.atan2(q[0] - p[0], q[1] - p[1]) * 180) / Math.PI);
    return [
      {
        from: { at: p[0], up: p[1] },
        to: { at: q[0], up: q[1] },
        angle: Math.round(Math.min(angle, 180 - angle) * 10) / 10,
      },
    ];
  });
  return { length, width, ring, marks, cuts };
};
