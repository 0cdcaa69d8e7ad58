import fc from 'fast-check';
import { addDays, makeCalendar, weekday } from './calendar.ts';
import { canTake, fitsBay, WALK_AROUND } from './fitsBay.ts';
import { findClashes, moveBlock, planSchedule } from './planSchedule.ts';
import type { Row, Task } from './types.ts';

const bay = (id: string, holds?: readonly [number, number, number]): Row => ({
  id,
  name: id,
  stations: ['bay', 'paint'],
  people: 2,
  ...(holds ? { holds } : {}),
});
const task = (id: string, size?: readonly [number, number, number], station: Task['station'] = 'bay'): Task => ({
  id,
  order: id,
  station,
  minutes: 120,
  dry: 0,
  needs: [],
  ...(size ? { size } : {}),
});

describe('room in a bay', () => {
  // 24 in to walk on each side: a unit of 96 by 72 stands in 144 by 120, and not an inch less.
  it.each([
    [[144, 120, 90], true],
    [[120, 144, 90], true],
    [[143, 120, 90], false],
    [[144, 119, 90], false],
    [[144, 120, 89], false],
  ] as const)('a unit of 96 × 72 × 90 in a bay of %j: %s', (holds, fits) => {
    expect(fitsBay(bay('b', holds), task('t', [96, 72, 90]))).toBe(fits);
  });
  it('is no question where nothing is known, or where the work is done elsewhere', () => {
    expect(fitsBay(bay('b'), task('t', [900, 900, 900]))).toBe(true);
    expect(fitsBay(bay('b', [60, 60, 60]), task('t'))).toBe(true);
    expect(fitsBay(bay('b', [60, 60, 60]), task('t', [96, 72, 90], 'saw'))).toBe(true);
    expect(canTake(bay('b'), task('t', undefined, 'road'))).toBe(false);
  });
  it('holds whatever is smaller, either way round', () => {
    const side = fc.integer({ min: 24, max: 400 });
    fc.assert(
      fc.property(side, side, side, fc.nat(60), fc.nat(60), (a, b, h, da, db) => {
        const row = bay('b', [a + 2 * WALK_AROUND + da, b + 2 * WALK_AROUND + db, h]);
        expect(fitsBay(row, task('t', [a, b, h]))).toBe(true);
        expect(fitsBay(row, task('t', [b, a, h]))).toBe(true);
        expect(fitsBay(row, task('t', [a, b, h + 1]))).toBe(false);
      }),
    );
  });
});

describe('a plan with bays of different sizes', () => {
  const rows = [bay('small', [150, 130, 100]), bay('large', [300, 200, 140])];
  const calendar = makeCalendar('2026-03-02', 20);
  const tasks = [task('pen', [96, 72, 30]), task('house', [192, 96, 110]), task('other house', [200, 90, 110])];

  it('puts large units into large bays only', () => {
    const blocks = planSchedule(tasks, rows, calendar);
    expect(blocks.filter((b) => b.task.includes('house')).map((b) => b.row)).toEqual(['large', 'large']);
    expect(findClashes(tasks, rows, calendar, blocks)).toEqual([]);
  });
  it('plans what fits nowhere all the same, and says so', () => {
    const huge = [...tasks, task('hall', [600, 300, 200])];
    const blocks = planSchedule(huge, rows, calendar);
    const clashes = findClashes(huge, rows, calendar, blocks);
    expect(blocks).toHaveLength(4);
    expect(clashes.map((c) => [c.kind, c.task])).toEqual([['room', 'hall']]);
    expect(clashes[0]?.text).toMatch(/does not stand in .* with room to walk around it: choose a larger bay/);
  });
  it('moves nothing where it does not stand', () => {
    const blocks = planSchedule(tasks, rows, calendar);
    const result = moveBlock(tasks, rows, calendar, blocks, 'house', { row: 'small', start: 960 });
    expect(result.moved).toEqual([]);
    expect(result.clashes[0]?.kind).toBe('room');
    expect(moveBlock(tasks, rows, calendar, blocks, 'pen', { row: 'large', start: 960 }).moved).toContain('pen');
  });
});

describe('a calendar of one’s own', () => {
  it('has the days that are worked, and as many as are asked for', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 7 }),
        fc.integer({ min: 1, max: 60 }),
        fc.uniqueArray(fc.integer({ min: 0, max: 90 }), { maxLength: 12 }),
        (workdays, count, closedAt) => {
          const closed = closedAt.map((n) => addDays('2026-01-05', n));
          const { days, minutes } = makeCalendar('2026-01-05', count, 540, closed, workdays);
          expect(minutes).toBe(540);
          expect(days).toHaveLength(count);
          for (const [i, d] of days.entries()) {
            expect(workdays).toContain(weekday(d));
            expect(closed).not.toContain(d);
            if (i > 0) expect(d > (days[i - 1] as string)).toBe(true);
          }
        },
      ),
    );
  });
  it('ends where nobody ever works', () => {
    const always = Array.from({ length: 2000 }, (_, n) => addDays('2026-01-05', n));
    expect(makeCalendar('2026-01-05', 5, 480, always).days).toEqual([]);
  });
});
