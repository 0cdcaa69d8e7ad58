import { daysBetween } from '@rubbet/core/days';
import type { BoardData, BoardOperation } from '../../data/types.ts';
import { nightsOf, roundWords } from './planWords.ts';

type Visit = BoardOperation['visits'][number];

/** A stretch of somebody's day. */
export interface Stint {
  readonly op: BoardOperation;
  readonly visit: Visit;
  readonly from: number;
  readonly to: number;
  readonly place: string;
  readonly withWhom: readonly string[];
  /** What is brought along. */
  readonly bring: readonly string[];
  /** With which other load it is one trip. */
  readonly round: string;
}

const OUTSIDE: Readonly<Record<string, string>> = { yard: 'Yard', road: 'Road and site', site: 'Site' };

/** What is taken along to work, by where it is done. */
const bringOf = (data: BoardData, op: BoardOperation, visit: Visit, day: string): string[] => [
  ...(visit.trailer === null ? [] : [data.trailers.find((t) => t.id === visit.trailer)?.name ?? visit.trailer]),
  ...(op.station === 'road' ? ['straps', 'planks', 'the site sheet'] : []),
  ...(op.station === 'site' ? ['level', 'string line', 'ladder', 'the site sheet'] : []),
  ...(op.station === 'paint' ? ['paint', 'brushes'] : []),
  ...(nightsOf(op, visit) > 0 && day < visit.end.day
    ? [
        `your things for ${daysBetween(day, visit.end.day) === 1 ? 'the night' : `${daysBetween(day, visit.end.day)} nights`}`,
      ]
    : []),
];

/** Somebody's day in the order of its hours. */
export const dayOfPerson = (data: BoardData, key: string, day: string): Stint[] => {
  const name = new Map(data.people.map((p) => [p.key, p.name]));
  return data.operations
    .flatMap((op) =>
      op.visits.flatMap((visit) =>
        visit.people.includes(key)
          ? visit.pieces
              .filter((p) => p.day === day)
              .map((p): Stint => ({
                op,
                visit,
                from: p.from,
                to: p.to,
                place: data.places.find((x) => x.id === op.place)?.name ?? OUTSIDE[op.station] ?? '',
                withWhom: visit.people.filter((k) => k !== key).map((k) => name.get(k) ?? k),
                bring: bringOf(data, op, visit, day),
                round: roundWords(data, op, visit),
              }))
          : [],
      ),
    )
    .sort((a, b) => a.from - b.from);
};

/** Who takes over in the bay when somebody has ended: the next work of the order, and when. */
export const nextAfter = (data: BoardData, op: BoardOperation): BoardOperation | undefined =>
  data.operations.find((o) => o.needs.includes(op.id) && !o.done);
