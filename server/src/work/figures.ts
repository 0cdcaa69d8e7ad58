import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { Pool } from './pool.ts';
import type { Caller } from './pool.ts';
import type { TaskResult, ToCompute } from './tasks.ts';

export type FiguresOf = TaskResult<'figures'>;

let version: string | undefined;
/** What the figures were computed by: the core as it is built, so that an update computes anew. */
const codeVersion = (): string => {
  if (version !== undefined) return version;
  const hash = createHash('sha256');
  // The built core, wherever this runs from.
  const root = dirname(dirname(createRequire(import.meta.url).resolve('@rubbet/core/order')));
  for (const entry of readdirSync(root, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile() && /\.(js|ts)$/.test(e.name))
    .sort((a, b) => `${a.parentPath}/${a.name}`.localeCompare(`${b.parentPath}/${b.name}`)))
    hash.update(readFileSync(join(entry.parentPath, entry.name)));
  version = hash.digest('hex').slice(0, 16);
  return version;
};

/** Figures of orders, computed once for all that they follow from and kept for every instance. */
@Injectable()
export class Figures {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  async of(of: ToCompute, options: { readonly for?: Caller } = {}): Promise<FiguresOf> {
    const id = createHash('sha256')
      .update(codeVersion())
      .update(JSON.stringify([of.input, of.rules]))
      .digest('hex');
    const row = (await this.db('computations').where({ id }).first('value')) as { value: string } | undefined;
    if (row) return JSON.parse(row.value) as FiguresOf;
    const figures = await this.pool.run('figures', of, options);
    await this.db.raw('INSERT IGNORE INTO computations (id, value) VALUES (?, ?)', [id, JSON.stringify(figures)]);
    return figures;
  }
}
