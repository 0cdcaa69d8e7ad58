import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { connect } from './database/connect.ts';
import { makeDemoDatabase } from './testing/testDatabase.ts';

const MAIN = fileURLToPath(new URL('../dist/main.js', import.meta.url));
/** This machine by another of its addresses: only who listens on all of them answers there. */
const OTHER = '127.0.0.2';

/** Starts the server for the network on a database, and waits until it listens. */
const startFor = (url: string, port: number) =>
  new Promise<{ readonly child: ChildProcess; readonly said: string }>((resolve, reject) => {
    const child = spawn(process.execPath, [MAIN], {
      env: { ...process.env, DATABASE_URL: url, HOST: '0.0.0.0', PORT: String(port), DEMO: 'no', NODE_OPTIONS: '' },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let said = '';
    const hear = (bytes: Buffer): void => {
      said += String(bytes);
      if (said.includes(`ready ${port}`)) resolve({ child, said });
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('exit', (code) => reject(new Error(`It ended with ${code}: ${said}`)));
  });

const answers = (host: string, port: number): Promise<boolean> =>
  fetch(`http://${host}:${port}/api/health`).then(
    (r) => r.ok,
    () => false,
  );
const end = async (child: ChildProcess): Promise<void> => {
  child.removeAllListeners('exit');
  const gone = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await gone;
};

describe('the server on the network', () => {
  it('is reached by nobody else while the passwords of the demo stand', async () => {
    const url = await makeDemoDatabase('rubbet_network');
    const port = 20_000 + (process.pid % 20_000);
    const first = await startFor(url, port);
    expect(first.said).toMatch(/passwords of the demo still stand.*not on 0\.0\.0\.0.*Settings, People/);
    expect(await answers('127.0.0.1', port)).toBe(true);
    expect(await answers(OTHER, port)).toBe(false);
    await end(first.child);

    const db = connect(url);
    await db('users').update({ active: false });
    await db.destroy();
    const second = await startFor(url, port);
    expect(second.said).not.toMatch(/passwords/);
    expect(await answers(OTHER, port)).toBe(true);
    await end(second.child);
  }, 120_000);
});
