// Backups: everything of the business in one file, made while it runs, and read in again.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  chmodSync,
  createReadStream,
  createWriteStream,
  existsSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { createInterface } from 'node:readline';
import { pipeline } from 'node:stream/promises';
import { dataDir, ensureDir, root } from './setup.mjs';

/** Number of the shape of backup files; raised when it changes. */
export const BACKUP_VERSION = 1;
const PREFIX = 'rubbet-';
const FOLDER = `${dataDir}/backups`;
const FILES = `${dataDir}/files`;
const DAILY = 14;
const WEEKLY = 8;
/** Hour from which the night's backup is made. */
const NIGHT = 2;

const parts = (url) => {
  const u = new URL(url);
  return {
    args: [
      '--no-defaults',
      `--host=${u.hostname}`,
      `--port=${u.port || 3306}`,
      `--user=${decodeURIComponent(u.username)}`,
    ],
    env: { ...process.env, MYSQL_PWD: decodeURIComponent(u.password) },
    name: u.pathname.slice(1),
  };
};

/** Runs a statement; gives its rows as lists of texts. */
const query = (url, sql) => {
  const { args, env, name } = parts(url);
  const done = spawnSync('mariadb', [...args, '--batch', '--skip-column-names', '-e', sql, name], {
    env,
    encoding: 'utf8',
    maxBuffer: 50_000_000,
  });
  if (done.status !== 0) throw new Error(`The database refused: ${done.stderr.trim().split('\n').at(-1)}`);
  return done.stdout
    .split('\n')
    .filter((l) => l !== '')
    .map((l) => l.split('\t'));
};

const digest = async (path) => {
  const hash = createHash('sha256');
  for await (const chunk of createReadStream(path)) hash.update(chunk);
  return hash.digest('hex');
};

const listFiles = (dir) =>
  existsSync(dir)
    ? readdirSync(dir, { recursive: true, withFileTypes: true })
        .filter((e) => e.isFile())
        .map((e) => `${e.parentPath}/${e.name}`.slice(dir.length + 1))
        .sort()
    : [];

const exitOf = (child) =>
  new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('exit', (code) => resolve(code));
  });

/** Rows of each table in a dump that has one INSERT a row. */
const countRows = async (dump) => {
  const tables = {};
  for await (const line of createInterface({ input: createReadStream(dump), crlfDelay: Infinity })) {
    const made = /^CREATE TABLE `(\w+)`/.exec(line);
    if (made) tables[made[1]] ??= 0;
    const row = /^INSERT INTO `(\w+)`/.exec(line);
    if (row) tables[row[1]]++;
  }
  return tables;
};

const stamp = (at) => at.toISOString().slice(0, 19).replace('T', '-').replaceAll(':', '');

/**
 * Writes everything into one file: the database as it is at one moment, whatever is written meanwhile, and the files beside it.
 * Gives the path of the file. Nothing is left of one that fails.
 */
export const makeBackup = async ({ url, folder = FOLDER, files = FILES, label = '' }) => {
  ensureDir(folder);
  const work = mkdtempSync(`${folder}/.making-`);
  try {
    const { args, env, name } = parts(url);
    const dump = `${work}/dump.sql`;
    const child = spawn(
      'mariadb-dump',
      [
        ...args,
        '--single-transaction',
        '--quick',
        '--hex-blob',
        '--skip-extended-insert',
        '--no-autocommit',
        '--skip-comments',
        '--skip-dump-date',
        '--default-character-set=utf8mb4',
        name,
      ],
      { env, stdio: ['ignore', 'pipe', 'pipe'] },
    );
    let wrong = '';
    child.stderr.on('data', (d) => (wrong += d));
    const ended = exitOf(child);
    await pipeline(child.stdout, createWriteStream(dump, { mode: 0o600 }));
    if ((await ended) !== 0) throw new Error(`The database could not be read: ${wrong.trim().split('\n').at(-1)}`);
    const kept = listFiles(files);
    const at = new Date();
    const manifest = {
      format: 'rubbet-backup',
      version: BACKUP_VERSION,
      app: JSON.parse(readFileSync(`${root}/package.json`, 'utf8')).version,
      made: at.toISOString(),
      migration: query(url, 'SELECT name FROM migrations ORDER BY id DESC LIMIT 1')[0]?.[0] ?? '',
      tables: await countRows(dump),
      dump: await digest(dump),
      files: Object.fromEntries(await Promise.all(kept.map(async (f) => [f, await digest(`${files}/${f}`)]))),
    };
    writeFileSync(`${work}/manifest.json`, JSON.stringify(manifest, null, 2), { mode: 0o600 });
    const out = `${folder}/${PREFIX}${stamp(at)}${label}.tar.gz`;
    const packed = spawnSync(
      'tar',
      [
        '-czf',
        `${work}/packed`,
        '-C',
        work,
        'manifest.json',
        'dump.sql',
        ...(kept.length > 0 ? ['--transform', 's,^\\./,files/,', '-C', files, ...kept.map((f) => `./${f}`)] : []),
      ],
      { encoding: 'utf8' },
    );
    if (packed.status !== 0) throw new Error(`The backup could not be packed: ${packed.stderr.trim()}`);
    if (existsSync(out)) throw new Error(`${out} is there already: try again in a second.`);
    // It holds everything, so it is for its owner alone.
    chmodSync(`${work}/packed`, 0o600);
    renameSync(`${work}/packed`, out);
    return out;
  } finally {
    rmSync(work, { recursive: true, force: true });
  }
};

