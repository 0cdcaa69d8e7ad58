import fc from 'fast-check';
import { addDays, afterDrying, dayOf, endOf, makeCalendar, startOf } from './calendar.ts';
import { findClashes, findLateOrders, moveBlock, planSchedule } from './planSchedule.ts';
import type { Row, Task } from './types.ts';

// Monday 2 March 2026.
const calendar = makeCalendar('2026-03-02', 30);
const rows: Row[] = [
  { id: 'saw', name: 'Saw', stations: ['saw'], people: 1 },
  { id: 'bay-1', name: 'Bay 1', stations: ['bay', 'paint'], people: 2 },
  { id: 'bay-2', name: 'Bay 2', stations: ['bay', 'paint'], people: 2 },
];
const chain = (order: string, due?: string): Task[] => [
  { id: `${order}/cut`, order, station: 'saw', minutes: 120, dry: 0, needs: [], ...(due ? { due } : {}) },
  {
    id: `${order}/frame`,
    order,
    station: 'bay',
    minutes: 600,
    dry: 0,
    needs: [`${order}/cut`],
    ...(due ? { due } : {}),
  },
  {
    id: `${order}/coat-1`,
    order,
    station: 'paint',
    minutes: 60,
    dry: 720,
    needs: [`${order}/frame`],
    ...(due ? { due } : {}),
  },
  {
    id: `${order}/coat-2`,
    order,
    station: 'paint',
    minutes: 60,
    dry: 720,
    needs: [`${order}/coat-1`],
    ...(due ? { due } : {}),
  },
];

describe('calendar', () => {
  it('skips week-ends and closed days', () => {
    expect(makeCalendar('2026-03-06', 3, 480, ['2026-03-09']).days).toEqual(['2026-03-06', '2026-03-10', '2026-03-11']);
    expect(addDays('2026-02-28', 1)).toBe('2026-03-01');
    expect(dayOf(calendar, 480)).toBe('2026-03-03');
    expect(dayOf(calendar, 480, true)).toBe('2026-03-02');
    expect(startOf(calendar, '2026-03-07')).toBe(5 * 480);
  });
  it('dries overnight: a coat done at four in the afternoon is ready next morning, one at ten the same night waits for it', () => {
    expect(afterDrying(calendar, 480, 720)).toBe(480);
    expect(afterDrying(calendar, 120, 720)).toBe(480);
    expect(afterDrying(calendar, 5 * 480 - 60, 720)).toBe(5 * 480);
  });
});

describe('planSchedule', () => {
  it('has no clash, for any set of orders', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 3, max: 25 }), { minLength: 1, maxLength: 6 }), (dues) => {
        const tasks = dues.flatMap((d, i) => chain(`o${i}`, addDays('2026-03-02', d)));
        const blocks = planSchedule(tasks, rows, calendar);
        expect(blocks).toHaveLength(tasks.length);
        expect(findClashes(tasks, rows, calendar, blocks).filter((c) => c.kind !== 'late')).toEqual([]);
      }),
      { numRuns: 60, seed: 4 },
    );
  });
  it('serves the more urgent order first', () => {
    const tasks = [...chain('later', '2026-03-27'), ...chain('sooner', '2026-03-05')];
    const blocks = planSchedule(tasks, rows, calendar);
    const start = (id: string) => blocks.find((b) => b.task === id)?.start ?? -1;
    expect(start('sooner/cut')).toBe(0);
    expect(start('later/cut')).toBe(120);
  });
});

