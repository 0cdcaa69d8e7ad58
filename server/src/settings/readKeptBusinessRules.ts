import { readKeptRules } from '@rubbet/core/order';
import type { BusinessRules } from '@rubbet/core/order';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';

/** The rules of the business as they are kept, without asking for its prices of the day. */
export const readKeptBusinessRules = async (db: Db): Promise<BusinessRules> => {
  const row = (await db('settings').where({ id: 'rules' }).first('value')) as { value: unknown } | undefined;
  return readKeptRules(row ? readJson(row.value) : {});
};
