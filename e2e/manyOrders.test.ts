import { openWorld, visit } from './world.ts';
import type { World } from './world.ts';
import type { Page } from 'puppeteer-core';

const MANY = 260;
let world: World;
let page: Page;
beforeAll(async () => {
  world = await openWorld('rubbet_many');
  page = await world.newPage();
  await world.signIn(page, 'office');
  await page.evaluate(async (n) => {
    const customers = (await (await fetch('/api/customers')).json()) as { id: number }[];
    for (let i = 0; i < n; i++)
      await fetch('/api/orders', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          customerId: customers[0]?.id,
          title: `Enquiry ${String(i).padStart(3, '0')}`,
          wantedBy: '2031-03-04',
        }),
      });
  }, MANY);
});
afterAll(() => world.close());

const titles = () => page.$$eval('[aria-label="List of orders"] a', (list) => list.map((a) => a.textContent ?? ''));

describe('a long list of orders', () => {
  it('draws only what is in view and goes on to the last one', async () => {
    await visit(page, `${world.base}/orders`);
    expect((await titles()).length).toBeLessThan(60);
    for (let i = 0; i < 40 && !(await titles()).includes(`Enquiry ${MANY - 1}`); i++) {
      await page.$eval('[aria-label="List of orders"]', (n) => (n.scrollTop = n.scrollHeight));
      await new Promise((r) => setTimeout(r, 250));
    }
    // Orders handed over come last, after every enquiry.
    const seen = await titles();
    expect(seen).toContain(`Enquiry ${MANY - 1}`);
    expect(seen.length).toBeLessThan(60);
  });
  it('finds one by a few letters, and by station', async () => {
    await visit(page, `${world.base}/orders`);
    await page.type('input[type=search]', 'Enquiry 217');
    await page.waitForFunction(() => document.querySelectorAll('[aria-label="List of orders"] a').length === 1);
    expect(await titles()).toEqual(['Enquiry 217']);
    await visit(page, `${world.base}/orders?station=road`);
    expect(await titles()).toEqual(['Teasel', 'Clover, built for stock']);
  });
  it('finds anything by keyboard from anywhere', async () => {
    await visit(page, `${world.base}/rack`);
    await page.keyboard.down('Control');
    await page.keyboard.press('k');
    await page.keyboard.up('Control');
    await page.waitForSelector('[cmdk-input]');
    await page.keyboard.type('Hawthorn');
    await page.waitForFunction(() =>
      document.querySelector('[cmdk-item][data-selected=true]')?.textContent?.includes('Hawthorn'),
    );
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => /\/orders\/\d+/.test(location.pathname));
    // Numbers go to the order's stations.
    await page.waitForSelector('nav[aria-label=Stations]');
    await page.keyboard.press('5');
    await page.waitForFunction(() => location.pathname.endsWith('/days'));
  });
});
