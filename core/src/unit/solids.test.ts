import modeling from '@jscad/modeling';
import { measureCentre, measureVolume, toWorld } from '../geometry/index.ts';
import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import type { Part } from './types.ts';

const { primitives, booleans, extrusions, measurements, transforms } = modeling;

/** The part as a solid of the modelling library: its outline less its holes, pushed to its depth. */
const solidOf = (part: Part) => {
  const { outline, holes, depth } = part.shape;
  const ring = (points: readonly (readonly [number, number])[]) => {
    const area = points.reduce((sum, p, i) => {
      const q = points[(i + 1) % points.length] as readonly [number, number];
      return sum + p[0] * q[1] - q[0] * p[1];
    }, 0);
    return primitives.polygon({ points: (area > 0 ? [...points] : [...points].reverse()).map((p) => [p[0], p[1]]) });
  };
  const flat = holes.length > 0 ? booleans.subtract(ring(outline), ...holes.map(ring)) : ring(outline);
  const solid = extrusions.extrudeLinear({ height: depth }, flat);
  const { u, v } = part.place;
  const w = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]] as const;
  const o = toWorld(part.place, 0, 0);
  // Column by column, as the library's matrices are written.
  return transforms.transform(
    [u[0], u[1], u[2], 0, v[0], v[1], v[2], 0, w[0], w[1], w[2], 0, o[0], o[1], o[2], 1],
    solid,
  );
};

// Volumes and centres of cut parts against the solid-modelling library @jscad/modeling.
describe.each(FAMILIES.map((f) => [f.key] as const))('solids of %s', (key) => {
  const build = buildSpec(parseSpec({ family: key, params: {} }));
  // The library's flat booleans snap their corners, so five digits are compared. One of each mark: equal parts have equal solids.
  const kinds = [...new Map(build.parts.map((p) => [p.mark, p])).values()].filter((p) => p.bent === undefined);
  it('have the volume and the centre that a solid modeller gives', () => {
    for (const part of kinds) {
      const solid = solidOf(part);
      const volume = measurements.measureVolume(solid);
      expect([part.id, volume / measureVolume(part.shape)]).toEqual([part.id, expect.closeTo(1, 4)]);
      const centre = measurements.measureCenterOfMass(solid);
      measureCentre(part.shape, part.place).forEach((c, k) => {
        expect([part.id, k, (centre as number[])[k]]).toEqual([part.id, k, expect.closeTo(c, 2)]);
      });
    }
  });
});
