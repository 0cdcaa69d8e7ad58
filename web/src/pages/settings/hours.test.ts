import { hoursOf, readHours } from './hours.ts';

describe('a week as typed', () => {
  it.each([
    ['0 8 8 8 8 4,5 0', [0, 480, 480, 480, 480, 270, 0]],
    ['', null],
    ['8 8 8', undefined],
    ['0 8 8 8 8 8 20', undefined],
    ['a b c d e f g', undefined],
  ])('%j', (text, minutes) => expect(readHours(text)).toEqual(minutes));
  it('reads back what it shows', () => {
    const week = [0, 450, 480, 0, 480, 240, 60];
    expect(readHours(hoursOf(week))).toEqual(week);
    expect(hoursOf(null)).toBe('');
  });
});
