import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { fileURLToPath } from 'node:url';
import { makeDemoDatabase } from '../server/src/testing/testDatabase.ts';
import puppeteer, { Puppeteer } from 'puppeteer-core';
import type { Browser, HTTPRequest, Page } from 'puppeteer-core';

const root = fileURLToPath(new URL('..', import.meta.url));

/** The built application on a database of its own, and a browser to use it with. */
export interface World {
  readonly base: string;
  readonly browser: Browser;
  /** A page of somebody new. `live`: it follows what others do; a page that does is never idle, so it is not by itself. */
  readonly newPage: (width?: number, height?: number, live?: boolean) => Promise<Page>;
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
        // As it is served: with its threads.
        RUBBET_POOL: '',
        NODE_ENV: 'production',
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let errors = '';
    child.stderr.on('data', (d) => (errors += String(d)));
    child.stdout.on('data', (d) => /^ready/m.test(String(d)) && resolve(child));
    child.once('exit', (code) => reject(new Error(errors || `The server ended with code ${code}.`)));
  });

/** What a page has asked for and not heard of yet, and when it last asked or heard. */
interface Wire {
  readonly open: Set<HTTPRequest>;
  last: number;
}
const wires = new WeakMap<Page, Wire>();
const watch = (page: Page): void => {
  const wire: Wire = { open: new Set(), last: Date.now() };
  wires.set(page, wire);
  // What the page before it still waited for is never heard of.
  page.on('framenavigated', (frame) => {
    if (frame === page.mainFrame()) wire.open.clear();
  });
  page.on('request', (request) => {
    // The mark on the browser's tab is not heard of either.
    if (request.resourceType() !== 'other') wire.open.add(request);
    wire.last = Date.now();
  });
  const heard = (request: HTTPRequest): void => {
    wire.open.delete(request);
    wire.last = Date.now();
  };
  page.on('requestfinished', heard);
  page.on('requestfailed', heard);
};

/** For so long nothing is asked by a page that has all it needs, in ms. */
const QUIET = 150;
/** Waits until a page has all that it asks for and has shown it. */
const settled = async (page: Page): Promise<void> => {
  const wire = wires.get(page);
  const until = Date.now() + 30_000;
  for (;;) {
    const quiet = wire === undefined || (wire.open.size === 0 && Date.now() - wire.last > QUIET);
    if (quiet && (await page.$('[aria-label=Loading]')) === null) break;
    if (Date.now() > until)
      throw new Error(`${page.url()} waits for ${[...(wire?.open ?? [])].map((r) => r.url()).join(', ') || 'itself'}.`);
    await new Promise((r) => setTimeout(r, 15));
  }
  await page.evaluate(() => new Promise((r) => requestIdleCallback(r, { timeout: 1000 })));
};
/** Opens an address and waits until its page is whole. */
export const visit = async (page: Page, address: string): Promise<void> => {
  await page.goto(address, { waitUntil: 'load' });
  await settled(page);
};
/** Loads the page again, and waits until it is whole. */
export const reload = async (page: Page): Promise<void> => {
  await page.reload({ waitUntil: 'load' });
  await settled(page);
};
/** Goes back to the page before, and waits until it is whole. */
export const goBack = async (page: Page): Promise<void> => {
  await page.goBack({ waitUntil: 'load' });
  await settled(page);
};

/** A browser with pages of people who do not know each other. */
export const openPages = async (): Promise<
  Pick<World, 'browser' | 'newPage'> & { readonly close: () => Promise<void> }
> => {
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
      // Pages are painted without a graphics card: only what is drawn in the round asks for a made-up one.
      '--disable-gpu-compositing',
      '--disable-gpu-rasterization',
      '--lang=en-US',
    ],
  });
  return {
    browser,
    newPage: async (width = 1280, height = 800, live = false) => {
      const context = await browser.createBrowserContext();
      const page = await context.newPage();
      if (!live) await page.evaluateOnNewDocument(() => Reflect.deleteProperty(window, 'EventSource'));
      await page.setViewport({ width, height });
      page.setDefaultTimeout(30_000);
      watch(page);
      return page;
    },
    close: async () => {
      await browser.close();
      rmSync(profile, { recursive: true, force: true });
    },
  };
};

