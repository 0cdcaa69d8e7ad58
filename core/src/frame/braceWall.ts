import { measureBounds } from '../unit/index.ts';
import type { PartDraft } from '../unit/index.ts';
import { dot, sub } from '../geometry/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import type { Axes } from './axes.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import type { Sketch } from './sketch.ts';

/** A pair of straps crosses a stretch no wider than this share of its height: flatter ones hold little. Common practice, no source. */
const WIDEST = 1.5;
/** A stretch narrower than this is no panel to brace. Common practice, no source. */
const NARROWEST = 20;
/** Walls longer than this are braced at both ends. Common practice, no source. */
const BOTH_ENDS = 144;
/** A strap is sold in this length. */
export const STRAP_LENGTH = 144;
/** Screws at each end of a strap. */
const AT_END = 3;

/** What is braced: a framed wall, standing at `from` to `to` along its axes. */
export interface BracePlan {
  readonly id: string;
  readonly axes: Axes;
  readonly from: number;
  readonly to: number;
  readonly openings: readonly Pick<PlacedOpening, 'left' | 'width'>[];
}

const extent = (part: PartDraft, axes: Axes, way: Vec3): readonly [number, number] => {
  const { low, high } = measureBounds([part]);
  const ends = [dot(sub(low, axes.origin), way), dot(sub(high, axes.origin), way)];
  return [Math.min(...ends), Math.max(...ends)];
};

/**
 * Flat steel straps from corner to corner, both ways, under the skin of a wall that boards or mesh do not hold square: one crossed
 * pair, two in a long wall, where it stands clear of openings. @returns how many pairs found room
 */
export const braceWall = (sketch: Sketch, plan: BracePlan): number => {
  const { id, axes } = plan;
  const measured = (...roles: readonly PartDraft['role'][]) =>
    sketch.parts
      .filter((p) => p.assembly === id && roles.includes(p.role))
      .map((part) => ({ part, along: extent(part, axes, axes.a), up: extent(part, axes, axes.z) }));
  const plates = measured('plate');
  const uprights = measured('stud', 'king');
  const gaps: (readonly [number, number])[] = [];
  let start = plan.from;
  for (const o of [...plan.openings].sort((p, q) => p.left - q.left)) {
    gaps.push([start, o.left]);
    start = Math.max(start, o.left + o.width);
  }
  gaps.push([start, plan.to]);
  const clear = gaps.filter(([a, b]) => b - a >= NARROWEST).sort((p, q) => q[1] - q[0] - (p[1] - p[0]));
  const [widest] = clear;
  if (!widest) return 0;
  const heightAt = (a: number, b: number): number =>
    Math.min(...plates.filter((p) => p.along[0] < b && p.along[1] > a && p.up[0] > 6).map((p) => p.up[0]), 96);
  const panelAt = ([a, b]: readonly [number, number], end: 'start' | 'stop'): readonly [number, number] => {
    const wide = Math.min(b - a, heightAt(a, b) * WIDEST);
    return end === 'start' ? [a, a + wide] : [b - wide, b];
  };
  const first = panelAt(widest, 'start');
  const last = panelAt(widest, 'stop');
  const panels =
    plan.to - plan.from > BOTH_ENDS && last[0] >= first[1]
      ? [first, last]
      : plan.to - plan.from > BOTH_ENDS && clear[1]
        ? [first, panelAt(clear[1], 'start')]
        : [first];
  let made = 0;
  for (const [a, b] of panels) {
    const within = (span: readonly [number, number]): boolean => span[1] > a + 0.1 && span[0] < b - 0.1;
    const here = plates.filter((p) => within(p.along));
    const low = here.filter((p) => p.up[0] < 6);
    const high = here.filter((p) => p.up[0] >= 6);
    const studs = uprights.filter((u) => within(u.along));
    if (low.length === 0 || high.length === 0 || studs.length === 0) continue;
    made++;
    const parts = [...low, ...studs, ...high].map((p) => p.part.id);
    sketch.join({
      kind: 'strap',
      parts,
      hardware: { 'brace-strap': 2 * Math.ceil(Math.hypot(b - a, heightAt(a, b)) / STRAP_LENGTH) },
      fasteners: [{ item: 'screw-1-1/2', length: 1.5, count: 2 * (2 * AT_END + studs.length) }],
      bite: { through: 1 / 16, into: 1.4375 },
    });
  }
  return made;
};

/** Steel angles in the four corners of a door's frame: what holds a wall square that is mostly doors. */
export const braceDoorway = (sketch: Sketch, id: string, opening: string): void => {
  const mine = sketch.parts.filter((p) => p.assembly === id);
  const header = mine.find((p) => p.role === 'header' && p.id.startsWith(`${id}/${opening}/`));
  if (!header) return;
  const span = measureBounds([header]);
  const over = (p: PartDraft, q: typeof span): boolean => {
    const b = measureBounds([p]);
    return ([0, 1] as const).every((k) => b.low[k] <= q.high[k] + 0.01 && b.high[k] >= q.low[k] - 0.01);
  };
  const low = (p: PartDraft): number => measureBounds([p]).low[2];
  // Not those of a window over it, which stand on its header.
  const beside = mine.filter((p) => p.role === 'king' && over(p, span) && low(p) < span.low[2]);
  // Each foot of the frame on its own piece of the plate, where that is sawn out between them.
  const soleOf = (king: PartDraft): PartDraft | undefined =>
    mine.filter((p) => p.role === 'plate' && over(p, measureBounds([king]))).sort((p, q) => low(p) - low(q))[0];
  for (const king of beside)
    for (const other of [header, soleOf(king)])
      if (other)
        sketch.join({
          kind: 'tie',
          parts: [king.id, other.id],
          hardware: { 'angle-tie': 1 },
          fasteners: [{ item: 'screw-1-1/4', length: 1.25, count: 4 }],
        });
};
