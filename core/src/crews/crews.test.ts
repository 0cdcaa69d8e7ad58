import { readFileSync } from 'node:fs';
import { Ajv } from 'ajv';
import fc from 'fast-check';
import { at, DAY, FIRST, op, order, plan, shop, shops, spot, tell } from '../../testing/shops.ts';
import { DemandError } from '../cut/index.ts';
import { addDays } from '../days/index.ts';
import {
  AS_TOLD,
  boundPlan,
  DISPATCH,
  findFaults,
  moveOperation,
  planCrews,
  printMoment,
  proposePlans,
  readShop,
  standsAlike,
  writePlan,
} from './index.ts';
import type { Planned, Shop } from './index.ts';

describe('a plan of any shop', () => {
  it('breaks no rule but that time runs out, and costs what it says and no less than its bound', () => {
    fc.assert(
      fc.property(shops, (s) => {
        const found = planCrews(s, { rounds: 40 });
        expect(found.faults.filter((f) => f.kind !== 'unplanned')).toEqual([]);
        const { late, bays, upset, overtime, mixed, driving, nights, span, total } = found.cost;
        expect(total).toBe(late + bays + upset + overtime + mixed + driving + nights + span);
        expect(found.bound).toBeLessThanOrEqual(found.cost.total);
        const started = Object.keys(DISPATCH).map((rule) => planCrews(s, { rounds: 0, rule }).cost.total);
        expect(found.cost.total).toBeLessThanOrEqual(Math.min(...started));
        for (const total of started) expect(boundPlan(s)).toBeLessThanOrEqual(total);
      }),
      { numRuns: 28 },
    );
  });
  it('is the same every time, and moves nothing where it is told again', () => {
    fc.assert(
      fc.property(shops, (s) => {
        const first = planCrews(s, { rounds: 30 });
        expect(planCrews(s, { rounds: 30 })).toEqual(first);
        // Everything pinned where it stands: that is the plan, and nothing is wrong with it.
        const pins = tell(first.plan);
        const again = planCrews({ ...s, pins }, { rounds: 30 });
        const stands = (list: readonly Planned[]) => list.map((p) => [p.operation, p.start, p.place]);
        expect(stands(again.plan.filter((p) => pins.some((x) => x.operation === p.operation)))).toEqual(
          stands(first.plan),
        );
      }),
      { numRuns: 15 },
    );
  });
});

