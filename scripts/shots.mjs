// npm run shots: takes every picture of docs/screenshots anew from the demo.
import { mkdirSync } from 'node:fs';
import { ensureBuilt, ensureModules, ensurePackages, root, say } from './lib/setup.mjs';
import { freePort, startDatabase } from './lib/database.mjs';
import { startServer } from './lib/serve.mjs';

ensurePackages([
  ['mariadbd', 'mariadb-server'],
  ['chromium', 'chromium'],
]);
ensureModules();
ensureBuilt();
const { openBrowser, signIn } = await import('./lib/browser.mjs');
const out = `${root}/docs/screenshots`;
mkdirSync(out, { recursive: true });
const database = await startDatabase();
const port = await freePort();
const server = await startServer({ url: database.url, port });
const { browser, close } = await openBrowser();
const base = `http://127.0.0.1:${port}`;
try {
  const page = await browser.newPage();
  // A page that follows what others do is never idle.
  await page.evaluateOnNewDocument(() => Reflect.deleteProperty(globalThis, 'EventSource'));
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(`${base}/sign-in`, { waitUntil: 'networkidle0' });
  await signIn(page, base, 'office');
  const { rows } = await page.evaluate(async () => (await fetch('/api/orders')).json());
  const id = (title) => rows.find((r) => r.title === title).id;
  const { token } = await page.evaluate(async (n) => (await fetch(`/api/orders/${n}`)).json(), id('Teasel'));
  const take = async (name, path, { width = 1280, height = 800, wait = 700, dark = false, before } = {}) => {
    await page.setViewport({ width, height });
    await page.evaluate((d) => localStorage.setItem('rubbet-theme', d ? 'dark' : 'light'), dark);
    await page.goto(`${base}${path}`, { waitUntil: 'networkidle0' });
    await before?.();
    await new Promise((r) => setTimeout(r, wait));
    await page.screenshot({ path: `${out}/${name}.png` });
    say(name);
  };
  const press = (text) => () =>
    page.$$eval('button', (list, t) => list.find((b) => b.textContent.trim() === t)?.click(), text);
  await take('today', '/');
  await take('orders', '/orders');
  await take('flock', `/orders/${id('Sorrel, stretched ten inches')}/flock`);
  await take('build', `/orders/${id('Bramble on a slope')}/build`, { wait: 4000 });
  const clickView = (name) => async () => {
    const isView = (t) => [...document.querySelectorAll('button')].some((b) => b.textContent.trim() === t);
    await page.waitForFunction(isView, {}, name);
    await page.$$eval('button', (list, t) => list.find((b) => b.textContent.trim() === t)?.click(), name);
  };
  await take('build-elevation', `/orders/${id('Sorrel, stretched ten inches')}/build`, {
    wait: 1800,
    before: async () => {
      await page.waitForSelector('[data-testid=live-strip] div div');
      await clickView('back')();
      await page.waitForSelector('[data-opening]');
      await page.$$eval('[data-testid=fitting-bar] button', (list) =>
        list.find((b) => b.textContent === 'window')?.click(),
      );
      await page.waitForSelector('[data-opening="window-2"]');
    },
  });
  const models = await page.evaluate(async () => (await fetch('/api/models')).json());
  await take('model', `/models/${models.find((m) => m.name === 'Sorrel').id}`, { wait: 1500 });
  await take('ground', `/orders/${id('Bramble on a slope')}/ground`);
  await take('price', `/orders/${id('Spindle')}/price`);
  await take('bench', `/bench/${id('Sorrel')}`, { width: 1024, height: 768, before: press('front wall'), wait: 1200 });
  await take('days', `/orders/${id('Hawthorn')}/days`);
  await take('crews', '/crews');
  await take('road', `/orders/${id('Teasel')}/road`);
  await take('models', '/models', { wait: 1800 });
  await take('rack', '/rack');
  const batch = await page.evaluate(async () => {
    const call = async (path, body) =>
      (
        await fetch(`/api${path}`, {
          ...(body
            ? { method: 'POST', body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }
            : {}),
        })
      ).json();
    const orders = (await call('/batches/to-cut')).slice(0, 3).map((o) => o.orderId);
    const { id } = await call('/batches', { title: 'Thursday morning', orders });
    for (let k = 0; k < 200; k++) {
      const now = await call(`/batches/${id}`);
      if (now.state !== 'planning' && now.job === null) break;
      await new Promise((r) => setTimeout(r, 200));
    }
    return id;
  });
  await take('batch', `/rack/saw/${batch}`, { wait: 800 });
  // What is ripped comes first; the picture is of what is cut.
  await page.evaluate(async (n) => {
    const { list } = await (await fetch(`/api/batches/${n}`)).json();
    const lines = list.filter((l) => l.kind === 'rip' && l.stock).map(({ id, version }) => ({ id, version }));
    if (lines.length > 0)
      await fetch(`/api/batches/${n}/cuts`, {
        method: 'POST',
        body: JSON.stringify({ lines }),
        headers: { 'content-type': 'application/json' },
      });
  }, batch);
  await take('saw', `/saw/${batch}`, { width: 1024, height: 768, wait: 800 });
  await take('rates', '/settings/rates', { dark: true });
  await take('roads-phone', '/roads', { width: 390, height: 844 });
  await take('visit', `/visit/${token}`, { width: 390, height: 844 });
} finally {
  await close();
  await server.stop();
  await database.stop();
}
