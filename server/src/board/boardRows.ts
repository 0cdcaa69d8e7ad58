import { SKILLS } from '@rubbet/core/crews';
import type { Place } from '@rubbet/core/crews';
import type { Business } from '@rubbet/core/order';
import { addDays } from '@rubbet/core/days';
import type { Station } from '@rubbet/core/steps';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { HISTORY, minutesOf } from './ahead.ts';
import type { BoardState } from './readBoard.ts';

/** People who are planned: all who have a skill. Where nobody has one that is wanted, the rows of the board lend hands without a name. */
export const readPeople = async (
  db: Db,
  business: Business,
  rows: readonly Record<string, unknown>[],
  today: string,
): Promise<BoardState['people']> => {
  const opens = minutesOf(business.opens);
  const [users, members, absences, crewDays] = await Promise.all([
    db('users').where({ active: true }).orderBy('name').limit(500).select('id', 'name', 'skills', 'hours'),
    db('members').orderBy('id').select('user_id', 'crew_id'),
    db('absences').where('day', '>=', addDays(today, -HISTORY)).orderBy('day').limit(5000),
    db('crew_days').where('day', '>=', today).limit(5000),
  ]);
  const names = new Map<string, number>();
  for (const u of users) names.set(u.name as string, (names.get(u.name as string) ?? 0) + 1);
  const active = new Set(rows.map((r) => r.id));
  const people = users.flatMap((u): BoardState['people'][0][] => {
    const skills = readJson<Station[]>(u.skills ?? '[]');
    if (skills.length === 0) return [];
    const hours = u.hours ? readJson<number[]>(u.hours) : undefined;
    const mine = absences.filter((a) => a.user_id === u.id);
    const crew = members.find((m) => m.user_id === u.id && active.has(m.crew_id))?.crew_id as string | undefined;
    const others = crewDays.flatMap((d): [string, string | null][] => {
      const other = d.crew_id as string | null;
      return d.user_id === u.id && (other === null || active.has(other)) ? [[d.day as string, other]] : [];
    });
    return [
      {
        key: String(u.id),
        id: (names.get(u.name as string) ?? 0) > 1 ? `${u.name} (${u.id})` : (u.name as string),
        skills: skills.map((s) => SKILLS[s]),
        ...(hours
          ? {
              hours: Object.fromEntries(
                hours.map((minutes, day) => [day, minutes <= 0 ? null : ([opens, opens + minutes] as const)]),
              ),
            }
          : {}),
        away: mine.map((a) => ({
          day: a.day as string,
          ...(a.from_minute === null ? {} : { from: a.from_minute as number }),
          ...(a.to_minute === null ? {} : { to: a.to_minute as number }),
        })),
        ...(crew === undefined ? {} : { crew }),
        ...(others.length > 0 ? { crewOn: Object.fromEntries(others) } : {}),
        notes: new Map(mine.map((a) => [a.day as string, a.note as string])),
      },
    ];
  });
  const skilled = new Set(people.flatMap((p) => p.skills));
  const lent = rows.flatMap((r) => {
    const skills = readJson<Station[]>(r.stations)
      .map((s) => SKILLS[s])
      .filter((s) => !skilled.has(s));
    if (skills.length === 0) return [];
    return Array.from({ length: Math.max(1, Number(r.people)) }, (_, k) => ({
      key: `${r.id as string}/${k + 1}`,
      id: `${r.name as string}, hand ${k + 1}`,
      skills,
      crew: r.id as string,
      notes: new Map<string, string>(),
    }));
  });
  return [...people, ...lent];
};

/** Bays, paint corners and saws of the board's rows, and racks that panels dry on; where there is no saw, and for loading, one without a row. */
export const placesOf = (rows: readonly Record<string, unknown>[], racks: number): BoardState['places'] => {
  const out = rows.flatMap((r): (Place & { row: string })[] => {
    const stations = readJson<Station[]>(r.stations);
    const of = { id: r.name as string, row: r.id as string };
    if (r.kind === 'bay')
      return [
        {
          ...of,
          // Where nothing is built but coats are put on is the paint corner.
          kind: stations.includes('bay') || !stations.includes('paint') ? 'bay' : 'paint',
          ...(r.length === null || r.width === null
            ? {}
            : { holds: [r.length as number, r.width as number, (r.height as number | null) ?? 9999] as const }),
        },
      ];
    return stations.includes('saw') ? [{ ...of, kind: 'saw' }] : [];
  });
  const bays = rows.some((r) => r.kind === 'bay')
    ? []
    : // A crew that builds and has no bay on the board builds where it is.
      rows
        .filter((r) => readJson<Station[]>(r.stations).includes('bay'))
        .map((r) => ({ id: r.name as string, row: r.id as string, kind: 'bay' }));
  const saw = out.some((p) => p.kind === 'saw') ? [] : [{ id: 'Saw', row: 'saw', kind: 'saw' }];
  const rack = Array.from({ length: racks }, (_, k) => ({ id: `Rack ${k + 1}`, row: `rack-${k + 1}`, kind: 'rack' }));
  return [...out, ...bays, ...saw, ...rack, { id: 'Yard', row: 'yard', kind: 'yard' }];
};
