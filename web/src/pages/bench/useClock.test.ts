import { printClock } from './useClock.ts';

it.each([
  [0, '0:00:00'],
  [700, '0:11:40'],
  [3661, '1:01:01'],
])('%d s is %s', (seconds, text) => expect(printClock(seconds)).toBe(text));
