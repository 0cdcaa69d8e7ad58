import { randomOf } from '@rubbet/core/cut';
import { addDays } from '@rubbet/core/days';
import type { DayWeather, Operation, Shop, ShopOrder } from '@rubbet/core/crews';

const FIRST = '2026-03-02';

/** A shop of seven people, four bays and two trailers, with so many orders: pens, houses and large houses; the same for a seed. */
export const makeShop = (seed: number, count: number): Shop => {
  const random = randomOf(seed * 7919 + 13);
  const whole = (from: number, to: number): number => from + Math.floor(random() * (to - from + 1));
  const days = 160;
  const weather: DayWeather[] = Array.from({ length: days }, (_, n) => ({
    day: addDays(FIRST, n),
    rain: random() < 0.25 ? 0.4 + random() * 0.6 : random() * 0.3,
    low: whole(36, 62) + Math.round(n / 8),
    wind: random() < 0.08 ? whole(20, 32) : whole(2, 15),
    rise: 400 - n,
    set: 1080 + n,
  }));
  const orders: ShopOrder[] = [];
  const operations: Operation[] = [];
  for (let k = 0; k < count; k++) {
    const id = `O${k + 1}`;
    const large = random();
    const minutes = large < 0.4 ? whole(300, 700) : large < 0.8 ? whole(900, 1800) : whole(2200, 3600);
    // Due so that the shop is a little too busy for all.
    const due = addDays(FIRST, whole(8, 20) + Math.round(k * 1.15 + random() * 16));
    const size =
      large < 0.4 ? ([96, 48, 30] as const) : large < 0.8 ? ([120, 78, 92] as const) : ([240, 96, 110] as const);
    const ready = random() < 0.3 ? addDays(FIRST, whole(4, 30)) : undefined;
    orders.push({ id, due, weight: 2500 * whole(1, 3), size, ...(ready ? { ready } : {}) });
    const add = (name: string, more: Partial<Operation> & Pick<Operation, 'place' | 'minutes' | 'skill'>): string => {
      const op = { id: `${id}/${name}`, order: id, people: [1, 2] as const, dry: 0, needs: [], splits: true, ...more };
      operations.push(op);
      return op.id;
    };
    const part = (share: number): number => Math.max(30, Math.round((minutes * share) / 15) * 15);
    const cut = add('cut', {
      place: 'saw',
      minutes: part(0.16),
      skill: 'saw',
      ...(random() < 0.25 ? { from: addDays(FIRST, whole(1, 14)) } : {}),
    });
    const frame = add('frame', { place: 'bay', minutes: part(0.38), skill: 'framing', needs: [cut] });
    const raise = add('raise', { place: 'bay', minutes: part(0.2), skill: 'framing', needs: [frame], people: [2, 2] });
    const coat = add('coat', {
      place: 'bay',
      minutes: part(0.1),
      skill: 'paint',
      needs: [raise],
      dry: 720,
      people: [1, 1],
      limits: { low: 35 },
    });
    const load = add('load', {
      place: 'yard',
      minutes: 45,
      skill: 'driving',
      needs: [coat],
      people: [1, 2],
      splits: false,
    });
    const drive = add('drive', {
      place: 'road',
      minutes: whole(2, 12) * 15,
      skill: 'driving',
      needs: [load],
      people: [1, 1],
      splits: false,
      trailer: true,
    });
    add('set', {
      place: 'site',
      minutes: whole(4, 12) * 15,
      skill: 'site',
      needs: [drive],
      people: [1, 2],
      splits: false,
      limits: { rain: 0.5, wind: 20 },
    });
  }
  return {
    first: FIRST,
    days,
    workdays: [1, 2, 3, 4, 5],
    closed: [addDays(FIRST, 39)],
    hours: [480, 960],
    now: 480,
    people: [
      { id: 'Ada', skills: ['saw', 'framing'] },
      { id: 'Bo', skills: ['framing', 'site'] },
      { id: 'Cy', skills: ['framing', 'paint'] },
      { id: 'Di', skills: ['framing', 'site'], hours: { 3: null } },
      { id: 'Ed', skills: ['saw', 'framing', 'paint'], away: [{ day: addDays(FIRST, whole(2, 12)) }] },
      { id: 'Flo', skills: ['driving', 'site'] },
      { id: 'Gus', skills: ['driving', 'site', 'paint'] },
    ],
    places: [
      { id: 'saw', kind: 'saw' },
      { id: 'bay 1', kind: 'bay', holds: [216, 150, 120] },
      { id: 'bay 2', kind: 'bay', holds: [216, 150, 120] },
      { id: 'bay 3', kind: 'bay', holds: [216, 150, 120] },
      { id: 'long bay', kind: 'bay', holds: [320, 160, 140] },
      { id: 'yard', kind: 'yard' },
    ],
    trailers: ['long trailer', 'short trailer'],
    weather,
    orders,
    operations,
    pins: [],
    published: [],
    prices: { bayDay: 800, upset: 1500 },
  };
};
