import { addDays } from '../days/index.ts';
import { FIRST, op, order, shop } from '../../testing/shops.ts';
import { boundPlan, planCrews } from './index.ts';
import type { Operation, Shop } from './index.ts';

/** What no plan goes under, and what one that is looked for costs: worked by hand, the one is never above the other. */
const bounds = (s: Shop): readonly [number, number] => {
  const found = planCrews(s, { rounds: 200 });
  expect(found.bound).toBe(Math.min(boundPlan(s), found.cost.total));
  return [boundPlan(s), found.cost.total];
};
const people = (...skills: readonly (readonly string[])[]): Shop['people'] =>
  skills.map((list, k) => ({ id: `P${k}`, skills: list }));
const places = [
  ...['a', 'b', 'c', 'd'].map((n) => ({ id: `bay ${n}`, kind: 'bay' })),
  { id: 'saw', kind: 'saw' },
  { id: 'long bay', kind: 'bay', holds: [320, 160, 130] as const },
];
/** Orders that are due on the first day, each a day of work of its own. */
const each = (n: number, work: (id: string, k: number) => readonly Operation[], due = 0): Shop =>
  shop({
    places,
    orders: Array.from({ length: n }, (_, k) => order(`O${k}`, due)),
    operations: Array.from({ length: n }, (_, k) => work(`O${k}`, k)).flat(),
  });

describe('what no plan costs less than', () => {
  it('is what each order is late by alone', () => {
    // Two days of work, due on the first: a day late.
    expect(bounds({ ...each(1, (id) => [op(id, 'frame', { minutes: 960 })]), people: people(['framing']) })).toEqual([
      1000, 1000,
    ]);
  });
  it('is what they are late by one after the other, where one does all of it: a day, two and three', () => {
    const s = { ...each(4, (id) => [op(id, 'frame', { minutes: 480 })]), people: people(['framing']) };
    expect(bounds(s)).toEqual([6000, 6000]);
  });
  it('looks at those who saw and frame together: each skill by itself has people enough', () => {
    // Two who do both, four orders of a day's sawing and a day's framing for one each: eight days for two.
    const s = {
      ...each(
        4,
        (id) => [
          op(id, 'cut', { place: 'yard', skill: 'saw', minutes: 480 }),
          op(id, 'frame', { minutes: 480, needs: [`${id}/cut`] }),
        ],
        1,
      ),
      people: people(['saw', 'framing'], ['saw', 'framing'], ['paint'], ['paint'], ['paint'], ['paint']),
      places: [...places, { id: 'yard', kind: 'yard' }, { id: 'yard 2', kind: 'yard' }],
    };
    // Four days' hands are worked off on Wednesday and Thursday for the third and the fourth; in a plan both are done on Thursday.
    expect(bounds(s)).toEqual([3000, 4000]);
  });
  it('counts only those who take their turn at what there is little of', () => {
    // Three large units for the one long bay, a day each, and three that are cut only: the large ones wait for each other.
    const large = [240, 90, 100] as const;
    const base = each(6, (id, k) => [
      k < 3 ? op(id, 'frame', { minutes: 480 }) : op(id, 'cut', { place: 'saw', skill: 'saw', minutes: 60 }),
    ]);
    const s = {
      ...base,
      places: [
        { id: 'small bay', kind: 'bay', holds: [160, 120, 96] as const },
        { id: 'long bay', kind: 'bay', holds: [320, 160, 130] as const },
        { id: 'saw', kind: 'saw' },
      ],
      orders: base.orders.map((o, k) => (k < 3 ? { ...o, size: large } : o)),
      people: people(['framing'], ['framing'], ['framing'], ['saw']),
    };
    expect(bounds(s)).toEqual([3000, 3000]);
  });
  it('counts what comes after a turn: a coat that dries over night, and the drive', () => {
    // Two orders of a day in the bay, one framer; each is coated and loaded on a day after that of its framing.
    const s = {
      ...each(2, (id) => [
        op(id, 'frame', { minutes: 480 }),
        op(id, 'coat', { skill: 'paint', minutes: 30, dry: 720, needs: [`${id}/frame`] }),
        op(id, 'load', { place: 'yard', skill: 'loading', minutes: 30, needs: [`${id}/coat`] }),
      ]),
      people: people(['framing'], ['paint'], ['loading']),
      places: [...places, { id: 'yard', kind: 'yard' }],
    };
    // Framed on Monday and Tuesday, coated the day after, loaded the day after that: two and three days late.
    expect(bounds(s)).toEqual([5000, 5000]);
  });
  it('is a day in a bay for each unit that stands in one, and the ways of each trailer', () => {
    const s = {
      ...each(
        2,
        (id) => [
          op(id, 'frame', { minutes: 120 }),
          op(id, 'drive', {
            place: 'road',
            skill: 'driving',
            minutes: 60,
            travel: [45, 45],
            splits: false,
            trailer: true,
            needs: [`${id}/frame`],
          }),
        ],
        5,
      ),
      people: people(['framing'], ['driving']),
      prices: { bayDay: 800, upset: 0, driving: 3000 },
    };
    // 90 minutes there and back at 30 dollars, twice, and two days in bays.
    expect(bounds(s)).toEqual([2 * (800 + 4500), 2 * (800 + 4500)]);
  });
  it('is no more where what is bought comes late, or a site is not ready: that holds each alone', () => {
    const late = {
      ...each(2, (id) => [op(id, 'frame', { minutes: 60, from: addDays(FIRST, 3) })]),
      people: people(['framing']),
    };
    expect(bounds(late)).toEqual([6000, 6000]);
  });
  it('asks nothing of what is pinned: it may stand on what else there is', () => {
    const base = each(2, (id) => [op(id, 'frame', { minutes: 480 })]);
    const s = {
      ...base,
      people: people(['framing']),
      pins: base.operations.map((o) => ({ operation: o.id, start: 480, place: 'bay a', people: ['P0'] })),
    };
    expect(boundPlan(s)).toBe(0);
  });
  it('is nothing where nothing is to be done', () => {
    expect(boundPlan(shop({ orders: [], operations: [] }))).toBe(0);
  });
});
