import type { Sketch } from './sketch.ts';

/** Steel angles over the four corners of a pen's bottom and top frame, between its long sides and its ends. */
export const plateCorners = (sketch: Sketch, ends: readonly string[]): void => {
  for (const long of ['front', 'back'])
    for (const end of ends)
      for (const rail of ['bottom-rail', 'top-rail'])
        sketch.join({
          kind: 'tie',
          parts: [`${long}/${rail}`, `${end}/${rail}`],
          hardware: { 'angle-tie': 1 },
          fasteners: [{ item: 'screw-1-1/4', length: 1.25, count: 4 }],
        });
};
