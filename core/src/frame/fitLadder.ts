import type { Pt } from '../geometry/index.ts';
import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import { boxPart, polyPart } from './makePart.ts';
import { measureBounds } from '../unit/index.ts';
import type { Sketch } from './sketch.ts';

const RAIL = 2.5;
const THICK = 0.75;
const WIDE = 12;
/** Slope of a roost ladder; common practice, no source. */
const ANGLE = (60 * Math.PI) / 180;
const TREAD_EVERY = 6;

/**
 * A ladder from the floor to the lowest roost bar, lifted off for cleaning: two rails of 1×3 with treads between. `t` runs from the
 * front; `to` is the bar's front face, `top` its top.
 * @returns whether it found room before `least`
 */
export const fitLadder = (
  sketch: Sketch,
  axes: Axes,
  plan: { readonly at: number; readonly to: number; readonly top: number; readonly least: number },
): boolean => {
  const plumb = RAIL / Math.cos(ANGLE);
  const tan = Math.tan(ANGLE);
  const foot = plan.to - (plan.top - plumb) / tan;
  const front = foot - plumb / tan;
  if (front < plan.least || plan.top < plumb + 6) return false;
  const ring: Pt[] = [
    [front, 0],
    [foot, 0],
    [plan.to, plan.top - plumb],
    [plan.to, plan.top],
  ];
  const from = plan.at - WIDE / 2;
  for (const [k, a] of [from, from + WIDE - THICK].entries())
    sketch.add(
      polyPart(
        axes,
        'ladder',
        {
          id: `ladder/rail-${k + 1}`,
          name: 'ladder rail',
          role: 'rail',
          item: '1x3',
          cuts: [
            { end: 'start', kind: 'mitre', angle: 30 },
            { end: 'end', kind: 'mitre', angle: 60 },
          ],
        },
        'tz',
        ring,
        a,
        THICK,
        { turn: 60 },
      ),
    );
  let n = 0;
  for (let z = TREAD_EVERY; z < plan.top - plumb; z += TREAD_EVERY)
    sketch.add(
      boxPart(
        axes,
        'ladder',
        { id: `ladder/tread-${++n}`, name: 'ladder tread', role: 'cleat', item: '1x2' },
        [from + THICK, foot + z / tan - 2, z],
        [WIDE - 2 * THICK, 1.5, THICK],
        'a',
      ),
    );
  sketch.assembly({
    id: 'ladder',
    name: 'roost ladder',
    kind: 'fittings',
    face: faceOf(axes, from, front, 0),
    flat: true,
    tapes: [],
    joins: { to: 'roosts', how: 'hooked on the lowest bar, its foot free: the litter sets its angle' },
  });
  // Hooks over the lowest bar, so that it comes off to be cleaned.
  const bar = sketch.parts.find((p) => {
    if (p.role !== 'roost' || !/^roosts\/bar-1(-|$)/.test(p.id)) return false;
    const { low, high } = measureBounds([p]);
    return low[0] <= plan.at && high[0] >= plan.at;
  });
  for (const k of [1, 2])
    sketch.join({
      kind: 'hook',
      parts: [`ladder/rail-${k}`, ...(bar ? [bar.id] : [])],
      hardware: { 'ramp-hook': 1 },
    });
  return true;
};
