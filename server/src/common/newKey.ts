import type { Db } from '../database/connect.ts';

/** Longest key of a record that is known by its name. */
const LONGEST = 20;

/** A key made of a name that no row of the table has yet: `Bay 5` becomes `bay-5`, the next one of that name `bay-5-2`. */
export const newKey = async (trx: Db, table: string, name: string): Promise<string> => {
  const plain =
    name
      .normalize('NFD')
      // Letters stay when their marks go.
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, LONGEST - 4)
      .replace(/-+$/, '') || 'one';
  const taken = new Set((await trx(table).where('id', 'like', `${plain}%`).pluck('id')) as string[]);
  for (let n = 1; ; n++) {
    const key = n === 1 ? plain : `${plain}-${n}`;
    if (!taken.has(key)) return key;
  }
};
