import type { Sketch } from '../../../frame/index.ts';

/** Straps of a bent panel and ties of the tarp. Common practice, no source. */
const STRAP_AT = 24;

/** Straps the hoops to runners and ridge, staples the mesh along the runners and ties the tarp over it. */
export const holdHoops = (
  sketch: Sketch,
  plan: {
    readonly pvc: boolean;
    /** Length of the mesh along the pen. */
    readonly along: number;
    /** Length of a hoop along its curve. */
    readonly hoop: number;
    readonly tarp: number;
    /** Thickness of the mesh. */
    readonly mesh: number;
  },
): void => {
  const { pvc, along, hoop, tarp, mesh: m } = plan;
  for (const part of sketch.parts.filter((x) => x.role === 'hoop')) {
    const straps = pvc ? 2 : 1 + Math.ceil(part.width / STRAP_AT);
    const screws = (n: number) => [{ item: 'screw-1-1/4', length: 1.25, count: 2 * n }];
    for (const runner of [1, 2])
      sketch.join({
        kind: 'strap',
        parts: [part.id, `base/runner-${runner}`],
        hardware: { 'pipe-strap': straps },
        fasteners: screws(straps),
      });
    sketch.join({
      kind: 'tie',
      parts: [part.id, 'ridge/board-1'],
      hardware: { 'pipe-strap': 1 },
      fasteners: screws(1),
    });
  }
  for (const runner of [1, 2])
    sketch.join({
      kind: 'staple',
      parts: ['skin/mesh', `base/runner-${runner}`],
      fasteners: [{ item: 'staple', length: 0.5, count: Math.ceil(along / 3) + 1 }],
      bite: { through: m, into: 0.5 - m },
    });
  sketch.join({
    kind: 'tie',
    parts: ['skin/tarp', 'skin/mesh'],
    hardware: { bungee: 2 * (Math.ceil(tarp / STRAP_AT) + Math.ceil(hoop / STRAP_AT)) },
  });
};
