import fc from 'fast-check';
import { addDays, weekday } from '../days/index.ts';
import { FIRST, op, order, shop } from '../../testing/shops.ts';
import { canDoIn, DAY, dryMinutes, isOut, makeClock, SLOT, worksIn } from './clock.ts';

/** Slots of a day, as times of day. */
const hoursOf = (of: ReturnType<typeof makeClock>, day: string): readonly [number, number] | undefined => {
  const d = of.days.indexOf(day);
  const [a, b] = [of.firsts[d] as number, of.firsts[d + 1] as number];
  return d < 0 || a === b ? undefined : [of.minuteOf(a) % DAY, (of.minuteOf(b - 1) % DAY) + SLOT];
};

describe('the time of a shop', () => {
  // Monday 2 March; the Wednesday is closed, Thursday closes at two, Friday goes on for an hour.
  const s = shop({
    days: 14,
    closed: [addDays(FIRST, 2)],
    early: [{ day: addDays(FIRST, 3), to: 840 }],
    overtime: { minutes: 60, days: [addDays(FIRST, 4)] },
  });
  const clock = makeClock(s);
  it('is the hours of each day that is worked, shorter and longer ones as they are', () => {
    expect([0, 1, 2, 3, 4, 5, 6].map((n) => hoursOf(clock, addDays(FIRST, n)))).toEqual([
      [480, 960],
      [480, 960],
      undefined,
      [480, 840],
      [480, 1020],
      undefined,
      undefined,
    ]);
    // 32 quarters on six days, 24 and 36 on the other two, and the Wednesday of the next week.
    expect(clock.count).toBe(2 * 32 + 24 + 36 + 5 * 32);
  });
  it('begins again where nothing is worked: a moment at night is the next morning, one on a Saturday Monday', () => {
    const at = (n: number, minute: number): readonly [number, number] => {
      const m = clock.minuteOf(clock.slotAt(n * DAY + minute));
      return [Math.floor(m / DAY), m % DAY];
    };
    expect(at(0, 600)).toEqual([0, 600]);
    expect(at(0, 601)).toEqual([0, 615]);
    expect(at(0, 1200)).toEqual([1, 480]);
    expect(at(1, 1000)).toEqual([3, 480]);
    expect(at(3, 850)).toEqual([4, 480]);
    expect(at(5, 700)).toEqual([7, 480]);
    expect(clock.slotAt(30 * DAY)).toBe(clock.count);
  });
  it('goes forward: slots lie on worked days, in hours, and each is found by its own minute', () => {
    fc.assert(
      fc.property(
        fc.subarray([0, 1, 2, 3, 4, 5, 6], { minLength: 1 }),
        fc.array(fc.integer({ min: 0, max: 20 }), { maxLength: 4 }),
        (workdays, closed) => {
          const of = { ...s, days: 21, workdays, closed: closed.map((n) => addDays(FIRST, n)) };
          const c = makeClock(of);
          let last = -1;
          for (let slot = 0; slot < c.count; slot++) {
            const minute = c.minuteOf(slot);
            expect(minute).toBeGreaterThan(last);
            last = minute;
            const day = addDays(FIRST, Math.floor(minute / DAY));
            expect([workdays.includes(weekday(day)), of.closed.includes(day)]).toEqual([true, false]);
            expect(c.slotAt(minute)).toBe(slot);
            expect(c.days[c.dayOf(slot)]).toBe(day);
          }
        },
      ),
      { numRuns: 30 },
    );
  });
  it('is somebody’s by their own hours, but for the hours that they are away; who goes home earlier stays no longer', () => {
    const day = (hours: readonly [number, number] | null | undefined, away?: readonly [number, number]) => {
      const person = {
        id: 'Ada',
        skills: [],
        ...(hours === undefined ? {} : { hours: { 5: hours } }),
        ...(away ? { away: [{ day: addDays(FIRST, 4), from: away[0], to: away[1] }] } : {}),
      };
      // The Friday with an hour over.
      const d = clock.days.indexOf(addDays(FIRST, 4));
      const [a, b] = [clock.firsts[d] as number, clock.firsts[d + 1] as number];
      return Array.from({ length: b - a }, (_, k) => a + k).filter((x) => worksIn(person, clock, s.hours, x)).length;
    };
    expect(day(undefined)).toBe(36);
    expect(day(null)).toBe(0);
    expect(day([480, 720])).toBe(16);
    // Whoever keeps the shop's hours stays with it.
    expect(day([480, 960])).toBe(36);
    expect(day([600, 960])).toBe(28);
    expect(day(undefined, [480, 600])).toBe(28);
    // Half a quarter of an hour takes all of it.
    expect(day(undefined, [480, 605])).toBe(27);
  });
});

describe('what can be done in a quarter of an hour', () => {
  const clock = makeClock(shop());
  const weather = (more: object) => new Map([[FIRST, { day: FIRST, rain: 0.2, low: 55, wind: 8, ...more }]]);
  const can = (limits: object, more: object = {}, place = 'bay', of = order('A'), slot = 0): boolean =>
    canDoIn(op('A', 'x', { place, limits }), of, weather(more), clock, [480, 960], slot);
  it('hangs on rain, cold and wind, each up to its limit', () => {
    expect([can({ rain: 0.2 }), can({ rain: 0.19 })]).toEqual([true, false]);
    expect([can({ low: 55 }), can({ low: 56 })]).toEqual([true, false]);
    expect([can({ wind: 8 }), can({ wind: 7 })]).toEqual([true, false]);
    // Of a day that nobody forecasts nothing is said.
    expect(canDoIn(op('A', 'x', { limits: { rain: 0 } }), undefined, new Map(), clock, [480, 960], 0)).toBe(true);
  });
  it('on a site hangs on daylight, on its hours and on whether it is ready', () => {
    expect([can({}, { rise: 490 }, 'site'), can({}, { rise: 480 }, 'site')]).toEqual([false, true]);
    expect([can({}, { set: 960 }, 'site', undefined, 31), can({}, { set: 955 }, 'site', undefined, 31)]).toEqual([
      true,
      false,
    ]);
    const from9 = order('A', 30, { window: [540, 900] });
    expect([can({}, {}, 'site', from9, 3), can({}, {}, 'site', from9, 4)]).toEqual([false, true]);
    expect(can({}, {}, 'site', order('A', 30, { ready: addDays(FIRST, 1) }))).toBe(false);
    // In the shop none of it counts.
    expect(can({}, { rise: 700 }, 'bay', from9)).toBe(true);
  });
  it('dries longer on a cold day, and as usual where nobody knows how cold it is', () => {
    const coat = { dry: 720, slow: { below: 60, times: 2 } };
    expect([59, 60, undefined].map((low) => dryMinutes(coat, low))).toEqual([1440, 720, 720]);
  });
  it('is not at a machine that is out, all day or between two minutes', () => {
    const out = (more: object) => isOut([{ what: 'saw', day: FIRST, ...more }], clock, [480, 960], 4);
    expect([out({}), out({ from: 555 }), out({ from: 540, to: 541 }), out({ to: 540 })]).toEqual([
      true,
      false,
      true,
      false,
    ]);
    expect(isOut([{ what: 'saw', day: addDays(FIRST, 1) }], clock, [480, 960], 4)).toBe(false);
  });
});
