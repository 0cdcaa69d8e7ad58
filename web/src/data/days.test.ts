import { longDay, moment, shortDay } from './days.ts';

describe('days in words', () => {
  it('are short or long', () => {
    expect(shortDay('2026-12-18')).toBe('Fri 18 Dec');
    expect(longDay('2026-12-18')).toBe('Friday 18 December');
  });
  it('take a database time as UTC', () => expect(moment('2026-12-18 12:00:00')).toMatch(/^18 Dec, \d\d:00$/));
});
