import fc from 'fast-check';
import { clipBelow, findHull, isConvex, measureArea, measureCentroid, measurePtBounds, rectangle } from './polygon.ts';
import { findPieces, measureCentre, measureReach, measureSeparation, measureVolume, splitConvex } from './prism.ts';
import type { Shape } from './prism.ts';
import { cross, dot, norm, sub, toLocal, toWorld, unit } from './vec.ts';
import type { Placement, Pt, Vec3 } from './vec.ts';

const n = (min: number, max: number) => fc.double({ min, max, noNaN: true, noDefaultInfinity: true });
const pt = fc.tuple(n(-100, 100), n(-100, 100)) as fc.Arbitrary<Pt>;
const vec = fc.tuple(n(-50, 50), n(-50, 50), n(-50, 50)) as fc.Arbitrary<Vec3>;
/** Points that a tape can find. */
const sixteenth = fc
  .tuple(fc.integer({ min: -1600, max: 1600 }), fc.integer({ min: -1600, max: 1600 }))
  .map(([x, y]): Pt => [x / 16, y / 16]);
/** A convex ring: the hull of a handful of points. */
const convex = fc
  .array(pt, { minLength: 5, maxLength: 12 })
  .map(findHull)
  .filter((r) => r.length > 2 && Math.abs(measureArea(r)) > 1);
/** Any placement with perpendicular unit directions. */
const placement = fc
  .tuple(vec, vec, vec)
  .filter(([, a, b]) => norm(a) > 1 && norm(b) > 1 && norm(cross(unit(a), unit(b))) > 0.1)
  .map(([origin, a, b]): Placement => {
    const u = unit(a);
    return { origin, u, v: unit(cross(cross(u, b), u)) };
  });
const box = fc
  .tuple(n(1, 40), n(1, 40), n(1, 40))
  .map(([a, b, depth]): Shape => ({ outline: rectangle(0, 0, a, b), holes: [], depth }));
const runs = { numRuns: 200, seed: 21 };

