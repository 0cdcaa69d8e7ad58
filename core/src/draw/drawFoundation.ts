import type { Pt } from '../geometry/index.ts';
import { printLength } from '../measure/index.ts';
import type { FoundationPlan } from '../site/index.ts';
import type { Build } from '../unit/index.ts';
import type { DrawItem, Drawing } from './types.ts';

/** More supports than this are numbered; fewer carry their heights beside them. */
const FEW = 9;
/** Block in plan. */
const PAD = 8;

const box = (x0: number, y0: number, x1: number, y1: number): Pt[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];

/** Draws what carries a unit in plan, the front below: its outline, concrete, and every support with its number or height. */
export const drawFoundation = (plan: FoundationPlan, base: Build['facts']['base']): Drawing => {
  const [x0, y0, x1, y1] = base;
  const span = Math.max(x1 - x0, y1 - y0, 48);
  const size = Math.max(3.2, span / (plan.supports.length <= FEW ? 22 : 30));
  const items: DrawItem[] = [
    { kind: 'area', rings: [box(x0, y0, x1, y1)], fill: 'none', stroke: 'soft', dashed: true },
  ];
  for (const c of plan.concrete) {
    // Concrete lies under the house, which ends at the right of what the unit rests on.
    const left = x1 - c.length;
    const inner = c.wide === undefined ? [] : [box(left + c.wide, y0 + c.wide, x1 - c.wide, y0 + c.width - c.wide)];
    items.push({ kind: 'area', rings: [box(left, y0, x1, y0 + c.width), ...inner], fill: 'ground', stroke: 'ink' });
    items.push({
      kind: 'text',
      at: [left + c.length / 2, y0 + c.width / 2],
      text: `${c.kind === 'slab' ? 'slab' : 'ring'} ${printLength(c.length)} × ${printLength(c.width)}`,
      size,
      anchor: 'middle',
      tone: 'ink',
      tag: 'paper',
    });
  }
  const few = plan.supports.length <= FEW;
  const half = Math.max(PAD / 2, size * 0.7);
  plan.supports.forEach((s, i) => {
    items.push({
      kind: 'area',
      rings: [box(s.x - half, s.y - half, s.x + half, s.y + half)],
      fill: s.blocks === 0 ? 'paper' : s.fill ? 'amber' : 'ground',
      stroke: 'ink',
    });
    const front = s.y < (y0 + y1) / 2;
    items.push({
      kind: 'text',
      at: [s.x, front ? s.y - half - size * 1.2 : s.y + half + size * 0.35],
      text: few ? `${i + 1}: ${printLength(s.height)}` : String(i + 1),
      size,
      anchor: 'middle',
      tone: 'ink',
    });
  });
  items.push({
    kind: 'text',
    at: [(x0 + x1) / 2, y0 - half - size * 3.2],
    text: 'front',
    size: size * 0.9,
    anchor: 'middle',
    tone: 'soft',
  });
  const pad = size * 5;
  return { title: 'Foundation', bounds: [x0 - pad, y0 - pad, x1 + pad, y1 + pad], items };
};
