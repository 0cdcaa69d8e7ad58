import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { openWorld, visit } from './world.ts';
import type { World } from './world.ts';
import type { Page } from 'puppeteer-core';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

let world: World;
let page: Page;
let ids: Record<string, number> = {};
let token = '';
beforeAll(async () => {
  world = await openWorld('rubbet_axe');
  page = await world.newPage();
  // axe is put into the page, which its content policy would refuse.
  await page.setBypassCSP(true);
  await world.signIn(page, 'office');
  ids = Object.fromEntries(
    (await world.api(page, '/orders')).rows.map((r: { title: string; id: number }) => [r.title, r.id]),
  );
  token = (await world.api(page, `/orders/${ids.Teasel}`)).token;
});
afterAll(() => world.close());

const VIEWS: readonly (readonly [string, () => string, number?, number?])[] = [
  ['sign-in', () => '/sign-in'],
  ['today', () => '/'],
  ['orders', () => '/orders'],
  ['flock', () => `/orders/${ids['Bramble on a slope']}/flock`],
  ['build', () => `/orders/${ids['Bramble on a slope']}/build`],
  ['ground', () => `/orders/${ids['Bramble on a slope']}/ground`],
  ['price', () => `/orders/${ids['Bramble on a slope']}/price`],
  ['bench station', () => `/orders/${ids.Sorrel}/bench`],
  ['bench', () => `/bench/${ids.Sorrel}`, 1024, 768],
  ['days', () => `/orders/${ids.Hawthorn}/days`],
  ['road', () => `/orders/${ids.Teasel}/road`],
  ['hand-over', () => `/orders/${ids['Sorrel, no window']}/hand-over`],
  ['models', () => '/models'],
  ['rack', () => '/rack'],
  ['the saw', () => '/rack/saw'],
  ['a batch', () => '/rack/saw/1'],
  ['at the saw', () => '/saw/1', 1024, 768],
  ['buying', () => '/rack/buying'],
  ['a purchase order', () => '/rack/buying/1'],
  ['items', () => '/rack/items'],
  ['where it went', () => '/rack/yield'],
  ['count', () => '/rack/count'],
  ['crews', () => '/crews'],
  ['roads', () => '/roads'],
  ['settings', () => '/settings/rates'],
  ['business', () => '/settings/business'],
  ['people', () => '/settings/people'],
  ['crews and bays', () => '/settings/crews'],
  ['trailers', () => '/settings/fleet'],
  ['calendar', () => '/settings/calendar'],
  ['my sign-in', () => '/settings/mine'],
  ['the book', () => '/settings/book'],
  ['taking it out', () => '/settings/export'],
  ['customers', () => '/customers'],
  ['a customer', () => '/customers/1'],
  ['visit', () => `/visit/${token}`, 390, 844],
];

interface Violation {
  readonly id: string;
  readonly impact: string | null;
  readonly nodes: readonly { readonly html: string; readonly failureSummary?: string }[];
}

/** What axe finds serious, each with the first places; only some of its rules, where they are named. */
const faultsOf = async (only?: readonly string[]): Promise<unknown[]> => {
  const violations = await page.evaluate(
    async (rules) =>
      (
        await (window as unknown as { axe: { run: (o: unknown) => Promise<{ violations: Violation[] }> } }).axe.run({
          resultTypes: ['violations'],
          ...(rules ? { runOnly: rules } : {}),
        })
      ).violations,
    only,
  );
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => [
      v.id,
      v.nodes.slice(0, 3).map((n) => `${n.html.slice(0, 160)} ${n.failureSummary?.slice(0, 200) ?? ''}`),
    ]);
};

describe('light and dark', () => {
  it.each(VIEWS.map(([name, path, w, h]) => [name, { path, w, h }] as const))(
    '%s has no serious fault',
    async (_name, { path, w, h }) => {
      await page.setViewport({ width: w ?? 1280, height: h ?? 800 });
      await visit(page, `${world.base}${path()}`);
      await page.evaluate(axe);
      expect(await faultsOf()).toEqual([]);
      // In the dark all is the same but its colours.
      await page.evaluate(() => document.documentElement.classList.toggle('dark', true));
      await new Promise((r) => setTimeout(r, 300));
      expect(await faultsOf(['color-contrast'])).toEqual([]);
    },
  );
  it('judges the dark by its own colours', async () => {
    const ink = (): Promise<string> => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    const dark = await ink();
    await page.evaluate(() => document.documentElement.classList.toggle('dark', false));
    await new Promise((r) => setTimeout(r, 300));
    expect(await ink()).not.toBe(dark);
  });
});
