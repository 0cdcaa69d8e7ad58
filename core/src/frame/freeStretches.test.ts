import fc from 'fast-check';
import { findPieces, rectangle, X, Y } from '../geometry/index.ts';
import type { ConvexPiece } from '../geometry/index.ts';
import { freeStretches } from './freeStretches.ts';

const block = (x: number, long: number, y = 0, z = 0): ConvexPiece =>
  findPieces(
    { outline: rectangle(0, 0, long, 4), holes: [], depth: 4 },
    { origin: [x, y, z], u: X, v: Y },
  )[0] as ConvexPiece;
// A shelf along x, from 0 to 100.
const free = (things: readonly ConvexPiece[], clear = 1, least = 6) =>
  freeStretches(block(0, 100), [0, 0, 0], X, 100, things, clear, least);

describe('what is free along a wall', () => {
  it('is all of it where nothing stands', () => expect(free([])).toEqual([[0, 100]]));
  it('falls in two round a thing in the middle, kept clear of', () => {
    expect(free([block(40, 10)])).toEqual([
      [0, 39],
      [51, 100],
    ]);
  });
  it('does not count what stands beside, behind or over it', () => {
    expect(free([block(40, 10, 5), block(40, 10, 0, 5), block(120, 10)])).toEqual([[0, 100]]);
  });
  it('does not count what only touches it', () => {
    expect(free([block(40, 10, 4), block(40, 10, 0, 4)])).toEqual([[0, 100]]);
  });
  it('leaves out what is shorter than the least', () => {
    expect(free([block(4, 10), block(18, 70)])).toEqual([[89, 100]]);
    expect(free([block(4, 10), block(18, 70)], 1, 20)).toEqual([]);
  });
  it('is nothing where one thing stands all along', () => expect(free([block(-5, 110)])).toEqual([]));
  it('is clear of every thing and long enough, and misses nothing that would be, for any things', () => {
    const things = fc.array(fc.tuple(fc.integer({ min: -20, max: 110 }), fc.integer({ min: 1, max: 40 })), {
      maxLength: 6,
    });
    fc.assert(
      fc.property(things, fc.integer({ min: 0, max: 3 }), fc.integer({ min: 2, max: 15 }), (all, clear, least) => {
        // What ends where the shelf begins only touches it.
        const list = all.filter(([x, long]) => x < 100 && x + long > 0);
        const found = free(
          list.map(([x, long]) => block(x, long)),
          clear,
          least,
        );
        for (const [a, b] of found) {
          expect(b - a).toBeGreaterThanOrEqual(least - 1e-6);
          for (const [x, long] of list) expect(b <= x - clear + 1e-6 || a >= x + long + clear - 1e-6).toBe(true);
        }
        // Inch by inch: a place that a stretch of the least length could start at is in one that was found.
        for (let at = 0; at + least <= 100; at++) {
          const stands = list.some(([x, long]) => at < x + long + clear && at + least > x - clear);
          if (!stands) expect(found.some(([a, b]) => a <= at + 1e-6 && b >= at + least - 1e-6)).toBe(true);
        }
      }),
      { numRuns: 150, seed: 31 },
    );
  });
});
