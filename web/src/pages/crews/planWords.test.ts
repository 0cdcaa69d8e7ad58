import { blockOf, boardOf, visitOf } from '../../testing/board.ts';
import type { BoardData } from '../../data/types.ts';
import { waitsOf } from './BarTile.tsx';
import { dayOfPerson } from './myDay.ts';
import { afterWords, holdWords, supplyWords, nightWords, overlapWords, planWords, roundWords } from './planWords.ts';

type Plan = Parameters<typeof planWords>[0];
const plan = (more: Partial<Plan> = {}): Plan => ({
  kind: 'least upset',
  cost: { late: 0, bays: 0, upset: 0, overtime: 0, mixed: 0, driving: 0, nights: 0, total: 0 },
  bound: 0,
  lateDays: 2,
  lateOrders: 1,
  overtimeMinutes: 0,
  shifts: [],
  orders: [],
  faults: [],
  ...more,
});
const shift = { task: '7/frame', orderId: 7, name: 'frame', title: 'Sorrel', before: null } as const;
const moved = { ...shift, after: { day: '2026-05-06', minute: 480, at: 'Bay 1: Ines' } };
const order = (orderId: number, before: string | null, after: string | null, late = 0) => ({
  orderId,
  title: 'Sorrel',
  before: before === null ? null : { day: before, late: 0 },
  after: after === null ? null : { day: after, late },
});

describe('loads that are one trip', () => {
  it('say from where they come and where they go on to', () => {
    const [first, second, third] = [
      blockOf('7/deliver', { station: 'road', visits: [visitOf('2026-05-06', 480, 600)] }),
      blockOf('8/deliver', {
        station: 'road',
        visits: [visitOf('2026-05-06', 600, 700, ['1'], { after: '7/deliver', ways: [15, 0] })],
      }),
      blockOf('9/deliver', {
        station: 'road',
        visits: [visitOf('2026-05-06', 700, 840, ['1'], { after: '8/deliver', ways: [15, 60] })],
      }),
    ];
    const alone = blockOf('10/deliver', { station: 'road', visits: [visitOf('2026-05-07', 480, 600)] });
    const data = boardOf({ operations: [first, second, third, alone] });
    const words = [first, second, third, alone].map((o) => roundWords(data, o, o.visits[0] as never));
    expect(words).toEqual([
      'one trip: then on to 8; both are loaded at the shop',
      'one trip: straight on from 7, then on to 9; all are loaded at the shop',
      'one trip: straight on from 8; both are loaded at the shop',
      '',
    ]);
  });
});

describe('what weather keeps back', () => {
  const held = (why: 'cold' | 'rain' | 'wind' | 'site', days: number, of: number, more: object = {}) =>
    blockOf('7/site-coat-1', { station: 'site', held: { why, days, of }, ...more });
  it.each([
    [held('cold', 62, 62), 'Too cold for it on the 62 working days before'],
    [held('rain', 2, 3), 'Rain is likely on 2 of the 3 working days before'],
    [held('wind', 1, 1), 'Too windy for it on the working day before'],
    // Of a site that is not ready its flag tells.
    [held('site', 3, 3), undefined],
    [held('cold', 3, 3, { done: true }), undefined],
    [blockOf('7/site-coat-1', { station: 'site' }), undefined],
  ])('is told in working days', (op, words) => {
    expect(holdWords(op)).toBe(words);
    expect(waitsOf(boardOf({ operations: [op] }), op).map((w) => w.words)).toEqual(words === undefined ? [] : [words]);
  });
});

describe('what a block waits for', () => {
  it('is told by name, but not what that waits for itself', () => {
    const chain = [
      blockOf('7/saw', { name: 'cut' }),
      blockOf('7/frame', { name: 'frame', needs: ['7/saw'] }),
      blockOf('7/coat-1', { name: '1st coat', needs: ['7/saw', '7/frame'], dry: 720 }),
      blockOf('7/load', { name: 'load', needs: ['7/coat-1', '7/saw', '8/none'] }),
    ];
    const data = boardOf({ operations: chain });
    expect(chain.map((o) => afterWords(data, o))).toEqual(['', 'after cut', 'after frame', 'once 1st coat is dry']);
  });
});

describe('nights away', () => {
  const away = visitOf('2026-05-06', 720, 570, ['1', '2'], {
    end: { day: '2026-05-08', minute: 570 },
    pieces: [
      { day: '2026-05-06', from: 720, to: 960 },
      { day: '2026-05-07', from: 480, to: 960 },
      { day: '2026-05-08', from: 480, to: 570 },
    ],
  });
  const site = blockOf('7/site', { station: 'site', visits: [away] });
  it('are told, and what is taken along for those that are to come', () => {
    expect(nightWords(site, away)).toBe('they stay 2 nights there');
    expect(nightWords(site, visitOf('2026-05-06', 480, 900))).toBe('');
    const data = boardOf({ operations: [site] });
    const bring = (day: string) => dayOfPerson(data, '1', day)[0]?.bring.filter((b) => b.startsWith('your things'));
    expect(bring('2026-05-06')).toEqual(['your things for 2 nights']);
    expect(bring('2026-05-07')).toEqual(['your things for the night']);
    expect(bring('2026-05-08')).toEqual([]);
  });
  it('are none of work in the shop that goes on the next day', () => {
    expect(nightWords(blockOf('7/frame', { station: 'bay' }), away)).toBe('');
  });
});

