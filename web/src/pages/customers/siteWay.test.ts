import { areHours, bearingOf, minuteOf, pointOf, POINTS, siteWords, timeOf } from './siteWay.ts';

describe('where a site lies', () => {
  it('is a point of the compass and whole degrees, back and forth', () => {
    POINTS.forEach((_, k) => expect(pointOf(bearingOf(k))).toBe(k));
    expect([bearingOf(4), bearingOf(5), bearingOf(12)]).toEqual([90, 113, 270]);
    expect([pointOf(200), pointOf(359), pointOf(11)]).toEqual([9, 0, 0]);
  });
  it('and when work may be done there', () => {
    expect([minuteOf('08:30'), minuteOf(''), timeOf(510), timeOf(null)]).toEqual([510, null, '08:30', '']);
    expect([areHours('', ''), areHours('09:00', '15:00'), areHours('09:00', ''), areHours('15:00', '09:00')]).toEqual([
      true,
      true,
      false,
      false,
    ]);
    expect(siteWords('12 miles', { bearing: 203, opens: 540, closes: 900 })).toBe(
      '12 miles from the shop, to the south-south-west; work there from 09:00 to 15:00',
    );
    expect(siteWords('3 miles', { bearing: null, opens: null, closes: null })).toBe('3 miles from the shop');
  });
});