/** Opens a world whose database is called `name`. */
export const openWorld = async (name: string): Promise<World> => {
  const url = await makeDemoDatabase(name);
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const child = await startServer(url, port);
  const { browser, newPage, close } = await openPages();
  return {
    base,
    browser,
    newPage,
    signIn: async (page, login) => {
      await visit(page, `${base}/sign-in`);
      await page.type('input[autocomplete=username]', login);
      await page.type('input[type=password]', 'hedgerow');
      await page.keyboard.press('Enter');
      await page.waitForFunction(() => !location.pathname.startsWith('/sign-in'));
    },
    api: (page, path) => page.evaluate(async (p) => (await fetch(`/api${p}`)).json(), path),
    close: async () => {
      await close();
      await new Promise<void>((resolve) => {
        child.once('exit', () => resolve());
        child.kill('SIGTERM');
      });
    },
  };
};

/**
 * Finds what bears a name as a reader of the screen hears it: its label, the words of its label, or its own words
 * without those that are hidden. In the page itself: to ask the browser for its tree of names makes it keep that tree
 * through every change, which takes longer than the change.
 */
const byName = (root: Node, name: string, kinds: string): Element | null => {
  const plain = (text: string | null | undefined): string => (text ?? '').replace(/\s+/g, ' ').trim();
  const words = (node: Node): string => {
    if (node.nodeType === Node.TEXT_NODE) return node.textContent ?? '';
    if (!(node instanceof Element) || node instanceof SVGElement || node.matches('[aria-hidden=true]')) return '';
    const inside = [...node.childNodes].map(words).join('');
    // What stands by itself is a word by itself.
    return getComputedStyle(node).display.startsWith('inline') ? inside : ` ${inside} `;
  };
  const nameOf = (node: Element): string => {
    const by = node.getAttribute('aria-labelledby');
    if (by)
      return plain(
        by
          .split(' ')
          .map((id) => document.getElementById(id)?.textContent)
          .join(' '),
      );
    const label = plain(node.getAttribute('aria-label'));
    if (label) return label;
    const labels = (node as HTMLInputElement).labels;
    if (labels?.[0]) return plain(words(labels[0]));
    return plain(words(node)) || plain(node.getAttribute('title'));
  };
  for (const node of (root as Element).querySelectorAll(kinds))
    if (node.getClientRects().length > 0 && nameOf(node) === name) return node;
  return null;
};
const handler = (kinds: string) => ({
  queryOne: new Function('root', 'name', `return (${byName.toString()})(root, name, ${JSON.stringify(kinds)})`) as (
    root: Node,
    name: string,
  ) => Node | null,
});

Puppeteer.registerCustomQueryHandler('named', handler('button, a, input, select, textarea, summary, [role]'));
Puppeteer.registerCustomQueryHandler('box', handler('input, textarea'));

/** Clicks the button or link with just this name. */
export const press = async (page: Page, name: string): Promise<void> => {
  const handle = await page.waitForSelector(`::-p-named(${name})`);
  await handle?.click();
};

/** Empties a field found by its label and types into it. */
export const fill = async (page: Page, label: string, text: string): Promise<void> => {
  const field = await page.waitForSelector(`::-p-box(${label})`);
  await field?.click({ count: 3 });
  await page.keyboard.press('Backspace');
  await field?.type(text);
};

/** Chooses one of a group of choices, or takes it back. */
export const choose = async (page: Page, group: string, name: string): Promise<void> => {
  await page.$$eval(
    `[role=group][aria-label="${group}"] button`,
    (list, n) => list.find((b) => b.textContent?.trim() === n)?.click(),
    name,
  );
};

/** Sends the form that stands open, and waits until it is gone. */
export const send = async (page: Page, name: string): Promise<void> => {
  await page.waitForFunction(
    (n) =>
      [...document.querySelectorAll<HTMLButtonElement>('dialog[open] button')].some(
        (b) => b.textContent?.trim() === n && !b.disabled,
      ),
    {},
    name,
  );
  for (const button of await page.$$('dialog[open] button'))
    if ((await button.evaluate((b) => b.textContent?.trim())) === name) {
      await button.click();
      break;
    }
  await page.waitForFunction(() => document.querySelector('dialog[open]') === null);
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
    const { steps: rows } = await call('');
    // In the order of work; those of several units are named by their unit as well.
    for (const { stepId } of rows as { stepId: string }[]) {
      const step = planned.find((s: { id: string }) => s.id === stepId.split('@')[0]);
      if (['yard', 'road', 'site'].includes(step.station)) continue;
      const { steps } = await call('');
      const row = steps.find((s: { stepId: string }) => s.stepId === stepId);
      // A check that is a length is read as it should be: both diagonals, or one reading.
      const g = step.gate;
      const read = g?.tolerance > 0 && g.expected !== undefined;
      const found = read ? { found: Array(/both/.test(g.what) ? 2 : 1).fill(g.expected) } : {};
      if (row.state !== 'done') await call(`/steps/${row.id}`, { version: row.version, state: 'done', ...found });
    }
  }, id);
