import { buildSpec, parseSpec } from '../model/index.ts';
import { compareBuilds } from './compareBuilds.ts';

const house = (params: Record<string, number | string | boolean>) =>
  buildSpec(parseSpec({ family: 'raised-lean-to', params }));

describe('two revisions', () => {
  it('of the same spec differ in nothing', () => {
    const difference = compareBuilds(house({}), house({}));
    expect(difference).toMatchObject({ added: [], removed: [], changed: [] });
    expect(difference.same).toBe(house({}).parts.length);
  });
  it('ten inches apart change the plates and rims by ten inches', () => {
    const { changed } = compareBuilds(house({}), house({ length: 82 }));
    const plate = changed.find((c) => c.name === 'front wall bottom plate');
    expect([plate?.before.length, plate?.after.length]).toEqual([72, 82]);
    const rim = changed.find((c) => c.name === 'long rim');
    expect([rim?.before.quantity, rim?.after.length]).toEqual([2, 82]);
  });
  it('with and without nests differ by the nests and their opening', () => {
    const { added, removed } = compareBuilds(house({}), house({ nestWall: 'none' }));
    expect(removed.some((p) => p.name === 'nest lid' && p.quantity === 1)).toBe(true);
    expect(added.every((p) => !p.name.startsWith('nest'))).toBe(true);
  });
  it('count every part once', () => {
    const [a, b] = [house({}), house({ run: true, nestCount: 3, depth: 52 })];
    const d = compareBuilds(a, b);
    const sum = (list: readonly { readonly quantity: number }[]) => list.reduce((n, p) => n + p.quantity, 0);
    const changed = d.changed.reduce((n, c) => n + c.after.quantity, 0);
    expect(sum(d.removed) + changed + d.same).toBe(a.parts.length);
    expect(sum(d.added) + changed + d.same).toBe(b.parts.length);
  });
});
