import type { UnitChoice } from '../auth/auth.answers.ts';
import { readBusiness } from '../business/readBusiness.ts';
import type { Db } from '../database/connect.ts';
import type { Settings } from '../settings/settings.service.ts';
import type { PaperFor } from '../work/tasks.ts';

/** Whose paper it is, and in whose units: the reader's where they have chosen, else the business's. */
export const readPaper = async (db: Db, settings: Settings, units?: UnitChoice | null): Promise<PaperFor> => {
  const [rules, { business }] = await Promise.all([settings.rules(db), readBusiness(db)]);
  return { units: units ?? rules.units, business };
};
