import type { Knex } from 'knex';
import * as foundation from './001-foundation.ts';
import * as modelRanges from './002-model-ranges.ts';
import * as orderLife from './003-order-life.ts';
import * as ownBusiness from './004-own-business.ts';
import * as methods from './005-methods.ts';
import * as bench from './006-bench.ts';
import * as saw from './007-saw.ts';
import * as rolls from './008-rolls.ts';
import * as crewPlan from './009-crew-plan.ts';
import * as rounds from './010-rounds.ts';
import * as machines from './011-machines.ts';
import * as overlaps from './012-overlaps.ts';
import * as materials from './013-materials.ts';

/** Every migration by name, oldest first. */
export const migrations: Readonly<Record<string, Knex.Migration>> = {
  '001-foundation': foundation,
  '002-model-ranges': modelRanges,
  '003-order-life': orderLife,
  '004-own-business': ownBusiness,
  '005-methods': methods,
  '006-bench': bench,
  '007-saw': saw,
  '008-rolls': rolls,
  '009-crew-plan': crewPlan,
  '010-rounds': rounds,
  '011-machines': machines,
  '012-overlaps': overlaps,
  '013-materials': materials,
};

/** Name of the newest migration that this version knows. */
export const newestMigration = Object.keys(migrations).at(-1) as string;
