import { afterDrying, dayOf, endOf, startOf } from './calendar.ts';
import { canTake, fitsBay } from './fitsBay.ts';
import type { Block, Calendar, Clash, Row, Task } from './types.ts';

/** Blocks that share a row, in order of time. */
const onRow = (blocks: readonly Block[], row: string): Block[] =>
  blocks.filter((b) => b.row === row).sort((a, b) => a.start - b.start);

/** First start on a row from `from` on with `minutes` free. */
const firstGap = (blocks: readonly Block[], row: string, from: number, minutes: number): number => {
  let at = from;
  for (const b of onRow(blocks, row)) {
    if (b.end <= at) continue;
    if (b.start >= at + minutes) break;
    at = b.end;
  }
  return at;
};

const earliest = (
  task: Task,
  tasks: ReadonlyMap<string, Task>,
  placed: ReadonlyMap<string, Block>,
  calendar: Calendar,
  now: number,
): number => {
  let at = now;
  if (task.from !== undefined)
    at = Math.max(at, startOf(calendar, task.from) ?? calendar.days.length * calendar.minutes);
  for (const need of task.needs) {
    const before = placed.get(need);
    const other = tasks.get(need);
    if (before && other) at = Math.max(at, afterDrying(calendar, before.end, other.dry));
  }
  return at;
};

/** Work left on the longest chain after a task, for urgency. */
const tails = (tasks: readonly Task[]): Map<string, number> => {
  const out = new Map<string, number>();
  const after = new Map<string, Task[]>();
  for (const t of tasks) for (const n of t.needs) after.set(n, [...(after.get(n) ?? []), t]);
  const tail = (t: Task): number => {
    const known = out.get(t.id);
    if (known !== undefined) return known;
    const rest = Math.max(0, ...(after.get(t.id) ?? []).map((next) => t.dry + tail(next)));
    out.set(t.id, t.minutes + rest);
    return t.minutes + rest;
  };
  tasks.forEach(tail);
  return out;
};

/**
 * Plans tasks on rows in working time: most urgent first (due day less the work still to come), each at the first gap of the
 * row where it can end soonest, after everything it needs has been done and dried. Blocks kept are left where they are.
 * @param now working minute before which nothing new starts
 */
export const planSchedule = (
  tasks: readonly Task[],
  rows: readonly Row[],
  calendar: Calendar,
  kept: readonly Block[] = [],
  now = 0,
): Block[] => {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const placed = new Map(kept.filter((b) => byId.has(b.task)).map((b) => [b.task, b]));
  const blocks = [...kept];
  const tail = tails(tasks);
  const horizon = calendar.days.length * calendar.minutes;
  const slack = (t: Task): number => {
    // Due on a Saturday means done by Friday evening.
    const due = t.due === undefined ? horizon : endOf(calendar, t.due);
    return due - (tail.get(t.id) ?? 0);
  };
  const open = tasks.filter((t) => !placed.has(t.id));
  while (open.length > 0) {
    const ready = open.filter((t) => t.needs.every((n) => !byId.has(n) || placed.has(n)));
    const next = ready.sort((a, b) => slack(a) - slack(b) || a.id.localeCompare(b.id))[0];
    if (!next) break;
    open.splice(open.indexOf(next), 1);
    const able = rows.filter((r) => canTake(r, next));
    // What fits nowhere is planned all the same, and shown as a clash.
    const can = able.length > 0 ? able : rows.filter((r) => r.stations.includes(next.station));
    let best: Block | undefined;
    for (const row of can) {
      const start = firstGap(blocks, row.id, earliest(next, byId, placed, calendar, now), next.minutes);
      if (!best || start < best.start)
        best = { task: next.id, row: row.id, start, end: start + next.minutes, pinned: false };
    }
    if (!best) continue;
    blocks.push(best);
    placed.set(next.id, best);
  }
  return blocks;
};

const roomText = (row: Row): string =>
  `It does not stand in ${row.name} with room to walk around it: choose a larger bay.`;

/** What a move by hand does: the new plan, who followed, and what clashes. */
export interface MoveResult {
  readonly blocks: readonly Block[];
  readonly moved: readonly string[];
  readonly clashes: readonly Clash[];
}

/**
 * Moves one block by hand. What stood in its way on the row and what depends on it move later, just as far as they must;
 * nothing else moves. A move before what it needs, or to a row that cannot do it, is refused with the reason.
 */