describe('a plan that people have been told', () => {
  it('is moved by hand, again and again, with nobody and nothing twice at once; what was pinned stays', () => {
    fc.assert(
      fc.property(
        shops,
        fc.array(fc.tuple(fc.nat(), fc.integer({ min: 0, max: 14 }), fc.nat()), { minLength: 1, maxLength: 4 }),
        (s, moves) => {
          let plan = planCrews(s, { rounds: 5 }).plan;
          let pins = s.pins;
          for (const [which, days, at] of moves) {
            const p = plan[which % Math.max(1, plan.length)];
            if (!p) return;
            const before: Shop = { ...s, published: tell(plan), pins };
            const start = Math.floor(p.start / DAY) * DAY + (days - 4) * DAY + 480 + 15 * (at % 28);
            const done = moveOperation(before, { operation: p.operation, start, people: p.people });
            if (done.refused) continue;
            // Whatever had a place has one.
            expect(done.plan.length).toBe(plan.length);
            // Two blocks that were put to the same time by hand are told; nothing else is ever wrong.
            const byHand = new Set([...pins.map((x) => x.operation), p.operation]);
            const orders = new Set([...byHand].map((id) => id.split('/')[0]));
            expect(
              done.faults.filter(
                (f) => f.kind !== 'unplanned' && f.kind !== 'weather' && !orders.has(f.operation.split('/')[0]),
              ),
            ).toEqual([]);
            expect(done.plan.find((x) => x.operation === p.operation)?.start).toBe(start);
            for (const pin of pins)
              if (pin.operation !== p.operation)
                expect(done.plan.find((x) => x.operation === pin.operation)?.start).toBe(pin.start);
            plan = done.plan;
            pins = [
              ...pins.filter((x) => x.operation !== p.operation),
              { operation: p.operation, start, people: p.people },
            ];
          }
        },
      ),
      { numRuns: 28 },
    );
  });
  it('stays as it is where nothing came in its way, and a plan anew never costs more than keeping it', () => {
    fc.assert(
      fc.property(shops, (s) => {
        const first = planCrews(s, { rounds: 10 });
        const told: Shop = { ...s, published: tell(first.plan) };
        const again = planCrews(told, { rounds: 0, rule: AS_TOLD });
        expect(again.cost.upset).toBe(0);
        expect(tell(again.plan)).toEqual(tell(first.plan));
        // What upsets least moves nothing for the sake of a bay or a way, but only so that less is late, or less overtime is worked.
        const [unmoved] = proposePlans(told, { rounds: 15 });
        const borne = (c: { late: number; overtime: number }): number => c.late + c.overtime;
        if (unmoved && unmoved.shifts.length > 0) expect(borne(unmoved.plan.cost)).toBeLessThan(borne(again.cost));
        // Somebody is ill for a week: of the plans proposed none breaks a rule.
        const ill: Shop = {
          ...told,
          people: told.people.map((p) =>
            p.id === 'Bo' ? { ...p, away: [0, 1, 2, 3, 4].map((n) => ({ day: addDays(FIRST, n) })) } : p,
          ),
        };
        const kept = planCrews(ill, { rounds: 0, rule: AS_TOLD }).cost.total;
        const plans = proposePlans(ill, { rounds: 15 }, s.overtime);
        for (const p of plans) {
          expect(p.plan.faults.filter((f) => f.kind !== 'unplanned')).toEqual([]);
          expect(p.shifts.map((x) => x.operation).sort()).toEqual(
            p.plan.plan
              .filter(
                (x) =>
                  !standsAlike(
                    x,
                    told.published.find((y) => y.operation === x.operation),
                  ),
              )
              .map((x) => x.operation)
              .sort(),
          );
        }
        const calm = plans.find((p) => p.kind === 'least upset');
        for (const p of plans) expect(calm?.plan.cost.upset).toBeLessThanOrEqual(p.plan.cost.upset + kept);
        const found = planCrews(ill, { rounds: 15 });
        expect(found.cost.total).toBeLessThanOrEqual(kept);
      }),
      { numRuns: 20 },
    );
  });
  it('lets what waits for a block follow it, sooner or later, and leaves the rest', () => {
    const s = shop({
      orders: [order('A'), order('B')],
      operations: [
        op('A', 'cut', { place: 'saw' }),
        op('A', 'frame', { needs: ['A/cut'] }),
        op('B', 'frame', { skill: 'paint', place: 'desk' }),
      ],
      people: [
        { id: 'Ada', skills: ['framing'] },
        { id: 'Di', skills: ['paint'] },
      ],
      places: [...shop().places, { id: 'desk', kind: 'desk' }],
    });
    const first = plan(s);
    const told: Shop = { ...s, published: tell(first.plan) };
    const later = moveOperation(told, { operation: 'A/cut', start: 2 * DAY + 480 });
    expect(at(later.plan, 'A/frame')).toBe('2026-03-04T12:00');
    expect([...later.moved].sort()).toEqual(['A/cut', 'A/frame']);
    // Sooner again: what follows is pulled along.
    const back = moveOperation({ ...told, published: tell(later.plan) }, { operation: 'A/cut', start: DAY + 480 });
    expect(at(back.plan, 'A/frame')).toBe('2026-03-03T12:00');
    expect(moveOperation(told, { operation: 'A/frame', start: 480 }).refused?.kind).toBe('order');
    expect(moveOperation(told, { operation: 'A/cut', start: 5 * DAY + 480 }).refused?.kind).toBe('hours');
    expect(moveOperation({ ...told, now: DAY }, { operation: 'A/cut', start: 480 }).refused?.kind).toBe('past');
    expect(moveOperation(told, { operation: 'A/cut', start: 480, people: ['Di'] }).refused?.kind).toBe('skill');
    expect(moveOperation(told, { operation: 'A/frame', start: 2 * DAY + 480, place: 'saw' }).refused?.kind).toBe(
      'place',
    );
    const stands: Shop = { ...told, orders: [order('A', 30, { bay: 'bay 1' }), order('B')] };
    const two: Shop = { ...stands, places: [...stands.places, { id: 'bay 2', kind: 'bay' }] };
    expect(moveOperation(two, { operation: 'A/frame', start: 2 * DAY + 480, place: 'bay 2' }).refused?.kind).toBe(
      'bay',
    );
  });
});

