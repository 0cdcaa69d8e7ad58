import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { connect, migrate } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { loadDemo } from '../demo/loadDemo.ts';

const serverUrl = (): string => {
  const server = process.env.TEST_DATABASE_URL;
  if (server === undefined)
    throw new Error('TEST_DATABASE_URL is not set: run the tests with npm test, which starts a throw-away database.');
  return server;
};
const urlOf = (name: string): string => serverUrl().replace(/\/[^/]*$/, `/${name}`);

const make = async (admin: Db, name: string): Promise<void> => {
  await admin.raw(`DROP DATABASE IF EXISTS ${name}`);
  await admin.raw(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`);
};

/**
 * Makes an empty database called `name` in the throw-away server that the test run started, and gives its address.
 * @throws Error when the tests were not started by npm test
 */
export const makeTestDatabase = async (name: string): Promise<string> => {
  const admin = connect(serverUrl());
  await make(admin, name);
  await admin.destroy();
  return urlOf(name);
};

/** Runs one of the database's own programs against a database of the test server. */
const client = (program: 'mariadb' | 'mariadb-dump', name: string, args: readonly string[], input?: string): string => {
  const { hostname, port, username, password } = new URL(serverUrl());
  const done = spawnSync(
    program,
    ['--no-defaults', `--host=${hostname}`, `--port=${port}`, `--user=${username}`, ...args, name],
    {
      encoding: 'utf8',
      input,
      maxBuffer: 200_000_000,
      env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) },
    },
  );
  if (done.status !== 0) throw new Error(`${program} failed: ${done.stderr}`);
  return done.stdout;
};

const TEMPLATE = 'rubbet_template';

/** The demo as a file to be read in, made by whoever of the test processes needs it first. */
const demoFile = async (admin: Db): Promise<string> => {
  const path = process.env.TEST_TEMPLATE ?? '';
  if (path === '') throw new Error('TEST_TEMPLATE is not set: run the tests with npm test.');
  await admin.transaction(async (held) => {
    await held.raw("SELECT GET_LOCK('template', 120)");
    try {
      if (existsSync(path)) return;
      await make(admin, TEMPLATE);
      const db = connect(urlOf(TEMPLATE));
      await migrate(db);
      await loadDemo(db);
      await db.destroy();
      writeFileSync(`${path}.part`, client('mariadb-dump', TEMPLATE, ['--single-transaction', '--hex-blob']));
      renameSync(`${path}.part`, path);
    } finally {
      await held.raw("SELECT RELEASE_LOCK('template')");
    }
  });
  return path;
};

/** Makes a database called `name` with the demo in it, and gives its address. */
export const makeDemoDatabase = async (name: string): Promise<string> => {
  const admin = connect(serverUrl());
  try {
    const file = await demoFile(admin);
    await make(admin, name);
    client('mariadb', name, [], readFileSync(file, 'utf8'));
  } finally {
    await admin.destroy();
  }
  return urlOf(name);
};
