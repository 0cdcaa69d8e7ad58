import { printLength } from '../measure/index.ts';
import { measurePtBounds } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import type { DrawItem, Drawing, Tone } from './types.ts';

/** Dimension line between two points, set off to the side: negative is below or left. */
export const dimension = (
  from: Pt,
  to: Pt,
  offset: number,
  size: number,
  tone: Tone = 'chalk',
  text = printLength(Math.hypot(to[0] - from[0], to[1] - from[1])),
): DrawItem[] => {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const level = Math.abs(to[1] - from[1]) < Math.abs(to[0] - from[0]);
  const shift = (p: Pt, by: number): Pt => (level ? [p[0], p[1] + by] : [p[0] + by, p[1]]);
  const flat: readonly [Pt, Pt] = level ? [from, [to[0], from[1]]] : [from, [from[0], to[1]]];
  const a = shift(flat[0], offset);
  const b = shift(flat[1], offset);
  const mid: Pt = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const t = size * 0.35;
  const tick = (p: Pt): DrawItem => ({
    kind: 'line',
    from: [p[0] - t, p[1] - t],
    to: [p[0] + t, p[1] + t],
    stroke: tone,
    weight: 1.6,
  });
  const line = (p: Pt, q: Pt, weight: number): DrawItem => ({ kind: 'line', from: p, to: q, stroke: tone, weight });
  const outside = Math.abs(level ? b[0] - a[0] : b[1] - a[1]) < text.length * size * 0.62;
  const away = Math.sign(offset) || 1;
  // A figure longer than an upright line lies level beside it.
  const at: Pt = level
    ? outside
      ? [Math.max(a[0], b[0]) + size * 0.5, mid[1] - size * 0.35]
      : [mid[0], mid[1] + size * 0.3]
    : outside
      ? [mid[0] + away * size * 0.6, mid[1] - size * 0.35]
      : [mid[0] - size * 0.3, mid[1]];
  return [
    line(shift(flat[0], offset * 0.15), shift(a, Math.sign(offset) * size * 0.3), 0.6),
    line(shift(flat[1], offset * 0.15), shift(b, Math.sign(offset) * size * 0.3), 0.6),
    line(a, b, 0.9),
    tick(a),
    tick(b),
    {
      kind: 'text',
      at,
      text,
      ...(text === printLength(length) ? { length } : {}),
      size,
      anchor: !outside ? 'middle' : level || away > 0 ? 'start' : 'end',
      tone,
      ...(level || outside ? {} : { turn: 90 }),
    },
  ];
};

/** The box that holds items and their figures, `pad` inches larger all round. */
export const boundsOfItems = (items: readonly DrawItem[], pad: number): Drawing['bounds'] => {
  const points: Pt[] = items.flatMap((i): Pt[] => {
    if (i.kind === 'area') return i.rings.flat();
    if (i.kind === 'line') return [i.from, i.to];
    const half = i.text.length * i.size * 0.31;
    const [l, r] = i.anchor === 'middle' ? [half, half] : i.anchor === 'start' ? [0, 2 * half] : [2 * half, 0];
    return i.turn
      ? [
          [i.at[0] - i.size, i.at[1] - l],
          [i.at[0] + i.size, i.at[1] + r],
        ]
      : [
          [i.at[0] - l, i.at[1] - i.size * 0.4],
          [i.at[0] + r, i.at[1] + i.size],
        ];
  });
  const [x0, y0, x1, y1] = measurePtBounds(points);
  return [x0 - pad, y0 - pad, x1 + pad, y1 + pad];
};