describe('a plan by hand', () => {
  it('works overtime only where it costs less than to be late, and closes early where the shop does', () => {
    // Nine hours of work due today: two hours over are $80; a day late is $10 or $1,000.
    const of = (weight: number) =>
      plan(
        shop({
          orders: [{ ...order('A', 0), weight }],
          operations: [op('A', 'frame', { minutes: 540 })],
          people: [{ id: 'Ada', skills: ['framing'] }],
          overtime: { minutes: 60, days: [FIRST] },
          prices: { bayDay: 0, upset: 0, overtime: 4000 },
        }),
      );
    expect(of(100000).cost).toEqual({
      late: 0,
      bays: 0,
      upset: 0,
      overtime: 4000,
      mixed: 0,
      driving: 0,
      nights: 0,
      span: 0,
      total: 4000,
    });
    const early = plan(shop({ operations: [op('A', 'frame', { minutes: 480 })], early: [{ day: FIRST, to: 720 }] }));
    expect(early.plan[0]?.pieces.map((p) => p.map((m) => printMoment(FIRST, m)))).toEqual([
      ['2026-03-02T08:00', '2026-03-02T12:00'],
      ['2026-03-03T08:00', '2026-03-03T12:00'],
    ]);
  });
  it('keeps those of a crew together, and lets who cannot do it help', () => {
    const people = [
      { id: 'Ada', crew: 'one', skills: ['framing'] },
      { id: 'Bo', crew: 'two', skills: ['framing', 'site'] },
      { id: 'Cy', crew: 'one', skills: ['framing', 'saw', 'site'] },
      { id: 'Di', crew: 'two', skills: ['driving', 'paint', 'saw'] },
    ];
    const s = shop({ people, operations: [op('A', 'raise', { people: [2, 2] })] });
    expect(plan(s).plan[0]?.people).toEqual(['Ada', 'Cy']);
    const drive = op('A', 'drive', {
      place: 'road',
      people: [2, 2],
      skill: 'driving',
      helpers: ['site'],
      splits: false,
    });
    expect(plan({ ...s, operations: [drive] }).plan[0]?.people).toEqual(['Di', 'Bo']);
    // Alone nobody drives who cannot.
    expect(plan({ ...s, operations: [drive], people: people.slice(0, 3) }).plan).toEqual([]);
  });
  it('counts the way there and back for however many go, and no rain on the way', () => {
    const visit = op('A', 'set', {
      place: 'site',
      people: [1, 2],
      minutes: 120,
      travel: [60, 90],
      splits: false,
      skill: 'framing',
      limits: { rain: 0.5 },
    });
    const s = shop({ orders: [order('A', 30, { window: [600, 900] })], operations: [visit] });
    // Two at it: 120 minutes and 150 on the way; on site from ten.
    expect(plan(s).plan[0]).toMatchObject({ start: 540, end: 540 + 270 });
    expect(plan({ ...s, people: s.people.slice(0, 1) }).plan[0]).toMatchObject({ start: 540, end: 540 + 390 });
  });
  it('keeps others out of the bay where a unit stands already', () => {
    const s = shop({
      orders: [order('A', 30, { bay: 'bay 1' }), order('B', 0)],
      operations: [op('A', 'frame', { from: addDays(FIRST, 3), minutes: 60 }), op('B', 'frame')],
    });
    expect(at(plan(s).plan, 'B/frame')).toBe('2026-03-05T09:00');
  });
  it('works in the hours of the shop, on over the night, and not at the weekend', () => {
    // 1,200 minutes alone are two days and a half of 480: Thursday 5th, Friday 6th, Monday 9th until noon.
    const s = shop({
      now: 3 * DAY + 480,
      operations: [op('A', 'frame', { minutes: 1200 })],
    });
    const [frame] = plan(s).plan;
    expect(frame?.pieces.map((p) => p.map((m) => printMoment(FIRST, m)))).toEqual([
      ['2026-03-05T08:00', '2026-03-05T16:00'],
      ['2026-03-06T08:00', '2026-03-06T16:00'],
      ['2026-03-09T08:00', '2026-03-09T12:00'],
    ]);
  });
  it('two do in half the time what one does', () => {
    const s = shop({ operations: [op('A', 'frame', { minutes: 240, people: [1, 2] })] });
    expect(plan(s).plan[0]?.people).toHaveLength(2);
    expect(spot(plan({ ...s, people: s.people.slice(0, 1) }).plan, 'A/frame').end).toBe(480 + 480);
  });
  it('waits until a coat is dry, the unit in its bay meanwhile', () => {
    // Coated 08:00 to 10:00 and dry at 22:00: the next coat is on Tuesday; the other unit comes in when that is dry.
    const coat = (name: string, needs: string[]) => op('A', name, { minutes: 120, skill: 'paint', dry: 720, needs });
    const s = shop({
      orders: [order('A', 1), order('B', 20)],
      operations: [coat('one', []), coat('two', ['A/one']), op('B', 'frame')],
    });
    const { plan: list, faults } = plan(s);
    expect(at(list, 'A/two')).toBe('2026-03-03T08:00');
    expect(at(list, 'B/frame')).toBe('2026-03-04T08:00');
    expect(faults).toEqual([]);
  });
  it('keeps site work off wet days, dark hours and sites that are not ready', () => {
    const set = op('A', 'set', { place: 'site', skill: 'site', minutes: 180, splits: false, limits: { rain: 0.5 } });
    const s = shop({
      orders: [order('A', 30, { ready: addDays(FIRST, 1), window: [600, 840] })],
      operations: [set],
      weather: [
        { day: addDays(FIRST, 1), rain: 0.9, low: 50, wind: 3 },
        { day: addDays(FIRST, 2), rain: 0.1, low: 50, wind: 3, rise: 630, set: 1000 },
      ],
    });
    expect(at(plan(s).plan, 'A/set')).toBe('2026-03-04T10:30');
  });
  it('puts a long unit into the long bay, and says what stands nowhere', () => {
    const size = [240, 96, 110] as const;
    const s = shop({
      orders: [order('A', 30, { size })],
      operations: [op('A', 'frame')],
      places: [
        { id: 'small', kind: 'bay', holds: [200, 150, 120] },
        { id: 'long', kind: 'bay', holds: [300, 150, 120] },
      ],
    });
    expect(plan(s).plan[0]?.place).toBe('long');
    const none = plan({ ...s, places: s.places.slice(0, 1) });
    expect(none.faults).toMatchObject([{ kind: 'unplanned', operation: 'A/frame' }]);
  });
  it('counts a Saturday that is due from Saturday: Friday is in time, Monday two days late', () => {
    const due = (now: number) =>
      plan(shop({ now, orders: [order('A', 5)], operations: [op('A', 'frame')] })).late.map((l) => l.days);
    expect(due(4 * DAY + 480)).toEqual([]);
    expect(due(4 * DAY + 840)).toEqual([2]);
  });
  it('takes first what is due first, and costs what its days late cost', () => {
    // One framer, three units of a day each, due on Monday, Tuesday and Wednesday but given the other way about.
    const orders = [order('C', 2), order('B', 1), order('A', 0)];
    const s = shop({
      orders,
      operations: orders.map((o) => op(o.id, 'frame', { minutes: 480 })),
      people: [shop().people[0]!],
    });
    const found = plan(s);
    expect(found.late).toEqual([]);
    expect(found.cost.total).toBe(0);
    expect(planCrews(s, { rounds: 0, rule: 'as they came' }).cost.late).toBe(2000);
  });
});

