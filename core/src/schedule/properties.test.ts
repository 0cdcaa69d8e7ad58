import fc from 'fast-check';
import { addDays, afterDrying, daysBetween, dayOf, makeCalendar, startOf, weekday } from './calendar.ts';
import { findClashes, moveBlock, planSchedule } from './planSchedule.ts';
import type { Block, Row, Task } from './types.ts';

const calendar = makeCalendar('2026-03-02', 40);
const rows: Row[] = [
  { id: 'bay', name: 'Bay', stations: ['bay', 'paint'], people: 2 },
  { id: 'yard', name: 'Yard', stations: ['yard'], people: 2 },
];
const task = (id: string, more: Partial<Task> = {}): Task => ({
  id,
  order: id,
  station: 'bay',
  minutes: 240,
  dry: 0,
  needs: [],
  ...more,
});

describe('calendar, for any day', () => {
  const day = fc.integer({ min: 0, max: 4000 }).map((n) => addDays('2024-01-01', n));
  it('counts days there and back', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: -500, max: 500 }), (d, n) => {
        expect(daysBetween(d, addDays(d, n))).toBe(n);
        expect(weekday(addDays(d, 7))).toBe(weekday(d));
      }),
    );
  });
  it('starts a working day where it says it does', () => {
    for (const [i, d] of calendar.days.entries()) {
      expect(startOf(calendar, d)).toBe(i * 480);
      expect(dayOf(calendar, i * 480)).toBe(d);
    }
    expect(startOf(calendar, '2040-01-01')).toBeUndefined();
  });
  it('never dries sooner for a later or a wetter coat', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 * 480 }),
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 0, max: 3000 }),
        (end, later, dry) => {
          expect(afterDrying(calendar, end + later, dry)).toBeGreaterThanOrEqual(afterDrying(calendar, end, dry));
          expect(afterDrying(calendar, end, dry + 60)).toBeGreaterThanOrEqual(afterDrying(calendar, end, dry));
          expect(afterDrying(calendar, end, dry)).toBeGreaterThanOrEqual(end);
        },
      ),
    );
  });
});

describe('planSchedule', () => {
  it('leaves what is kept where it is and plans around it', () => {
    const kept: Block[] = [{ task: 'a', row: 'bay', start: 480, end: 720, pinned: true }];
    const blocks = planSchedule([task('a'), task('b'), task('c', { minutes: 480 })], rows, calendar, kept);
    expect(blocks.find((b) => b.task === 'a')).toEqual(kept[0]);
    // The longer work has less time to spare and takes the first gap; the shorter one comes after what is kept.
    expect(blocks.find((b) => b.task === 'c')).toMatchObject({ start: 0, end: 480 });
    expect(blocks.find((b) => b.task === 'b')).toMatchObject({ start: 720, end: 960 });
  });
  it('starts nothing before its day or before now', () => {
    const blocks = planSchedule([task('a', { from: '2026-03-05' }), task('b')], rows, calendar, [], 960);
    expect(dayOf(calendar, blocks.find((b) => b.task === 'a')?.start ?? 0)).toBe('2026-03-05');
    expect(blocks.find((b) => b.task === 'b')?.start).toBe(960);
  });
  it('leaves out what no row can do', () => {
    expect(planSchedule([task('a', { station: 'saw' })], rows, calendar)).toEqual([]);
  });
});

describe('findClashes', () => {
  const at = (t: string, start: number, row = 'bay', minutes = 240): Block => ({
    task: t,
    row,
    start,
    end: start + minutes,
    pinned: false,
  });
  it('says how many working days late', () => {
    const tasks = [task('1040', { due: '2026-03-05' })];
    expect(findClashes(tasks, rows, calendar, [at('1040', 4 * 480)]).map((c) => c.text)).toEqual([
      '1040 leaves a day late.',
    ]);
    expect(findClashes(tasks, rows, calendar, [at('1040', 6 * 480)]).map((c) => c.text)).toEqual([
      '1040 leaves 3 days late.',
    ]);
    expect(findClashes(tasks, rows, calendar, [at('1040', 3 * 480)])).toEqual([]);
  });
  it('finds two blocks at once, a wet coat, and the end of the calendar', () => {
    const tasks = [task('a'), task('b'), task('coat', { dry: 720 }), task('next', { needs: ['coat'] })];
    const kinds = (blocks: Block[]) => findClashes(tasks, rows, calendar, blocks).map((c) => c.kind);
    expect(kinds([at('a', 0), at('b', 100)])).toEqual(['overlap']);
    expect(kinds([at('coat', 0), at('next', 240)])).toEqual(['order']);
    expect(kinds([at('coat', 0), at('next', 480)])).toEqual([]);
    expect(kinds([at('a', 40 * 480)])).toEqual(['beyond']);
  });
});

describe('moveBlock', () => {
  it('pushes what stood there later, just as far as it must', () => {
    const tasks = [task('a'), task('b')];
    const blocks = planSchedule(tasks, rows, calendar);
    const move = moveBlock(tasks, rows, calendar, blocks, 'b', { row: 'bay', start: 0 });
    expect(move.blocks.find((x) => x.task === 'b')).toMatchObject({ start: 0, pinned: true });
    expect(move.blocks.find((x) => x.task === 'a')).toMatchObject({ start: 240 });
    expect([...move.moved].sort()).toEqual(['a', 'b']);
  });
  it('refuses a block or a row that is not there', () => {
    const tasks = [task('a')];
    const blocks = planSchedule(tasks, rows, calendar);
    expect(moveBlock(tasks, rows, calendar, blocks, 'gone', { row: 'bay', start: 0 }).clashes[0]?.text).toMatch(
      /not on the board/,
    );
    expect(moveBlock(tasks, rows, calendar, blocks, 'a', { row: 'gone', start: 0 }).moved).toEqual([]);
    expect(moveBlock(tasks, rows, calendar, blocks, 'a', { row: 'yard', start: 0 }).clashes[0]?.text).toBe(
      'Yard does not do bay work.',
    );
  });
});
