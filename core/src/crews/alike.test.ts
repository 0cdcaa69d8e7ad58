import { at, FIRST, op, order, plan, shop, spot, tell } from '../../testing/shops.ts';
import { addDays } from '../days/index.ts';
import { findFaults, moveOperation, planCrews, printMoment, readShop } from './index.ts';
import type { Operation, Planned, Shop } from './index.ts';

const end = (list: readonly Planned[], id: string): string => printMoment(FIRST, spot(list, id).end);
const cut = (id: string, more: Partial<Operation> = {}): Operation =>
  op(id, 'cut', { place: 'saw', minutes: 120, skill: 'framing', setup: { like: 'model', minutes: 30 }, ...more });

describe('work that is set up alike', () => {
  const two = (more: Partial<Shop> = {}, second: Partial<Operation> = {}): Shop =>
    shop({
      people: [{ id: 'Ada', skills: ['framing'] }],
      orders: [order('A', 5), order('B', 6)],
      operations: [cut('A'), cut('B', second)],
      ...more,
    });
  it('is gone straight on to by the same people, set up once: 2 h, then 1½ h', () => {
    const { plan: list, faults } = plan(two());
    expect(faults).toEqual([]);
    expect([at(list, 'A/cut'), end(list, 'A/cut')]).toEqual(['2026-03-02T08:00', '2026-03-02T10:00']);
    expect([at(list, 'B/cut'), end(list, 'B/cut')]).toEqual(['2026-03-02T10:00', '2026-03-02T11:30']);
    expect(spot(list, 'B/cut').after).toBe('A/cut');
  });
  it('is not where it is set up otherwise, or where the day ends between', () => {
    const other = plan(two({}, { setup: { like: 'another', minutes: 30 } })).plan;
    expect(end(other, 'B/cut')).toBe('2026-03-02T12:00');
    expect(spot(other, 'B/cut').after).toBeUndefined();
    const late = plan(two({}, { from: addDays(FIRST, 1) })).plan;
    expect(end(late, 'B/cut')).toBe('2026-03-03T10:00');
  });
  it('at one saw only, but from bay to bay with a brush', () => {
    const saws = [
      { id: 'saw 1', kind: 'saw' },
      { id: 'saw 2', kind: 'saw' },
    ];
    const list = plan(two({ places: saws })).plan;
    expect(spot(list, 'B/cut').place).toBe(spot(list, 'A/cut').place);
    const coat = (id: string): Operation => op(id, 'coat', { minutes: 60, setup: { like: 'white', minutes: 15 } });
    const bays = [
      { id: 'bay 1', kind: 'bay' },
      { id: 'bay 2', kind: 'bay' },
    ];
    const coats = plan(two({ places: bays, operations: [coat('A'), coat('B')] })).plan;
    expect(end(coats, 'B/coat')).toBe('2026-03-02T09:45');
    expect(spot(coats, 'B/coat').place).not.toBe(spot(coats, 'A/coat').place);
  });
  it('goes on from four in a row at most, and saves what that saves', () => {
    const ids = ['A', 'B', 'C', 'D', 'E'];
    const list = plan(two({ orders: ids.map((id, k) => order(id, 5 + k)), operations: ids.map((id) => cut(id)) })).plan;
    expect(list.filter((p) => p.after !== undefined)).toHaveLength(3);
    // Five of 2 h are 10 h; three of them are half an hour shorter: 8 h 30, of which 8 h are a day.
    expect(Math.max(...list.map((p) => p.end))).toBe(1440 + 480 + 30);
  });
  it('stays in its turn when it is planned again; moved away it is set up for itself', () => {
    const first = two({ people: [{ id: 'Ada', skills: ['framing'] }] });
    const told: Shop = { ...first, published: tell(plan(first).plan) };
    expect(tell(planCrews(told, { rounds: 40 }).plan)).toEqual(told.published);
    const moved = moveOperation(told, { operation: 'B/cut', start: 1440 + 480 });
    expect(moved.refused).toBeUndefined();
    expect(end(moved.plan, 'B/cut')).toBe('2026-03-03T10:00');
    // What was gone on from goes: the other follows nothing any more.
    const before = moveOperation(told, { operation: 'A/cut', start: 1440 + 480 });
    expect(before.faults).toEqual([]);
    expect(spot(before.plan, 'B/cut').after).toBeUndefined();
  });
  it('is a fault where it only says so', () => {
    const s = two();
    const list = plan(s).plan;
    const wrong = list.map((p) => (p.operation === 'B/cut' ? { ...p, people: ['Bo'] } : p));
    const kinds = (l: readonly Planned[], of = s): string[] => findFaults(of, l).map((f) => f.text);
    expect(kinds(wrong)).toContain('B/cut does not go straight on from A/cut, set up alike.');
    const short = list.map((p) => (p.operation === 'B/cut' ? { ...p, after: undefined } : p)) as Planned[];
    expect(kinds(short)).toContain('B/cut has 90 minutes where it stands; it takes 120 with 1: plan it anew.');
  });
});