describe('what is wrong with a plan', () => {
  const base = shop({
    orders: [order('A'), order('B')],
    operations: [
      op('A', 'frame'),
      op('A', 'coat', { skill: 'paint', dry: 600, needs: ['A/frame'], limits: { low: 50 } }),
      op('B', 'frame', { skill: 'framing' }),
    ],
    weather: [{ day: addDays(FIRST, 1), rain: 0, low: 30, wind: 0 }],
  });
  const stands = (operation: string, start: number, more: Partial<Planned> = {}): Planned => ({
    operation,
    order: operation.slice(0, 1),
    start,
    end: start + 240,
    dry: start + 240 + (operation.endsWith('coat') ? 600 : 0),
    place: 'bay 1',
    people: ['Ada'],
    trailer: null,
    pieces: [[start, start + 240]],
    ...more,
  });
  const good = [stands('A/frame', 480), stands('A/coat', 720), stands('B/frame', 2 * DAY + 480)];
  const kinds = (list: readonly Planned[]): string[] => [...new Set(findFaults(base, list).map((f) => f.kind))].sort();
  it('is nothing where nothing is', () => {
    expect(findFaults(base, good)).toEqual([]);
  });
  it.each([
    ['what is left out', good.slice(0, 2), ['unplanned']],
    [
      'what starts before what it needs',
      [stands('A/frame', 480), stands('A/coat', 600), good[2]],
      ['order', 'person', 'place'],
    ],
    ['a person twice', [good[0], good[1], stands('B/frame', 480, { place: 'saw' })], ['person', 'place']],
    [
      'a unit that comes into a bay while a coat dries',
      [good[0], good[1], stands('B/frame', DAY + 480, { people: ['Bo'] })],
      [],
    ],
    ['a bay that is taken', [good[0], good[1], stands('B/frame', 480, { people: ['Bo'] })], ['bay', 'place']],
    ['somebody who cannot', [good[0], stands('A/coat', 720, { people: ['Bo'] }), good[2]], ['skill']],
    ['too cold a day', [good[0], stands('A/coat', DAY + 480), good[2]], ['weather']],
    ['a Sunday', [good[0], good[1], stands('B/frame', 6 * DAY + 480)], ['hours']],
    ['what is past', [stands('A/frame', 240), good[1], good[2]], ['hours', 'past']],
    ['another bay for one unit', [good[0], stands('A/coat', 720, { place: 'saw' }), good[2]], ['bay', 'place']],
  ])('%s', (_, list, expected) => {
    expect(kinds(list as Planned[])).toEqual(expected);
  });
});

