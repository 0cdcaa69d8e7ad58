import { findItem } from '@rubbet/core/stock';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { BatchPiece, BatchRest } from '../batches/batches.answers.ts';

/** Whole 1/64 in. */
const ticks = (inches: number): number => Math.round(inches * 64);
const KERF = ticks(0.125);

/**
 * Holds the rack against its ledger, to the last 1/64: nothing below nothing, every line the sum of its entries, nobody has more
 * spoken for than there is open to cut, every stick that is cut is its pieces, kerfs, rest and scrap, and each part of an order
 * that a batch has cut was cut from one stick.
 */
export const judgeLedger = async (db: Db): Promise<void> => {
  const stock = (await db('stock').select('id', 'item', 'length', 'quantity')) as {
    id: number;
    item: string;
    length: number | null;
    quantity: number;
  }[];
  const entries = (await db('stock_ledger').select('stock_id', 'change', 'kind')) as {
    stock_id: number;
    change: number;
    kind: string;
  }[];
  const sums = new Map<number, number>();
  for (const e of entries) sums.set(e.stock_id, (sums.get(e.stock_id) ?? 0) + e.change);
  for (const s of stock) {
    expect(s.quantity).toBeGreaterThanOrEqual(0);
    expect([s.id, s.quantity]).toEqual([s.id, sums.get(s.id) ?? 0]);
  }
  const lines = (await db('batch_lines').select()) as {
    id: number;
    batch_id: number;
    kind: string;
    item: string;
    length: number;
    stock_id: number | null;
    drop_of: string | null;
    pieces: unknown;
    rests: unknown;
    state: string;
  }[];
  const kept = (await db('reservations').select('batch_id', 'stock_id', 'quantity')) as {
    batch_id: number;
    stock_id: number;
    quantity: number;
  }[];
  for (const k of kept) {
    const open = lines.filter(
      (l) => l.batch_id === k.batch_id && l.stock_id === k.stock_id && l.state === 'open',
    ).length;
    expect([k.batch_id, k.stock_id, k.quantity]).toEqual([k.batch_id, k.stock_id, open]);
  }
  // Inch for inch: what left the rack for the saw is pieces, kerfs, what went back, and what is too short to keep.
  const gone = new Map<string, number>();
  for (const l of lines) {
    if (l.state !== 'cut') continue;
    // What is cut out of a part has left the rack with that.
    expect(l.stock_id === null).toBe(l.drop_of !== null);
    if (l.drop_of !== null) continue;
    const pieces = readJson<BatchPiece[]>(l.pieces);
    const rests = readJson<BatchRest[]>(l.rests);
    if (l.kind === 'stick') {
      const used = pieces.reduce((n, p) => n + ticks(p.length), 0) + (pieces.length - 1) * KERF;
      const back = rests.filter((r) => r.width === undefined).reduce((n, r) => n + ticks(r.length), 0);
      const scrap = ticks(l.length) - used - back;
      expect(scrap).toBeGreaterThanOrEqual(0);
      // A rest loses the kerf that frees it, and nothing more.
      if (back > 0) expect(scrap).toBeLessThanOrEqual(KERF + 1);
    }
    gone.set(l.item, (gone.get(l.item) ?? 0) + 1);
    for (const r of rests) {
      const there = stock.find((s) => s.id === r.stock);
      expect(there?.length).toBe(r.length);
    }
  }
  const cutInBatches = (await db('stock_ledger')
    .join('stock', 'stock.id', 'stock_ledger.stock_id')
    .whereNotNull('stock_ledger.batch_id')
    .whereIn('stock_ledger.kind', ['cut', 'corrected'])
    .where((q) => void q.where('stock_ledger.kind', 'cut').orWhere('stock_ledger.change', 1))
    .groupBy('stock.item')
    .select('stock.item')
    .sum({ n: 'stock_ledger.change' })) as unknown as { item: string; n: number }[];
  for (const { item, n } of cutInBatches)
    expect([findItem(item).key, 0 - Number(n)]).toEqual([item, gone.get(item) ?? 0]);
  // A part is cut from one stick; a face of mesh may be several strips.
  const refs = lines
    .filter((l) => l.state === 'cut' && l.kind !== 'roll')
    .flatMap((l) =>
      readJson<BatchPiece[]>(l.pieces)
        .filter((p) => p.state === 'cut')
        .flatMap((p) => p.parts.map((x) => `${x.order}/${x.part}`)),
    );
  expect(new Set(refs).size).toBe(refs.length);
};
