import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from 'puppeteer-core';
import { answer, finishBench, noticed, openWorld, press, sees, visit } from './world.ts';
import type { World } from './world.ts';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

let world: World;
let driver: Page;
let shop: Page;
beforeAll(async () => {
  world = await openWorld('rubbet_telephone');
  driver = await world.newPage(390, 844);
  shop = await world.newPage(390, 844);
  await world.signIn(driver, 'driver');
  await world.signIn(shop, 'shop');
});
afterAll(() => world.close());

const idOf = async (title: string): Promise<number> => {
  const { rows } = await world.api(shop, '/orders?limit=200');
  return rows.find((r: { title: string }) => r.title === title).id;
};
const go = async (page: Page, path: string): Promise<void> => {
  await visit(page, `${world.base}${path}`);
};
/** What sticks out to the side, and what is too small for a thumb in the bar. */
const faults = async (page: Page): Promise<unknown[]> =>
  page.evaluate(() => {
    const wide =
      document.documentElement.scrollWidth > innerWidth
        ? [`the page is ${document.documentElement.scrollWidth} wide`]
        : [];
    const bar = [...document.querySelectorAll('nav[aria-label="Main, at the foot"] > *')].filter(
      (n) => n.getBoundingClientRect().height < 44,
    );
    return [...wide, ...bar.map((n) => `${n.textContent} is too low`)];
  });
const judge = async (page: Page): Promise<string[]> => {
  await page.evaluate(axe);
  const { violations } = (await page.evaluate('axe.run({ runOnly: ["wcag2a", "wcag2aa"] })')) as {
    violations: { id: string; nodes: { target: string[] }[] }[];
  };
  return violations.flatMap((v) => v.nodes.map((n) => `${v.id}: ${n.target.join(' ')}`));
};

describe('a driver’s telephone', () => {
  it('opens with the loads, the bar at the foot', async () => {
    await go(driver, '/');
    await driver.waitForFunction(() => location.pathname === '/roads');
    const bar = await driver.$$eval('nav[aria-label="Main, at the foot"] > *', (list) =>
      list.map((n) => n.textContent),
    );
    expect(bar).toEqual(['Roads', 'Orders', 'Today', 'Crews', 'More']);
    await sees(driver, '09:30');
    expect(await driver.$$eval('a[href^="tel:"]', (list) => list.length)).toBeGreaterThan(0);
  });
  it('takes a load from the list to its delivery', async () => {
    const id = await idOf('Teasel');
    const office = await world.newPage();
    await world.signIn(office, 'office');
    await finishBench(office, id);
    await driver.$$eval('a', (list) => list.find((a) => a.textContent?.includes('Teasel'))?.click());
    await driver.waitForFunction(() => location.pathname.includes('/orders/'));
    await go(driver, `/orders/${id}/road`);
    // What is not a driver's to see is not on the page.
    expect(await driver.evaluate(() => document.body.innerText)).not.toMatch(/\$\d/);
    await press(driver, 'It has been delivered');
    await answer(driver, 'It has been delivered');
    await noticed(driver, 'done');
    expect((await world.api(driver, `/orders/${id}`)).deliveredAt).not.toBeNull();
  });
  it.each(['/roads', '/', '/orders', '/crews', '/models', '/rack', '/settings'])(
    '%s fits, and is plain to all',
    async (path) => {
      await go(driver, path);
      expect(await faults(driver)).toEqual([]);
      expect(await judge(driver)).toEqual([]);
    },
  );
  it.each(['/settings/people', '/settings/rates', '/customers', '/settings/book'])(
    '%s says that it is not theirs, and where to go',
    async (path) => {
      await go(driver, path);
      await sees(driver, 'Not yours to see');
      expect(await driver.$$eval('[data-testid=not-yours] a', (list) => list.length)).toBe(3);
    },
  );
});

describe('the shop’s telephone', () => {
  it.each(['flock', 'build', 'ground', 'days', 'bench', 'road', 'hand-over'])(
    'the %s station fits',
    async (station) => {
      await go(shop, `/orders/${await idOf('Sorrel')}/${station}`);
      expect(await faults(shop)).toEqual([]);
      expect(await judge(shop)).toEqual([]);
    },
  );
  it('ticks a piece at the bench', async () => {
    const id = await idOf('Sorrel');
    await go(shop, `/bench/${id}`);
    expect(await faults(shop)).toEqual([]);
    expect(await judge(shop)).toEqual([]);
    const before = (await world.api(shop, `/orders/${id}`)).workOrder.partsCut;
    await shop.$eval('[data-mark]:not([aria-pressed=true])', (n) => (n as HTMLElement).click());
    await shop.waitForFunction(
      (n, cut) => fetch(`/api/orders/${n}`).then(async (r) => (await r.json()).workOrder.partsCut === cut + 1),
      {},
      id,
      before,
    );
  });
  it('has Done under the thumb, over the foot of the page', async () => {
    const box = await shop.$eval('[data-testid=step-done]', (n) => {
      const r = n.getBoundingClientRect();
      return { top: r.top, bottom: r.bottom, width: r.width };
    });
    expect(box.bottom).toBeLessThanOrEqual(844);
    expect(box.width).toBeGreaterThan(300);
  });
});

describe('at the office', () => {
  it('every page of the settings fits a telephone', async () => {
    const office = await world.newPage(390, 844);
    await world.signIn(office, 'office');
    for (const path of ['business', 'people', 'crews', 'fleet', 'calendar', 'rates', 'mine', 'book', 'export']) {
      await go(office, `/settings/${path}`);
      expect([path, await faults(office), await judge(office)]).toEqual([path, [], []]);
    }
    for (const path of ['/customers', '/customers/1', '/models/1', `/orders/${await idOf('Spindle')}/price`]) {
      await go(office, path);
      expect([path, await faults(office), await judge(office)]).toEqual([path, [], []]);
    }
  });
  it('a page that is open shows what others do', async () => {
    const one = await world.newPage(1280, 800, true);
    await one.goto(`${world.base}/sign-in`);
    await one.waitForSelector('input[autocomplete=username]');
    await one.type('input[autocomplete=username]', 'office');
    await one.type('input[type=password]', 'hedgerow');
    await one.keyboard.press('Enter');
    await one.waitForFunction(() => !location.pathname.startsWith('/sign-in'));
    await one.goto(`${world.base}/orders`);
    await sees(one, 'Hawthorn');
    // The line is open once it has said so.
    await new Promise((r) => setTimeout(r, 1500));
    const two = await world.newPage();
    await world.signIn(two, 'office');
    const id = await idOf('Hawthorn');
    await two.evaluate(async (n) => {
      const { version } = await (await fetch(`/api/orders/${n}`)).json();
      await fetch(`/api/orders/${n}`, {
        method: 'PATCH',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ version, title: 'Hawthorn, seen at once' }),
      });
    }, id);
    await sees(one, 'Hawthorn, seen at once');
  });
});
