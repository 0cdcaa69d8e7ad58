import { daysBetween } from '@rubbet/core/days';
import { printList, printMinutes } from '@rubbet/core/measure';
import { shortDay } from '../../data/days.ts';
import type { BoardData, BoardOperation, ReplanData } from '../../data/types.ts';
import { sortKey } from './clock.ts';

type Plan = ReplanData['plans'][number];
const days = (n: number): string => (n === 1 ? 'a day' : `${n} days`);

/**
 * What a visit goes on from or on to: `one trip: straight on from 1042` of loads that share a trailer, `straight on from 1042, set up once`
 * of work that is set up alike. Nothing where it stands for itself.
 */
export const roundWords = (data: BoardData, op: BoardOperation, visit: BoardOperation['visits'][number]): string => {
  const before = data.operations.find((o) => o.id === visit.after);
  const next = data.operations.find((o) => o.visits.some((v) => v.after === op.id));
  if (!before && !next) return '';
  const parts = [
    ...(before ? [`straight on from ${before.orderId}`] : []),
    ...(next ? [`then on to ${next.orderId}`] : []),
  ];
  if (before && before.orderId === op.orderId) return 'straight on from its delivery, by those who brought it';
  if (next && next.orderId === op.orderId && !before) return 'they stay there for what is built on site';
  if (op.station !== 'road') return `${parts.join(', ')}, set up once`;
  return `one trip: ${parts.join(', ')}; ${parts.length > 1 ? 'all' : 'both'} are loaded at the shop`;
};

/** Nights that the people of a visit stay on the site. */
export const nightsOf = (op: BoardOperation, visit: BoardOperation['visits'][number]): number =>
  op.station === 'site' ? Math.max(0, daysBetween(visit.start.day, visit.end.day)) : 0;

/** That people stay the night on the site; nothing where they come home. */
export const nightWords = (op: BoardOperation, visit: BoardOperation['visits'][number]): string => {
  const n = nightsOf(op, visit);
  return n === 0 ? '' : `they stay ${n === 1 ? 'the night' : `${n} nights`} there`;
};

/** What a block waits for by name, but for what that waits for itself: `after frame`, `once 1st coat is dry`. */
export const afterWords = (data: BoardData, op: BoardOperation): string => {
  const byId = new Map(data.operations.map((o) => [o.id, o]));
  const behind = new Set<string>();
  const visit = (id: string): void => {
    for (const n of byId.get(id)?.needs ?? []) {
      if (behind.has(n)) continue;
      behind.add(n);
      visit(n);
    }
  };
  for (const n of op.needs) visit(n);
  const names = op.needs
    .filter((n) => !behind.has(n))
    .flatMap((n) => byId.get(n) ?? [])
    .map((o) => (o.dry > 0 ? `once ${o.name} is dry` : `after ${o.name}`));
  return names.join(' and ');
};

/** That a block begins before what it needs is done, where it does. */
export const overlapWords = (data: BoardData, op: BoardOperation): string => {
  const start = op.visits[0]?.start;
  const goesOn = op.overlaps.some(({ need }) => {
    const before = data.operations.find((o) => o.id === need);
    const end = before?.visits.at(-1)?.end;
    return before?.done === false && start !== undefined && end !== undefined && sortKey(end) > sortKey(start);
  });
  return goesOn ? 'begins while the rest is at the saw' : '';
};

/** Items that a sentence names; of more it says how many. */
const NAMED = 3;
export const itemWords = (items: readonly string[]): string => printList(items, NAMED);

const upper = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** Days before the last on which something is to be ordered, on which that is said on the board. */
const SOON = 2;

/**
 * What of all that a block is made of is not there, in words, and whether it is time to see to it.
 */
export const supplyWords = (
  supply: BoardOperation['supply'],
  today: string,
): { readonly words: string; readonly soon: boolean; readonly buy?: boolean }[] => {
  if (supply === null) return [];
  const { day, coming, buy, orderBy } = supply;
  if (coming.length + buy.length === 0) return [{ words: `Its wood comes on ${shortDay(day)}`, soon: true }];
  const left = orderBy === null ? undefined : daysBetween(today, orderBy);
  const when =
    left === undefined
      ? ''
      : left < 0
        ? `: what is ordered today is there on ${shortDay(day)}, after it is to begin`
        : left === 0
          ? ': order today'
          : `: order by ${shortDay(orderBy ?? day)}`;
  const due = upper(`${itemWords(coming)} ${coming.length === 1 ? 'is' : 'are'} ordered`);
  return [
    ...(coming.length > 0
      ? [{ words: buy.length === 0 ? `${due}, and there on ${shortDay(day)}` : due, soon: false }]
      : []),
    ...(buy.length > 0
      ? [
          {
            words: `Not enough ${itemWords(buy)} on the rack or on order${when}`,
            soon: (left ?? 0) <= SOON,
            buy: true,
          },
        ]
      : []),
  ];
};

/** What weather keeps a block from the days on which all else that it needs is there, in words; nothing where none does. */
export const holdWords = (op: BoardOperation): string | undefined => {
  const { held } = op;
  if (!held || held.why === 'site' || op.done) return undefined;
  const what = { cold: 'Too cold for it', rain: 'Rain is likely', wind: 'Too windy for it' }[held.why];
  const all = held.of === 1 ? 'the working day' : `the ${held.of} working days`;
  return `${what} on ${held.days < held.of ? `${held.days} of ` : ''}${all} before`;
};

/** What a plan does to each order and to people, in sentences. */
export const planWords = (plan: Plan, asItIs: Pick<ReplanData['asItIs'], 'lateDays'>): string[] => {
  const later = plan.orders.filter((o) => o.before && o.after && o.after.day > o.before.day);
  const sooner = plan.orders.filter((o) => o.before && o.after && o.after.day < o.before.day);
  const lost = plan.orders.filter((o) => o.before && !o.after);
  const names = (list: Plan['orders']): string =>
    list
      .map(
        (o) =>
          `${o.orderId} (${shortDay(o.after?.day ?? '')}${o.after && o.after.late > 0 ? `, ${days(o.after.late)} late` : ''})`,
      )
      .join(', ');
  const saved = asItIs.lateDays - plan.lateDays;
  return [
    ...(plan.shifts.length === 0 ? ['Nothing moves.'] : []),
    ...(later.length > 0 ? [`Done later: ${names(later)}.`] : []),
    ...(sooner.length > 0 ? [`Done sooner: ${names(sooner)}.`] : []),
    ...(plan.shifts.length > 0 && later.length + sooner.length === 0 ? ['Every order is done on the day it was.'] : []),
    ...(saved > 0 ? [`It saves ${days(saved)} of lateness against going on as it is.`] : []),
    ...(plan.overtimeMinutes > 0 ? [`${printMinutes(plan.overtimeMinutes)} of overtime in all.`] : []),
    ...(lost.length > 0 ? [`No time or room is left for ${lost.map((o) => o.orderId).join(', ')}.`] : []),
  ];
};