describe('drying on racks', () => {
  const coated = (racks: number): Shop =>
    shop({
      orders: [order('A', 5), order('B', 6)],
      operations: ['A', 'B'].flatMap((id) => [
        op(id, 'coat', { minutes: 60, skill: 'paint', dry: 720, ...(racks > 0 ? { dryOn: 'rack' } : {}) }),
        op(id, 'load', { minutes: 30, place: 'saw', skill: 'site', needs: [`${id}/coat`] }),
      ]),
      places: [
        { id: 'bay 1', kind: 'bay' },
        { id: 'saw', kind: 'saw' },
        ...Array.from({ length: racks }, (_, k) => ({ id: `rack ${k + 1}`, kind: 'rack' })),
      ],
    });
  it('leaves the bay to the next; without one it dries where it is', () => {
    expect(at(plan(coated(0)).plan, 'B/coat')).toBe('2026-03-03T08:00');
    const { plan: list, faults } = plan(coated(2));
    expect(faults).toEqual([]);
    expect(at(list, 'B/coat')).toBe('2026-03-02T09:00');
    expect([spot(list, 'A/coat').driesOn, spot(list, 'B/coat').driesOn]).toEqual(['rack 1', 'rack 2']);
    // Neither is loaded before it is dry.
    expect(at(list, 'A/load')).toBe('2026-03-03T08:00');
  });
  it('waits for a rack where all are full, and says so where one is taken twice', () => {
    const s = coated(1);
    const list = plan(s).plan;
    // The last quarter of an hour of it is done when the other is dry.
    expect([at(list, 'B/coat'), end(list, 'B/coat')]).toEqual(['2026-03-02T15:15', '2026-03-03T08:15']);
    const both = list.map((p) =>
      p.operation === 'B/coat' ? { ...spot(list, 'A/coat'), operation: 'B/coat', order: 'B' } : p,
    );
    expect(findFaults(s, both).map((f) => f.text)).toContain('A/coat dries on rack 1 until 2026-03-02.');
    const none = list.map((p) => (p.operation === 'A/coat' ? { ...p, driesOn: undefined } : p)) as Planned[];
    expect(findFaults(s, none).map((f) => f.text)).toContain(
      'What A/coat leaves wet has no rack to dry on: plan it anew.',
    );
  });
});

describe('drying by the weather', () => {
  it('takes twice as long on a cold day, and the next coat waits for it', () => {
    const coat = (id: string, needs: readonly string[] = []): Operation =>
      op('A', id, {
        place: 'site',
        skill: 'site',
        minutes: 60,
        dry: 720,
        slow: { below: 60, times: 2 },
        splits: false,
        needs: needs.map((n) => `A/${n}`),
      });
    const of = (low: number) =>
      shop({
        operations: [coat('coat'), coat('again', ['coat'])],
        weather: [0, 1, 2, 3].map((n) => ({ day: addDays(FIRST, n), rain: 0, low, wind: 0 })),
      });
    // Done at nine: dry at nine in the evening, or at nine on the next morning.
    expect(at(plan(of(65)).plan, 'A/again')).toBe('2026-03-03T08:00');
    const { plan: list, faults } = plan(of(55));
    expect(faults).toEqual([]);
    expect(printMoment(FIRST, spot(list, 'A/coat').dry)).toBe('2026-03-03T09:00');
    expect(at(list, 'A/again')).toBe('2026-03-03T09:00');
    const early = list.map((p) =>
      p.operation === 'A/again' ? { ...p, start: 1920, end: 1980, pieces: [[1920, 1980] as const] } : p,
    );
    expect(findFaults(of(55), early).map((f) => f.text)).toContain(
      'A/again starts while A/coat is still wet: not before 2026-03-03.',
    );
  });
});

