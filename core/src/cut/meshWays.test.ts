import fc from 'fast-check';
import { MESH_LAP, MESHES } from '../stock/index.ts';
import { waysOf } from './meshWays.ts';
import type { MeshFace } from './meshWays.ts';
import { planRolls } from './planRolls.ts';

const rolls = MESHES.flatMap((m) => m.rolls.map((r) => ({ item: m.key, ...r })));
const face = (width: number, height: number, upright: readonly number[], level: readonly number[] = []): MeshFace => ({
  id: 'face',
  item: 'hardware-cloth',
  width,
  height,
  ribs: { upright, level },
});

describe('strips of mesh and where they meet', () => {
  it('takes one strip where a roll is as wide as the face, whatever is behind it', () => {
    const [way] = waysOf(face(96, 36, []), [36], 1200);
    expect(way).toMatchObject({ run: 'level', widths: [36], seams: [], onWood: true });
  });
  it('ends a strip on the farthest stud that it reaches with its lap: by hand, 100 in on studs at 24, 48, 72', () => {
    const ways = waysOf(face(100, 60, [24, 48, 72]), [36], 1200);
    // From 0 a roll of 36 reaches the stud at 24, not the one at 48; from 23 the one at 48; from 47 the one at 72.
    expect(ways).toEqual([
      expect.objectContaining({ run: 'upright', seams: [24, 48, 72], widths: [25, 26, 26, 29], onWood: true }),
    ]);
  });
  it('reaches two bays of 23 in with a roll of 48, and only one of 24', () => {
    const at = (step: number): number[] => [1, 2, 3, 4, 5].map((k) => k * step);
    const seams = (step: number): readonly number[] => waysOf(face(step * 6, 60, at(step)), [48], 1200)[0]?.seams ?? [];
    expect(seams(23)).toEqual([46, 92]);
    // The last stretch, from 95 to 144 in, is 1 in wider than the roll.
    expect(seams(24)).toEqual([24, 48, 72, 96, 120]);
  });
  it('turns the strips where only the other way has wood, and takes no other', () => {
    const ways = waysOf(face(100, 60, [], [30]), [36], 1200);
    expect(ways.map((w) => [w.run, w.seams, w.widths])).toEqual([['level', [30], [31, 31]]]);
  });
  it('lets seams fall where they will where there is no wood at all', () => {
    const ways = waysOf(face(100, 60, []), [36], 1200);
    expect(ways.map((w) => [w.run, w.seams, w.onWood])).toEqual([
      ['level', [35], false],
      ['upright', [35, 69], false],
    ]);
  });
  it('takes strips that are longer than any roll only where nothing else is left', () => {
    expect(waysOf(face(1300, 36, []), [36], 1200).map((w) => w.run)).toEqual(['upright']);
    expect(waysOf(face(1300, 1300, []), [36], 1200)).toHaveLength(2);
  });
  it('covers any face on any studs: strips no wider than their roll, laps of 2 in with their middle on a stud', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 300, noNaN: true }),
        fc.double({ min: 8, max: 40, noNaN: true }),
        fc.constantFrom(24, 36, 48),
        (width, step, roll) => {
          const studs = Array.from({ length: Math.floor(width / step) }, (_, k) => (k + 1) * step).filter(
            (c) => c < width - 1,
          );
          for (const way of waysOf(face(width, 90, studs), [roll], 1200)) {
            let at = 0;
            for (const [k, w] of way.widths.entries()) {
              expect(w).toBeLessThanOrEqual(roll + 1e-6);
              const end = at + w;
              const seam = way.seams[k];
              if (seam === undefined) expect(end).toBeCloseTo(way.across, 6);
              else {
                expect(end).toBeCloseTo(seam + MESH_LAP / 2, 6);
                if (way.onWood) expect(studs.some((c) => Math.abs(c - seam) < 1e-6)).toBe(true);
              }
              at = end - MESH_LAP;
            }
          }
        },
      ),
    );
  });
  it('costs what its strips cost: seams on studs are never traded for a cheaper seam in the air', () => {
    const held = planRolls([face(128, 70, [32, 64, 96])], rolls);
    expect(held.strips[0]).toMatchObject({ onWood: true, run: 'upright' });
    expect(planRolls([face(128, 70, [])], rolls).strips[0]?.onWood).toBe(false);
  });
});
