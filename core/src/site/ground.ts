import type { Build } from '../unit/index.ts';
import { fitPlane } from './planPads.ts';
import type { Survey } from './readSurvey.ts';

/** Height of the ground at a place of the unit, inches; 0 is the level that the unit's parts are drawn from. */
export type Ground = (x: number, y: number) => number;

/** Readings farther from a place than this say no more of it than the plane does, inches. */
const NEAR = 1e-6;

/**
 * The ground as it was surveyed: the plane through the readings, bent so that it passes through each of them. The highest reading lies
 * `lift` under the unit. Survey places are counted from the front left of what the unit rests on.
 */
export const surveyedGround = (survey: Survey, base: Build['facts']['base']): Ground => {
  const { gx, gy } = fitPlane(survey);
  const n = survey.pads.length;
  const mean = (f: (p: Survey['pads'][number]) => number): number => survey.pads.reduce((s, p) => s + f(p), 0) / n;
  const [mx, my, mz] = [mean((p) => p.x), mean((p) => p.y), mean((p) => -p.rod)];
  const highest = Math.max(...survey.pads.map((p) => -p.rod));
  const plane = (x: number, y: number): number => mz + gx * (x - mx) + gy * (y - my);
  const rests = survey.pads.map((p) => ({ ...p, off: -p.rod - plane(p.x, p.y) }));
  return (x, y) => {
    const [a, b] = [x - base[0], y - base[1]];
    let [sum, weight] = [0, 0];
    for (const p of rests) {
      const d2 = (p.x - a) ** 2 + (p.y - b) ** 2;
      if (d2 < NEAR) return -p.rod - highest - survey.lift;
      sum += p.off / d2;
      weight += 1 / d2;
    }
    return plane(a, b) + sum / weight - highest - survey.lift;
  };
};

/** The ground that a model is drawn for: level under it, and falling under the bays of a run as the run steps down. */
export const drawnGround = (build: Build): Ground => {
  const { bays, base } = build.facts;
  if (!bays) return () => 0;
  const starts = base[0] + bays.count * bays.length;
  const fall = (bays.drop * (bays.count - 1) + bays.fill) / (bays.count * bays.length);
  return (x) => (x >= starts ? 0 : -fall * (starts - x));
};
