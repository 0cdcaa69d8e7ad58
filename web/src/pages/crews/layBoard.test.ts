import fc from 'fast-check';
import { blockOf, boardOf, visitOf } from '../../testing/board.ts';
import { availableOn, dayToLookAt, layBoard, layLanes, makeAxis } from './layBoard.ts';
import { askOf, clashAt, momentAfter, workdayAfter } from './moving.ts';
import { doneOrders, planWeeks } from './figures.ts';
import { whatCanBeOut } from './whatCanBeOut.ts';
import { dayOfPerson, nextAfter } from './myDay.ts';

const frame = blockOf('7/frame', {
  station: 'bay',
  place: 'bay-1',
  visits: [visitOf('2026-05-05', 480, 720, ['1', '2'])],
});
const coat = blockOf('7/coat', {
  station: 'paint',
  place: 'bay-1',
  dry: 720,
  needs: ['7/frame'],
  visits: [visitOf('2026-05-05', 840, 900, ['1'], { dry: { day: '2026-05-06', minute: 180 } })],
});
const trip = blockOf('7/deliver', {
  station: 'road',
  place: null,
  way: 60,
  needs: ['7/coat'],
  visits: [visitOf('2026-05-07', 480, 720, ['3'], { trailer: 'tilt' })],
});
const data = boardOf({ operations: [frame, coat, trip] });

describe('the axis of the board', () => {
  it('has the worked days of two weeks, true to time within them, and no nights or Sundays', () => {
    const axis = makeAxis(data, 'two weeks', 0);
    expect(axis.days).toHaveLength(10);
    expect(axis.at('2026-05-04', 480)).toBe(0);
    expect(axis.at('2026-05-05', 720)).toBeCloseTo(0.15, 9);
    // A Saturday lies between Friday and Monday; what is before opening lies at it.
    expect(axis.at('2026-05-09', 700)).toBeCloseTo(0.5, 9);
    expect(axis.at('2026-05-05', 100)).toBeCloseTo(0.1, 9);
  });
  it('is a day, a week or a season, so many of them on', () => {
    expect(makeAxis(data, 'day', 0).days.map((d) => d.day)).toEqual(['2026-05-05']);
    expect(makeAxis(data, 'day', 4).days.map((d) => d.day)).toEqual(['2026-05-11']);
    expect(makeAxis(data, 'week', 1).days[0]?.day).toBe('2026-05-11');
    expect(makeAxis(data, 'season', 0).days.length).toBeGreaterThan(15);
  });
  it('is as long as the longest day: overtime is drawn', () => {
    const late = boardOf({
      operations: data.operations,
      days: data.days.map((d) => (d.day === '2026-05-06' ? { ...d, overtime: 120 } : d)),
    });
    expect(makeAxis(late, 'week', 0).closes).toBe(1080);
  });
  it('is gone along and back to the quarter of an hour', () => {
    const axis = makeAxis(data, 'two weeks', 0);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 0, max: 31 }), (d, q) => {
        const day = axis.days[d]?.day ?? '';
        const to = { day, minute: 480 + 15 * q };
        const parts = axis.at(to.day, to.minute) - axis.at('2026-05-05', 480);
        expect(momentAfter(data, axis, { day: '2026-05-05', minute: 480 }, parts)).toEqual(to);
      }),
    );
  });
});

describe('what is dragged beyond the days that are drawn', () => {
  it('goes on over worked days, before and after them', () => {
    const axis = makeAxis(data, 'two weeks', 0);
    const from = { day: '2026-05-14', minute: 600 };
    expect(momentAfter(data, axis, from, 0.3)).toEqual({ day: '2026-05-19', minute: 600 });
    expect(momentAfter(data, axis, from, -0.9)).toEqual({ day: '2026-05-01', minute: 600 });
    expect(momentAfter(data, axis, from, 99).day).toBe('2026-05-29');
  });
});

describe('the day that people look at', () => {
  it('is today while something is begun, and then the next that is worked', () => {
    expect(dayToLookAt(boardOf())).toBe('2026-05-05');
    expect(dayToLookAt(boardOf({ now: 950 }))).toBe('2026-05-06');
    // Friday evening, and Saturday: Monday, and its week.
    const friday = boardOf({ today: '2026-05-08', now: 1000 });
    expect(dayToLookAt(friday)).toBe('2026-05-11');
    expect(makeAxis(friday, 'week', 0).days[0]?.day).toBe('2026-05-11');
    expect(dayToLookAt(boardOf({ today: '2026-05-09' }))).toBe('2026-05-11');
  });
});