describe('moveBlock', () => {
  const tasks = [...chain('a'), ...chain('b')];
  const blocks = planSchedule(tasks, rows, calendar);
  it('takes what depends on it along and nothing else', () => {
    const move = moveBlock(tasks, rows, calendar, blocks, 'a/frame', { row: 'bay-1', start: 5 * 480 });
    const at = (id: string) => move.blocks.find((b) => b.task === id);
    expect(at('a/frame')).toMatchObject({ start: 2400, pinned: true });
    expect(at('a/coat-1')?.start).toBeGreaterThanOrEqual(3000);
    expect(at('b/frame')).toEqual(blocks.find((b) => b.task === 'b/frame'));
    expect(move.clashes).toEqual([]);
  });
  it('refuses a start before what it needs, in words', () => {
    expect(moveBlock(tasks, rows, calendar, blocks, 'a/frame', { row: 'bay-1', start: 0 }).clashes[0]?.text).toBe(
      'What it needs ends on 2026-03-02.',
    );
    const coat = blocks.find((b) => b.task === 'a/coat-1');
    expect(
      moveBlock(tasks, rows, calendar, blocks, 'a/coat-2', { row: 'bay-1', start: coat?.end ?? 0 }).clashes[0]?.text,
    ).toMatch(/wet until/);
    expect(moveBlock(tasks, rows, calendar, blocks, 'a/frame', { row: 'saw', start: 4800 }).clashes[0]?.text).toBe(
      'Saw does not do bay work.',
    );
  });
  it('never leaves two blocks on one place, wherever it is dropped', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...tasks.map((t) => t.id)),
        fc.constantFrom('bay-1', 'bay-2', 'saw'),
        fc.integer({ min: 0, max: 20 }),
        (id, row, day) => {
          const move = moveBlock(tasks, rows, calendar, blocks, id, { row, start: day * 480 });
          if (move.moved.length > 0)
            expect(move.clashes.filter((c) => c.kind === 'overlap' || c.kind === 'order')).toEqual([]);
          else expect(move.clashes).toHaveLength(1);
        },
      ),
      { numRuns: 100, seed: 9 },
    );
  });
});

describe('a due day on which nobody works', () => {
  const calendar = makeCalendar('2026-03-02', 20);
  it('is over on the Friday before it', () => {
    expect(endOf(calendar, '2026-03-07')).toBe(endOf(calendar, '2026-03-06'));
    expect(endOf(calendar, '2026-03-06')).toBe(5 * 480);
    expect(endOf(calendar, '2026-03-02')).toBe(480);
    expect(endOf(calendar, '2026-03-01')).toBe(0);
  });
  it('comes before one due on the Monday after', () => {
    const row = { id: 'saw', name: 'Saw', stations: ['saw' as const], people: 1 };
    const task = (id: string, due: string) => ({
      id,
      order: id,
      station: 'saw' as const,
      minutes: 5 * 480,
      dry: 0,
      needs: [],
      due,
    });
    const tasks = [task('a-monday', '2026-03-09'), task('b-saturday', '2026-03-07')];
    const blocks = planSchedule(tasks, [row], calendar);
    expect(blocks.find((b) => b.task === 'b-saturday')?.start).toBe(0);
    expect(findClashes(tasks, [row], calendar, blocks).map((c) => c.task)).toEqual(['a-monday']);
  });
});

it('an order that is late in several blocks is said to be late once, by the last of them', () => {
  const calendar = makeCalendar('2026-03-02', 20);
  const row = { id: 'saw', name: 'Saw', stations: ['saw' as const], people: 1 };
  const task = (id: string) => ({
    id,
    order: '7',
    station: 'saw' as const,
    minutes: 480,
    dry: 0,
    needs: [],
    due: '2026-03-02',
  });
  const tasks = [task('7/a'), task('7/b'), task('7/c')];
  const late = findLateOrders(findClashes(tasks, [row], calendar, planSchedule(tasks, [row], calendar)));
  expect(late.map((c) => c.text)).toEqual(['7 leaves 2 days late.']);
});

describe('work that is done', () => {
  const calendar = makeCalendar('2026-03-02', 20);
  const row = { id: 'saw', name: 'Saw', stations: ['saw' as const], people: 1 };
  const task = (id: string, done: boolean) => ({
    id,
    order: id,
    station: 'saw' as const,
    minutes: 240,
    dry: 0,
    needs: [],
    done,
  });
  const tasks = [task('a', true), task('b', false), task('c', false)];
  const blocks = planSchedule(tasks, [row], calendar);
  const at = (list: typeof blocks, id: string) => list.find((b) => b.task === id)?.start ?? -1;

  it('stays where it was: nothing is moved on to it', () => {
    const moved = moveBlock(tasks, [row], calendar, blocks, 'c', { row: 'saw', start: at(blocks, 'a') });
    expect(moved.moved).toEqual([]);
    expect(moved.clashes[0]).toMatchObject({
      kind: 'overlap',
      other: 'a',
      text: expect.stringMatching(/is done and stays/),
    });
  });
  it('is not pushed by what moves beside it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), fc.constantFrom('b', 'c'), (half, id) => {
        const moved = moveBlock(tasks, [row], calendar, blocks, id, { row: 'saw', start: half * 30 });
        expect(at([...moved.blocks], 'a')).toBe(at(blocks, 'a'));
        expect(findClashes(tasks, [row], calendar, moved.blocks).filter((c) => c.kind === 'overlap')).toEqual([]);
      }),
    );
  });
});