describe('what begins while the rest is at the saw', () => {
  it('says so, where it does', () => {
    const saw = blockOf('7/saw', { visits: [visitOf('2026-05-06', 480, 720)] });
    const frame = (from: number) =>
      blockOf('7/frame', {
        overlaps: [{ need: '7/saw', after: 0.4, last: 0.5 }],
        needs: ['7/saw'],
        visits: [visitOf('2026-05-06', from, from + 120)],
      });
    const words = (from: number, done = false) =>
      overlapWords(boardOf({ operations: [{ ...saw, done }, frame(from)] }), frame(from));
    expect(words(660)).toBe('begins while the rest is at the saw');
    expect(words(720)).toBe('');
    expect(words(660, true)).toBe('');
  });
});

describe('who stays where they brought it', () => {
  it('is told at the delivery, and at what they stay for', () => {
    const first = blockOf('7/deliver', { station: 'road', visits: [visitOf('2026-05-06', 480, 600)] });
    const then = blockOf('7/site', {
      station: 'site',
      visits: [visitOf('2026-05-06', 600, 700, ['1'], { after: '7/deliver', ways: [0, 60] })],
    });
    const data = boardOf({ operations: [first, then] });
    expect([first, then].map((o) => roundWords(data, o, o.visits[0] as never))).toEqual([
      'they stay there for what is built on site',
      'straight on from its delivery, by those who brought it',
    ]);
  });
});

describe('work that is set up alike', () => {
  it('says what it goes straight on from, and on to', () => {
    const first = blockOf('7/saw', { visits: [visitOf('2026-05-06', 480, 600)] });
    const second = blockOf('8/saw', { visits: [visitOf('2026-05-06', 600, 700, ['1'], { after: '7/saw' })] });
    const data = boardOf({ operations: [first, second] });
    expect([first, second].map((o) => roundWords(data, o, o.visits[0] as never))).toEqual([
      'then on to 8, set up once',
      'straight on from 7, set up once',
    ]);
  });
});

describe('what a plan does, in words', () => {
  it('is nothing where nothing moves', () => {
    expect(planWords(plan(), { lateDays: 2 })).toEqual(['Nothing moves.']);
  });
  it('is which orders are done later and sooner, and how late', () => {
    const words = planWords(
      plan({
        shifts: [moved],
        orders: [
          order(7, '2026-05-06', '2026-05-08', 2),
          order(8, '2026-05-06', '2026-05-05'),
          order(9, '2026-05-06', '2026-05-07', 1),
        ],
      }),
      { lateDays: 5 },
    );
    expect(words).toEqual([
      'Done later: 7 (Fri 8 May, 2 days late), 9 (Thu 7 May, a day late).',
      'Done sooner: 8 (Tue 5 May).',
      'It saves 3 days of lateness against going on as it is.',
    ]);
  });
  it('says that days stay, what people stay longer, and whose time is gone', () => {
    const words = planWords(plan({ shifts: [moved], overtimeMinutes: 150, orders: [order(9, '2026-05-06', null)] }), {
      lateDays: 3,
    });
    expect(words).toEqual([
      'Every order is done on the day it was.',
      'It saves a day of lateness against going on as it is.',
      '2 h 30 of overtime in all.',
      'No time or room is left for 9.',
    ]);
  });
});

describe('what a block is made of', () => {
  const TODAY = '2026-05-04';
  const supply = (more: Partial<NonNullable<BoardData['operations'][number]['supply']>>) => ({
    day: '2026-05-07',
    coming: [],
    buy: [],
    orderBy: null,
    ...more,
  });
  it.each([
    [null, []],
    [supply({}), ['Its wood comes on Thu 7 May']],
    [supply({ coming: ['2×4'] }), ['2×4 is ordered, and there on Thu 7 May']],
    [supply({ coming: ['2×4', '½ in ply'] }), ['2×4 and ½ in ply are ordered, and there on Thu 7 May']],
    [supply({ buy: ['2×3'], orderBy: '2026-05-20' }), ['Not enough 2×3 on the rack or on order: order by Wed 20 May']],
    [supply({ buy: ['2×3'], orderBy: TODAY }), ['Not enough 2×3 on the rack or on order: order today']],
    [
      supply({ buy: ['2×3'], orderBy: '2026-05-01' }),
      ['Not enough 2×3 on the rack or on order: what is ordered today is there on Thu 7 May, after it is to begin'],
    ],
    // What has no place yet has no day to order by.
    [supply({ buy: ['a', 'b', 'c', 'd', 'e'] }), ['Not enough a, b, c and 2 more on the rack or on order']],
    [
      supply({ coming: ['2×4'], buy: ['hinge'], orderBy: '2026-05-20' }),
      ['2×4 is ordered', 'Not enough hinge on the rack or on order: order by Wed 20 May'],
    ],
  ])('%j reads %j', (of, words) => {
    expect(supplyWords(of, TODAY).map((m) => m.words)).toEqual(words);
  });
  it('is marked on the board only in the last days to order it, and where its day is known', () => {
    const marked = (orderBy: string): boolean | undefined =>
      supplyWords(supply({ buy: ['2×3'], orderBy }), TODAY)[0]?.soon;
    expect(['2026-05-03', TODAY, '2026-05-06', '2026-05-07'].map(marked)).toEqual([true, true, true, false]);
    expect(supplyWords(supply({ coming: ['2×4'] }), TODAY)[0]?.soon).toBe(false);
    expect(supplyWords(supply({}), TODAY)[0]?.soon).toBe(true);
  });
});
