import { mkdirSync, mkdtempSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { ORDERS } from '@rubbet/demo';
import { connect } from '../server/src/database/connect.ts';
import { listTables } from '../server/src/database/tables.ts';
import { makeDemoDatabase, makeTestDatabase } from '../server/src/testing/testDatabase.ts';
import {
  isBackupDue,
  listBackups,
  makeBackup,
  openBackup,
  pruneBackups,
  restoreBackup,
} from '../scripts/lib/backup.mjs';

const work = mkdtempSync(`${tmpdir()}/rubbet-backup-`);
afterAll(() => rmSync(work, { recursive: true, force: true }));

/** Every row of every table, in one order. */
const everything = async (url: string): Promise<Record<string, string[]>> => {
  const db = connect(url);
  try {
    const out: Record<string, string[]> = {};
    for (const table of [...(await listTables(db)), 'migrations'])
      out[table] = ((await db(table)) as object[]).map((r) => JSON.stringify(r)).sort();
    return out;
  } finally {
    await db.destroy();
  }
};

it('a backup read into an empty database gives back every row of every table, and every file', async () => {
  const url = await makeDemoDatabase('rubbet_backup');
  const db = connect(url);
  await db('customers').insert({ name: 'O\'Hara \\ "ä" 💥\n', address: '\t;--' });
  await db.destroy();
  const files = `${work}/files`;
  mkdirSync(`${files}/a b`, { recursive: true });
  writeFileSync(`${files}/a b/photo 1.jpg`, Buffer.from([0, 255, 10, 13]));
  const file = await makeBackup({ url, folder: `${work}/backups`, files });
  const empty = await makeTestDatabase('rubbet_restored');
  const manifest = await restoreBackup({ url: empty, file, files: `${work}/back` });
  const [before, after] = [await everything(url), await everything(empty)];
  expect(Object.keys(after).sort()).toEqual(Object.keys(before).sort());
  for (const table of Object.keys(before)) expect([table, after[table]]).toEqual([table, before[table]]);
  expect(manifest.tables.orders).toBe(ORDERS.length);
  expect(readdirSync(`${work}/back/a b`)).toEqual(['photo 1.jpg']);
  const rows = Object.values(before).reduce((n, r) => n + r.length, 0);
  process.stdout.write(`   restored: ${Object.keys(before).length} tables, ${rows} rows, all equal\n`);
});

it('is of one moment, while others write', async () => {
  const url = await makeDemoDatabase('rubbet_moment');
  const db = connect(url);
  let stop = false;
  const writer = (async () => {
    // Two records that belong together, in one transaction each time.
    for (let i = 0; !stop; i++)
      await db.transaction(async (trx) => {
        await trx('customers').insert({ name: `pair ${i}` });
        await trx('audit').insert({
          actor: 'x',
          action: 'pair',
          entity: 'customer',
          entity_id: String(i),
          detail: '{}',
        });
      });
  })();
  await new Promise((r) => setTimeout(r, 200));
  const file = await makeBackup({ url, folder: `${work}/moment`, files: `${work}/none` });
  stop = true;
  await writer;
  await db.destroy();
  const into = await makeTestDatabase('rubbet_moment_back');
  await restoreBackup({ url: into, file, files: `${work}/none-back` });
  const back = connect(into);
  const count = async (table: string, where: object): Promise<number> =>
    Number((await back(table).where(where).count({ n: '*' }))[0]?.n);
  const pairs = (await back('customers').where('name', 'like', 'pair %')).length;
  expect(pairs).toBeGreaterThan(0);
  expect(await count('audit', { action: 'pair' })).toBe(pairs);
  await back.destroy();
});

describe('a file that is not right', () => {
  const tamper = async (change: (dir: string) => void): Promise<string> => {
    const { execFileSync } = await import('node:child_process');
    const dir = mkdtempSync(`${work}/tamper-`);
    const url = await makeTestDatabase('rubbet_tamper');
    const db = connect(url);
    const { migrate } = await import('../server/src/database/connect.ts');
    await migrate(db);
    await db.destroy();
    const file = await makeBackup({ url, folder: `${dir}/made`, files: `${dir}/none` });
    const inside = `${dir}/inside`;
    mkdirSync(inside);
    execFileSync('tar', ['-xzf', file, '-C', inside]);
    change(inside);
    execFileSync('tar', ['-czf', `${dir}/changed.tar.gz`, '-C', inside, '.']);
    return `${dir}/changed.tar.gz`;
  };
  it.each([
    ['its data were changed', (d: string) => writeFileSync(`${d}/dump.sql`, 'DROP TABLE x;'), /damaged/],
    ['it has no manifest', (d: string) => rmSync(`${d}/manifest.json`), /no manifest/],
    [
      'it is of a newer Rubbet',
      (d: string) => writeFileSync(`${d}/manifest.json`, '{"format":"rubbet-backup","version":99}'),
      /newer Rubbet/,
    ],
    [
      'it is of something else',
      (d: string) => writeFileSync(`${d}/manifest.json`, '{"format":"x"}'),
      /no backup of Rubbet/,
    ],
  ])('is refused when %s, and nothing is touched', async (_words, change, words) => {
    const file = await tamper(change);
    const url = await makeDemoDatabase('rubbet_untouched');
    const before = await everything(url);
    await expect(restoreBackup({ url, file, files: `${work}/x` })).rejects.toThrow(words);
    expect(await everything(url)).toEqual(before);
    await expect(openBackup(file, mkdtempSync(`${work}/open-`))).rejects.toThrow(words);
  });
});

describe('the nights', () => {
  const folder = `${work}/nights`;
  const put = (at: Date, label = ''): void => {
    const file = `${folder}/rubbet-${at.toISOString().slice(0, 19).replace('T', '-').replaceAll(':', '')}${label}.tar.gz`;
    writeFileSync(file, '');
    utimesSync(file, at, at);
  };
  const day = 86_400_000;
  it('a backup is due once each night, and at once when the last night was missed', () => {
    mkdirSync(folder);
    const noon = new Date(2026, 4, 4, 12);
    expect(isBackupDue(noon, folder)).toBe(true);
    put(new Date(2026, 4, 4, 2, 30));
    expect(isBackupDue(noon, folder)).toBe(false);
    expect(isBackupDue(new Date(2026, 4, 5, 1), folder)).toBe(false);
    expect(isBackupDue(new Date(2026, 4, 5, 2, 1), folder)).toBe(true);
  });
  it('two weeks of days and eight weeks of weeks are kept, and what was put aside by hand', () => {
    const now = Date.UTC(2026, 4, 4, 3);
    for (let i = 0; i < 120; i++) put(new Date(now - i * day));
    put(new Date(now - 300 * day), '-before-restore');
    pruneBackups(folder);
    const left = listBackups(folder).map((b) => Math.round((now - b.at.getTime()) / day));
    expect(left.slice(0, 14)).toEqual(Array.from({ length: 14 }, (_, i) => i));
    expect(left.filter((d) => d > 14 && d < 300).length).toBeGreaterThanOrEqual(5);
    expect(left.filter((d) => d > 14 && d < 300).length).toBeLessThanOrEqual(7);
    expect(left).toContain(300);
  });
});
