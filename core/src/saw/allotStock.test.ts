import fc from 'fast-check';
import type { StockCount } from '../stock/index.ts';
import { allotStock } from './allotStock.ts';
import type { Asks, Coming } from './allotStock.ts';

const of = (item: string, quantity: number, length: number | null = null, width: number | null = null): StockCount => ({
  item,
  length,
  width,
  quantity,
});
const coming = (day: string, c: StockCount): Coming => ({ ...c, day });
const ask = (id: string, ...takes: StockCount[]): Asks => ({ id, takes });
const BOUGHT = '2026-05-09';
const KNOWN = new Set(['2x4', 'ply', 'hinge', 'mesh']);
const allot = (asks: readonly Asks[], rack: readonly StockCount[], more: readonly Coming[] = []) =>
  allotStock(asks, rack, more, KNOWN, () => BOUGHT);

describe('what is there, and what is on its way, shared out', () => {
  it('holds nobody up who finds all of it on the rack', () => {
    expect(allot([ask('a', of('2x4', 4, 92.5), of('hinge', 2))], [of('2x4', 4, 96), of('hinge', 2)])).toEqual(
      new Map(),
    );
  });
  it('goes to whoever begins first; the next waits for what comes, the last for what nobody has ordered', () => {
    const asks = ['a', 'b', 'c'].map((id) => ask(id, of('ply', 3)));
    const found = allot(asks, [of('ply', 4)], [coming('2026-05-06', of('ply', 3))]);
    expect(found.has('a')).toBe(false);
    expect(found.get('b')).toEqual({ day: '2026-05-06', coming: ['ply'], buy: [] });
    // One of its three comes; two are still to be bought.
    expect(found.get('c')).toEqual({ day: BOUGHT, coming: ['ply'], buy: ['ply'] });
  });
  it('cuts two pieces of 40 in from an 8 ft stick, with the kerf, but not two of 48', () => {
    expect(allot([ask('a', of('2x4', 2, 40))], [of('2x4', 1, 96)]).size).toBe(0);
    expect(allot([ask('a', of('2x4', 2, 48))], [of('2x4', 1, 96)]).get('a')?.buy).toEqual(['2x4']);
    // 96 less 1/8 in leaves 47 15/16 twice.
    expect(allot([ask('a', of('2x4', 2, 47.9375))], [of('2x4', 1, 96)]).size).toBe(0);
  });
  it('takes the offcut for the short piece and leaves the stick to the long one, whoever asks first', () => {
    const rack = [of('2x4', 1, 96), of('2x4', 1, 30)];
    expect(allot([ask('a', of('2x4', 1, 29)), ask('b', of('2x4', 1, 92))], rack).size).toBe(0);
    expect(allot([ask('a', of('2x4', 1, 29), of('2x4', 1, 92))], rack).size).toBe(0);
  });
  it('takes what lies there before what comes, and what comes first before what comes later', () => {
    const later = [coming('2026-05-07', of('2x4', 1, 96)), coming('2026-05-05', of('2x4', 1, 144))];
    const found = allot([ask('a', of('2x4', 1, 90)), ask('b', of('2x4', 1, 90))], [], later);
    expect(found.get('a')?.day).toBe('2026-05-05');
    // The rest of the long one is too short.
    expect(found.get('b')?.day).toBe('2026-05-07');
  });
  it('takes no roll that is narrower than its strip, and of two the one that is just wide enough', () => {
    expect(allot([ask('a', of('mesh', 1, 120, 48))], [of('mesh', 3, 600, 36)]).get('a')?.buy).toEqual(['mesh']);
    const rack = [of('mesh', 1, 600, 48), of('mesh', 1, 600, 36)];
    const asks = [ask('a', of('mesh', 1, 590, 36)), ask('b', of('mesh', 1, 590, 48))];
    expect(allot(asks, rack).size).toBe(0);
  });
  it('waits for nothing that the rack was never counted of', () => {
    expect(allot([ask('a', of('staple', 4000))], []).size).toBe(0);
  });

  const asksOf = fc.array(
    fc.array(fc.record({ eighths: fc.integer({ min: 8, max: 760 }), quantity: fc.integer({ min: 1, max: 6 }) }), {
      minLength: 1,
      maxLength: 6,
    }),
    { minLength: 1, maxLength: 6 },
  );
  const rackOf = fc.array(
    fc.record({ length: fc.constantFrom(30, 41.5, 96, 120, 144), quantity: fc.integer({ min: 1, max: 8 }) }),
    { maxLength: 5 },
  );
  it('never gives out more than there is, and more on the rack makes nobody wait who did not', () => {
    fc.assert(
      fc.property(asksOf, rackOf, (lists, rack) => {
        const asks = lists.map((l, k) => ask(`${k}`, ...l.map((t) => of('2x4', t.quantity, t.eighths / 8))));
        const there = rack.map((r) => of('2x4', r.quantity, r.length));
        const found = allot(asks, there);
        // Who does not wait has wood on the rack: together no more than lies there.
        const served = asks.filter((a) => !found.has(a.id)).flatMap((a) => a.takes);
        const inches = (list: readonly StockCount[]): number =>
          list.reduce((n, t) => n + t.quantity * (t.length ?? 0), 0);
        expect(inches(served)).toBeLessThanOrEqual(inches(there) + 1e-6);
        // Whoever is first does not wait by what those behind him want.
        const alone = allot(asks.slice(0, 1), there);
        expect(found.get('0')).toEqual(alone.get('0'));
        // With a stick for every piece nobody waits.
        const plenty = [...there, ...asks.flatMap((a) => a.takes.map((t) => ({ ...t, length: 144 })))];
        expect(allot(asks, plenty).size).toBe(0);
      }),
      { numRuns: 120 },
    );
  });
});
