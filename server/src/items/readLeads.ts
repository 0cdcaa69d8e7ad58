import type { Db } from '../database/connect.ts';

/** Days until what is ordered of an item today is there: as the item says, else its supplier, else as usual. */
export const readLeads = async (db: Db, usual: number): Promise<(item: string) => number> => {
  const rows = (await db('items')
    .leftJoin('suppliers', 'suppliers.id', 'items.supplier_id')
    .select('items.item', 'items.lead_days as own', 'suppliers.lead_days as theirs')) as {
    item: string;
    own: number | null;
    theirs: number | null;
  }[];
  const days = new Map(rows.map((r) => [r.item, r.own ?? r.theirs ?? usual]));
  return (item) => days.get(item) ?? usual;
};
