import { daysWords, joinDays } from './WrittenDays.tsx';

const day = (id: number, on: string, what = 'Petra Lunn, all day', why = 'holiday') => ({ id, day: on, what, why });

describe('days that something is written down for', () => {
  it('are one line where they follow each other with the same', () => {
    const list = joinDays([
      day(1, '2026-12-02', 'Jory Penn, afternoon', 'dentist'),
      day(2, '2026-12-07'),
      day(3, '2026-12-08'),
      day(4, '2026-12-08', 'Jory Penn, all day', ''),
      day(5, '2026-12-09'),
      day(6, '2026-12-11'),
      day(7, '2026-12-12', 'Petra Lunn, all day', 'ill'),
    ]);
    expect(list.map((d) => [d.ids, daysWords(d)])).toEqual([
      [[1], 'Wednesday 2 December'],
      [[2, 3, 5], 'Monday 7 December to Wednesday 9 December'],
      [[4], 'Tuesday 8 December'],
      [[6], 'Friday 11 December'],
      [[7], 'Saturday 12 December'],
    ]);
  });
  it('are none where nothing is', () => expect(joinDays([])).toEqual([]));
});
