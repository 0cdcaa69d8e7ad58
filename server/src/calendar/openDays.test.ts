import { openDaysOf } from './openDays.ts';

describe('days on which a shop is open', () => {
  // 4 July 2026 is a Saturday; the 3rd is kept for it.
  const days = openDaysOf([1, 2, 3, 4, 5], new Set(['2026-07-03']));
  it.each([
    ['2026-07-01', '2026-07-01', '2026-07-01'],
    ['2026-07-03', '2026-07-06', '2026-07-02'],
    ['2026-07-05', '2026-07-06', '2026-07-02'],
  ])('%s: from then on %s, until then %s', (day, from, until) => {
    expect(days.from(day)).toBe(from);
    expect(days.until(day)).toBe(until);
  });
  it('are all of them where it never opens', () => {
    expect(openDaysOf([], new Set()).from('2026-07-04')).toBe('2026-07-04');
  });
});