describe('the rows of the board', () => {
  it('are places, what is outside, crews, and who is in none', () => {
    const rows = layBoard(data, makeAxis(data, 'two weeks', 0), 'the shop');
    expect(rows.map((r) => [r.name, r.kind])).toEqual([
      ['Saw', 'place'],
      ['Bay 1', 'place'],
      ['Yard, road, site', 'out'],
      ['Hazel crew', 'crew'],
      ['Ruta', 'person'],
    ]);
  });
  it('draw the unit in its bay until its coat is dry, the coat that dries, and ways there and back', () => {
    const rows = layBoard(data, makeAxis(data, 'two weeks', 0), 'the shop');
    const bay = rows[1]?.bars ?? [];
    expect(bay.map((b) => b.kind).sort()).toEqual(['dry', 'stay', 'work', 'work']);
    const stay = bay.find((b) => b.kind === 'stay');
    expect([stay?.from, stay?.to]).toEqual([0.1, 0.2]);
    const out = rows[2]?.bars.map((b) => [b.kind, Math.round(480 * 10 * (b.to - b.from))]);
    expect(out).toEqual([
      ['way', 60],
      ['work', 120],
      ['way', 60],
    ]);
    // On a trip with others it goes on from another site, and not home.
    const shared = boardOf({
      operations: [
        blockOf('7/deliver', {
          station: 'road',
          place: null,
          way: 60,
          visits: [visitOf('2026-05-07', 480, 600, ['3'], { after: '8/deliver', ways: [15, 0] })],
        }),
      ],
    });
    const [trip] = layBoard(shared, makeAxis(shared, 'two weeks', 0), 'the shop').filter((r) => r.kind === 'out');
    expect(trip?.bars.map((b) => [b.kind, Math.round(4800 * (b.to - b.from))])).toEqual([
      ['way', 15],
      ['work', 105],
    ]);
    // What a crew does is drawn as work alone.
    expect(rows[3]?.bars.map((b) => b.kind)).toEqual(['work', 'work']);
  });
  it('say how many hours of each day are taken of how many there are', () => {
    const rows = layBoard(data, makeAxis(data, 'two weeks', 0), 'the shop');
    // Two for 240 minutes and one for 60, of two who are there for 480.
    expect(rows[3]?.load.find((l) => l.day === '2026-05-05')).toEqual({
      day: '2026-05-05',
      loaded: 540,
      available: 960,
    });
    const [ines] = data.people;
    if (!ines) throw new Error('nobody');
    const half = { ...ines, away: [{ day: '2026-05-05', from: 720, to: 1440, note: '' }] };
    const day = { day: '2026-05-05', works: true, closes: 960, overtime: 0 };
    expect(availableOn(half, day)).toBe(240);
    expect(availableOn(ines, { ...day, overtime: 120 })).toBe(600);
    expect(availableOn({ ...ines, hours: ines.hours.map(() => [480, 840]) }, { ...day, overtime: 120 })).toBe(360);
    expect(availableOn(ines, { ...day, works: false })).toBe(0);
  });
  it('keep apart what shares time, on the fewest lanes', () => {
    const part = fc.integer({ min: 0, max: 100 });
    fc.assert(
      fc.property(fc.array(fc.tuple(part, fc.integer({ min: 1, max: 30 })), { maxLength: 20 }), (list) => {
        const laid = layLanes(list.map(([from, long]) => ({ from, to: from + long })));
        for (const a of laid)
          for (const b of laid) if (a !== b && a.lane === b.lane) expect(a.to <= b.from || b.to <= a.from).toBe(true);
        const most = Math.max(0, ...laid.map((a) => laid.filter((b) => b.from <= a.from && b.to > a.from).length));
        expect(new Set(laid.map((a) => a.lane)).size).toBe(most);
      }),
    );
  });
});

