import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { fileURLToPath } from 'node:url';
import { makeDemoDatabase } from '../server/src/testing/testDatabase.ts';
import puppeteer from 'puppeteer-core';
import type { Browser, Page } from 'puppeteer-core';

const root = fileURLToPath(new URL('..', import.meta.url));

/** The built application on a database of its own, and a browser to use it with. */
export interface World {
  readonly base: string;
  readonly browser: Browser;
  readonly newPage: (width?: number, height?: number) => Promise<Page>;
  readonly signIn: (page: Page, login: string) => Promise<void>;
  readonly api: (page: Page, path: string) => Promise<any>; // eslint-disable-line @typescript-eslint/no-explicit-any
  readonly close: () => Promise<void>;
}

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });

const startServer = (url: string, port: number): Promise<ChildProcess> =>
  new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['server/dist/main.js'], {
      cwd: root,
      env: {
        ...process.env,
        NODE_OPTIONS: '',
        DATABASE_URL: url,
        PORT: String(port),
        WEB_DIR: `${root}web/dist`,
        DEMO: 'yes',
        NODE_ENV: 'production',
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let errors = '';
    child.stderr.on('data', (d) => (errors += String(d)));
    child.stdout.on('data', (d) => /^ready/m.test(String(d)) && resolve(child));
    child.once('exit', (code) => reject(new Error(errors || `The server ended with code ${code}.`)));
  });

/** Opens a world whose database is called `name`. */
export const openWorld = async (name: string): Promise<World> => {
  const url = await makeDemoDatabase(name);
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const child = await startServer(url, port);
  const profile = mkdtempSync(`${tmpdir()}/rubbet-chromium-`);
  const browser = await puppeteer.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    headless: true,
    userDataDir: profile,
    args: [
      '--no-sandbox',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--enable-unsafe-swiftshader',
      '--use-angle=swiftshader',
      '--lang=en-US',
    ],
  });
  return {
    base,
    browser,
    newPage: async (width = 1280, height = 800) => {
      const context = await browser.createBrowserContext();
      const page = await context.newPage();
      await page.setViewport({ width, height });
      page.setDefaultTimeout(30_000);
      return page;
    },
    signIn: async (page, login) => {
      await page.goto(`${base}/sign-in`, { waitUntil: 'networkidle0' });
      await page.type('input[autocomplete=username]', login);
      await page.type('input[type=password]', 'hedgerow');
      await page.keyboard.press('Enter');
      await page.waitForFunction(() => !location.pathname.startsWith('/sign-in'));
    },
    api: (page, path) => page.evaluate(async (p) => (await fetch(`/api${p}`)).json(), path),
    close: async () => {
      await browser.close();
      await new Promise<void>((resolve) => {
        child.once('exit', () => resolve());
        child.kill('SIGTERM');
      });
      rmSync(profile, { recursive: true, force: true });
    },
  };
};

/** Clicks the button or link with just this name. */
export const press = async (page: Page, name: string): Promise<void> => {
  const handle = await page.waitForSelector(`::-p-aria([name="${name}"])`);
  await handle?.click();
};

/** Empties a field found by its label and types into it. */
export const fill = async (page: Page, label: string, text: string): Promise<void> => {
  const field = await page.waitForSelector(`::-p-aria([name="${label}"][role="textbox"])`);
  await field?.click({ count: 3 });
  await page.keyboard.press('Backspace');
  await field?.type(text);
};

/** Waits until the page says something. */
export const sees = (page: Page, text: string): Promise<unknown> =>
  page.waitForFunction((t) => document.body.innerText.includes(t), {}, text);

/** Waits for the line that tells that something was done, or why not, and says what was expected; gives the whole line. */
export const noticed = async (page: Page, tone: 'done' | 'wrong', words: RegExp = /./): Promise<string> => {
  await page.waitForFunction(
    (t, source) => {
      const note = document.querySelector(`[data-notice=${t}]`);
      return note !== null && new RegExp(source).test(note.textContent ?? '');
    },
    {},
    tone,
    words.source,
  );
  return page.$eval('[data-notice]', (n) => n.textContent ?? '');
};

/** Answers the question that stands open with the button of that name. */
export const answer = async (page: Page, name: string, why?: string): Promise<void> => {
  await page.waitForSelector('[data-testid=ask]');
  if (why !== undefined) await page.type('[data-testid=ask] textarea', why);
  await page.$$eval(
    '[data-testid=ask] button',
    (list, n) => list.find((b) => b.textContent?.trim() === n)?.click(),
    name,
  );
  await page.waitForFunction(() => document.querySelector('[data-testid=ask]') === null);
};

/** Ticks every step of the shop of an order, as a day at the bench would. */
export const finishBench = (page: Page, id: number): Promise<void> =>
  page.evaluate(async (n) => {
    const call = async (path: string, body?: unknown) =>
      (
        await fetch(`/api/orders/${n}/work-order${path}`, {
          ...(body === undefined ? {} : { method: 'PATCH', body: JSON.stringify(body) }),
          headers: { 'content-type': 'application/json' },
        })
      ).json();
    const { steps: planned } = await call('/plan');
    for (const step of planned) {
      if (['yard', 'road', 'site'].includes(step.station)) continue;
      const { steps } = await call('');
      const row = steps.find((s: { stepId: string }) => s.stepId === step.id);
      if (row.state !== 'done') await call(`/steps/${row.id}`, { version: row.version, state: 'done' });
    }
  }, id);
