import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { repeatParts } from '../unit/index.ts';
import { findItem } from '../stock/index.ts';
import { planBatch, readTicket, takeOff } from './index.ts';

describe.each(FAMILIES.map((f) => f.key))('three of a %s cut as one batch', (family) => {
  const { parts } = buildSpec(parseSpec({ family }));
  const one = takeOff({ ...buildSpec(parseSpec({ family })) });
  const all = planBatch(parts, 3);
  const countOf = (ids: readonly string[]): Map<string, number> => {
    const out = new Map<string, number>();
    for (const id of ids) {
      const t = readTicket(id);
      out.set(t.mark, (out.get(t.mark) ?? 0) + t.parts);
    }
    return out;
  };
  it('have three of every stick piece and sheet piece', () => {
    const sticks = (plan: typeof one.sticks) => countOf(plan.sticks.flatMap((s) => s.cuts.map((c) => c.id)));
    for (const [mark, n] of sticks(one.sticks)) expect([mark, sticks(all.sticks).get(mark)]).toEqual([mark, 3 * n]);
    const sheets = (plan: typeof one.sheets) => countOf(plan.sheets.flatMap((s) => s.places.map((p) => p.id)));
    for (const [mark, n] of sheets(one.sheets)) expect([mark, sheets(all.sheets).get(mark)]).toEqual([mark, 3 * n]);
  });
  it('have every face of mesh of every unit', () => {
    const faces = (plan: typeof one.mesh) => new Set(plan.layout.flatMap((r) => r.strips.map((s) => s.face)));
    for (const face of faces(one.mesh)) for (const u of [1, 2, 3]) expect(faces(all.mesh)).toContain(`${face}@${u}`);
  });
  it('cost no more than three cut one by one', () => {
    expect(all.sticks.cost).toBeLessThanOrEqual(3 * one.sticks.cost);
    expect(all.sheets.sheets.length).toBeLessThanOrEqual(3 * one.sheets.sheets.length);
    expect(all.mesh.cost).toBeLessThanOrEqual(3 * one.mesh.cost);
  });
});

describe('repeatParts', () => {
  const { parts } = buildSpec(parseSpec({ family: 'low-pen' }));
  it('names every part by its unit and keeps mark and form', () => {
    const all = repeatParts(parts, 2);
    expect(all).toHaveLength(2 * parts.length);
    expect(new Set(all.map((p) => p.id)).size).toBe(all.length);
    expect(all.map((p) => [p.mark, p.shape])).toEqual([...parts, ...parts].map((p) => [p.mark, p.shape]));
    expect(all.filter((p) => findItem(p.item).kind === 'lumber')[0]?.id).toMatch(/@1$/);
  });
  it('leaves a single unit as it is', () => expect(repeatParts(parts, 1)).toBe(parts));
});
