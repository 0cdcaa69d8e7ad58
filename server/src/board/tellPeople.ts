import type { Proposal } from '@rubbet/core/crews';
import { addDays } from '@rubbet/core/days';
import { blockOf, DAY, visitOf } from '@rubbet/core/crews';
import type { Db } from '../database/connect.ts';
import type { BoardState } from './readBoard.ts';
import { sayDay, sayFault } from './showBoard.ts';

const clock = (minute: number): string =>
  `${String(Math.floor((minute % DAY) / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;

/** Days ahead for which people are told of their work at once; what is later they see on their page. */
const TOLD_AHEAD = 7;

/**
 * Tells whom a new plan concerns, by way of the outbox: people whose work of the coming days is another or at another time, and customers
 * whose day moved. Gives how many were told.
 */
export const tellPeople = async (
  trx: Db,
  s: BoardState,
  p: Proposal,
  words: string,
  by: string,
): Promise<{ readonly people: number; readonly customers: number }> => {
  const when = (minute: number): string => `${sayDay(addDays(s.today, Math.floor(minute / DAY)))} ${clock(minute)}`;
  const lines = new Map<string, string[]>();
  const say = (who: string, line: string): void => void lines.set(who, [...(lines.get(who) ?? []), line]);
  for (const x of p.shifts) {
    const visit = visitOf(x.operation);
    const name = `${sayFault(s, blockOf(x.operation))}${visit > 0 ? `, day ${visit + 1} there` : ''}`;
    const trailer = s.trailers.find((t) => t.id === x.after.trailer)?.name;
    const [old, now] = [x.before?.start ?? Infinity, x.after.start];
    if (Math.min(old, now) > TOLD_AHEAD * DAY) continue;
    for (const who of x.after.people) {
      const others = x.after.people.filter((o) => o !== who).join(', ');
      const same = x.before?.people?.includes(who) === true && old === now;
      const at = [x.after.place, trailer === undefined ? null : `the ${trailer}`].filter((a) => a !== null);
      say(
        who,
        same
          ? `${name}: ${when(now)}, as before; with ${others || 'nobody else'}.`
          : `${name}: ${[when(now), ...at].join(', ')}${others === '' ? '' : `; with ${others}`}.`,
      );
    }
    for (const who of x.before?.people ?? [])
      if (!x.after.people.includes(who)) say(who, `${name}: not with you any more.`);
  }
  const phones = new Map(
    ((await trx('users').select('id', 'phone')) as { id: number; phone: string }[]).map((u) => [String(u.id), u.phone]),
  );
  for (const [who, list] of lines) {
    const key = s.people.find((x) => x.id === who)?.key ?? '';
    await trx('outbox').insert({
      to: phones.get(key) || who,
      subject: 'Your work has changed',
      body: [`${who},`, '', `${words}. From now on:`, ...list].join('\n'),
      about: 'plan',
      by,
    });
  }
  // Customers hear of it only where their own day moves.
  let customers = 0;
  const seen = new Set<string>();
  for (const x of p.shifts) {
    const op = s.shop.operations.find((o) => o.id === x.operation);
    const before = x.before && Math.floor(x.before.start / DAY);
    const after = Math.floor(x.after.start / DAY);
    if (op?.place !== 'site' || visitOf(x.operation) > 0 || before === null || before === after || seen.has(x.order))
      continue;
    seen.add(x.order);
    const order = (await trx('orders')
      .join('customers', 'customers.id', 'orders.customer_id')
      .where({ 'orders.id': Number(x.order) })
      .first('customers.name', 'customers.email', 'orders.title')) as
      { name: string; email: string; title: string } | undefined;
    if (!order) continue;
    customers++;
    await trx('outbox').insert({
      to: order.email || order.name,
      subject: `Your day has moved: order ${x.order}`,
      body: [
        `Dear ${order.name},`,
        '',
        `We planned to come to you with your order ${x.order}, ${order.title}, on ${sayDay(addDays(s.today, before ?? 0), true)}. It will be ${sayDay(addDays(s.today, after), true)} instead.`,
        'If that day does not suit you, call us and we look for another.',
        '',
        s.business.name,
        s.business.phone,
      ].join('\n'),
      about: `order ${x.order}`,
      by,
    });
  }
  return { people: lines.size, customers };
};
