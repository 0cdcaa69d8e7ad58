import { at, DAY, op, order, plan, shop, spot, tell } from '../../testing/shops.ts';
import { AS_TOLD, boundPlan, findFaults, moveOperation, planCrews, readShop } from './index.ts';
import type { Operation, Shop } from './index.ts';

// The shop works from 8 to 4. Cutting takes four hours: lumber until 10:12, then sheets. Framing takes four hours, skins the last of them.
const cut = op('A', 'cut', { place: 'saw', minutes: 240, skill: 'saw' });
const frame = (after: number, last: number, more: Partial<Operation> = {}) =>
  op('A', 'frame', { minutes: 240, needs: ['A/cut'], overlaps: { 'A/cut': { after, last } }, ...more });
const two = (operations: readonly Operation[], more: Partial<Shop> = {}): Shop =>
  shop({
    people: [
      { id: 'Ada', skills: ['saw'] },
      { id: 'Bo', skills: ['framing'] },
    ],
    operations,
    ...more,
  });

describe('work that overlaps what it needs', () => {
  it('begins once enough of that is done, and comes to the rest of its own when all of it is', () => {
    // 55 % of four hours is 2 h 12 min: to the next quarter of an hour 10:15. A quarter of it, an hour, waits until noon.
    const s = two([cut, frame(0.55, 0.25)]);
    const found = plan(s);
    expect(found.faults).toEqual([]);
    expect(at(found.plan, 'A/frame')).toBe('2026-03-02T10:15');
    expect(spot(found.plan, 'A/frame').end).toBe(14 * 60 + 15);
    expect(found.bound).toBeLessThanOrEqual(found.cost.total);
  });
  it('begins later where most of it waits for all of what it needs', () => {
    // Three of its four hours wait until noon: it begins at eleven.
    expect(at(plan(two([cut, frame(0.25, 0.75)])).plan, 'A/frame')).toBe('2026-03-02T11:00');
    expect(at(plan(two([cut, frame(0, 1)])).plan, 'A/frame')).toBe('2026-03-02T12:00');
    expect(at(plan(two([cut, frame(1, 0)])).plan, 'A/frame')).toBe('2026-03-02T12:00');
  });
  it('may go on side by side from the beginning', () => {
    expect(at(plan(two([cut, frame(0, 0)])).plan, 'A/frame')).toBe('2026-03-02T08:00');
  });
  it('saves nothing where one does both', () => {
    const s = shop({ people: [{ id: 'Ada', skills: ['saw', 'framing'] }], operations: [cut, frame(0.55, 0.25)] });
    const found = plan(s);
    expect(found.faults).toEqual([]);
    expect(at(found.plan, 'A/frame')).toBe('2026-03-02T12:00');
  });
  it('counts over the night what was done before it', () => {
    const long = { ...cut, minutes: 600 };
    // 80 % of ten hours is eight: all of Monday. It begins on Tuesday, while the last two hours are cut.
    const found = plan(two([long, frame(0.8, 0.5)]));
    expect(found.faults).toEqual([]);
    expect(at(found.plan, 'A/frame')).toBe('2026-03-03T08:00');
  });
  it('follows where what it needs is moved, and is told where it is moved too early itself', () => {
    const s = two([cut, frame(0.55, 0.25)]);
    const told: Shop = { ...s, published: tell(plan(s).plan) };
    expect(tell(planCrews(told, { rounds: 0, rule: AS_TOLD }).plan)).toEqual(told.published);
    const moved = moveOperation(told, { operation: 'A/cut', start: DAY + 480 });
    expect(at(moved.plan, 'A/frame')).toBe('2026-03-03T10:15');
    const early = moveOperation(told, { operation: 'A/frame', start: 570 });
    expect(early.refused?.text).toBe('A/frame starts before enough of A/cut is done: not before 2026-03-02.');
  });
  it('is told where it comes to what needs all of the other too soon', () => {
    const s = two([cut, frame(0.25, 0.75)]);
    const [c, f] = [spot(plan(s).plan, 'A/cut'), spot(plan(s).plan, 'A/frame')];
    const sooner = { ...f, start: 600, end: 840, dry: 840, pieces: [[600, 840]] as const };
    expect(findFaults(s, [c, sooner]).map((x) => x.text)).toEqual([
      'A/frame comes to what it needs all of A/cut for before that is done, on 2026-03-02.',
    ]);
  });
  it('is bounded by no more than what a plan of it costs', () => {
    const late = two([{ ...cut, minutes: 900 }, frame(0.3, 0.2, { minutes: 600 })], { orders: [order('A', 0)] });
    const found = plan(late);
    expect(found.faults).toEqual([]);
    expect(boundPlan(late)).toBeLessThanOrEqual(found.cost.total);
    // Cut until Tuesday at three. Eight of the ten hours of framing need none of the rest: from Monday at three on, until Wednesday at nine.
    expect(at(found.plan, 'A/frame')).toBe('2026-03-02T15:00');
    expect(found.late).toEqual([{ order: 'A', days: 2 }]);
  });
  it('is read from a shop, and refused in words', () => {
    const text = (overlaps: unknown, more: object = {}) => ({
      first: '2026-03-02',
      people: [{ id: 'Ada', skills: ['framing'] }],
      places: [{ id: 'bay', kind: 'bay' }],
      orders: [{ id: 'A', due: '2026-03-20' }],
      operations: [
        { id: 'A/cut', order: 'A', place: 'bay', minutes: 240, skill: 'framing', ...more },
        { id: 'A/frame', order: 'A', place: 'bay', minutes: 240, skill: 'framing', needs: ['A/cut'], overlaps },
      ],
    });
    expect(readShop(text({ 'A/cut': { after: 0.5, last: 0 } })).shop.operations[1]?.overlaps).toEqual({
      'A/cut': { after: 0.5, last: 0 },
    });
    expect(() => readShop(text({ 'A/cut': { after: 2, last: 0 } }))).toThrow(
      'operations[1].overlaps.A/cut.after is a share, from 0 to 1, not 2.',
    );
    expect(() => readShop(text({ 'A/saw': { after: 0, last: 0 } }))).toThrow('which it does not need');
    expect(() => readShop(text({ 'A/cut': { after: 0, last: 0 } }, { dry: 60 }))).toThrow('can only begin after that');
  });
});
