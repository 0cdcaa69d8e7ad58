import fc from 'fast-check';
import { MESH_LAP, MESHES } from '../stock/index.ts';
import { planRolls } from './planRolls.ts';
import type { MeshFace } from './planRolls.ts';

const rolls = MESHES.flatMap((m) => m.rolls.map((r) => ({ item: m.key, ...r })));
const cloth = (id: string, width: number, height: number): MeshFace => ({ id, item: 'hardware-cloth', width, height });

describe('the mesh of a unit as one roll plan', () => {
  it('takes one roll of 24 in where 279 and 144 in of 24 in strip are wanted, and no wider one', () => {
    const plan = planRolls([cloth('long', 279, 24), cloth('short', 144, 24)], rolls);
    expect(plan.layout.map((r) => r.width)).toEqual([24]);
    expect(plan.layout[0]?.length).toBe(600);
    expect(plan.cost).toBe(7708);
  });
  it('cuts small vents from what other faces leave, not from rolls of their own', () => {
    const long = [cloth('front', 240, 36), cloth('back', 240, 36)];
    const vents = [cloth('vent-1', 12, 12), cloth('vent-2', 12, 12)];
    expect(planRolls([...long, ...vents], rolls).cost).toBe(planRolls(long, rolls).cost);
  });
  it('lays narrow strips beside each other across a roll', () => {
    const four = [1, 2, 3, 4].map((k) => cloth(`eave-${k}`, 96, 11.5));
    const plan = planRolls(four, rolls);
    expect(plan.layout).toHaveLength(1);
    expect(new Set(plan.layout[0]?.strips.map((s) => s.y)).size).toBeGreaterThan(1);
    expect(plan.layout[0]?.length).toBe(300);
  });
  it('covers every face, overlaps nothing, stays on its rolls and costs no more than face by face', () => {
    const face = fc.record({
      width: fc.integer({ min: 10, max: 280 }),
      height: fc.integer({ min: 6, max: 100 }),
      item: fc.constantFrom('hardware-cloth', 'welded-wire'),
    });
    fc.assert(
      fc.property(fc.array(face, { minLength: 1, maxLength: 8 }), (list) => {
        const faces = list.map((f, i) => ({ id: `f${i}`, ...f }));
        const plan = planRolls(faces, rolls);
        const strips = plan.layout.flatMap((r) => r.strips);
        for (const r of plan.layout)
          for (const [i, s] of r.strips.entries()) {
            expect(s.x + s.length).toBeLessThanOrEqual(r.length + 1e-6);
            expect(s.y + s.width).toBeLessThanOrEqual(r.width + 1e-6);
            for (const t of r.strips.slice(i + 1)) {
              const apart =
                s.x + s.length <= t.x + 1e-6 ||
                t.x + t.length <= s.x + 1e-6 ||
                s.y + s.width <= t.y + 1e-6 ||
                t.y + t.width <= s.y + 1e-6;
              expect(apart).toBe(true);
            }
          }
        for (const f of faces) {
          const mine = strips.filter((s) => s.face === f.id);
          const across = mine.reduce((sum, s) => sum + s.width, 0) - MESH_LAP * (mine.length - 1);
          const [a, b] = [across, mine[0]?.length ?? 0].sort((p, q) => p - q);
          const [c, d] = [f.width, f.height].sort((p, q) => p - q);
          expect(a).toBeCloseTo(c as number, 6);
          expect(b).toBeCloseTo(d as number, 6);
        }
        const alone = faces.reduce((sum, f) => sum + planRolls([f], rolls).cost, 0);
        expect(plan.cost).toBeLessThanOrEqual(alone);
        expect(plan.cost).toBe(plan.rolls.reduce((sum, r) => sum + r.cost * r.count, 0));
      }),
      { numRuns: 40 },
    );
  });
});

describe('mesh that goes round a unit', () => {
  const round = (lengths: readonly number[]): MeshFace[] =>
    lengths.map((width, i) => ({
      ...cloth(`side-${i + 1}`, width, 36),
      wrap: { id: 'the legs', faces: lengths.length },
    }));
  it('is cut in one piece and bent at the corners: 72 + 48 + 72 + 48 in of a roll of 25 ft', () => {
    const plan = planRolls(round([72, 48, 72, 48]), rolls);
    expect(plan.layout).toHaveLength(1);
    expect(plan.layout[0]?.strips).toEqual([
      { face: 'side-1', x: 0, y: 0, width: 36, length: 72 },
      { face: 'side-2', x: 72, y: 0, width: 36, length: 48, bent: true },
      { face: 'side-3', x: 120, y: 0, width: 36, length: 72, bent: true },
      { face: 'side-4', x: 192, y: 0, width: 36, length: 48, bent: true },
    ]);
  });
  it('is cut apart where one piece would want a dearer roll', () => {
    // 1,240 in go on no roll; cut apart they come from a roll of 100 ft and one of 25.
    const plan = planRolls(round([310, 310, 310, 310]), rolls);
    expect(plan.layout.flatMap((r) => r.strips).some((s) => s.bent)).toBe(false);
    const other = planRolls(
      [310, 310, 310, 310].map((w, i) => cloth(`side-${i}`, w, 36)),
      rolls,
    );
    expect(plan.cost).toBe(other.cost);
  });
  it('never costs more for it, and covers each side as it would by itself', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 30, max: 200 }), { minLength: 2, maxLength: 6 }), (lengths) => {
        const plan = planRolls(round(lengths), rolls);
        const apart = planRolls(
          lengths.map((w, i) => cloth(`side-${i + 1}`, w, 36)),
          rolls,
        );
        expect(plan.cost).toBeLessThanOrEqual(apart.cost);
        for (const [i, w] of lengths.entries()) {
          const mine = plan.layout.flatMap((r) => r.strips).filter((s) => s.face === `side-${i + 1}`);
          const area = mine.reduce((sum, s) => sum + s.width * s.length, 0);
          expect(area).toBeGreaterThanOrEqual(36 * w - 1e-6);
        }
      }),
      { numRuns: 40 },
    );
  });
});
