import { judgePlan } from '../../testing/judgePlan.ts';
import { randomOf } from '../cut/index.ts';
import { addDays } from '../days/index.ts';
import { boundPlan, planCrews } from './index.ts';
import type { Operation, Shop } from './index.ts';

const FIRST = '2026-03-02';

/** A small shop: days of two hours, three or four orders of a cut, a frame and a coat that dries, two or three people, a bay or two. */
const smallShop = (seed: number): Shop => {
  const random = randomOf(seed * 101 + 3);
  const whole = (from: number, to: number): number => from + Math.floor(random() * (to - from + 1));
  const count = whole(3, 4);
  const orders = Array.from({ length: count }, (_, k) => ({
    id: `O${k}`,
    due: addDays(FIRST, whole(0, 2)),
    weight: 100 * whole(1, 5),
  }));
  const operations = orders.flatMap(({ id: order }): Operation[] => {
    const of = (name: string, place: string, skill: string, slots: number, more: Partial<Operation>): Operation => ({
      id: `${order}/${name}`,
      order,
      place,
      minutes: 15 * slots,
      people: [1, 1],
      skill,
      dry: 0,
      needs: [],
      splits: true,
      ...more,
    });
    const coat = random() < 0.5;
    return [
      of('cut', 'saw', 'saw', whole(1, 4), {}),
      of('frame', 'bay', 'framing', whole(2, 7), { needs: [`${order}/cut`] }),
      ...(coat ? [of('coat', 'bay', 'paint', whole(1, 2), { needs: [`${order}/frame`], dry: 720 })] : []),
      of('load', 'yard', 'framing', 1, { needs: [coat ? `${order}/coat` : `${order}/frame`] }),
    ];
  });
  return {
    first: FIRST,
    days: 9,
    workdays: [1, 2, 3, 4, 5],
    closed: [],
    hours: [480, 600],
    now: 480,
    people: [
      { id: 'Ada', skills: ['saw', 'framing'] },
      { id: 'Bo', skills: ['framing', 'paint'] },
      ...(random() < 0.3 ? [{ id: 'Cy', skills: ['paint', 'saw'] }] : []),
    ],
    places: [
      { id: 'saw', kind: 'saw' },
      { id: 'bay 1', kind: 'bay' },
      ...(random() < 0.5 ? [{ id: 'bay 2', kind: 'bay' }] : []),
      { id: 'yard', kind: 'yard' },
    ],
    trailers: [],
    weather: [],
    orders,
    operations,
    pins: [],
    published: [],
    prices: { bayDay: 0, upset: 0 },
  };
};

describe('small shops whose best plan is proved by a MIP library', () => {
  it.each(Array.from({ length: 10 }, (_, k) => [k + 1]))('no. %d is planned at no more than that', async (seed) => {
    const shop = smallShop(seed);
    const best = await judgePlan(shop);
    expect(boundPlan(shop)).toBeLessThanOrEqual(best);
    const found = planCrews(shop, { rounds: 4000 });
    expect(found.faults).toEqual([]);
    expect(found.cost.late).toBe(best);
  });
});
