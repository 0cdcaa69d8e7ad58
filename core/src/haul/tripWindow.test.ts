import { clockOf, tripsOverlap, tripWindow } from './tripWindow.ts';

const minutes = { load: 30, drive: 40, site: 90 };
describe('a trailer on a trip', () => {
  it('is away from loading to its return', () => expect(tripWindow('09:30', minutes)).toEqual({ from: 500, to: 700 }));
  it('is not to be had a minute before its return, and is from then on', () => {
    const first = tripWindow('09:30', minutes);
    expect(tripsOverlap(first, tripWindow('12:49', minutes))).toBe(true);
    expect(tripsOverlap(first, tripWindow('12:50', minutes))).toBe(false);
    expect(tripsOverlap(first, first)).toBe(true);
  });
  it('is told by the clock', () => {
    expect(clockOf(500)).toBe('08:20');
    expect(clockOf(-5)).toBe('00:00');
    expect(clockOf(2000)).toBe('23:59');
  });
});
