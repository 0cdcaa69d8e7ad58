import { STOP_CAUSES } from '@rubbet/core/steps';
import { FRESH, goOn, isClock, leave, printClock, spentBy, stand, stoodBy, stopsOf } from './clock.ts';

const MINUTE = 60_000;
const at = (minutes: number): number => 1_800_000_000_000 + minutes * MINUTE;

describe('a person’s time on a step', () => {
  it('runs while it is open, and not while another is looked at', () => {
    const left = leave(goOn(FRESH, at(0)), at(12));
    expect(spentBy(left, at(60))).toBe(12 * MINUTE);
    expect(spentBy(goOn(left, at(60)), at(63))).toBe(15 * MINUTE);
  });
  it('stands still with its cause, which is no work', () => {
    const stopped = stand(goOn(FRESH, at(0)), 'material', at(10));
    expect([spentBy(stopped, at(40)), stoodBy(stopped, at(40))]).toEqual([10 * MINUTE, 30 * MINUTE]);
    const on = goOn(stopped, at(40));
    expect([spentBy(on, at(45)), stoodBy(on, at(45))]).toEqual([15 * MINUTE, 0]);
    const again = goOn(stand(on, 'help', at(45)), at(47));
    expect(stopsOf(again, at(50))).toEqual([
      { cause: 'material', minutes: 30 },
      { cause: 'help', minutes: 2 },
    ]);
    expect(spentBy(again, at(50))).toBe(18 * MINUTE);
  });
  it('counts a stop that still runs when the step is done', () =>
    expect(stopsOf(stand(goOn(FRESH, at(0)), 'break', at(5)), at(20))).toEqual([{ cause: 'break', minutes: 15 }]));
  it('does not take a tablet that lay there overnight for work, nor a clock that was set back for less than none', () => {
    expect(spentBy(goOn(FRESH, at(0)), at(14 * 60))).toBe(4 * 60 * MINUTE);
    expect(spentBy(goOn(FRESH, at(30)), at(0))).toBe(0);
  });
  it('leaves out stops under half a minute', () =>
    expect(stopsOf(goOn(stand(goOn(FRESH, at(0)), 'tool', at(1)), at(1.4)), at(2))).toEqual([]));
  it.each([
    [0, '0:00:00'],
    [700_000, '0:11:40'],
    [3_661_000, '1:01:01'],
  ])('%d ms is printed %s', (ms, text) => expect(printClock(ms)).toBe(text));
  it.each([[null], [{}], [{ spent: '3', stops: {} }], ['x']])('%j that was kept is none', (kept) =>
    expect(isClock(kept)).toBe(false),
  );
  it('has words for every cause', () =>
    expect(new Set(STOP_CAUSES.map(([, words]) => words)).size).toBe(STOP_CAUSES.length));
});
