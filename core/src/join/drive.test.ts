import fc from 'fast-check';
import { HARDWARE } from '../stock/index.ts';
import { alongLine, chooseFastener, wantedHold } from './drive.ts';

describe('a fastener is chosen by what it passes and what holds it', () => {
  it.each([
    // Common practice, no source: what a framer takes for each.
    ['nail', 1.5, 96, 'nail-3', 'a plate to a stud’s end'],
    ['nail', 1.5, 1.5, 'nail-3', 'two 2× face to face, flush at most'],
    ['nail', 2, 1.5, 'nail-3-1/2', 'a header through its spacer'],
    ['screw', 0.625, 3.5, 'screw-2', '⅝ in siding into a stud'],
    ['screw', 0.5, 2.5, 'screw-1-1/4', '½ in deck into a rafter'],
    ['screw', 0.75, 0.75, 'screw-1-1/4', 'two 1×4s face to face'],
    ['screw', 0.625, 1.5, 'screw-2', 'a picket into a 2×2'],
    ['roof nail', 0.25, 0.5, 'nail-roof-3/4', 'shingles on ½ in deck'],
    ['roof screw', 1 / 32 + 0.5, 3.5, 'roof-screw-2', 'metal through ½ in deck into a rafter'],
  ] as const)('%s through %d into %d: %s, %s', (driver, through, into, item, _what) => {
    expect(chooseFastener(driver, through, into)?.item).toBe(item);
  });
  it('is none where every one would come out or none would hold', () => {
    expect(chooseFastener('roof screw', 1 / 32, 0.5)).toBeUndefined();
    expect(chooseFastener('nail', 5.5, 3.5)).toBeUndefined();
  });
  it('never comes out of the far side, and holds as well as any of its kind could', () => {
    const drivers = ['nail', 'screw', 'roof screw', 'roof nail', 'staple'] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...drivers),
        fc.double({ min: 1 / 32, max: 4, noNaN: true }),
        fc.double({ min: 0.1, max: 8, noNaN: true }),
        (driver, through, into) => {
          const f = chooseFastener(driver, through, into);
          if (!f) return;
          const hold = f.length - through;
          expect(hold).toBeGreaterThan(0);
          expect(f.length).toBeLessThanOrEqual(through + into + 1e-6);
          if (hold >= wantedHold(through, into)) return;
          // Less than wanted only where the next longer one would show.
          const longer = HARDWARE.filter((h) => h.driver === driver && (h.length ?? 0) > f.length + 1e-9);
          expect(longer.every((h) => (h.length ?? 0) > through + into - 1 / 16 - 1e-6)).toBe(true);
        },
      ),
    );
  });
  it('is spaced with one near each end', () => {
    expect(alongLine(96, 16)).toBe(7);
    expect(alongLine(17, 16)).toBe(2);
    expect(alongLine(18, 16)).toBe(3);
    expect(alongLine(2, 16, 1)).toBe(2);
  });
});
