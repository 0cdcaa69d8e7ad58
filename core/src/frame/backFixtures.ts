import { findPieces, measureSeparation } from '../geometry/index.ts';
import type { Axes } from './axes.ts';
import { boxPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;
/** A block's depth over and under what is fixed to it. */
const WIDE = 3.5;

/** Something that is screwed to a wall's inside: its run along the wall and its heights. */
export interface Fixture {
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
}

/**
 * Blocks between the studs of a wall, flush with their inner faces, behind what finds no stud; what is fixed close above one another
 * shares a block. Where something stands in the bay there is none.
 * @param centres studs along the wall
 * @returns what is held by neither
 * @param deep depth of the wall's framing
 */
export const backFixtures = (
  sketch: Sketch,
  wall: { readonly id: string; readonly name: string; readonly axes: Axes; readonly deep: number },
  centres: readonly number[],
  fixtures: readonly Fixture[],
): readonly Fixture[] => {
  const studs = [...centres].sort((p, q) => p - q);
  const wanted = fixtures
    .filter((f) => !studs.some((c) => c > f.from + 0.4 && c < f.to - 0.4))
    .flatMap((f) => {
      const middle = (f.from + f.to) / 2;
      const left = studs.filter((c) => c < middle).pop();
      const right = studs.find((c) => c > middle);
      const z = (f.low + f.high) / 2;
      return left === undefined || right === undefined
        ? []
        : [{ from: left + T / 2, to: right - T / 2, low: z - WIDE / 2, high: z + WIDE / 2, for: [f] }];
    })
    .sort((p, q) => p.from - q.from || p.low - q.low);
  const merged: (Fixture & { readonly for: readonly Fixture[] })[] = [];
  for (const w of wanted) {
    const before = merged.at(-1);
    if (before && Math.abs(before.from - w.from) < 1e-6 && w.low < before.high + 0.25)
      merged[merged.length - 1] = { ...before, high: Math.max(before.high, w.high), for: [...before.for, ...w.for] };
    else merged.push(w);
  }
  const standing = sketch.parts.filter((p) => p.assembly === wall.id).flatMap((p) => findPieces(p.shape, p.place));
  const openings = sketch.openings.filter((o) => o.assembly === wall.id);
  const inOpening = (m: Fixture): boolean =>
    openings.some(
      (o) => m.from < o.left + o.width && m.to > o.left && m.low < o.bottom + o.height + T && m.high > o.bottom - T,
    );
  const left: Fixture[] = [];
  merged.forEach((m, i) => {
    const high = m.high - m.low;
    const item = high <= 3.5 ? '2x4' : high <= 5.5 ? '2x6' : high <= 7.25 ? '2x8' : '2x10';
    const block = boxPart(
      wall.axes,
      wall.id,
      {
        id: `${wall.id}/backing-${i + 1}`,
        name: `${wall.name} backing`,
        role: 'blocking',
        item,
        ...(high < { '2x4': 3.5, '2x6': 5.5, '2x8': 7.25, '2x10': 9.25 }[item] ? { rip: high } : {}),
        fit: 'measure in place',
        tolerance: 0.125,
      },
      [m.from, wall.deep - T, m.low],
      [m.to - m.from, T, high],
      'a',
    );
    const [body] = findPieces(block.shape, block.place);
    if (m.to - m.from >= 3 && body && !inOpening(m) && standing.every((s) => measureSeparation(body, s, 0.1) > -1 / 32))
      sketch.add(block);
    else left.push(...m.for);
  });
  return left;
};
