import fc from 'fast-check';
import { addDays, weekday } from '@rubbet/core/days';
import { blockOf, boardOf, visitOf } from '../../testing/board.ts';
import { doneOrders, planWeeks } from './figures.ts';
import { nextAfter } from './myDay.ts';
import { whatCanBeOut } from './whatCanBeOut.ts';

/** The week of Monday 4 May; the board stands on the Tuesday. */
const MONDAY = '2026-05-04';
const frame = blockOf('7/frame', {
  station: 'bay',
  place: 'bay-1',
  // Two of them on the Tuesday afternoon and the Wednesday, then nobody until Friday.
  visits: [
    visitOf('2026-05-05', 720, 960, ['1', '2']),
    visitOf('2026-05-06', 480, 720, ['1', '2']),
    visitOf('2026-05-08', 480, 540, ['1']),
  ],
});
const drive = blockOf('7/deliver', { station: 'road', place: null, visits: [visitOf('2026-05-12', 480, 660, ['3'])] });
const order = (id: number, due: string, ends: string | null) => ({
  id,
  title: 'Sorrel',
  due,
  ends,
  late: 0,
  confirmed: 0,
  delivery: null,
});
const data = boardOf({
  operations: [frame, drive],
  orders: [order(7, '2026-05-11', '2026-05-12'), order(8, '2026-05-20', '2026-05-13')],
});
const week = (monday: string, of = data) => planWeeks(of).find((w) => w.monday === monday);

describe('the plan by weeks', () => {
  it('is what people do in the shop and outside, in minutes of each of them', () => {
    // Four hours and four for two, an hour for one.
    expect(week(MONDAY)).toMatchObject({ shop: 2 * 240 + 2 * 240 + 60, out: 0 });
    expect(week('2026-05-11')).toMatchObject({ shop: 0, out: 180 });
  });
  it('is held against the hours of everybody who is there', () => {
    // Three of them, five days of eight hours.
    expect(week(MONDAY)?.available).toBe(3 * 5 * 480);
    const ill = boardOf({
      people: data.people.map((p, k) => (k === 0 ? { ...p, away: [{ day: MONDAY, from: 0, to: 1440, note: '' }] } : p)),
    });
    expect(week(MONDAY, ill)?.available).toBe(3 * 5 * 480 - 480);
  });
  it('is how long bays are stood in, and how much of that nobody works there', () => {
    // Tuesday to Friday of five days; on the Thursday nobody is there.
    expect(week(MONDAY)).toMatchObject({ bays: 4 / 5, waiting: 1 / 5 });
    expect(week('2026-05-11')).toMatchObject({ bays: 0, waiting: 0 });
  });
  it('counts a bay once, whatever stands in it, and none where there is no bay', () => {
    const two = boardOf({ operations: [frame, { ...frame, id: '8/frame', orderId: 8 }] });
    expect(week(MONDAY, two)?.bays).toBe(4 / 5);
    expect(week(MONDAY, boardOf({ operations: [frame], places: [] }))?.bays).toBe(0);
  });
  it('is how many days late what ends in it is; what is early takes nothing off', () => {
    expect(week('2026-05-11')?.late).toBe(1);
    expect(planWeeks(data).reduce((n, w) => n + w.late, 0)).toBe(1);
  });
  it('begins on a Monday three weeks back, one week after the other, whichever day it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 30 }), (n) => {
        const of = boardOf({ today: addDays(MONDAY, n) });
        const mondays = planWeeks(of, 6).map((w) => w.monday);
        expect(mondays.every((m) => weekday(m) === 1)).toBe(true);
        expect(mondays).toEqual(mondays.map((_, k) => addDays(mondays[0] as string, 7 * k)));
        const now = addDays(mondays[3] as string, 6);
        expect((mondays[3] as string) <= of.today && of.today <= now).toBe(true);
      }),
    );
  });
});

describe('orders by the day on which the last of them is done', () => {
  it('are what is planned and what is behind, the first first, with how far from the day that was wanted', () => {
    expect(doneOrders(data)).toEqual([
      { id: 7, title: 'Sorrel', day: '2026-05-12', late: 1, done: false },
      { id: 8, title: 'Sorrel', day: '2026-05-13', late: -7, done: false },
    ]);
  });
  it('are done when all of it is: then it is the day on which the last was', () => {
    const behind = boardOf({
      operations: [
        { ...frame, done: true },
        { ...drive, done: true },
      ],
      orders: [order(7, '2026-05-11', null)],
    });
    expect(doneOrders(behind)).toEqual([{ id: 7, title: 'Sorrel', day: '2026-05-12', late: 1, done: true }]);
  });
  it('leave out what has no day', () => {
    expect(doneOrders(boardOf({ orders: [order(9, '2026-05-11', null)] }))).toEqual([]);
  });
});

describe('what else the board is asked', () => {
  it('is what takes over from a block that is done', () => {
    const coat = blockOf('7/coat-1', { needs: ['7/frame'] });
    const of = boardOf({ operations: [frame, coat, drive] });
    expect(nextAfter(of, frame)?.id).toBe('7/coat-1');
    expect(nextAfter(boardOf({ operations: [frame, { ...coat, done: true }] }), frame)).toBeUndefined();
    expect(nextAfter(of, drive)).toBeUndefined();
  });
  it('is what can be out: each place, and each trailer', () => {
    expect(whatCanBeOut(data)).toEqual([
      ['row saw', 'Saw'],
      ['row bay-1', 'Bay 1'],
      ['trailer tilt', 'tilt trailer'],
    ]);
  });
});
