import { SKILLS } from '@rubbet/core/crews';
import type { BoardData, BoardOperation } from '../../data/types.ts';
import { sortKey } from './clock.ts';
import type { Axis, BoardRow } from './layBoard.ts';

/** What a block is asked to when it is put on a row: that place, or people of it who can do the work, as many as did it. */
export const askOf = (
  data: BoardData,
  row: Pick<BoardRow, 'kind' | 'id' | 'people'>,
  op: BoardOperation,
  visit = 0,
): { readonly place?: string; readonly people?: readonly string[] } => {
  if (row.kind === 'out' || row.kind === 'rack') return {};
  if (row.kind === 'place') return { place: row.id };
  const wanted = Math.max(1, op.visits[visit]?.people.length ?? 1);
  const skill = SKILLS[op.station];
  const able = row.people.filter((key) => data.people.find((p) => p.key === key)?.skills.includes(skill));
  const others = row.people.filter((key) => !able.includes(key));
  return { people: [...able, ...others].slice(0, row.kind === 'person' ? 1 : wanted) };
};

/**
 * The moment that lies some parts of the axis after another, to the quarter of an hour. Beyond the days that are drawn it goes on over
 * those that are worked.
 */
export const momentAfter = (
  data: Pick<BoardData, 'days'>,
  axis: Axis,
  from: { readonly day: string; readonly minute: number },
  parts: number,
): { readonly day: string; readonly minute: number } => {
  const [first, last] = [axis.days[0]?.day ?? from.day, axis.days.at(-1)?.day ?? from.day];
  const worked = data.days.filter((d) => d.works);
  const before = worked.filter((d) => d.day < first);
  const days = [...before, ...axis.days, ...worked.filter((d) => d.day > last)];
  const at = (axis.at(from.day, from.minute) + parts) * axis.days.length + before.length;
  const slots = (axis.closes - axis.opens) / 15;
  // Quarters from the first day on; a moment at closing is the next morning.
  const slot = Math.min(days.length * slots - 1, Math.max(0, Math.round(at * slots)));
  const day = Math.floor(slot / slots);
  return { day: days[day]?.day ?? from.day, minute: axis.opens + 15 * (slot - day * slots) };
};

/** The worked day so many worked days after another. */
export const workdayAfter = (data: BoardData, day: string, n: number): string | undefined => {
  const worked = data.days.filter((d) => d.works).map((d) => d.day);
  const at = worked.findIndex((d) => d >= day);
  return worked[at + n];
};

/** The moment at which so many minutes of a block are done; undefined where it has fewer. */
const momentOf = (op: BoardOperation, minutes: number): string | undefined => {
  let left = minutes;
  for (const p of op.visits.flatMap((v) => v.pieces)) {
    const has = p.to - p.from;
    if (left <= has) return sortKey({ day: p.day, minute: p.from + left });
    left -= has;
  }
  return undefined;
};

const workedAt = (pieces: readonly { readonly from: number; readonly to: number }[]): number =>
  pieces.reduce((n, p) => n + p.to - p.from, 0);

/** Why a block may not begin somewhere in the time of one that it needs: too little of that is done, or the rest of it comes too soon. */
const overlapClash = (
  before: BoardOperation,
  overlap: BoardOperation['overlaps'][number],
  to: { readonly day: string; readonly minute: number },
  visit: BoardOperation['visits'][number] | undefined,
): string | undefined => {
  const quarter = (minutes: number): number => 15 * Math.ceil(minutes / 15 - 1e-9);
  const begun = momentOf(before, quarter(overlap.after * workedAt(before.visits.flatMap((v) => v.pieces))));
  if (begun !== undefined && sortKey(to) < begun) return `Too little of ${before.name} is done by then.`;
  const last = before.visits.at(-1);
  const first = 15 * Math.floor(((1 - overlap.last) * workedAt(visit?.pieces ?? [])) / 15 + 1e-9);
  // What goes over its day goes on the next, and comes later for it.
  const wants = sortKey({ day: to.day, minute: to.minute + first });
  return last && last.end.day === to.day && wants < sortKey(last.end)
    ? `It needs all of ${before.name} before that is done.`
    : undefined;
};

/** Why a block clashes where it would come to stand; undefined where nothing is seen to be in its way. The server judges it all. */
export const clashAt = (
  data: BoardData,
  op: BoardOperation,
  to: { readonly day: string; readonly minute: number },
  ask: { readonly place?: string; readonly people?: readonly string[] },
  visit = 0,
): string | undefined => {
  const start = sortKey(to);
  if (start < sortKey({ day: data.today, minute: data.now })) return 'That time is over.';
  const earlier = visit > 0 ? op.visits[visit - 1] : undefined;
  if (earlier && sortKey(earlier.end) > start) return 'Its day before is not over by then.';
  for (const need of op.needs) {
    const before = data.operations.find((o) => o.id === need);
    const last = before?.visits.at(-1);
    const overlap = op.overlaps.find((o) => o.need === need);
    if (before && overlap && !before.done && last && before.dry === 0) {
      const clash = overlapClash(before, overlap, to, op.visits[visit]);
      if (clash !== undefined) return clash;
      continue;
    }
    if (before && !before.done && last && sortKey(last.dry) > start)
      return `${before.name} is ${before.dry > 0 ? 'not dry' : 'not done'} by then.`;
  }
  const people = ask.people ?? op.visits[visit]?.people ?? [];
  const minutes = op.visits[visit]?.pieces.reduce((n, p) => n + p.to - p.from, 0) ?? op.minutes;
  const end = to.minute + minutes;
  for (const o of data.operations) {
    if (o.id === op.id || o.orderId === op.orderId) continue;
    for (const v of o.visits)
      for (const p of v.pieces) {
        if (p.day !== to.day || p.from >= end || p.to <= to.minute) continue;
        const who = people.find((k) => v.people.includes(k));
        if (who) return `${data.people.find((x) => x.key === who)?.name ?? who} is at ${o.orderId} ${o.name} then.`;
        if ((ask.place ?? op.place) !== null && o.place === (ask.place ?? op.place))
          return `${o.orderId} ${o.name} is done there then.`;
      }
  }
  return undefined;
};
