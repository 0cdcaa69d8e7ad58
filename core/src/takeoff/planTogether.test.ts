import { buildSpec, parseSpec } from '../model/index.ts';
import { findItem } from '../stock/index.ts';
import { hasCut } from '../unit/index.ts';
import { planTogether } from './planTogether.ts';
import { readTicket, takeOff } from './takeOff.ts';

const partsOf = (family: string) => buildSpec(parseSpec({ family })).parts;
const pen = partsOf('low-pen');
const house = partsOf('raised-lean-to');

describe('several designs planned as one', () => {
  const batch = planTogether([
    { parts: pen, quantity: 3 },
    { parts: house, quantity: 2 },
  ]);
  it('cuts every piece of every unit, under the number of its design', () => {
    const wanted = (k: number, parts: typeof pen, quantity: number) =>
      parts
        .filter((p) => hasCut(p) && findItem(p.item).kind === 'lumber')
        .flatMap((p) => Array.from({ length: quantity }, () => `${k}.${p.mark}`));
    const cut = batch.sticks.sticks.flatMap((s) =>
      s.cuts.flatMap((c) => Array.from({ length: readTicket(c.id).parts }, () => readTicket(c.id).mark)),
    );
    expect(cut.sort()).toEqual([...wanted(1, pen, 3), ...wanted(2, house, 2)].sort());
    expect(batch.sticks.unplaced).toEqual([]);
    expect(batch.sheets.unplaced).toEqual([]);
  });
  it('costs no more than unit by unit, whose cost is that of their take-offs', () => {
    for (const k of ['sticks', 'sheets', 'mesh'] as const) expect(batch.cost[k]).toBeLessThanOrEqual(batch.alone[k]);
    const [one, other] = [pen, house].map((parts) =>
      takeOff({ ...buildSpec(parseSpec({ family: 'low-pen' })), parts, joints: [] }),
    );
    expect(batch.alone.sticks).toBe(3 * (one?.sticks.cost ?? 0) + 2 * (other?.sticks.cost ?? 0));
    expect(batch.alone.mesh).toBe(3 * (one?.mesh.cost ?? 0) + 2 * (other?.mesh.cost ?? 0));
  });
  it('takes what lies on the rack first, where it costs nothing', () => {
    const rack = [{ item: '2x4', length: 60, cost: 0, quantity: 4 }];
    const with4 = planTogether([{ parts: house, quantity: 1 }], rack);
    const without = planTogether([{ parts: house, quantity: 1 }]);
    const taken = with4.sticks.sticks.filter((s) => s.cost === 0);
    expect(taken.length).toBeGreaterThan(0);
    expect(taken.length).toBeLessThanOrEqual(4);
    expect(with4.cost.sticks).toBeLessThan(without.cost.sticks);
  });
  it('wraps each pair of legs by itself: what is bent round one unit goes round no other', () => {
    const legs = partsOf('raised-gable');
    const faces = legs.filter((p) => p.wrap !== undefined).length;
    const one = planTogether([{ parts: legs, quantity: 1 }]);
    const two = planTogether([{ parts: legs, quantity: 2 }]);
    const bent = (b: typeof one): number => b.mesh.layout.flatMap((r) => r.strips).filter((s) => s.bent).length;
    expect(faces).toBeGreaterThan(1);
    expect(bent(two)).toBeLessThanOrEqual(2 * (faces - 1));
    expect(two.cost.mesh).toBeLessThanOrEqual(2 * one.cost.mesh);
  });
});