describe('moving a block', () => {
  const rows = layBoard(data, makeAxis(data, 'two weeks', 0), 'the shop');
  const row = (name: string) => rows.find((r) => r.name === name) as (typeof rows)[number];
  it('asks for the place of a row, or for those of a crew who can do it', () => {
    expect(askOf(data, row('Bay 1'), frame)).toEqual({ place: 'bay-1' });
    expect(askOf(data, row('Hazel crew'), frame)).toEqual({ people: ['1', '2'] });
    // One painted it; of the crew one paints.
    expect(askOf(data, row('Hazel crew'), coat)).toEqual({ people: ['1'] });
    expect(askOf(data, row('Ruta'), frame)).toEqual({ people: ['3'] });
    expect(askOf(data, row('Yard, road, site'), trip)).toEqual({});
  });
  it('says what it clashes with before it is let go', () => {
    expect(clashAt(data, coat, { day: '2026-05-04', minute: 600 }, {})).toBe('That time is over.');
    expect(clashAt(data, trip, { day: '2026-05-05', minute: 960 }, {})).toBe('coat is not dry by then.');
    expect(clashAt(data, coat, { day: '2026-05-05', minute: 690 }, {})).toBe('frame is not done by then.');
    const other = blockOf('8/frame', {
      station: 'bay',
      place: 'bay-1',
      visits: [visitOf('2026-05-06', 480, 600, ['2'])],
    });
    const both = boardOf({ operations: [...data.operations, other] });
    expect(clashAt(both, coat, { day: '2026-05-06', minute: 540 }, {})).toBe('8 frame is done there then.');
    expect(clashAt(both, coat, { day: '2026-05-06', minute: 540 }, { people: ['2'] })).toBe('Abel is at 8 frame then.');
    expect(clashAt(both, coat, { day: '2026-05-06', minute: 660 }, {})).toBeUndefined();
  });
  it('that begins while what it needs is at the saw says when too little of that is done, or the rest comes too late', () => {
    // Cut from 8 to 12; framing is begun once half of it is, and half of its own 4 hours waits for all of it.
    const saw = blockOf('9/saw', { name: 'cut', visits: [visitOf('2026-05-06', 480, 720)] });
    const panels = blockOf('9/frame', {
      station: 'bay',
      place: 'bay-1',
      needs: ['9/saw'],
      overlaps: [{ need: '9/saw', after: 0.5, last: 0.5 }],
      visits: [visitOf('2026-05-06', 600, 840, ['2'])],
    });
    const at = (minute: number, day = '2026-05-06', op = panels) =>
      clashAt(boardOf({ operations: [saw, op] }), op, { day, minute }, {});
    expect(at(585)).toBe('Too little of cut is done by then.');
    expect(at(600)).toBeUndefined();
    // With three quarters of it waiting for all that is cut, its first hour is over at 11.
    const hasty = { ...panels, overlaps: [{ need: '9/saw', after: 0.5, last: 0.75 }] };
    expect(at(600, '2026-05-06', hasty)).toBe('It needs all of cut before that is done.');
    expect(at(660, '2026-05-06', hasty)).toBeUndefined();
    expect(at(480, '2026-05-07', hasty)).toBeUndefined();
    // Without an overlap it waits for all of it.
    expect(at(600, '2026-05-06', { ...panels, overlaps: [] })).toBe('cut is not done by then.');
  });
  it('that takes several days on site asks for each of them by itself', () => {
    const site = blockOf('9/site', {
      station: 'site',
      place: null,
      visits: [visitOf('2026-05-06', 480, 900, ['1', '2']), visitOf('2026-05-07', 480, 600, ['3'])],
    });
    const with9 = boardOf({ operations: [...data.operations, site] });
    const bars = layBoard(with9, makeAxis(with9, 'two weeks', 0), 'the shop').flatMap((r) => r.bars);
    const mine = bars.filter((b) => b.op.id === '9/site' && b.kind === 'work');
    expect([...new Set(mine.map((b) => b.k))]).toEqual([0, 1]);
    expect(askOf(with9, row('Hazel crew'), site, 0).people).toEqual(['1', '2']);
    expect(askOf(with9, row('Hazel crew'), site, 1).people).toHaveLength(1);
    expect(clashAt(with9, site, { day: '2026-05-06', minute: 600 }, {}, 1)).toBe('Its day before is not over by then.');
    expect(clashAt(with9, site, { day: '2026-05-08', minute: 600 }, {}, 1)).toBeUndefined();
  });
  it('goes over days that nobody works', () => {
    expect(workdayAfter(data, '2026-05-08', 1)).toBe('2026-05-11');
    expect(workdayAfter(data, '2026-05-11', -1)).toBe('2026-05-08');
    expect(workdayAfter(data, '2026-04-27', -1)).toBeUndefined();
  });
});

describe('somebody’s day', () => {
  it('is in the order of its hours, with whom, where and what is brought', () => {
    expect(dayOfPerson(data, '1', '2026-05-05').map((s) => [s.op.id, s.place, s.withWhom])).toEqual([
      ['7/frame', 'Bay 1', ['Abel']],
      ['7/coat', 'Bay 1', []],
    ]);
    const [drive] = dayOfPerson(data, '3', '2026-05-07');
    expect(drive?.bring).toEqual(['tilt trailer', 'straps', 'planks', 'the site sheet']);
    expect(dayOfPerson(data, '3', '2026-05-05')).toEqual([]);
    expect(nextAfter(data, frame)?.id).toBe('7/coat');
  });
});

describe('the plan in figures', () => {
  it('counts person hours, and days on which a bay is only stood in', () => {
    const week = planWeeks(data).find((w) => w.monday === '2026-05-04');
    // 2 × 240 + 60 in the shop, 240 on the road; three people on five days; the bay stood in on Tuesday and Wednesday.
    expect([week?.shop, week?.out, week?.available]).toEqual([540, 240, 3 * 5 * 480]);
    expect([week?.bays, week?.waiting]).toEqual([0.4, 0.2]);
  });
});