describe('polygons', () => {
  it('a line cuts a ring into two parts that make up the whole', () => {
    fc.assert(
      fc.property(convex, n(0, 2 * Math.PI), n(-120, 120), (ring, turn, limit) => {
        const normal: Pt = [Math.cos(turn), Math.sin(turn)];
        const [low, high] = [clipBelow(ring, normal, limit), clipBelow(ring, [-normal[0], -normal[1]], -limit)];
        const area = (r: readonly Pt[]) => (r.length > 2 ? Math.abs(measureArea(r)) : 0);
        expect(area(low) + area(high)).toBeCloseTo(area(ring), 3);
        for (const [x, y] of low) expect(x * normal[0] + y * normal[1]).toBeLessThanOrEqual(limit + 1e-6);
      }),
      runs,
    );
  });
  it('a hull is convex and holds every point', () => {
    fc.assert(
      fc.property(fc.array(sixteenth, { minLength: 3, maxLength: 20 }), (points) => {
        const hull = findHull(points);
        if (hull.length < 3) return;
        expect(isConvex(hull)).toBe(true);
        expect(measureArea(hull)).toBeGreaterThan(0);
        for (const p of points)
          hull.forEach((a, i) => {
            const b = hull[(i + 1) % hull.length] as Pt;
            const size = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
            expect(((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / size).toBeGreaterThan(-1e-6);
          });
      }),
      runs,
    );
  });
  it('the centroid moves with the ring and lies inside a convex one', () => {
    fc.assert(
      fc.property(convex, pt, (ring, by) => {
        const [x, y] = measureCentroid(ring);
        const moved = measureCentroid(ring.map(([p, q]): Pt => [p + by[0], q + by[1]]));
        expect(moved[0]).toBeCloseTo(x + by[0], 4);
        expect(moved[1]).toBeCloseTo(y + by[1], 4);
        const [x0, y0, x1, y1] = measurePtBounds(ring);
        expect(x >= x0 - 1e-6 && x <= x1 + 1e-6 && y >= y0 - 1e-6 && y <= y1 + 1e-6).toBe(true);
      }),
      runs,
    );
  });
  it('an outline with a hole falls into pieces that add up to what is left', () => {
    fc.assert(
      fc.property(n(20, 90), n(20, 90), n(1, 8), n(1, 8), (wide, high, left, bottom) => {
        const shape: Shape = {
          outline: rectangle(0, 0, wide, high),
          holes: [rectangle(left, bottom, left + 6, bottom + 7)],
          depth: 2,
        };
        const pieces = splitConvex(shape);
        expect(pieces.every((r) => isConvex(r))).toBe(true);
        expect(pieces.reduce((sum, r) => sum + Math.abs(measureArea(r)), 0)).toBeCloseTo(wide * high - 42, 4);
        expect(measureVolume(shape)).toBeCloseTo(2 * (wide * high - 42), 4);
      }),
      runs,
    );
  });
});

describe('places in space', () => {
  it('there and back is where one was', () => {
    fc.assert(
      fc.property(placement, vec, (place, p) => {
        const back = toLocal(place, toWorld(place, p[0], p[1], p[2]));
        back.forEach((c, k) => expect(c).toBeCloseTo(p[k] as number, 4));
      }),
      runs,
    );
  });
  it('a box keeps its volume and its middle wherever it lies', () => {
    fc.assert(
      fc.property(box, placement, (shape, place) => {
        const [, , a, b] = measurePtBounds(shape.outline);
        const middle = toWorld(place, a / 2, b / 2, shape.depth / 2);
        measureCentre(shape, place).forEach((c, k) => expect(c).toBeCloseTo(middle[k] as number, 4));
        expect(measureVolume(shape)).toBeCloseTo(a * b * shape.depth, 4);
      }),
      runs,
    );
  });
});

describe('distance between bodies', () => {
  const piece = (shape: Shape, place: Placement) =>
    findPieces({ ...shape }, place)[0] as ReturnType<typeof findPieces>[number];
  const UPRIGHT: Placement = { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] };
  it('of square boxes is the widest of the three gaps', () => {
    fc.assert(
      fc.property(box, box, vec, (a, b, at) => {
        const [p, q] = [piece(a, UPRIGHT), piece(b, { ...UPRIGHT, origin: at })];
        const gap = Math.max(...([0, 1, 2] as const).map((k) => Math.max(q.low[k] - p.high[k], p.low[k] - q.high[k])));
        const got = measureSeparation(p, q, 1000);
        expect(got).toBeCloseTo(gap, 6);
      }),
      runs,
    );
  });
  it('is the same both ways, and no less than the gap along any direction', () => {
    fc.assert(
      fc.property(box, placement, box, placement, vec, (a, pa, b, pb, way) => {
        const [p, q] = [piece(a, pa), piece(b, pb)];
        const gap = measureSeparation(p, q, 1000);
        expect(measureSeparation(q, p, 1000)).toBeCloseTo(gap, 6);
        if (norm(way) < 1) return;
        const axis = unit(way);
        const reach = (x: typeof p): readonly [number, number] => {
          const d = x.points.map((c) => dot(c, axis));
          return [Math.min(...d), Math.max(...d)];
        };
        const [[a0, a1], [b0, b1]] = [reach(p), reach(q)];
        // A direction that parts them cannot part them by more than they are apart.
        if (gap < 0) expect(Math.max(b0 - a1, a0 - b1)).toBeLessThanOrEqual(1e-6);
      }),
      runs,
    );
  });
  it('stops looking where enough is asked, on the same side of it', () => {
    fc.assert(
      fc.property(box, placement, box, placement, n(-2, 2), (a, pa, b, pb, enough) => {
        const [p, q] = [piece(a, pa), piece(b, pb)];
        expect(measureSeparation(p, q, enough) > enough).toBe(measureSeparation(p, q, 1000) > enough);
      }),
      runs,
    );
  });
  it('a body reaches no farther along a direction than its box does', () => {
    fc.assert(
      fc.property(box, placement, vec, (a, pa, way) => {
        const p = piece(a, pa);
        const [from, to] = measureReach(p, way);
        for (const c of p.points) {
          expect(dot(c, way)).toBeGreaterThanOrEqual(from - 1e-6);
          expect(dot(c, way)).toBeLessThanOrEqual(to + 1e-6);
        }
      }),
      runs,
    );
  });
  it('a body apart by a push along a face is apart by that push', () => {
    fc.assert(
      fc.property(box, placement, n(0.1, 10), (a, pa, by) => {
        const p = piece(a, pa);
        const w = cross(pa.u, pa.v);
        const away: Vec3 = [0, 1, 2].map(
          (k) => (pa.origin[k] as number) + (w[k] as number) * (a.depth + by),
        ) as unknown as Vec3;
        expect(measureSeparation(p, piece(a, { ...pa, origin: away }), 1000)).toBeCloseTo(by, 5);
        expect(norm(sub(away, pa.origin))).toBeCloseTo(a.depth + by, 5);
      }),
      runs,
    );
  });
});
