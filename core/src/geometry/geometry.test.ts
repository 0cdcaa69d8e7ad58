import fc from 'fast-check';
import { findHull, isConvex, measureArea, measureCentroid, rectangle } from './polygon.ts';
import { findPieces, measureCentre, measureSeparation, measureVolume, splitConvex } from './prism.ts';
import type { ConvexPiece, Shape } from './prism.ts';
import { toLocal, toWorld, X, Y, Z } from './vec.ts';

const block = (x: number, y: number, z: number, size = 2): ConvexPiece =>
  findPieces(
    { outline: rectangle(0, 0, size, size), holes: [], depth: size },
    { origin: [x, y, z], u: X, v: Y },
  )[0] as ConvexPiece;

describe('polygons', () => {
  it('measures a trapezoid against its closed form', () => {
    const ring = [
      [0, 0],
      [10, 0],
      [10, 4],
      [0, 6],
    ] as const;
    expect(measureArea(ring)).toBeCloseTo(50, 9);
    // Centroid of a right trapezoid of parallel sides 6 and 4, width 10: x = w(a+2b)/3(a+b) from the side a.
    expect(measureCentroid(ring)[0]).toBeCloseTo((10 * (6 + 8)) / (3 * 10), 9);
  });
  it('knows convex from notched', () => {
    expect(isConvex(rectangle(0, 0, 3, 2))).toBe(true);
    expect(
      isConvex([
        [0, 0],
        [4, 0],
        [4, 2],
        [2, 1],
        [0, 2],
      ]),
    ).toBe(false);
  });
  it('hulls a set of points', () =>
    expect(
      findHull([
        [0, 0],
        [2, 0],
        [1, 1],
        [2, 2],
        [0, 2],
      ]),
    ).toHaveLength(4));
});

describe('prisms', () => {
  const sheet: Shape = { outline: rectangle(0, 0, 48, 96), holes: [rectangle(10, 10, 20, 30)], depth: 0.5 };
  it('takes holes out of volume and centre', () => {
    expect(measureVolume(sheet)).toBeCloseTo((48 * 96 - 200) / 2, 9);
    const centre = measureCentre(sheet, { origin: [0, 0, 0], u: X, v: Y });
    expect(centre[0]).toBeCloseTo((48 * 96 * 24 - 200 * 15) / (48 * 96 - 200), 9);
    expect(centre[2]).toBeCloseTo(0.25, 9);
  });
  it('splits into pieces that add up to the shape', () => {
    const area = splitConvex(sheet).reduce((sum, ring) => sum + Math.abs(measureArea(ring)), 0);
    expect(area).toBeCloseTo(48 * 96 - 200, 6);
  });
  it('goes to space and back', () => {
    const place = { origin: [1, 2, 3] as const, u: Y, v: Z };
    expect(toLocal(place, toWorld(place, 4, 5, 6))).toEqual([4, 5, 6]);
  });
  it('tells apart, touching and overlapping', () => {
    expect(measureSeparation(block(0, 0, 0), block(2.25, 0, 0))).toBeCloseTo(0.25, 9);
    expect(measureSeparation(block(0, 0, 0), block(2, 0, 0))).toBeCloseTo(0, 9);
    expect(measureSeparation(block(0, 0, 0), block(1.5, 0.5, 0))).toBeCloseTo(-0.5, 9);
  });
  it('is symmetric and moves with the pieces, for any two blocks', () => {
    const n = fc.double({ min: -4, max: 4, noNaN: true });
    fc.assert(
      fc.property(n, n, n, n, (x, y, z, shift) => {
        const there = measureSeparation(block(0, 0, 0), block(x, y, z));
        expect(measureSeparation(block(x, y, z), block(0, 0, 0))).toBeCloseTo(there, 9);
        expect(measureSeparation(block(shift, 0, 0), block(x + shift, y, z))).toBeCloseTo(there, 6);
      }),
    );
  });
});
