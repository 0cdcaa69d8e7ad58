import type { Pt } from '../geometry/index.ts';
import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import { polyPart, sawAngle } from './makePart.ts';
import type { Sketch } from './sketch.ts';

const THICK = 0.75;
const CLEAT_HIGH = 0.75;
const WIDE = 11;
const LONGEST = 95;
/** Steepest a ramp may be; common practice, no source. */
export const STEEPEST_RAMP = 45;
/** Comfortable slope that a ramp is drawn at where there is room; common practice, no source. */
const EASY_RAMP = 33;

/** How a ramp came out, for the checks. */
export interface RampFit {
  readonly rise: number;
  readonly angle: number;
  readonly length: number;
}

/**
 * A ramp from the foot of a pop door to the ground with cleats every 4 in, ends even; cut on site from the survey.
 * @param top height of the ramp's top edge over the ground, which is z = `ground` in these directions
 * @param room horizontal length it may take
 * @returns nothing where no ramp is needed or none under 45° fits
 */
export const fitRamp = (
  sketch: Sketch,
  axes: Axes,
  centre: number,
  top: number,
  ground: number,
  out: number,
  room: number,
  joins: string,
): RampFit | undefined => {
  const rise = top - ground;
  const easy = rise / Math.tan((EASY_RAMP * Math.PI) / 180);
  // One plank out of a sheet.
  const longest = Math.sqrt(Math.max(0, LONGEST ** 2 - rise ** 2));
  const reach = Math.min(easy, room, longest);
  const angle = Math.atan2(rise, reach);
  const degrees = (angle * 180) / Math.PI;
  if (degrees > STEEPEST_RAMP + 1e-9) return undefined;
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  const length = rise / s;
  const id = 'ramp';
  // Along the ramp p from the top, q square to it; a plank whose ends are cut plumb at the wall and level at the ground.
  const at = (p: number, q: number): Pt => [-out - p * c - q * s, top - p * s + q * c];
  const under = -THICK;
  const topCut: Pt = [-out, top - THICK / c];
  const footCut: Pt = at(length - (THICK * c) / s, under);
  const plank: Pt[] = [at(0, 0), at(length, 0), footCut, topCut];
  const cut = sawAngle(angle);
  sketch.add(
    polyPart(
      axes,
      id,
      {
        id: 'ramp/plank',
        name: 'ramp plank',
        role: 'ramp',
        item: 'ply-3/4',
        fit: 'cut on site',
        tolerance: 1,
        cuts: [
          { end: 'start', kind: 'bevel', angle: cut },
          { end: 'end', kind: 'bevel', angle: Math.round((90 - cut) * 10) / 10 },
        ],
      },
      'tz',
      plank,
      centre - WIDE / 2,
      WIDE,
      { turn: degrees, form: 'edge' },
    ),
  );
  const bays = Math.max(2, Math.round(length / 4));
  const step = length / bays;
  for (let i = 1; i < bays; i++) {
    const p = i * step - CLEAT_HIGH;
    const ring: Pt[] = [at(p, 0), at(p + 1.5, 0), at(p + 1.5, CLEAT_HIGH), at(p, CLEAT_HIGH)];
    sketch.add(
      polyPart(
        axes,
        id,
        { id: `ramp/cleat-${i}`, name: 'ramp cleat', role: 'cleat', item: '1x2' },
        'tz',
        ring,
        centre - WIDE / 2,
        WIDE,
        { turn: degrees, form: 'section' },
      ),
    );
  }
  sketch.assembly({
    id,
    name: 'ramp',
    kind: 'fittings',
    face: faceOf(axes, centre - WIDE / 2, -out, ground),
    flat: false,
    tapes: [],
    joins: { to: joins, how: 'hooked under the pop door, foot cut to the ground' },
    site: true,
  });
  return { rise, angle: degrees, length };
};
