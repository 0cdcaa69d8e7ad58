import { addDays, weekday } from '@rubbet/core/days';
import type { BoardData, BoardOperation } from '../data/types.ts';

/** A block of a made-up board; a day is worked from 08:00 to 16:00. */
export const blockOf = (id: string, more: Partial<BoardOperation> = {}): BoardOperation => ({
  id,
  orderId: Number(id.split('/')[0]),
  title: 'Sorrel',
  name: id.split('/')[1] ?? '',
  station: 'saw',
  minutes: 60,
  dry: 0,
  way: 0,
  needs: [],
  overlaps: [],
  done: false,
  pinned: false,
  version: 1,
  due: '2026-05-09',
  place: 'saw',
  visits: [],
  supply: null,
  float: null,
  held: null,
  ...more,
});

/** A time at which a block is worked on, within one day. */
export const visitOf = (
  day: string,
  from: number,
  to: number,
  people: readonly string[] = ['1'],
  more: Partial<BoardOperation['visits'][number]> = {},
): BoardOperation['visits'][number] => ({
  start: { day, minute: from },
  end: { day, minute: to },
  dry: { day, minute: to },
  people,
  trailer: null,
  pieces: [{ day, from, to }],
  ...more,
});

/** A made-up board on Tuesday 5 May 2026: a saw, a bay, a crew of two and somebody who drives. */
export const boardOf = (more: Partial<BoardData> = {}): BoardData => ({
  today: '2026-05-05',
  now: 600,
  opens: 480,
  closes: 960,
  days: Array.from({ length: 35 }, (_, n) => {
    const day = addDays('2026-04-27', n);
    return {
      day,
      works: ![0, 6].includes(weekday(day)),
      note: '',
      closes: 960,
      overtime: 0,
      weather: 'dry',
      rain: 0.1,
      low: 60,
      wind: 5,
      rise: 380,
      set: 1210,
    };
  }),
  places: [
    { id: 'saw', name: 'Saw', kind: 'saw' },
    { id: 'bay-1', name: 'Bay 1', kind: 'bay' },
  ],
  racks: 0,
  out: [],
  crews: [{ id: 'hazel', name: 'Hazel crew' }],
  people: [
    ['1', 'Ines', 'hazel', ['framing', 'paint']],
    ['2', 'Abel', 'hazel', ['framing', 'saw']],
    ['3', 'Ruta', null, ['driving']],
  ].map(([key, name, crew, skills]) => ({
    key: key as string,
    name: name as string,
    crew: crew as string | null,
    skills: skills as string[],
    hours: Array.from({ length: 7 }, () => [480, 960]),
    away: [],
    crewOn: [],
  })),
  trailers: [{ id: 'tilt', name: 'tilt trailer' }],
  orders: [],
  operations: [],
  faults: [],
  ...more,
});
