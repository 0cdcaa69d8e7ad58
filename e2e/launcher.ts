import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
export const pause = (ms: number): Promise<void> => new Promise((r) => setTimeout(r, ms));

export const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });

/** What a program said and how it ended. */
export interface Run {
  readonly code: number | null;
  readonly out: string;
}

/** Rubbet as `npm start` runs it, in a data folder of its own. */
export interface Launcher {
  readonly data: string;
  readonly base: string;
  readonly start: (...args: string[]) => ChildProcess;
  readonly said: () => string;
  /** Runs another of the project's programs on the same folder to its end. */
  readonly run: (script: string, ...args: string[]) => Promise<Run>;
  /** Waits until the address answers 200, or until the time is over. */
  readonly up: (seconds?: number) => Promise<boolean>;
  readonly status: () => Promise<{ readonly status: number; readonly text: string }>;
  readonly pidOf: (part: 'launcher' | 'database' | 'server') => number;
  readonly end: () => Promise<void>;
}

const alive = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return !/^\d+ \(.*\) Z/.test(readFileSync(`/proc/${pid}/stat`, 'utf8'));
  } catch {
    return false;
  }
};
export const isGone = async (pid: number, seconds = 20): Promise<boolean> => {
  for (let i = 0; i < seconds * 10 && alive(pid); i++) await pause(100);
  return !alive(pid);
};

/** Opens a folder in which Rubbet can be started. */
export const openLauncher = async (): Promise<Launcher> => {
  const data = mkdtempSync(`${tmpdir()}/rubbet-start-`);
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const env = {
    ...process.env,
    RUBBET_DATA: data,
    PORT: String(port),
    NODE_OPTIONS: '',
    NODE_ENV: 'production',
    RUBBET_POOL: '',
  };
  const children: ChildProcess[] = [];
  let said = '';
  const spawnIt = (script: string, args: readonly string[]): ChildProcess => {
    const child = spawn(process.execPath, [`scripts/${script}.mjs`, ...args], {
      cwd: root,
      env,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    children.push(child);
    return child;
  };
  const note = (file: string): Record<string, number> | undefined => {
    try {
      return JSON.parse(readFileSync(`${data}/${file}`, 'utf8')) as Record<string, number>;
    } catch {
      // Not there, or being written just now.
      return undefined;
    }
  };
  const status = async (): Promise<{ status: number; text: string }> => {
    try {
      const r = await fetch(`${base}/api/health`, { signal: AbortSignal.timeout(5000) });
      return { status: r.status, text: await r.text() };
    } catch {
      return { status: 0, text: '' };
    }
  };
  return {
    data,
    base,
    said: () => said,
    start: (...args) => {
      const child = spawnIt('start', args);
      child.stdout?.on('data', (d) => (said += String(d)));
      child.stderr?.on('data', (d) => (said += String(d)));
      return child;
    },
    run: (script, ...args) =>
      new Promise((resolve) => {
        const child = spawnIt(script, args);
        let out = '';
        child.stdout?.on('data', (d) => (out += String(d)));
        child.stderr?.on('data', (d) => (out += String(d)));
        child.once('exit', (code) => resolve({ code, out }));
      }),
    up: async (seconds = 60) => {
      for (let i = 0; i < seconds * 5; i++) {
        if ((await status()).status === 200) return true;
        await pause(200);
      }
      return false;
    },
    status,
    pidOf: (part) => {
      if (part === 'launcher') return note('launcher.json')?.pid ?? 0;
      if (part === 'database') return note('db/running.json')?.pid ?? 0;
      const parent = String(note('launcher.json')?.pid ?? 0);
      const children = readFileSync(`/proc/${parent}/task/${parent}/children`, 'utf8').trim().split(' ');
      return Number(
        children.find((pid) => readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('server/dist/main.js')) ?? 0,
      );
    },
    end: async () => {
      for (const child of children)
        if (child.exitCode === null && child.signalCode === null) {
          child.kill('SIGTERM');
          if (child.pid !== undefined && !(await isGone(child.pid))) child.kill('SIGKILL');
        }
      for (const pid of [note('db/running.json')?.pid])
        if (pid !== undefined && alive(pid)) process.kill(pid, 'SIGKILL');
      rmSync(data, { recursive: true, force: true });
    },
  };
};

/** An answer of the interface; what its body is, the caller knows. */
export interface Called {
  readonly status: number;
  readonly body: any; // eslint-disable-line @typescript-eslint/no-explicit-any
}

/** Signs in and gives a way to call the interface. A call that is cut off has status 0: nobody can say whether it was done. */
export const signedIn = async (
  base: string,
): Promise<(method: string, path: string, body?: unknown) => Promise<Called>> => {
  const headers = { 'content-type': 'application/json' };
  const session = await fetch(`${base}/api/session`, {
    method: 'POST',
    headers,
    body: JSON.stringify({ login: 'office', password: 'hedgerow' }),
  });
  const cookie = session.headers.get('set-cookie')?.split(';')[0] ?? '';
  return async (method, path, body) => {
    try {
      const r = await fetch(`${base}/api${path}`, {
        method,
        headers: { ...headers, cookie },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        signal: AbortSignal.timeout(20_000),
      });
      const text = await r.text();
      return { status: r.status, body: /^[{[]/.test(text) ? (JSON.parse(text) as unknown) : text };
    } catch {
      return { status: 0, body: undefined };
    }
  };
};