describe('what is not to be had', () => {
  const axisOf = (b: typeof data) => makeAxis(b, 'two weeks', 0);
  it('is drawn on the row of its place, of trailers where they stand, of people on their own', () => {
    const b = boardOf({
      out: [
        { kind: 'row', ref: 'saw', day: '2026-05-06', from: 0, to: 720, note: 'new blade' },
        { kind: 'trailer', ref: 'tilt', day: '2026-05-07', from: 0, to: 1440, note: '' },
        { kind: 'row', ref: 'saw', day: '2026-09-01', from: 0, to: 1440, note: '' },
      ],
      people: data.people.map((p, i) =>
        i === 0 ? { ...p, away: [{ day: '2026-05-08', from: 720, to: 1440, note: '' }] } : p,
      ),
    });
    const rows = layBoard(b, axisOf(b), 'the shop');
    const saw = rows.find((r) => r.id === 'saw');
    // Wednesday is the third of ten days; its morning, 08:00 to 12:00, is half of it.
    expect(saw?.gone).toHaveLength(1);
    expect([saw?.gone[0]?.from, saw?.gone[0]?.to]).toEqual([expect.closeTo(0.2, 9), expect.closeTo(0.25, 9)]);
    expect(saw?.gone[0]?.why).toBe('out: new blade');
    expect(rows.find((r) => r.id === 'out')?.gone.map((g) => g.why)).toEqual(['the tilt trailer is out']);
    const [ines] = layBoard(b, axisOf(b), 'people');
    expect([ines?.gone[0]?.from, ines?.gone[0]?.to]).toEqual([expect.closeTo(0.45, 9), expect.closeTo(0.5, 9)]);
    expect(whatCanBeOut(b)).toEqual([
      ['row saw', 'Saw'],
      ['row bay-1', 'Bay 1'],
      ['trailer tilt', 'tilt trailer'],
    ]);
  });
  it('what dries on a rack is drawn there, and its bay is free', () => {
    const wet = {
      ...coat,
      visits: [{ ...(coat.visits[0] as (typeof coat.visits)[number]), driesOn: 'Rack 1' }],
    };
    const b = boardOf({ operations: [frame, wet], racks: 2 });
    const rows = layBoard(b, axisOf(b), 'the shop');
    const racks = rows.find((r) => r.id === 'racks');
    expect([racks?.name, racks?.bars.map((x) => x.kind)]).toEqual(['Racks', ['dry']]);
    const bay = rows.find((r) => r.id === 'bay-1');
    expect(bay?.bars.map((x) => x.kind)).not.toContain('dry');
    // It stands there until 15:00, when its coat is on: 7 of 8 hours of the second day.
    expect(bay?.bars.find((x) => x.kind === 'stay')?.to).toBeCloseTo(0.1 + 0.1 * (7 / 8), 9);
    expect(layBoard(boardOf({ operations: [frame, coat] }), axisOf(b), 'the shop').map((r) => r.id)).not.toContain(
      'racks',
    );
  });
  it('a crew has on a day whoever works with it then', () => {
    const b = boardOf({
      operations: [frame, trip],
      people: data.people.map((p) => (p.key === '3' ? { ...p, crewOn: [{ day: '2026-05-07', crew: 'hazel' }] } : p)),
    });
    const hazel = layBoard(b, axisOf(b), 'the shop').find((r) => r.id === 'crew hazel');
    const on = (day: string) => hazel?.load.find((l) => l.day === day);
    expect(on('2026-05-06')?.available).toBe(2 * 480);
    expect(on('2026-05-07')).toMatchObject({ available: 3 * 480, loaded: 240 });
    expect(hazel?.bars.map((x) => x.op.id)).toContain('7/deliver');
  });
});

describe('what became of orders', () => {
  it('is how many days after the wanted one the last of them is done', () => {
    const of = (id: number, due: string, ends: string | null) => ({
      id,
      title: 'Sorrel',
      due,
      ends,
      late: 0,
      confirmed: 0,
      delivery: null,
    });
    const b = boardOf({
      operations: [
        blockOf('5/frame', { done: true, visits: [visitOf('2026-04-28', 480, 600)] }),
        blockOf('5/deliver', { done: true, visits: [visitOf('2026-05-01', 480, 600)] }),
        blockOf('6/frame', { done: true, visits: [visitOf('2026-05-04', 480, 600)] }),
        blockOf('6/deliver', { visits: [visitOf('2026-05-08', 480, 600)] }),
        blockOf('9/frame'),
      ],
      orders: [of(6, '2026-05-06', '2026-05-08'), of(5, '2026-05-04', null), of(9, '2026-05-20', null)],
    });
    expect(doneOrders(b).map((o) => [o.id, o.day, o.late, o.done])).toEqual([
      [5, '2026-05-01', -3, true],
      [6, '2026-05-08', 2, false],
    ]);
  });
});
