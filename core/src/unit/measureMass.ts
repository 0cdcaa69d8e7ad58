import { add, measureCentre, measureVolume, scale } from '../geometry/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import { findHardware, findItem, measureDensity, PIECE_UNIT } from '../stock/index.ts';
import type { Build, Part } from './types.ts';

/** Weight in pounds and centre of gravity in inches. */
export interface Mass {
  readonly weight: number;
  readonly centre: Vec3;
}

/** Weight of one part in pounds. */
export const weighPart = (part: Part): number => {
  const item = findItem(part.item);
  switch (item.kind) {
    case 'lumber':
      return measureVolume(part.shape) * measureDensity(item);
    case 'hardware':
      return item.weight;
    case 'piece': {
      const by = PIECE_UNIT[item.key];
      if (by === 'foot') return (part.length / 12) * item.weight;
      if (by === 'each') return item.weight;
      return (measureVolume(part.shape) / item.thickness / 144) * item.weight;
    }
    default:
      // Sheets, mesh and roofing are weighed by the square foot of their face.
      return (measureVolume(part.shape) / item.thickness / 144) * item.weight;
  }
};

/** Weight and centre of gravity of some parts. */
export const measurePartsMass = (parts: readonly Part[]): Mass => {
  let weight = 0;
  let moment: Vec3 = [0, 0, 0];
  for (const part of parts) {
    const w = weighPart(part);
    weight += w;
    moment = add(moment, scale(measureCentre(part.shape, part.place), w));
  }
  return { weight, centre: weight > 0 ? scale(moment, 1 / weight) : [0, 0, 0] };
};

/** Builds do not change, and several rules ask for their weight. */
const known = new WeakMap<Build, Mass>();

/**
 * Weight and centre of gravity of a whole build, fasteners and counted fittings included (taken to lie at the centre of the rest). Block under it
 * and in its curb stays in the ground and is not counted.
 */
export const measureMass = (build: Build): Mass => {
  const before = known.get(build);
  if (before) return before;
  const mass = measurePartsMass(build.parts.filter((p) => p.role !== 'block'));
  let fittings = 0;
  // Wheels are drawn and counted: they weigh where they stand.
  const drawn = new Set(build.parts.map((p) => p.item));
  for (const j of build.joints) {
    for (const h of j.hardware) if (!drawn.has(h.item)) fittings += findHardware(h.item).weight * h.count;
    for (const f of j.fasteners) fittings += findHardware(f.item).weight * f.count;
  }
  const whole = { weight: mass.weight + fittings, centre: mass.centre };
  known.set(build, whole);
  return whole;
};
