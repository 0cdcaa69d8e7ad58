import { BUSINESS, dayIn, readBusiness } from './business.ts';

describe('what a business says of itself', () => {
  it('is put over what was kept, trimmed, the week in order', () => {
    const kept = readBusiness({ name: ' Thornfield Coops ', workdays: [5, 1, 3], dayMinutes: 540 });
    expect(kept).toMatchObject({ name: 'Thornfield Coops', workdays: [1, 3, 5], dayMinutes: 540, paper: 'letter' });
    expect(readBusiness({ currency: 'EUR' }, kept)).toMatchObject({ name: 'Thornfield Coops', currency: 'EUR' });
  });
  it.each([
    [{ name: ' ' }, /needs a name/],
    [{ timeZone: 'Mars/Olympus' }, /"Mars\/Olympus" is no time zone/],
    [{ timeZone: '' }, /no time zone/],
    [{ currency: 'dollars' }, /three letters/],
    [{ currency: 'usd' }, /three letters/],
    [{ paper: 'a3' }, /letter or a4/],
    [{ opens: '7:30' }, /like 07:30/],
    [{ dayMinutes: 30 }, /2 to 15 hours/],
    [{ workdays: [] }, /at least one day/],
    [{ workdays: [1, 1] }, /at least one day/],
    [{ workdays: [7] }, /at least one day/],
    [{ email: 'at home' }, /name@example.org/],
    [{ phone: 'x'.repeat(41) }, /at most 40 letters/],
    [{ motto: 'x' }, /nothing called motto/],
    [{ dayMinutes: '480' }, /must be a number/],
    [{ workdays: 'all' }, /must be a list/],
  ])('%j is refused by name', (change, words) => {
    expect(() => readBusiness(change)).toThrow(words);
  });
  it('has usual values that hold themselves', () => expect(readBusiness({}, BUSINESS)).toEqual(BUSINESS));
});

describe('the day of the shop', () => {
  // Offsets from UTC in winter by the IANA time zone database.
  it.each([
    ['UTC', '2026-01-10T23:30:00Z', '2026-01-10'],
    ['America/Chicago', '2026-01-10T05:30:00Z', '2026-01-09'],
    ['Pacific/Auckland', '2026-01-10T11:30:00Z', '2026-01-11'],
    ['Europe/Berlin', '2026-01-10T23:30:00Z', '2026-01-11'],
    // Clocks go forward on the second Sunday in March: 23:59 of the 7th is still the 7th.
    ['America/Chicago', '2026-03-08T05:59:00Z', '2026-03-07'],
  ])('in %s at %s is %s', (zone, at, day) => expect(dayIn(zone, new Date(at))).toBe(day));
});
