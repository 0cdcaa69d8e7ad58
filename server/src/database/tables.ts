import type { Knex } from 'knex';

/** Every table with records, those that others refer to last: the order in which they can be emptied. */
export const TABLES = [
  'audit',
  'job_chunks',
  'jobs',
  'outbox',
  'purchase_lines',
  'purchases',
  'reservations',
  'batch_lines',
  'computations',
  'settings',
  'visit_items',
  'deliveries',
  'trailers',
  'vehicles',
  'proposals',
  'operations',
  'calendar_days',
  'feeds',
  'absences',
  'outages',
  'crew_days',
  'members',
  'crews',
  'stock_ledger',
  'stock',
  'batches',
  'item_prices',
  'items',
  'suppliers',
  'work_changes',
  'work_photos',
  'work_troubles',
  'work_log',
  'work_steps',
  'work_parts',
  'work_orders',
  'surveys',
  'spec_revisions',
  'orders',
  'model_revisions',
  'models',
  'sites',
  'customers',
  'login_attempts',
  'sessions',
  'invites',
  'devices',
  'users',
] as const;

/** Names of the tables that a database has, migrations' own left out. */
export const listTables = async (db: Knex): Promise<string[]> => {
  const [rows] = (await db.raw('SHOW TABLES')) as unknown as [Record<string, string>[]];
  return rows.map((r) => Object.values(r)[0] as string).filter((t) => !t.startsWith('migrations'));
};
