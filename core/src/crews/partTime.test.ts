import { at, DAY, op, order, plan, shop, spot, tell } from '../../testing/shops.ts';
import { AS_TOLD, findFaults, moveOperation, planCrews } from './index.ts';
import type { Person, Shop } from './index.ts';

// The shop works from 8 to 4; Ada comes until noon, and not on Thursdays. The first day is a Monday.
const mornings: Person['hours'] = { 1: [480, 720], 2: [480, 720], 3: [480, 720], 4: null, 5: [480, 720] };
const ada: Person = { id: 'Ada', skills: ['framing', 'paint'], hours: mornings };
const bo: Person = { id: 'Bo', skills: ['framing'] };
const of = (pieces: readonly (readonly [number, number])[]) =>
  pieces.map(([from, to]) => [Math.floor(from / DAY), from % DAY, to % DAY]);

describe('somebody who works half days', () => {
  it('goes on the next morning with what is longer than theirs, over a day off as well', () => {
    const s = shop({ people: [ada], operations: [op('A', 'paint', { skill: 'paint', minutes: 13 * 60 })] });
    const found = plan(s);
    expect(found.faults).toEqual([]);
    // 4 + 4 + 4 hours by Wednesday, the 13th on Friday morning.
    expect(of(spot(found.plan, 'A/paint').pieces)).toEqual([
      [0, 480, 720],
      [1, 480, 720],
      [2, 480, 720],
      [4, 480, 540],
    ]);
    expect(found.bound).toBeLessThanOrEqual(found.cost.total);
  });
  it('leaves the afternoons of others and of the place to other work', () => {
    const s = shop({
      people: [ada, bo],
      places: [{ id: 'saw', kind: 'saw' }],
      orders: [order('A'), order('B')],
      operations: [
        op('A', 'paint', { place: 'saw', skill: 'paint', minutes: 8 * 60 }),
        op('B', 'cut', { place: 'saw', minutes: 4 * 60 }),
      ],
    });
    const found = plan(s);
    expect(found.faults).toEqual([]);
    expect(of(spot(found.plan, 'A/paint').pieces)).toEqual([
      [0, 480, 720],
      [1, 480, 720],
    ]);
    expect(at(found.plan, 'B/cut')).toBe('2026-03-02T12:00');
  });
  it('is gone on from by others all day, where those are sooner done alone', () => {
    const s = shop({ people: [ada, bo], operations: [op('A', 'frame', { minutes: 8 * 60 })] });
    expect(spot(plan(s).plan, 'A/frame')).toMatchObject({ people: ['Bo'], end: 960 });
  });
  it('is joined by somebody who is there all day, and keeps their hours when they work together', () => {
    const s = shop({ people: [ada, bo], operations: [op('A', 'frame', { minutes: 6 * 60, people: [2, 2] })] });
    const found = plan(s);
    expect(found.faults).toEqual([]);
    expect(spot(found.plan, 'A/frame').people).toHaveLength(2);
    expect(of(spot(found.plan, 'A/frame').pieces)).toEqual([
      [0, 480, 720],
      [1, 480, 600],
    ]);
  });
  it('does nothing that must be done on one day and is longer than theirs', () => {
    const s = shop({
      people: [ada],
      operations: [op('A', 'paint', { skill: 'paint', minutes: 5 * 60, splits: false })],
    });
    expect(plan(s).faults).toMatchObject([{ kind: 'unplanned', operation: 'A/paint' }]);
  });
  it('does not begin before what they wait for, and is waited for until the last of it', () => {
    const s = shop({
      people: [ada, bo],
      operations: [
        op('A', 'frame', { minutes: 6 * 60, people: [2, 2] }),
        op('A', 'paint', { minutes: 60, skill: 'paint', needs: ['A/frame'] }),
      ],
    });
    expect(at(plan(s).plan, 'A/paint')).toBe('2026-03-03T10:00');
  });
  it('stays as told, pinned and moved by hand', () => {
    const s: Shop = shop({ people: [ada], operations: [op('A', 'paint', { skill: 'paint', minutes: 6 * 60 })] });
    const told: Shop = { ...s, published: tell(plan(s).plan) };
    expect(tell(planCrews(told, { rounds: 0, rule: AS_TOLD }).plan)).toEqual(told.published);
    const moved = moveOperation(told, { operation: 'A/paint', start: DAY + 600 });
    expect(moved.refused).toBeUndefined();
    // Tuesday from ten to noon, then Wednesday.
    expect(of(spot(moved.plan, 'A/paint').pieces)).toEqual([
      [1, 600, 720],
      [2, 480, 720],
    ]);
    const afternoon = moveOperation(told, { operation: 'A/paint', start: DAY + 780 });
    expect(afternoon.refused?.text).toContain('Ada does not work then');
  });
  it('is told where they are planned for hours that are not theirs', () => {
    const s = shop({ people: [ada], operations: [op('A', 'paint', { skill: 'paint', minutes: 6 * 60 })] });
    const [p] = plan(s).plan;
    if (!p) throw new Error('no plan');
    const faults = findFaults(s, [{ ...p, end: 840, pieces: [[480, 840]] }]);
    expect(faults.map((f) => f.text)).toContain('Ada does not work then, on 2026-03-02.');
  });
});