describe('a night away', () => {
  const far = (more: Partial<Operation> = {}): Shop =>
    shop({
      now: 480,
      people: [{ id: 'Bo', skills: ['site'] }],
      operations: [
        op('A', 'set', { place: 'site', skill: 'site', minutes: 600, travel: [120, 120], stays: true, ...more }),
      ],
      prices: { bayDay: 0, upset: 0, night: 9000 },
    });
  it('counts the way there and back once, and the bed', () => {
    const { plan: list, cost, faults } = plan(far());
    expect(faults).toEqual([]);
    // 2 h out and 6 h of work on Monday; 4 h of work and 2 h home on Tuesday.
    expect(spot(list, 'A/set').pieces).toEqual([
      [480, 960],
      [1440 + 480, 1440 + 840],
    ]);
    expect(cost.nights).toBe(9000);
  });
  it('works by daylight, on over a wet day, and over no weekend', () => {
    const dark = [0, 1, 2].map((n) => ({
      day: addDays(FIRST, n),
      rain: n === 1 ? 0.9 : 0,
      low: 50,
      wind: 0,
      rise: 540,
    }));
    const { plan: list, faults } = plan({ ...far({ limits: { rain: 0.5 } }), weather: dark });
    expect(faults).toEqual([]);
    // Light at nine: on Monday they arrive at ten; Tuesday rains; on Wednesday they go on at nine.
    expect(spot(list, 'A/set').pieces).toEqual([
      [480, 960],
      [2 * 1440 + 540, 2 * 1440 + 900],
    ]);
    const friday = plan({ ...far(), now: 4 * 1440 + 480 });
    expect(at(friday.plan, 'A/set')).toBe('2026-03-09T08:00');
    expect(friday.faults).toEqual([]);
  });
  it('keeps them there: nobody is at two places', () => {
    const s = far();
    const both: Shop = {
      ...s,
      orders: [order('A'), order('B')],
      operations: [...s.operations, op('B', 'fix', { place: 'saw', skill: 'site', minutes: 30 })],
    };
    const found = plan(both);
    expect(found.faults).toEqual([]);
    const fix = spot(found.plan, 'B/fix');
    const set = spot(found.plan, 'A/set');
    expect(fix.end <= set.start || fix.start >= set.end).toBe(true);
    const wrong = found.plan.map((p) =>
      p.operation === 'B/fix'
        ? { ...p, start: set.start + 960, end: set.start + 990, pieces: [[set.start + 960, set.start + 990] as const] }
        : p,
    );
    expect(findFaults(both, wrong).some((f) => f.kind === 'person')).toBe(true);
  });
});

describe('who stays where they brought it', () => {
  const far = (more: Partial<Shop> = {}): Shop =>
    shop({
      people: ['Bo', 'Cy'].map((id) => ({ id, skills: ['site', 'driving'] })),
      operations: [
        op('A', 'drive', {
          place: 'site',
          skill: 'driving',
          people: [2, 2],
          minutes: 30,
          travel: [120, 120],
          splits: false,
          trailer: true,
        }),
        op('A', 'set', {
          place: 'site',
          skill: 'site',
          people: [2, 2],
          minutes: 480,
          travel: [120, 120],
          stays: true,
          needs: ['A/drive'],
          onward: 'A/drive',
        }),
      ],
      prices: { bayDay: 0, upset: 0, night: 9000, driving: 3000 },
      ...more,
    });
  it('goes on at once, and drives there and home once', () => {
    const { plan: list, cost, faults } = plan(far());
    expect(faults).toEqual([]);
    // Out at eight, there at ten, unloaded at half past; 5½ h of work on Monday, 2½ on Tuesday, home by half past twelve.
    expect(spot(list, 'A/drive').pieces).toEqual([[480, 630]]);
    expect(spot(list, 'A/set')).toMatchObject({
      after: 'A/drive',
      trailer: 'trailer',
      people: spot(list, 'A/drive').people,
    });
    expect(spot(list, 'A/set').pieces).toEqual([
      [630, 960],
      [1440 + 480, 1440 + 750],
    ]);
    // Two for a night; two on the road for two hours there and two back.
    expect([cost.nights, cost.driving]).toEqual([18_000, 2 * 4 * 3000]);
  });
  it('goes home first where the next day is none that is worked', () => {
    const { plan: list, faults } = plan(far({ now: 4 * 1440 + 480 }));
    expect(faults).toEqual([]);
    expect([at(list, 'A/drive'), at(list, 'A/set')]).toEqual(['2026-03-06T08:00', '2026-03-09T08:00']);
    expect(spot(list, 'A/set').after).toBeUndefined();
  });
  it('stays one when it is planned again, and is a fault where it only says so', () => {
    const s = far();
    const first = plan(s).plan;
    const told: Shop = { ...s, published: tell(first) };
    expect(tell(planCrews(told, { rounds: 0, rule: 'as told' }).plan)).toEqual(tell(first));
    const wrong = first.map((p) => (p.operation === 'A/set' ? { ...p, trailer: null } : p));
    expect(findFaults(s, wrong).map((f) => f.text)).toContain(
      'A/set does not go on from A/drive with its people and its trailer.',
    );
  });
});

