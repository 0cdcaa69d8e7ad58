import fc from 'fast-check';
import type { MeshFace } from '../cut/index.ts';
import { itemsOf } from '../stock/index.ts';
import { findRollSources, planSawRolls, ROLL_END } from './planSawRolls.ts';
import type { SawFace } from './planSawRolls.ts';

const CLOTH = 'hardware-cloth';
const face = (order: number, part: string, width: number, height: number): SawFace => ({
  order,
  part,
  mark: part.toUpperCase(),
  panel: 'Run',
  item: CLOTH,
  length: width,
  face: { id: `${order}/${part}`, item: CLOTH, width, height } satisfies MeshFace,
});
const rolls = itemsOf('mesh').find((m) => m.key === CLOTH)?.rolls ?? [];
const line = (id: number, length: number, width: number, mark: string, free = 1) => ({
  id,
  item: CLOTH,
  length,
  width,
  mark,
  free,
});

describe('the mesh of a batch', () => {
  it('shares a roll between orders, and never costs more than each by itself', () => {
    const faces = [face(1, 'm1', 60, 36), face(2, 'm1', 90, 36), face(3, 'm1', 45, 36)];
    const together = planSawRolls(faces, findRollSources([]));
    const apart = faces.map((f) => planSawRolls([f], findRollSources([])).cost).reduce((a, b) => a + b, 0);
    expect(together.rolls).toHaveLength(1);
    expect(together.cost).toBeLessThan(apart);
    // 60 + 90 + 45 = 195 in of a roll 36 wide; the rest is one piece.
    const [roll] = together.rolls;
    expect(roll?.width).toBe(36);
    expect(roll?.left).toBeCloseTo((roll?.length ?? 0) - 195, 6);
  });
  it('takes the end of a roll before a whole one, and a whole one of the rack before the yard', () => {
    const end = line(7, 100, 36, 'R7');
    const own = line(8, rolls.find((r) => r.width === 36)?.length ?? 0, 36, '');
    const small = planSawRolls([face(1, 'm1', 90, 36)], findRollSources([own, end]));
    expect(small.rolls).toMatchObject([{ stock: 7, cost: 0, left: 10 }]);
    const large = planSawRolls([face(1, 'm1', 90, 36), face(2, 'm1', 50, 36)], findRollSources([end, own]));
    expect(large.rolls.map((r) => r.stock).sort()).toEqual([7, 8]);
    // What is gone is gone: an end is taken once.
    const twice = planSawRolls([face(1, 'm1', 90, 36), face(2, 'm1', 90, 36)], findRollSources([end]));
    expect(twice.rolls.map((r) => r.stock).sort()).toEqual([7, null]);
  });
  it('opens a roll that is there rather than buy a smaller one, at what it is worth', () => {
    // 25 ft would do and costs less than the 50 ft on the rack; but that is paid, and its rest stays.
    const fifty = rolls.find((r) => r.width === 36 && r.length === 600);
    const plan = planSawRolls([face(1, 'm1', 90, 36)], findRollSources([line(8, 600, 36, '')]));
    expect(plan.rolls).toMatchObject([{ stock: 8, length: 600, left: 510 }]);
    expect(plan.cost).toBe(Math.floor((fifty?.cost ?? 0) * 0.98));
  });
  it('leaves patches alone that are narrower than any roll', () => {
    expect(findRollSources([line(1, 80, 11, 'R1')]).every((s) => s.stock === null)).toBe(true);
  });
  it('keeps strips on their rolls, off one another, as much of each face as it is large', () => {
    const some = fc.array(
      fc.record({
        order: fc.integer({ min: 1, max: 3 }),
        width: fc.integer({ min: 10, max: 140 }),
        height: fc.integer({ min: 8, max: 72 }),
      }),
      { minLength: 1, maxLength: 7 },
    );
    const ends = fc.array(
      fc.record({
        length: fc.integer({ min: ROLL_END, max: 300 }),
        width: fc.constantFrom(...rolls.map((r) => r.width)),
      }),
      { maxLength: 3 },
    );
    fc.assert(
      fc.property(some, ends, (list, rack) => {
        const faces = list.map((f, k) => face(f.order, `m${k}`, f.width, f.height));
        const sources = findRollSources(rack.map((r, k) => line(k + 1, r.length, r.width, `R${k + 1}`)));
        const plan = planSawRolls(faces, sources, 'quick');
        const used = plan.rolls.flatMap((r) => (r.stock === null ? [] : [r.stock]));
        expect(new Set(used).size).toBe(used.length);
        const area = new Map<string, number>();
        for (const r of plan.rolls) {
          r.strips.forEach((a, i) => {
            expect(a.x + a.length).toBeLessThanOrEqual(r.length + 1e-6);
            expect(a.y + a.width).toBeLessThanOrEqual(r.width + 1e-6);
            for (const b of r.strips.slice(i + 1))
              expect(
                a.x + a.length <= b.x + 1e-6 ||
                  b.x + b.length <= a.x + 1e-6 ||
                  a.y + a.width <= b.y + 1e-6 ||
                  b.y + b.width <= a.y + 1e-6,
              ).toBe(true);
            const ref = `${a.part.order}/${a.part.part}`;
            area.set(ref, (area.get(ref) ?? 0) + a.length * a.width);
          });
          expect(r.left).toBeGreaterThanOrEqual(0);
        }
        for (const f of faces)
          expect(area.get(`${f.order}/${f.part}`) ?? 0).toBeGreaterThanOrEqual(f.face.width * f.face.height - 1e-6);
      }),
      { numRuns: 60 },
    );
  });
});
