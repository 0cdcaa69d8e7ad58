import type { Page } from 'puppeteer-core';
import { STOCK } from '@rubbet/core/stock';
import { openWorld, visit } from './world.ts';
import type { World } from './world.ts';

let world: World;
let page: Page;
beforeAll(async () => {
  world = await openWorld('rubbet_millimetres');
  page = await world.newPage();
  await world.signIn(page, 'office');
  await page.evaluate(async () => {
    const { version, value } = await (await fetch('/api/settings')).json();
    await fetch('/api/settings', {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ version, value: { ...value, units: { style: 'mm', denominator: 16 } } }),
    });
  });
});
afterAll(() => world.close());

const names = STOCK.map((i) => i.name).sort((a, b) => b.length - a.length);
/** Whatever still counts in inches, feet, pounds, miles and the like, once names of stock and slopes are taken out. */
const leftOver = (texts: readonly string[]): string[] =>
  texts.filter((text) => {
    const plain = names
      .reduce((t, n) => t.replaceAll(n, ''), text)
      .replace(/[\d.½¼¾]+ in 12\b/g, '')
      // What people wrote themselves stays as they wrote it.
      .replace(/stretched ten inches/g, '');
    return /[″′]|\d ?["']|[\d½¼¾⅛⅜⅝⅞] ?(?:in|ft|sq ft|lb|mph|psf|miles?)(?![\w'-])/.test(plain);
  });

/** Everything that a page says: texts, values, and what only a screen reader or a pointer hears. */
const said = (): Promise<string[]> =>
  page.evaluate(() => {
    const out: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_ELEMENT);
    for (let node = walker.currentNode as Element | null; node; node = walker.nextNode() as Element | null) {
      if (/^(STYLE|SCRIPT)$/.test(node.tagName)) continue;
      // A line as it is read: what stands in one element, its pieces together.
      if ([...node.childNodes].some((c) => c.nodeType === 3 && (c.textContent ?? '').trim() !== ''))
        out.push((node.textContent ?? '').trim());
      for (const name of ['aria-label', 'title', 'placeholder', 'alt']) {
        const value = node.getAttribute(name);
        if (value) out.push(value);
      }
      if (node instanceof HTMLInputElement) out.push(node.value);
    }
    return out;
  });

const idOf = async (title: string): Promise<number> => {
  const { rows } = await world.api(page, '/orders?limit=200');
  return rows.find((r: { title: string }) => r.title === title).id;
};
const order = (title: string, station: string) => async () => `/orders/${await idOf(title)}/${station}`;

const SCREENS: readonly (readonly [string, () => Promise<string>])[] = [
  ...[
    '',
    'orders',
    'models',
    'models/1',
    'models/5',
    'models/9',
    'rack',
    'crews',
    'roads',
    'customers',
    'customers/1',
  ].map((p) => [`/${p}`, async () => `/${p}`] as const),
  ...['business', 'people', 'crews', 'fleet', 'calendar', 'rates', 'mine', 'book', 'export'].map(
    (p) => [`/settings/${p}`, async () => `/settings/${p}`] as const,
  ),
  ...['flock', 'build', 'ground', 'price', 'days', 'bench', 'road', 'hand-over'].flatMap((s) => [
    [`Bramble on a slope, ${s}`, order('Bramble on a slope', s)] as const,
    [`Sorrel, ${s}`, order('Sorrel', s)] as const,
  ]),
  ['a walk-in at its build', order('Hawthorn', 'build')],
  ['a pen at its build', order('Teasel', 'build')],
];

describe('in millimetres', () => {
  it.each(SCREENS)('%s has no inch, foot, pound or mile left', async (_, path) => {
    await visit(page, `${world.base}${await path()}`);
    await page.waitForFunction(() => document.querySelector('[aria-label=Loading]') === null);
    if (page.url().endsWith('/build')) await page.waitForSelector('[data-testid=live-strip] div div');
    const texts = await said();
    expect(texts.length).toBeGreaterThan(5);
    expect(leftOver(texts)).toEqual([]);
  });

  it('the bench has none at any of its steps', async () => {
    const id = await idOf('Sorrel');
    await page.setViewport({ width: 1024, height: 768 });
    await visit(page, `${world.base}/bench/${id}`);
    await page.waitForSelector('[data-testid=step-done]');
    const count = await page.$$eval('[role=group][aria-label=Panels] button', (list) => list.length);
    let ruler = false;
    for (let i = 0; i < count; i++) {
      await page.$$eval('[role=group][aria-label=Panels] button', (list, n) => (list[n] as HTMLElement).click(), i);
      await new Promise((r) => setTimeout(r, 250));
      const texts = await said();
      expect(leftOver(texts)).toEqual([]);
      ruler ||= texts.includes('100') && texts.some((t) => /One pull of the tape/.test(t));
    }
    // A tape in millimetres was among them.
    expect(ruler).toBe(true);
    await page.setViewport({ width: 1280, height: 800 });
  });

  it('a length is typed in millimetres, kept in the trade’s units, and shown as it was typed', async () => {
    const id = await idOf('Bramble on a slope');
    await visit(page, `${world.base}/orders/${id}/ground`);
    const field = await page.waitForSelector('::-p-box(Narrowest way in)');
    await field?.click({ count: 3 });
    await field?.type('2740');
    await page.$$eval('button', (list) => list.find((b) => b.textContent === 'Keep these readings')?.click());
    await page.waitForFunction(() => document.querySelector('[data-notice=done]') !== null);
    const { survey } = await world.api(page, `/orders/${id}`);
    expect(survey.survey.gate).toBeCloseTo(2740 / 25.4, 6);
    // What was not touched is as exact as before.
    expect(survey.survey.pads[0].rod).toBe(48.5);
  });

  it('the customer’s page has none either', async () => {
    const { token } = await world.api(page, `/orders/${await idOf('Bramble on a slope')}`);
    await visit(page, `${world.base}/visit/${token}`);
    expect(leftOver(await said())).toEqual([]);
  });
});
