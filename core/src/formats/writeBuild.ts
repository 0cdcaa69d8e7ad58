import { clean } from '../measure/index.ts';
import { groupParts, measureBounds, measureMass } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';

/** The build as plain data: parts by mark, bounds, weight, centre of gravity. Inches and pounds. */
export const writeBuild = (build: Build) => {
  const mass = measureMass(build);
  const bounds = measureBounds(build.parts);
  const point = (p: readonly number[]): number[] => p.map(clean);
  return {
    family: build.family,
    parts: groupParts(build.parts).map(({ mark, part, quantity }) => ({
      mark,
      name: part.name,
      role: part.role,
      item: part.item,
      length: clean(part.length),
      shortPoint: clean(part.shortPoint),
      width: clean(part.width),
      thickness: clean(part.thickness),
      quantity,
      fit: part.fit,
      ...(part.tolerance === undefined ? {} : { tolerance: part.tolerance }),
      ...(part.rip === undefined ? {} : { rip: part.rip }),
      cuts:
        part.cuts.length > 0
          ? part.cuts
          : (['start', 'end'] as const).map((end) => ({ end, kind: 'square' as const, angle: 0 })),
      ...(part.notches.length > 0 ? { notches: part.notches } : {}),
      ...(part.sawnOut ? { sawnOut: part.sawnOut } : {}),
      assembly: part.assembly,
    })),
    bounds: { low: point(bounds.low), high: point(bounds.high), size: point(bounds.size) },
    weight: clean(mass.weight),
    centre: point(mass.centre),
    notes: build.notes,
  };
};
