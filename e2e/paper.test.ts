import { openWorld, visit } from './world.ts';
import type { World } from './world.ts';
import type { Page } from 'puppeteer-core';

let world: World;
let page: Page;
let ids: Record<string, number> = {};
beforeAll(async () => {
  world = await openWorld('rubbet_paper');
  page = await world.newPage();
  await world.signIn(page, 'office');
  ids = Object.fromEntries(
    (await world.api(page, '/orders')).rows.map((r: { title: string; id: number }) => [r.title, r.id]),
  );
});
afterAll(() => world.close());

/** Opens a page, lays it out as for paper of Letter's width between the margins, and says what can be read of what matches. */
const onPaper = async (path: string, selector: string): Promise<string[]> => {
  await page.emulateMediaType('screen');
  await page.setViewport({ width: 1280, height: 800 });
  await visit(page, `${world.base}${path}`);
  await page.waitForSelector(selector);
  await page.emulateMediaType('print');
  await page.setViewport({ width: 710, height: 950 });
  return page.$$eval(selector, (found) =>
    found.filter((n) => n.checkVisibility()).map((n) => (n.textContent ?? '').replace(/\s+/g, ' ').trim()),
  );
};

describe('a page on paper', () => {
  it('of the board has every block, where its day is', async () => {
    await visit(page, `${world.base}/crews`);
    const onScreen = await page.$$eval('[data-task]', (n) => n.length);
    expect(onScreen).toBeGreaterThan(5);
    await page.emulateMediaType('print');
    const blocks = await page.$$eval('[data-task]', (found) => found.filter((n) => n.checkVisibility()).length);
    expect(blocks).toBe(onScreen);
    // Narrower, without the time that a screen has to measure itself: a block keeps its place in the row.
    const places = () =>
      page.$$eval('[data-task]', (found) =>
        found.map((n) => {
          const row = n.closest('[data-row]') as HTMLElement;
          return (n as HTMLElement).offsetLeft / row.offsetWidth;
        }),
      );
    const wide = await places();
    await page.addStyleTag({ content: '[data-row] { width: 500px !important }' });
    const narrow = await places();
    wide.forEach((at, i) => expect(Math.abs((narrow[i] ?? -1) - at)).toBeLessThan(0.01));
    await page.emulateMediaType('screen');
  });
  it('of a build has its warnings, and nothing to press', async () => {
    const notes = await onPaper(`/orders/${ids['Bramble on a slope']}/build`, '[data-finding]');
    expect(notes.join(' ')).toMatch(/Wind of \d+ mph/);
    const pressed = await page.$$eval('button', (found) =>
      found
        .filter((n) => n.checkVisibility() && !n.matches('.on-paper, [aria-pressed=true]'))
        .map((n) => n.textContent ?? ''),
    );
    expect(pressed).toEqual([]);
    // The drawing stays in its own room.
    await page.waitForSelector('canvas');
    const [drawn, room] = await page.$eval('canvas', (n) => [
      n.getBoundingClientRect().height,
      n.parentElement?.getBoundingClientRect().height ?? 0,
    ]);
    expect(drawn).toBeLessThanOrEqual((room ?? 0) + 1);
  });
  it('of the settings has what is chosen', async () => {
    expect(await onPaper('/settings/business', '[role=group] button')).toEqual(
      expect.arrayContaining(['Inches', 'Sixteenths', 'Letter', 'Mo', 'Fr']),
    );
  });
  it('is light, though the screen is dark', async () => {
    await page.emulateMediaType('screen');
    await page.evaluate(() => localStorage.setItem('rubbet-theme', 'dark'));
    await visit(page, `${world.base}/orders`);
    const dark = () => page.evaluate(() => document.documentElement.classList.contains('dark'));
    expect(await dark()).toBe(true);
    await page.evaluate(() => {
      const seen = window as unknown as { printedDark?: boolean };
      window.addEventListener('beforeprint', () => {
        seen.printedDark = document.documentElement.classList.contains('dark');
      });
    });
    await page.pdf({ format: 'letter' });
    expect(await page.evaluate(() => (window as unknown as { printedDark?: boolean }).printedDark)).toBe(false);
    expect(await dark()).toBe(true);
    await page.evaluate(() => localStorage.removeItem('rubbet-theme'));
  });
});
