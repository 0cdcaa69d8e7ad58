import { readKeptRules } from '@rubbet/core/order';
import type { CrewRules } from '@rubbet/core/crews';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';

/** What the business plans its crews by. */
export const readCrewRules = async (db: Db): Promise<CrewRules> => {
  const row = (await db('settings').where({ id: 'rules' }).first('value')) as { value: unknown } | undefined;
  return readKeptRules(row ? readJson(row.value) : {}).crews;
};