describe('what is not to be had', () => {
  it('a machine for a morning, a trailer for a day', () => {
    const s = shop({
      operations: [
        op('A', 'cut', { place: 'saw', minutes: 60 }),
        op('A', 'drive', { place: 'road', minutes: 60, trailer: true, splits: false, needs: ['A/cut'] }),
      ],
      out: [
        { what: 'saw', day: FIRST, to: 720 },
        { what: 'trailer', day: FIRST },
      ],
    });
    const { plan: list, faults } = plan(s);
    expect(faults).toEqual([]);
    expect(at(list, 'A/cut')).toBe('2026-03-02T12:00');
    expect(at(list, 'A/drive')).toBe('2026-03-03T08:00');
    const early = list.map((p) => ({ ...p, start: 480, end: 540, pieces: [[480, 540] as const] }));
    const said = findFaults(s, early).map((f) => f.text);
    expect(said).toContain('saw is not to be had then, on 2026-03-02.');
    expect(said).toContain('trailer is not to be had then, on 2026-03-02.');
  });
});

describe('crews that change by the day', () => {
  it('are kept together as they are on it', () => {
    const s = shop({
      people: [
        { id: 'Ada', skills: ['framing'], crew: 'one', crewOn: { [FIRST]: 'two' } },
        { id: 'Bo', skills: ['framing'], crew: 'one' },
        { id: 'Cy', skills: ['framing'], crew: 'two' },
      ],
      operations: [
        op('A', 'raise', { people: [2, 2], minutes: 240 }),
        op('A', 'fit', { people: [2, 2], minutes: 240, needs: ['A/raise'], from: addDays(FIRST, 1) }),
      ],
      prices: { bayDay: 0, upset: 0, mixed: 500 },
    });
    const { plan: list, cost } = plan(s);
    expect(spot(list, 'A/raise').people).toEqual(['Ada', 'Cy']);
    expect(spot(list, 'A/fit').people).toEqual(['Ada', 'Bo']);
    expect(cost.mixed).toBe(0);
  });
});

describe('reading them', () => {
  const text = {
    first: FIRST,
    people: [{ id: 'Ada', skills: ['site'], crewOn: { '2026-03-03': null } }],
    places: [{ id: 'saw', kind: 'saw' }],
    orders: [{ id: 'A', due: FIRST }],
    operations: [
      { id: 'A/a', order: 'A', place: 'saw', minutes: 60, skill: 'site', setup: { like: 'x', minutes: 10 } },
    ],
    out: [{ what: 'saw', day: FIRST, from: '08:00', to: '12:00' }],
  };
  it('as they are written', () => {
    const { shop: s } = readShop(text);
    expect(s.out).toEqual([{ what: 'saw', day: FIRST, from: 480, to: 720 }]);
    expect(s.people[0]?.crewOn).toEqual({ '2026-03-03': null });
    expect(s.operations[0]?.setup).toEqual({ like: 'x', minutes: 10 });
  });
  it.each([
    [{ out: [{ what: 'lathe', day: FIRST }] }, /"lathe" is out, and is neither among the places nor/],
    [
      { operations: [{ ...text.operations[0], dryOn: 'rack' }] },
      /dries on a place of kind "rack", of which there is none/,
    ],
    [
      { operations: [{ ...text.operations[0], setup: { like: 'x', minutes: 90 } }] },
      /set up in 90 minutes, and takes 60/,
    ],
    [{ operations: [{ ...text.operations[0], setup: { minutes: 9 } }] }, /operations\[0\]\.setup\.like/],
    [{ operations: [{ ...text.operations[0], stays: true }] }, /its place must be "site", and it must split/],
    [{ operations: [{ ...text.operations[0], onward: 'A/b' }] }, /must be a delivery with a trailer that it needs/],
    [{ people: [{ id: 'Ada', crewOn: { Monday: 'x' } }] }, /crewOn is "Monday"; it must be a day/],
  ])('says what is wrong: %#', (more, message) => {
    expect(() => readShop({ ...text, ...more })).toThrow(message);
  });
});
