import { bundlesOf } from '@rubbet/core/saw';
import type { BatchLine, CostingData } from '../../data/types.ts';
import { goesTo, nextStack, stopsOf } from '../saw/stacks.ts';
import { byItem, byMonth, shareOf } from './yields.ts';

const part = (order: number, mark: string, panel = 'front wall') => ({
  order,
  part: `${mark} ${panel}`,
  mark,
  panel,
  length: 40,
});
const line = (id: number, more: Partial<BatchLine> = {}): BatchLine => ({
  id,
  seq: id,
  stack: 0,
  kind: 'stick',
  item: '2x4',
  length: 96,
  width: null,
  cost: 416,
  stock: { id: 7, mark: '', place: 'A1' },
  pieces: [
    { length: 50, parts: [part(1, 'A2')], state: 'open' },
    { length: 40, parts: [part(1, 'A10')], state: 'open' },
  ],
  cuts: null,
  ripped: false,
  dropOf: null,
  rests: [],
  state: 'open',
  cutBy: null,
  cutAt: null,
  version: 1,
  ...more,
});

describe('what is cut next', () => {
  it('is the first that is open and on the rack, with those that lie on it', () => {
    const list = [
      line(1, { state: 'cut' }),
      line(2, { stock: null, stack: 1 }),
      line(3, { stack: 2 }),
      line(4, { stack: 2 }),
      line(5, { stack: 2, stock: { id: 8, mark: 'R8', place: '' } }),
      line(6, { stack: 3 }),
    ];
    expect(nextStack(list, false).map((l) => l.id)).toEqual([3, 4]);
    expect(nextStack(list, true).map((l) => l.id)).toEqual([3]);
    // Only when nothing else is left is what has to come first tried.
    expect(nextStack(list.slice(0, 2), false).map((l) => l.id)).toEqual([2]);
    expect(nextStack([line(1, { state: 'cut' })], false)).toEqual([]);
  });
  it('sets the stop once for pieces of a length that follow each other', () => {
    const stops = stopsOf([
      line(1, {
        pieces: [
          { length: 40, parts: [{ ...part(1, 'A'), ends: 'one end 30°' }], state: 'open' },
          { length: 40, parts: [part(1, 'B')], state: 'open' },
          { length: 10, parts: [part(1, 'C')], state: 'open' },
        ],
      }),
    ]);
    expect(stops).toEqual([
      { length: 40, count: 2, ends: ['one end 30°'] },
      { length: 10, count: 1, ends: [] },
    ]);
  });
  it('says once where equal pieces go', () => {
    const twins = line(1, {
      pieces: Array.from({ length: 3 }, () => ({ length: 40, parts: [part(1, 'A')], state: 'open' as const })),
    });
    expect(goesTo(twins).map((g) => [g.part.mark, g.count])).toEqual([['A', 3]]);
  });
});

describe('bundles', () => {
  it('are one a panel of an order, without what is no good', () => {
    const lines = [
      line(1, {
        state: 'cut',
        pieces: [
          { length: 50, parts: [part(1, 'A2')], state: 'cut' },
          { length: 40, parts: [part(2, 'B', 'roof')], state: 'spoiled' },
        ],
      }),
      line(2, { pieces: [{ length: 50, parts: [part(1, 'A10'), part(1, 'A10')], state: 'open' }] }),
    ];
    expect(bundlesOf(lines)).toEqual([
      { key: '1 front wall', order: 1, panel: 'front wall', pieces: 3, cut: 1, marks: ['A2', 'A10 ×2'] },
    ]);
  });
});

describe('yields', () => {
  const y = (
    month: string,
    item: string,
    kind: 'stick' | 'sheet',
    taken: number,
    pieces: number,
  ): CostingData['yields'][number] => ({
    month,
    item,
    name: item,
    kind,
    taken,
    pieces,
    returned: 0,
    kerf: 0,
    spoiled: 0,
    scrap: taken - pieces,
  });
  const lines = [
    y('2026-04', '2x4', 'stick', 100, 80),
    y('2026-05', '2x4', 'stick', 300, 270),
    y('2026-05', 'ply-1/2', 'sheet', 50, 25),
  ];
  it('add an item’s months up, and its shares to a whole', () => {
    const [first] = byItem(lines);
    expect(first).toMatchObject({ item: '2x4', taken: 400, pieces: 350, scrap: 50 });
    expect(shareOf(first as CostingData['yields'][number], 'pieces')).toBe(87.5);
  });
  it('are weighed by what was taken in a month', () => {
    expect(byMonth(lines)).toEqual([
      { month: '2026-04', stick: 80, sheet: 0, roll: 0 },
      { month: '2026-05', stick: 90, sheet: 50, roll: 0 },
    ]);
  });
});
