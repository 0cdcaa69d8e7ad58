import { blockOf, DAY, visitOf } from '@rubbet/core/crews';
import type { Planned } from '@rubbet/core/crews';
import { addDays, daysBetween } from '@rubbet/core/days';
import type { Db } from '../database/connect.ts';
import type { Moment, Placed, Stretch, Visit } from './board.answers.ts';
import type { BoardState } from './readBoard.ts';

const toMoment = (today: string, minute: number): Moment => ({
  day: addDays(today, Math.floor(minute / DAY)),
  minute: ((minute % DAY) + DAY) % DAY,
});

/** Minutes of a delivery's ways where it shares its trip: from the site before it, and home from the last alone. */
const waysOf = (s: BoardState, plan: readonly Planned[], p: Planned): Pick<Visit, 'ways'> => {
  if (p.trailer === null) return {};
  const goesOn = plan.some((x) => x.after === p.operation);
  if (p.after === undefined && !goesOn) return {};
  const [out, home] = s.shop.operations.find((o) => o.id === p.operation)?.travel ?? [0, 0];
  const from = plan.find((x) => x.operation === p.after)?.order ?? '';
  // Who stays where they brought it has no way there.
  const hop =
    from === p.order ? 0 : (s.hops.find((h) => h.between.includes(p.order) && h.between.includes(from))?.minutes ?? 0);
  const upTo15 = (minutes: number): number => 15 * Math.ceil(minutes / 15 - 1e-9);
  return { ways: [upTo15(p.after === undefined ? out : hop), goesOn ? 0 : upTo15(home)] };
};

/** A time of the plan as it is kept: days and hours, people by their keys. */
export const toVisit = (s: BoardState, plan: readonly Planned[], p: Planned): Visit => ({
  start: toMoment(s.today, p.start),
  end: toMoment(s.today, p.end),
  dry: toMoment(s.today, p.dry),
  people: p.people.flatMap((id) => s.people.find((x) => x.id === id)?.key ?? []),
  trailer: p.trailer,
  ...(p.after === undefined ? {} : { after: p.after }),
  ...(p.driesOn === undefined ? {} : { driesOn: p.driesOn }),
  ...waysOf(s, plan, p),
  pieces: p.pieces.map(([from, to]): Stretch => {
    const at = toMoment(s.today, from);
    return { day: at.day, from: at.minute, to: at.minute + (to - from) };
  }),
});

/** What of a visit lies behind, where it goes on now. */
const behind = (s: Pick<BoardState, 'today' | 'now'>, v: Visit): Stretch[] =>
  v.pieces.flatMap((p) => {
    if (p.day > s.today) return [];
    if (p.day < s.today) return [p];
    const to = Math.min(p.to, 15 * Math.ceil(s.now / 15));
    return to > p.from ? [{ ...p, to }] : [];
  });

/** Columns of a block that stands so. */
export const columnsOf = (visits: readonly Visit[]): Record<string, unknown> => ({
  visits: visits.length === 0 ? null : JSON.stringify(visits),
  day: visits[0]?.start.day ?? null,
  minute: visits[0]?.start.minute ?? null,
  end_day: visits.at(-1)?.end.day ?? null,
});

/**
 * Writes the blocks that stand otherwise by a plan; gives where they stood before, with their new versions.
 * @param pinned operations that were put where they are by hand
 */
export const savePlan = async (
  trx: Db,
  s: BoardState,
  plan: readonly Planned[],
  pinned: ReadonlySet<string> = new Set(),
): Promise<Placed[]> => {
  const byBlock = new Map<string, Planned[]>();
  for (const p of plan) byBlock.set(blockOf(p.operation), [...(byBlock.get(blockOf(p.operation)) ?? []), p]);
  const out: Placed[] = [];
  for (const b of s.blocks) {
    if (b.done) continue;
    const mine = (byBlock.get(b.id) ?? []).sort((x, y) => x.start - y.start);
    let visits = mine.map((p): Visit => {
      const k = visitOf(p.operation);
      const byHand = k > 0 && (pinned.has(p.operation) || b.visits[k]?.pinned === true);
      return { ...toVisit(s, plan, p), ...(byHand ? { pinned: true } : {}) };
    });
    // What was worked on before now is kept as it was.
    const [old, first] = [b.visits[0], visits[0]];
    if (old && first && daysBetween(s.today, old.start.day) * DAY + old.start.minute < s.now) {
      const worked = behind(s, old);
      const left = old.pieces.reduce((n, p) => n + p.to - p.from, 0) - worked.reduce((n, p) => n + p.to - p.from, 0);
      if (worked.length > 0 && left > 0)
        visits = [{ ...first, start: old.start, pieces: [...worked, ...first.pieces] }, ...visits.slice(1)];
    }
    const row = s.places.find((p) => p.id === mine[0]?.place)?.row ?? null;
    const pin = b.pinned || pinned.has(b.id);
    if (JSON.stringify(visits) === JSON.stringify(b.visits) && row === b.row && pin === b.pinned) continue;
    await trx('operations')
      .where({ id: b.id })
      .update({ ...columnsOf(visits), row, pinned: pin, version: trx.raw('version + 1') });
    out.push({ task: b.id, version: b.version + 1, place: b.row, pinned: b.pinned, visits: b.visits });
  }
  return out;
};
