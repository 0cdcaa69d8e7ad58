import fc from 'fast-check';
import { addDays, daysBetween, weekday } from './index.ts';

describe('days', () => {
  it('go over months, leap years and years', () => {
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01');
    expect(daysBetween('2026-03-01', '2027-03-01')).toBe(365);
    // 2 March 2026 is a Monday (a calendar of that year).
    expect(weekday('2026-03-02')).toBe(1);
  });
  it('come back by as many as they went, weekdays with them', () => {
    fc.assert(
      fc.property(fc.integer({ min: -4000, max: 4000 }), (n) => {
        const day = addDays('2026-03-02', n);
        expect(daysBetween('2026-03-02', day)).toBe(n);
        expect(addDays(day, -n)).toBe('2026-03-02');
        expect(weekday(day)).toBe((((1 + n) % 7) + 7) % 7);
      }),
    );
  });
});
