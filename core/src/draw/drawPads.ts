import { printLength } from '../measure/index.ts';
import { measurePtBounds } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import type { PadPlan } from '../site/index.ts';
import type { DrawItem, Drawing } from './types.ts';

/** Draws pads in plan with their stacks, and an arrow the way the ground falls. */
export const drawPads = (plan: PadPlan): Drawing => {
  const [x0, y0, x1, y1] = measurePtBounds(plan.pads.map((p): Pt => [p.x, p.y]));
  const span = Math.max(x1 - x0, y1 - y0, 24);
  const size = span / 20;
  const items: DrawItem[] = [
    {
      kind: 'area',
      rings: [
        [
          [x0, y0],
          [x1, y0],
          [x1, y1],
          [x0, y1],
        ],
      ],
      fill: 'none',
      stroke: 'soft',
      dashed: true,
    },
  ];
  for (const p of plan.pads) {
    const h = size * 1.1;
    items.push({
      kind: 'area',
      rings: [
        [
          [p.x - h, p.y - h],
          [p.x + h, p.y - h],
          [p.x + h, p.y + h],
          [p.x - h, p.y + h],
        ],
      ],
      fill: p.height === 0 ? 'paper' : p.fill ? 'amber' : 'ground',
      stroke: 'ink',
    });
    const below = p.y <= (y0 + y1) / 2;
    const stack = [
      p.blocks > 0 ? `${p.blocks} block${p.blocks > 1 ? 's' : ''}` : '',
      p.pavers > 0 ? `${p.pavers} paver${p.pavers > 1 ? 's' : ''}` : '',
      p.shims > 0 ? `${printLength(p.shims)} shim` : '',
    ]
      .filter(Boolean)
      .join(', ');
    const at = (k: number): Pt => [
      p.x,
      below ? p.y - h - size * (1.1 + 1.25 * k) : p.y + h + size * (0.5 + 1.25 * (2 - k)),
    ];
    items.push(
      { kind: 'text', at: at(0), text: p.name, size: size * 0.8, anchor: 'middle', tone: 'soft' },
      { kind: 'text', at: at(1), text: `${printLength(p.height)} up`, size, anchor: 'middle', tone: 'ink' },
      { kind: 'text', at: at(2), text: stack || 'on the ground', size: size * 0.75, anchor: 'middle', tone: 'soft' },
    );
  }
  if (plan.fall > 0.25) {
    const r = (plan.direction * Math.PI) / 180;
    const c: Pt = [(x0 + x1) / 2, (y0 + y1) / 2];
    const reach = span / 6;
    const tip: Pt = [c[0] + reach * Math.cos(r), c[1] + reach * Math.sin(r)];
    const tail: Pt = [c[0] - reach * Math.cos(r), c[1] - reach * Math.sin(r)];
    const wing = (turn: number): Pt => [
      tip[0] - size * 1.4 * Math.cos(r + turn),
      tip[1] - size * 1.4 * Math.sin(r + turn),
    ];
    items.push(
      { kind: 'line', from: tail, to: tip, stroke: 'chalk', weight: 1.6 },
      { kind: 'line', from: tip, to: wing(0.45), stroke: 'chalk', weight: 1.6 },
      { kind: 'line', from: tip, to: wing(-0.45), stroke: 'chalk', weight: 1.6 },
      {
        kind: 'text',
        at: c,
        text: `falls ${printLength(Math.round(plan.slope * 4) / 4)} in 10 ft`,
        size: size * 0.85,
        anchor: 'middle',
        tone: 'chalk',
        tag: 'paper',
      },
    );
  }
  const pad = size * 6;
  return { title: 'Pads', bounds: [x0 - pad * 1.3, y0 - pad, x1 + pad * 1.3, y1 + pad], items };
};
