import { addDays } from '@rubbet/core/days';
import { allotStock } from '@rubbet/core/saw';
import type { Asks, Coming } from '@rubbet/core/saw';
import { findItem, withItems } from '@rubbet/core/stock';
import type { StockCount } from '@rubbet/core/stock';
import type { BatchPiece } from '../batches/batches.answers.ts';
import { readFreeRack } from '../batches/gather.ts';
import { readWants } from '../batches/readWants.ts';
import type { Want } from '../batches/readWants.ts';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { OpenDays } from '../calendar/openDays.ts';
import { readItems } from '../items/readItems.ts';
import { readLeads } from '../items/readLeads.ts';
import { readComing } from '../purchases/readComing.ts';
import type { BlockSupply } from './board.answers.ts';

/** Most batches that are looked through. */
const MOST_BATCHES = 300;

/** Work that takes something, as it stands on the board or is asked for. */
export interface Taker {
  readonly id: string;
  readonly order: number;
  readonly takes: readonly StockCount[];
  /** When it begins, to be sorted by; nothing where it has no place yet. */
  readonly starts?: { readonly day: string; readonly minute: number };
  /** What it takes has been taken, but leaves the rack's book only when its order is built. */
  readonly begun: boolean;
  /** Its batch's wood is looked for with it. */
  readonly sawn: boolean;
}

/** Items of which a batch has pieces of an order, by the order. */
const readBatched = async (db: Db, orders: ReadonlySet<number>): Promise<Map<number, Set<string>>> => {
  const batches = (
    (await db('batches').orderBy('id', 'desc').limit(MOST_BATCHES).select('id', 'orders')) as {
      id: number;
      orders: unknown;
    }[]
  ).filter((b) => readJson<number[]>(b.orders).some((o) => orders.has(o)));
  const out = new Map<number, Set<string>>();
  if (batches.length === 0) return out;
  const lines = (await db('batch_lines')
    .whereIn(
      'batch_id',
      batches.map((b) => b.id),
    )
    .select('item', 'pieces')) as { item: string; pieces: unknown }[];
  for (const l of lines)
    for (const { order } of readJson<BatchPiece[]>(l.pieces).flatMap((p) => p.parts))
      out.set(order, (out.get(order) ?? new Set()).add(l.item));
  return out;
};

/** What is wanted for a line of a batch. */
const stockOf = ({ item, length, width }: Want): StockCount => ({ item, length, width, quantity: 1 });

const turnOf = (t: Taker): string =>
  t.begun ? '' : t.starts ? `${t.starts.day} ${String(t.starts.minute).padStart(4, '0')}` : '9';

/**
 * What work on the board must wait for of what it is made of: neither on the rack nor spoken for by whoever begins before, and on its
 * way, or still to be ordered.
 * @param usual days until what nobody has ordered is there, where neither item nor supplier says; 0 where nothing waits for that
 */
export const readMaterials = async (
  db: Db,
  takers: readonly Taker[],
  today: string,
  usual: number,
  open: OpenDays,
): Promise<Map<string, BlockSupply>> => {
  const orders = new Set(takers.map((t) => t.order));
  const [changes, free, booked, ordered, wants, batched, lead] = await Promise.all([
    readItems(db),
    readFreeRack(db, 0),
    db('stock').distinct().pluck('item') as unknown as Promise<string[]>,
    readComing(db),
    readWants(db),
    readBatched(db, orders),
    readLeads(db, usual),
  ]);
  // What comes while the shop is shut is brought on the next day that it is open.
  const bought = (item: string): string => open.from(addDays(today, lead(item)));
  // Who has not come on the day that was told comes tomorrow at the soonest.
  const comes = (item: string, due: string | null): string =>
    due === null ? bought(item) : due > today ? due : open.from(addDays(today, 1));
  const coming: Coming[] = ordered.map(({ due, ...c }) => ({ ...c, day: comes(c.item, due) }));
  return withItems(changes, () => {
    const sheet = (item: string): boolean => findItem(item).kind === 'sheet';
    // A whole sheet has no size of its own on the rack, nor where it is ordered.
    const plain = <T extends StockCount>(c: T): T => (sheet(c.item) ? { ...c, length: null, width: null } : c);
    const turns = [...takers].sort((a, b) => turnOf(a).localeCompare(turnOf(b)));
    // What a batch wants has its turn with the first of its orders.
    const firsts = new Map<string, number[]>();
    wants.forEach((w, k) => {
      const first = turns.find((t) => t.sawn && w.orders.has(t.order))?.id ?? '';
      firsts.set(first, [...(firsts.get(first) ?? []), k]);
    });
    const asks: Asks[] = turns.flatMap((t): Asks[] => [
      ...(firsts.get(t.id) ?? []).map((k) => ({ id: `want ${k}`, takes: [plain(stockOf(wants[k] as Want))] })),
      { id: t.id, takes: t.takes.filter((c) => batched.get(t.order)?.has(c.item) !== true) },
    ]);
    const found = allotStock(
      asks,
      free.filter((r) => !sheet(r.item) || r.mark === '').map((r) => plain({ ...r, quantity: r.free })),
      coming.map(plain),
      new Set([...booked, ...wants.map((w) => w.item)]),
      // Where nothing waits for what nobody has ordered, that is there at once.
      usual > 0 ? bought : () => today,
    );
    const out = new Map<string, BlockSupply>();
    for (const t of turns) {
      if (t.begun) continue;
      const mine = [t.id, ...wants.flatMap((w, k) => (t.sawn && w.orders.has(t.order) ? [`want ${k}`] : []))].flatMap(
        (id) => found.get(id) ?? [],
      );
      const items = (of: 'coming' | 'buy'): string[] => [...new Set(mine.flatMap((m) => m[of]))];
      const buy = usual > 0 ? items('buy') : [];
      const late = items('coming').filter((item) => !buy.includes(item));
      if (buy.length + late.length === 0) continue;
      const day = mine.reduce((last, m) => (m.day > last ? m.day : last), today);
      const name = (item: string): string => findItem(item).name;
      const start = t.starts?.day;
      /** The last open day to order it on; as long as that is in time, today at the soonest. */
      const orderOn = (begins: string): string => {
        const last = open.until(addDays(begins, -Math.max(...buy.map(lead))));
        return last < today && day <= begins ? today : last;
      };
      out.set(t.id, {
        day,
        coming: late.map(name),
        buy: buy.map(name),
        orderBy: start !== undefined && buy.length > 0 ? orderOn(start) : null,
      });
    }
    return out;
  });
};