/** Unpacks a backup and looks whether it is whole. Throws with a sentence where it is not. */
export const openBackup = async (file, into) => {
  if (!existsSync(file)) throw new Error(`There is no file ${file}.`);
  const unpacked = spawnSync('tar', ['-xzf', file, '-C', into, '--no-same-owner'], { encoding: 'utf8' });
  if (unpacked.status !== 0) throw new Error(`${file} is no backup, or only a part of one: it cannot be unpacked.`);
  let manifest;
  try {
    manifest = JSON.parse(readFileSync(`${into}/manifest.json`, 'utf8'));
  } catch {
    throw new Error(`${file} is no backup of Rubbet: it has no manifest that can be read.`);
  }
  if (manifest.format !== 'rubbet-backup') throw new Error(`${file} is no backup of Rubbet.`);
  if (manifest.version > BACKUP_VERSION)
    throw new Error(
      `${file} was made by a newer Rubbet (backup ${manifest.version}; this one reads up to ${BACKUP_VERSION}): update first.`,
    );
  if ((await digest(`${into}/dump.sql`)) !== manifest.dump)
    throw new Error(`${file} is damaged: its data are not what was written. Take another backup.`);
  for (const [name, sum] of Object.entries(manifest.files))
    if (!existsSync(`${into}/files/${name}`) || (await digest(`${into}/files/${name}`)) !== sum)
      throw new Error(`${file} is damaged: ${name} in it is not what was written. Take another backup.`);
  return manifest;
};

const load = async (url, dump) => {
  const { args, env, name } = parts(url);
  const child = spawn('mariadb', [...args, '--default-character-set=utf8mb4', name], {
    env,
    stdio: ['pipe', 'ignore', 'pipe'],
  });
  let wrong = '';
  child.stderr.on('data', (d) => (wrong += d));
  const ended = exitOf(child);
  await pipeline(createReadStream(dump), child.stdin).catch(() => undefined);
  if ((await ended) !== 0) throw new Error(`The backup could not be read in: ${wrong.trim().split('\n').at(-1)}`);
};

/** Tables of the database of an address. */
const tablesOf = (url) => query(url, 'SHOW TABLES').map((r) => r[0]);

/**
 * Reads a backup in. It goes into a database beside first and is counted there; only then it takes the place of what was, all
 * tables in one step. What is kept now is untouched until then.
 */
export const restoreBackup = async ({ url, file, files = FILES, newest }) => {
  ensureDir(dataDir);
  const work = mkdtempSync(`${dataDir}/.restoring-`);
  const { name } = parts(url);
  const [beside, before] = [`${name}_restore`, `${name}_before`];
  const at = (db) => url.replace(/\/[^/]*$/, `/${db}`);
  try {
    const manifest = await openBackup(file, work);
    if (newest !== undefined && manifest.migration > newest)
      throw new Error(`${file} was made by a newer Rubbet (${manifest.migration}): update first.`);
    query(url, `DROP DATABASE IF EXISTS ${beside}; CREATE DATABASE ${beside} CHARACTER SET utf8mb4`);
    await load(at(beside), `${work}/dump.sql`);
    for (const [table, rows] of Object.entries(manifest.tables)) {
      const found = Number(query(at(beside), `SELECT COUNT(*) FROM \`${table}\``)[0]?.[0]);
      if (found !== rows) throw new Error(`The backup did not come in whole: ${table} has ${found} of ${rows} rows.`);
    }
    query(url, `DROP DATABASE IF EXISTS ${before}; CREATE DATABASE ${before} CHARACTER SET utf8mb4`);
    const moves = [
      ...tablesOf(url).map((t) => `${name}.\`${t}\` TO ${before}.\`${t}\``),
      ...tablesOf(at(beside)).map((t) => `${beside}.\`${t}\` TO ${name}.\`${t}\``),
    ];
    query(url, `RENAME TABLE ${moves.join(', ')}`);
    query(url, `DROP DATABASE ${before}; DROP DATABASE ${beside}`);
    const old = `${work}/old-files`;
    if (existsSync(files)) renameSync(files, old);
    if (existsSync(`${work}/files`)) renameSync(`${work}/files`, files);
    return manifest;
  } finally {
    query(url, `DROP DATABASE IF EXISTS ${beside}`);
    rmSync(work, { recursive: true, force: true });
  }
};

/** Backups of a folder, newest first, with when they were made. */
export const listBackups = (folder = FOLDER) =>
  existsSync(folder)
    ? readdirSync(folder)
        .filter((f) => f.startsWith(PREFIX) && f.endsWith('.tar.gz'))
        .map((f) => ({ file: `${folder}/${f}`, at: statSync(`${folder}/${f}`).mtime }))
        .sort((a, b) => b.at - a.at)
    : [];

/** Whether the backup of last night is still to be made; a machine that was off makes it when it is on again. */
export const isBackupDue = (now = new Date(), folder = FOLDER) => {
  const night = new Date(now);
  night.setHours(NIGHT, 0, 0, 0);
  if (night > now) night.setDate(night.getDate() - 1);
  const last = listBackups(folder)[0];
  return last === undefined || last.at < night;
};

/** Which backups are kept: the newest of each of the last days, and of each of the last weeks. Others are taken away; those with a label stay. */
export const pruneBackups = (folder = FOLDER) => {
  const plain = listBackups(folder).filter((b) => /rubbet-[\d-]+\.tar\.gz$/.test(b.file));
  const keep = new Set();
  const newestOf = (key, most) => {
    const seen = new Map();
    for (const b of plain) if (!seen.has(key(b.at))) seen.set(key(b.at), b.file);
    for (const file of [...seen.values()].slice(0, most)) keep.add(file);
  };
  newestOf((d) => d.toISOString().slice(0, 10), DAILY);
  newestOf((d) => Math.floor(d.getTime() / (7 * 86_400_000)), WEEKLY);
  const gone = plain.filter((b) => !keep.has(b.file));
  for (const b of gone) rmSync(b.file);
  return gone.map((b) => b.file);
};
