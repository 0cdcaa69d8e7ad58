import fc from 'fast-check';
import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { isFarOff, isRead, judgeGate, readingsOf, reworkText } from './gates.ts';
import type { ReadGate } from './gates.ts';
import { planSteps } from './planSteps.ts';

const square: ReadGate = { what: 'both diagonals', expected: 93.72, tolerance: 0.125 };

describe('gate checks', () => {
  it('are read where they are lengths with a tolerance, and looked at otherwise', () => {
    expect(isRead(square)).toBe(true);
    expect(isRead({ what: 'no gap over', expected: 0.5, tolerance: 0 })).toBe(false);
    expect(isRead({ what: 'plumb' })).toBe(false);
    expect(isRead(undefined)).toBe(false);
    expect([readingsOf(square), readingsOf({ what: 'out of level over its length' })]).toEqual([2, 1]);
  });
  it('pass by the handbook: diagonals within an eighth of each other and of what they should be', () => {
    expect(judgeGate(square, [93.75, 93.6875]).within).toBe(true);
    // Each near enough, but a quarter apart: out of square.
    expect(judgeGate(square, [93.84, 93.6]).within).toBe(false);
    expect(judgeGate(square, [94.25, 94.25])).toMatchObject({ within: false });
    expect(judgeGate(square, [94.25, 94.25]).off).toBeCloseTo(0.53, 6);
  });
  it('say what to do about it: rack it square, or look for a wrong piece', () => {
    expect(reworkText(square, [94.5, 93])).toMatch(/push the corners of the longer diagonal/);
    expect(reworkText(square, [94.5, 94.5])).toMatch(/a piece cut wrong/);
    expect(reworkText({ what: 'out of level', expected: 0, tolerance: 0.25 }, [1])).toMatch(/What depends on it waits/);
  });
  it('let the expected reading pass for every panel of every family', () => {
    for (const f of FAMILIES)
      for (const s of planSteps(buildSpec(parseSpec({ family: f.key, params: {} })))) {
        if (!isRead(s.gate)) continue;
        const { expected, tolerance } = s.gate;
        const n = readingsOf(s.gate);
        expect(judgeGate(s.gate, Array(n).fill(expected) as number[]).within).toBe(true);
        expect(judgeGate(s.gate, Array(n).fill(expected + tolerance + 0.1) as number[]).within).toBe(false);
      }
  });
  it('never pass a reading that is farther off than they allow', () => {
    fc.assert(
      fc.property(fc.double({ min: -2, max: 2, noNaN: true }), fc.double({ min: -2, max: 2, noNaN: true }), (a, b) => {
        const { off, within } = judgeGate(square, [square.expected + a, square.expected + b]);
        expect(off).toBeGreaterThanOrEqual(Math.max(Math.abs(a), Math.abs(b)) - 1e-9);
        expect(within).toBe(Math.max(Math.abs(a), Math.abs(b), Math.abs(a - b)) <= 0.125 + 1 / 64);
      }),
    );
  });
});

describe('a length that cannot be', () => {
  it.each([
    [65, 63.6, false],
    [65, 72, true],
    [65, 58, true],
    [65, 58.6, false],
    [10, 11.9, false],
    [10, 12.1, true],
  ])('of %d expected and %d found is far off: %s', (expected, found, far) =>
    expect(isFarOff(expected, found)).toBe(far),
  );
});
