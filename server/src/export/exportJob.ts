import { Inject, Injectable } from '@nestjs/common';
import { strToU8 } from 'fflate';
import { writeCsv } from '@rubbet/core/formats';
import { shopToday } from '../business/readBusiness.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { Archive } from '../jobs/archive.ts';
import type { JobDone, JobRun } from '../jobs/kinds.ts';

/** What is never taken out: what opens sign-ins, and what is only remembered. */
const LEFT = new Set([
  'sessions',
  'devices',
  'invites',
  'login_attempts',
  'computations',
  'jobs',
  'job_chunks',
  'locks',
]);
const SECRET = new Set(['password_hash', 'token']);
/** Rows that are read at once: few where each is large. */
const PAGE = 400;
const LARGE: Readonly<Record<string, number>> = { work_orders: 4, work_photos: 10, audit: 200 };

type Row = Readonly<Record<string, unknown>>;
const open = (row: Row): Row =>
  Object.fromEntries(
    Object.entries(row)
      .filter(([column]) => !SECRET.has(column))
      .map(([k, v]) => [k, Buffer.isBuffer(v) ? v.toString('base64') : v] as const)
      .map(([k, v]) => [k, typeof v === 'string' && /^\s*[[{]/.test(v) ? tryJson(v) : v]),
  );
const tryJson = (text: string): unknown => {
  try {
    return readJson(text);
  } catch {
    return text;
  }
};
const flat = (row: Row): Row =>
  Object.fromEntries(
    Object.entries(row).map(([k, v]) => [k, typeof v === 'object' && v !== null ? JSON.stringify(v) : v]),
  );

/** Everything that the business has written down, as JSON and as CSV, in one archive. */
@Injectable()
export class ExportJob {
  constructor(@Inject(DB) private readonly db: Db) {}

  private async tables(): Promise<string[]> {
    const [rows] = (await this.db.raw('SHOW TABLES')) as unknown as [Record<string, string>[]];
    return rows
      .map((r) => Object.values(r)[0] as string)
      .filter((t) => !t.startsWith('migrations') && !LEFT.has(t))
      .sort();
  }

  private async *pages(table: string, signal: AbortSignal): AsyncGenerator<readonly Row[]> {
    const page = LARGE[table] ?? PAGE;
    for (let offset = 0; ; offset += page) {
      signal.throwIfAborted();
      const rows = (await this.db(table).orderByRaw('1').offset(offset).limit(page)) as Row[];
      if (rows.length > 0) yield rows.map(open);
      if (rows.length < page) return;
    }
  }

  async run({ signal, say, write }: JobRun): Promise<JobDone> {
    const archive = new Archive(write);
    const tables = await this.tables();
    const day = await shopToday(this.db);
    let count = 0;
    for (const [i, table] of tables.entries()) {
      const pages = (): AsyncGenerator<readonly Row[]> => this.pages(table, signal);
      say(i / tables.length, `Taking out ${table.replaceAll('_', ' ')}`);
      await archive.add(
        `json/${table}.json`,
        (async function* () {
          let first = true;
          for await (const rows of pages()) {
            count += rows.length;
            yield strToU8((first ? '[\n' : ',\n') + rows.map((r) => JSON.stringify(r)).join(',\n'));
            first = false;
          }
          yield strToU8(first ? '[]\n' : '\n]\n');
        })(),
      );
      say((i + 0.5) / tables.length, `Taking out ${table.replaceAll('_', ' ')}`);
      await archive.add(
        `csv/${table}.csv`,
        (async function* () {
          let first = true;
          for await (const rows of pages()) {
            yield strToU8(writeCsv(rows.map(flat), first));
            first = false;
          }
        })(),
      );
    }
    await archive.add('READ ME.txt', [
      strToU8(
        `Everything of the business on ${day}: ${count} records.\nEach table once as JSON and once as CSV (UTF-8, commas).\nLengths are inches, weights pounds, money hundredths, times UTC.\nPasswords and customers' links are left out.\n`,
      ),
    ]);
    await archive.end();
    return {
      note: `${count} records of ${tables.length} kinds.`,
      file: `rubbet-${day}.zip`,
    };
  }
}
