import { LEAST, PRICES_BEHIND, PURCHASES, RACK, SUPPLIER_OF, SUPPLIERS, USERS, WEEKS_BEHIND } from '@rubbet/demo';
import { priceOf, sizesOfItem, STOCK } from '@rubbet/core/stock';
import { addDays } from '@rubbet/core/days';
import { shopToday } from '../business/readBusiness.ts';
import type { Db } from '../database/connect.ts';

const OFFICE = USERS[0].name;
const SHOP = USERS[1].name;
const DAYS = 7;

/** A number that follows from a text, 0 to n − 1: the same demo every time. */
const pick = (text: string, n: number): number => {
  let h = 2166136261;
  for (const c of text) h = Math.imul(h ^ c.charCodeAt(0), 16777619);
  return (h >>> 0) % n;
};

interface Entry {
  readonly change: number;
  readonly kind: 'counted' | 'received' | 'cut';
  readonly why: string;
  readonly weeks: number;
}

/** How a line came to what lies there: counted three months ago, bought and cut week by week since. */
const historyOf = (item: string, length: number | null, quantity: number): Entry[] => {
  const moves: Entry[] = [];
  let later = quantity;
  for (let weeks = 1; weeks < WEEKS_BEHIND; weeks++) {
    // Backwards from today: what was cut was there before, what came was not.
    const cut = 2 + pick(`${item} ${length ?? ''} cut ${weeks}`, Math.max(3, Math.ceil(quantity / 4)));
    later += cut;
    moves.push({ change: -cut, kind: 'cut', why: 'cut for the week', weeks });
    const came = weeks % 3 === 0 ? Math.min(later, cut * 3) : 0;
    if (came > 0) moves.push({ change: came, kind: 'received', why: 'delivery', weeks: weeks + 0.5 });
    later -= came;
  }
  return [
    ...moves,
    { change: later, kind: 'counted' as const, why: `counted ${later}`, weeks: WEEKS_BEHIND },
  ].reverse();
};

/** Suppliers, items with what they cost then and now, the rack with three months behind it, and what is on its way. */
export const loadSupply = async (trx: Db): Promise<void> => {
  await trx('suppliers').insert(SUPPLIERS.map(({ leadDays, ...s }) => ({ ...s, lead_days: leadDays })));
  const ago = (weeks: number) => trx.raw('DATE_SUB(UTC_TIMESTAMP(), INTERVAL ? HOUR)', [Math.round(weeks * DAYS * 24)]);
  await trx('items').insert(
    STOCK.map((s) => ({
      item: s.key,
      supplier_id: SUPPLIER_OF[s.kind] ?? null,
      changed: '{}',
      least: LEAST[s.key] ?? 0,
    })),
  );
  for (const s of STOCK)
    for (const { weeks, share } of PRICES_BEHIND)
      await trx('item_prices').insert(
        sizesOfItem(s).map(({ size, cost }) => ({
          item: s.key,
          size,
          cost: Math.round(cost * share),
          supplier_id: SUPPLIER_OF[s.kind] ?? null,
          by: OFFICE,
          at: ago(weeks),
        })),
      );
  for (const r of RACK) {
    const { item, length, place, mark, quantity, width = null } = r;
    // Offcuts have no history: each was left of one stick.
    const history = mark === '' ? historyOf(item, length, quantity) : undefined;
    const weeks = mark === '' ? WEEKS_BEHIND : 1 + pick(mark, 5);
    const [id] = (await trx('stock').insert({ item, length, width, place, mark, quantity, since: ago(weeks) })) as [
      number,
    ];
    const entries: readonly Entry[] = history ?? [
      { change: quantity, kind: 'counted', why: `counted ${quantity}`, weeks },
    ];
    await trx('stock_ledger').insert(
      entries.map((e) => ({ stock_id: id, change: e.change, kind: e.kind, why: e.why, by: SHOP, at: ago(e.weeks) })),
    );
  }
  const today = await shopToday(trx);
  for (const p of PURCHASES) {
    const [id] = (await trx('purchases').insert({
      supplier_id: p.supplier,
      state: p.lines.some((l) => l.received > 0) ? 'in part' : 'ordered',
      due: addDays(today, p.due),
      ordered_at: ago(p.sent / DAYS),
      made_by: OFFICE,
      made_at: ago(p.sent / DAYS),
    })) as [number];
    await trx('purchase_lines').insert(
      p.lines.map((l) => ({
        purchase_id: id,
        item: l.item,
        length: l.length,
        width: 'width' in l ? l.width : null,
        quantity: l.quantity,
        received: l.received,
        each: priceOf(l.item, l.length, 'width' in l ? l.width : null),
      })),
    );
  }
};
