import { ConflictException } from '@nestjs/common';
import { AS_TOLD } from '@rubbet/core/crews';
import type { CrewPlan, Planned, Shop } from '@rubbet/core/crews';
import { addDays } from '@rubbet/core/days';
import type { Db } from '../database/connect.ts';
import type { Pool } from '../work/pool.ts';
import { readBoard } from './readBoard.ts';
import type { BoardState } from './readBoard.ts';
import { savePlan } from './savePlan.ts';
import { sayFault } from './showBoard.ts';

/** An order for some of whose work there is nobody or no room is put on the board only when that is mended. */
const refuseFor = (s: BoardState, operation: string): never => {
  const missing = s.shop.operations.find((o) => o.id === operation);
  if (!missing) throw new Error(`There is no operation ${operation}.`);
  const able = s.people.filter((p) => p.skills.includes(missing.skill)).length;
  const name = sayFault(s, missing.id);
  const bays = s.places.filter((p) => p.kind === 'bay');
  throw new ConflictException({
    code: 'beyond',
    message:
      able === 0
        ? `There is nobody for ${name}: give somebody the skill ${missing.skill} under Settings, People.`
        : able < missing.people[0] && !missing.helpers
          ? `${name} takes ${missing.people[0]} people who do ${missing.skill}, and there ${able === 1 ? 'is one' : `are ${able}`}: give somebody else the skill under Settings, People.`
          : missing.place === 'bay' && bays.length === 0
            ? `There is no bay for ${name}: add one under Settings, Crews and bays.`
            : `There is no time or room for ${name} within the half year that is planned ahead. It takes a bay that is large enough, days with people, and weather that it can be done in.`,
  });
};

/**
 * Plans one order on the board, its lock taken; everybody else's blocks stay where they are. What of it has a place already keeps it
 * where it can.
 * @param from day before which nothing starts that has no place yet; tomorrow where left out
 * @throws ConflictException where some of it finds no place
 */
export const planOrder = async (trx: Db, pool: Pool, orderId: number, from?: string): Promise<void> => {
  const s = await readBoard(trx);
  const id = String(orderId);
  const start = from ?? addDays(s.today, 1);
  const told = new Set(s.shop.published.map((p) => p.operation));
  const isMine = (operation: string | undefined): boolean => operation?.startsWith(`${id}/`) === true;
  const shop: Shop = {
    ...s.shop,
    operations: s.shop.operations.map((o) =>
      o.order === id && !told.has(o.id) && start > s.today && (o.from ?? '') < start ? { ...o, from: start } : o,
    ),
    pins: [
      ...s.shop.pins,
      ...s.shop.published.filter(
        (p) =>
          p.start >= s.now &&
          !isMine(p.operation) &&
          // What goes on from its site is one trip with it, and is looked at again with it.
          !isMine(p.after) &&
          !s.shop.pins.some((x) => x.operation === p.operation),
      ),
    ],
  };
  const keep = (others: readonly string[]): Promise<CrewPlan> =>
    pool.run('planCrews', {
      shop: {
        ...shop,
        pins: shop.pins.filter(
          (p) => s.shop.pins.some((x) => x.operation === p.operation) || !others.includes(orderOf(p.operation)),
        ),
      },
      search: { rounds: 0, rule: AS_TOLD, bound: false },
    });
  let found = await keep([]);
  // Where a day that was agreed on takes somebody, or a trailer, that others were to have, those are looked at again.
  const crossed = crossedBy(found.plan, id);
  if (crossed.length > 0) found = await keep(crossed);
  const plan = found.plan.filter((p) => p.order === id);
  const placed = new Set(plan.map((p) => p.operation));
  const missing = s.shop.operations.find((o) => o.order === id && !placed.has(o.id));
  if (missing) refuseFor(s, (await pool.run('findStuck', { shop, order: id })) ?? missing.id);
  // What shares or shared its trip has another way home now; all else stays as it is.
  const linked = new Set<string>();
  for (const p of [...s.shop.published, ...found.plan]) {
    if (isMine(p.operation) && p.after !== undefined) linked.add(p.after);
    if (isMine(p.after)) linked.add(p.operation);
  }
  const blocks = s.blocks.filter(
    (b) => b.order_id === orderId || linked.has(b.id) || crossed.includes(String(b.order_id)),
  );
  await savePlan(trx, { ...s, blocks }, found.plan);
};

const orderOf = (operation: string): string => operation.split('/')[0] ?? operation;

/** Other orders that have people or a trailer of some order's blocks at the same time. */
const crossedBy = (plan: readonly Planned[], id: string): string[] => {
  const mine = plan.filter((p) => p.order === id);
  const meets = (a: Planned, b: Planned): boolean =>
    a.start < b.end &&
    b.start < a.end &&
    (a.people.some((x) => b.people.includes(x)) || (a.trailer !== null && a.trailer === b.trailer)) &&
    a.pieces.some((x) => b.pieces.some((y) => x[0] < y[1] && y[0] < x[1]));
  return [...new Set(plan.filter((p) => p.order !== id && mine.some((m) => meets(m, p))).map((p) => p.order))];
};