describe('reading a shop', () => {
  const text = {
    first: FIRST,
    people: [{ id: 'Ada', skills: ['framing'] }],
    places: [{ id: 'bay', kind: 'bay' }],
    orders: [{ id: 'A', due: '2026-03-20' }],
    operations: [{ id: 'A/frame', order: 'A', place: 'bay', minutes: 240, skill: 'framing' }],
  };
  it('fills in what is usual, and writes times as days and hours', () => {
    const { shop: read, effort } = readShop({ ...text, now: '2026-03-03T09:10', effort: 2 });
    expect([read.days, read.hours, read.now, effort]).toEqual([60, [480, 960], DAY + 550, 2]);
    const written = writePlan(read, plan(read));
    // To the next quarter of an hour.
    expect(written.plan[0]).toMatchObject({ start: '2026-03-03T09:15', end: '2026-03-03T13:15', place: 'bay' });
  });
  it('is what docs/formats.md shows and docs/shop.schema.json allows', () => {
    const read = (name: string): string => readFileSync(new URL(`../../../docs/${name}`, import.meta.url), 'utf8');
    const doc = read('formats.md');
    const from = doc.indexOf('{', doc.indexOf('rubbet schedule SHOP'));
    const shown = JSON.parse(doc.slice(from, doc.indexOf('"effort": 5}', from) + '"effort": 5}'.length)) as object;
    const allows = new Ajv().compile(JSON.parse(read('shop.schema.json')) as object);
    expect(allows(shown)).toBe(true);
    expect(allows(text)).toBe(true);
    expect(allows({ ...shown, crews: [] })).toBe(false);
    expect(allows({ ...shown, hours: ['eight', '16:00'] })).toBe(false);
    const { shop: known } = readShop(shown);
    // What the example pins is where it is pinned; on the wet day nothing is said of it.
    expect(at(plan(known).plan, '1001/frame')).toBe('2026-03-05T08:00');
  });
  it.each([
    [{ ...text, first: '2026-02-30' }, /first is "2026-02-30"; it must be a day/],
    [{ ...text, hours: ['16:00', '08:00'] }, /hours must be two times, the earlier first/],
    [{ ...text, crews: [] }, /The shop has "crews", which does not belong there/],
    [{ ...text, operations: [{ ...text.operations[0], order: 'B' }] }, /is of order "B", which is not among/],
    [{ ...text, operations: [{ ...text.operations[0], needs: ['A/cut'] }] }, /needs "A\/cut", which is not among/],
    [{ ...text, operations: [{ ...text.operations[0], needs: ['A/frame'] }] }, /A\/frame needs itself/],
    [{ ...text, operations: [{ ...text.operations[0], people: [2, 1] }] }, /the least and the best number/],
    [{ ...text, operations: [...text.operations, ...text.operations] }, /operations has the id "A\/frame" twice/],
    [{ ...text, pins: [{ operation: 'A/paint', start: '2026-03-03T08:00' }] }, /"A\/paint" is pinned/],
    [{ ...text, people: [{ id: 'Ada', skills: [], hours: { 9: null } }] }, /weekdays are 0 \(Sunday\) to 6/],
  ])('says what is wrong and where: %#', (json, message) => {
    expect(() => readShop(json)).toThrow(message);
    expect(() => readShop(json)).toThrow(DemandError);
  });
});
