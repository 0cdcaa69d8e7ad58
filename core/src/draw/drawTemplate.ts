import { printLength } from '../measure/index.ts';
import type { Pt } from '../geometry/index.ts';
import type { Part } from '../unit/index.ts';
import { boundsOfItems, dimension } from './dimensions.ts';
import { measureTemplate } from './measureTemplate.ts';
import { toneOf } from './project.ts';
import type { DrawItem, Drawing } from './types.ts';

/** How wide a piece is drawn at the most against its length: long sticks are drawn shorter than they are, figures say how long. */
const LONGEST = 9;
/** Figures along the piece stand in as many rows as keep them apart. */
const ROWS = 4;

/**
 * The template of a piece: its outline lying down, every cut dimensioned from its left end (running along, in chalk), by its depth
 * from the nearer edge (keel) and its angle off square. The part between cuts is drawn shorter than it is.
 * @returns nothing for pieces that are square all round
 */
export const drawTemplate = (part: Part): Drawing | undefined => {
  const t = measureTemplate(part);
  if (!t) return undefined;
  const { length, width } = t;
  // Stretches without a mark are drawn short, so that the cuts can be read.
  const stops = [...new Set([0, ...t.marks.map((m) => m.at), length].map((n) => Math.round(n * 128) / 128))].sort(
    (a, b) => a - b,
  );
  const drawn = new Map<number, number>();
  const fair = (LONGEST * width) / Math.max(1, stops.length - 1);
  let x = 0;
  stops.forEach((stop, i) => {
    if (i > 0) x += Math.min(stop - (stops[i - 1] as number), Math.max(fair, width * 1.2));
    drawn.set(stop, x);
  });
  const place = (at: number): number => {
    const key = Math.round(at * 128) / 128;
    return drawn.get(key) ?? at;
  };
  const size = width * 0.2;
  const items: DrawItem[] = [
    {
      kind: 'area',
      rings: [t.ring.map(([at, up]): Pt => [place(at), up])],
      fill: toneOf(part),
      stroke: 'ink',
      part: part.id,
    },
  ];
  // Running measures from the left end.
  const firstRow = -size * 1.6;
  const ends: number[] = [];
  for (const stop of stops.slice(1)) {
    const px = place(stop);
    const text = printLength(stop);
    const half = text.length * size * 0.31;
    let row = 0;
    while (row < ROWS - 1 && (ends[row] ?? -Infinity) > px - half - size * 0.3) row++;
    ends[row] = px + half;
    const z = firstRow - row * size * 1.5;
    items.push(
      { kind: 'line', from: [px, 0], to: [px, z + size], stroke: 'chalk', weight: 0.7, dashed: true },
      { kind: 'text', at: [px, z], text, length: stop, size, anchor: 'middle', tone: 'chalk' },
    );
  }
  // Depths of corners that lie off the edges, from the nearer one.
  const seen = new Set<string>();
  for (const m of t.marks) {
    if (m.up < 1 / 64 || m.up > width - 1 / 64) continue;
    const low = m.up <= width / 2;
    const deep = low ? m.up : width - m.up;
    const key = `${Math.round(place(m.at) * 8)}|${Math.round(deep * 64)}|${low}`;
    if (seen.has(key)) continue;
    seen.add(key);
    items.push(
      ...dimension(
        [place(m.at), low ? 0 : width - deep],
        [place(m.at), low ? deep : width],
        size * 0.9,
        size * 0.85,
        'keel',
        printLength(deep),
      ),
    );
  }
  // Angles of what is not sawn square or along.
  const told = new Set<string>();
  for (const c of t.cuts) {
    if (c.angle < 0.05 || Math.abs(c.angle - 90) < 0.05) continue;
    const px = (place(c.from.at) + place(c.to.at)) / 2;
    const key = `${Math.round(px / size)}|${c.angle}`;
    if (told.has(key)) continue;
    told.add(key);
    items.push({
      kind: 'text',
      at: [px, width + size * 0.5],
      text: `${c.angle}°`,
      size: size * 0.9,
      anchor: px < size ? 'start' : px > x - size ? 'end' : 'middle',
      tone: 'ink',
    });
  }
  return { title: `${part.mark}, ${part.name}`, items, bounds: boundsOfItems(items, size) };
};