export const moveBlock = (
  tasks: readonly Task[],
  rows: readonly Row[],
  calendar: Calendar,
  blocks: readonly Block[],
  taskId: string,
  to: { readonly row: string; readonly start: number },
): MoveResult => {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const task = byId.get(taskId);
  const old = blocks.find((b) => b.task === taskId);
  const row = rows.find((r) => r.id === to.row);
  const refuse = (clash: Clash): MoveResult => ({ blocks, moved: [], clashes: [clash] });
  if (!task || !old || !row)
    return refuse({ kind: 'station', task: taskId, text: 'This block is not on the board any more.' });
  if (!row.stations.includes(task.station))
    return refuse({ kind: 'station', task: taskId, text: `${row.name} does not do ${task.station} work.` });
  if (!fitsBay(row, task)) return refuse({ kind: 'room', task: taskId, text: roomText(row) });
  const others = new Map(blocks.filter((b) => b.task !== taskId).map((b) => [b.task, b]));
  for (const need of task.needs) {
    const before = others.get(need);
    const needed = byId.get(need);
    if (!before || !needed) continue;
    const ready = afterDrying(calendar, before.end, needed.dry);
    if (to.start < ready)
      return refuse({
        kind: 'order',
        task: taskId,
        other: need,
        text:
          needed.dry > 0 && to.start >= before.end
            ? `The coat before it is wet until ${dayOf(calendar, ready)}.`
            : `What it needs ends on ${dayOf(calendar, before.end, true)}.`,
      });
  }
  const end = to.start + task.minutes;
  const ended = [...others.values()].find(
    (b) => byId.get(b.task)?.done === true && b.row === to.row && b.start < end && b.end > to.start,
  );
  if (ended)
    return refuse({
      kind: 'overlap',
      task: taskId,
      other: ended.task,
      text: `What stands on ${row.name} there is done and stays: choose a later time.`,
    });
  const result = new Map(others);
  result.set(taskId, { ...old, row: to.row, start: to.start, end: to.start + task.minutes, pinned: true });
  const moved = new Set([taskId]);
  // Push later whatever now stands too early, in rounds, until nothing moves.
  for (let round = 0; round < tasks.length * 4; round++) {
    let changed = false;
    const sorted = [...result.values()].sort(
      (a, b) => a.start - b.start || Number(moved.has(b.task)) - Number(moved.has(a.task)),
    );
    for (const b of sorted) {
      const t = byId.get(b.task);
      if (!t || t.done || b.task === taskId) continue;
      let start = Math.max(
        b.start,
        earliest(t, byId, result, calendar, 0) > b.start && t.needs.some((n) => moved.has(n))
          ? earliest(t, byId, result, calendar, 0)
          : b.start,
      );
      for (const c of result.values()) {
        if (c.task === b.task || c.row !== b.row || c.end <= start || c.start >= start + t.minutes) continue;
        // The moved block and those that were there first keep their place.
        if (moved.has(c.task) || c.start < b.start) start = Math.max(start, c.end);
      }
      if (start !== b.start) {
        result.set(b.task, { ...b, start, end: start + t.minutes });
        moved.add(b.task);
        changed = true;
      }
    }
    if (!changed) break;
  }
  const next = [...result.values()];
  return { blocks: next, moved: [...moved], clashes: findClashes(tasks, rows, calendar, next) };
};

/** Everything wrong with a plan: broken order, wet coats, two blocks at once, late ends. */
export const findClashes = (
  tasks: readonly Task[],
  rows: readonly Row[],
  calendar: Calendar,
  blocks: readonly Block[],
): Clash[] => {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const rowById = new Map(rows.map((r) => [r.id, r]));
  const placed = new Map(blocks.map((b) => [b.task, b]));
  const out: Clash[] = [];
  for (const b of blocks) {
    const t = byId.get(b.task);
    if (!t) continue;
    for (const need of t.needs) {
      const before = placed.get(need);
      const other = byId.get(need);
      if (before && other && b.start < afterDrying(calendar, before.end, other.dry))
        out.push({
          kind: 'order',
          task: t.id,
          other: need,
          text: `${t.order} starts a block before what it needs is done${other.dry > 0 ? ' and dry' : ''}.`,
        });
    }
    const row = rowById.get(b.row);
    if (row && !fitsBay(row, t)) out.push({ kind: 'room', task: t.id, text: `${t.order}: ${roomText(row)}` });
    const lastDay = dayOf(calendar, b.end, true);
    if (b.end > calendar.days.length * calendar.minutes)
      out.push({ kind: 'beyond', task: t.id, text: `${t.order} runs past the end of the calendar.` });
    if (t.due !== undefined && lastDay > t.due) {
      const late = daysBetweenWorking(calendar, t.due, lastDay);
      out.push({
        kind: 'late',
        task: t.id,
        days: late,
        text: `${t.order} leaves ${late === 1 ? 'a day' : `${late} days`} late.`,
      });
    }
  }
  for (const row of rows) {
    const mine = onRow(blocks, row.id);
    for (let i = 0; i + 1 < mine.length; i++) {
      const a = mine[i] as Block;
      const b = mine[i + 1] as Block;
      if (b.start < a.end)
        out.push({ kind: 'overlap', task: b.task, other: a.task, text: `Two blocks stand on ${row.name} at once.` });
    }
  }
  return out;
};

/** Of clashes that say late, one for each order: that of the block which ends latest. Ids of blocks begin with their order and a stroke. */
export const findLateOrders = (clashes: readonly Clash[]): Clash[] => {
  const worst = new Map<string, Clash>();
  for (const c of clashes) {
    const order = c.task.split('/')[0] ?? c.task;
    if (c.kind === 'late' && (c.days ?? 0) >= (worst.get(order)?.days ?? 0)) worst.set(order, c);
  }
  return [...worst.values()];
};

const daysBetweenWorking = (calendar: Calendar, from: string, to: string): number =>
  calendar.days.filter((d) => d > from && d <= to).length;
