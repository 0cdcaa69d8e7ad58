import type { Knex } from 'knex';
import * as foundation from './001-foundation.ts';

/** Every migration by name, oldest first. */
export const migrations: Readonly<Record<string, Knex.Migration>> = {
  '001-foundation': foundation,
};
