import { answer, fill, noticed, openWorld, press, reload, sees, visit } from './world.ts';
import type { World } from './world.ts';
import type { Page } from 'puppeteer-core';

let world: World;
/** Tobin at the saw with a tablet, Odile in the office. */
let tobin: Page;
let odile: Page;
beforeAll(async () => {
  world = await openWorld('rubbet_saw');
  [tobin, odile] = await Promise.all([world.newPage(1024, 768), world.newPage(1280, 800)]);
  await world.signIn(tobin, 'shop');
  await world.signIn(odile, 'office');
});
afterAll(() => world.close());

interface Line {
  readonly id: number;
  readonly kind: string;
  readonly item: string;
  readonly length: number;
  readonly state: string;
  readonly stock: { readonly id: number; readonly mark: string } | null;
  readonly pieces: readonly { readonly state: string; readonly parts: readonly { order: number; part: string }[] }[];
  readonly rests: readonly { readonly length: number; readonly mark?: string; readonly stock?: number }[];
}
interface Batch {
  readonly id: number;
  readonly state: string;
  readonly job: number | null;
  readonly list: readonly Line[];
}
const batch = (id: number): Promise<Batch> => world.api(tobin, `/batches/${id}`);
const rack = (): Promise<{ id: number; item: string; length: number; mark: string; quantity: number }[]> =>
  world.api(tobin, '/rack');

/** Waits until something of the server's answers is so. */
const until = async <T>(ask: () => Promise<T>, is: (t: T) => boolean): Promise<T> => {
  for (let k = 0; k < 300; k++) {
    const now = await ask();
    if (is(now)) return now;
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error('It did not come to that in half a minute.');
};

/** Chooses orders to cut, and plans them as a batch of that name. */
const plan = async (titles: readonly string[], name: string): Promise<number> => {
  await visit(tobin, `${world.base}/rack/saw`);
  for (const title of titles)
    await tobin.$$eval(
      'input[type=checkbox]',
      (boxes, t) => boxes.find((b) => b.getAttribute('aria-label')?.endsWith(`, ${t}`))?.click(),
      title,
    );
  await fill(tobin, 'Name of the batch', name);
  await press(tobin, titles.length === 1 ? 'Plan it' : `Plan these ${titles.length}`);
  await tobin.waitForFunction(() => /\/rack\/saw\/\d+/.test(location.pathname));
  const id = Number(/\d+$/.exec(tobin.url())?.[0]);
  await until(
    () => batch(id),
    (b) => b.state !== 'planning' && b.job === null,
  );
  return id;
};

/** Says that what lies under the saw is cut. */
const cutNow = async (id: number): Promise<void> => {
  const before = (await batch(id)).list.filter((l) => l.state === 'cut').length;
  await tobin.$eval('[data-cut]', (b) => (b as HTMLButtonElement).click());
  await until(
    () => batch(id),
    (b) => b.list.filter((l) => l.state === 'cut').length > before,
  );
};

let first: number;

describe('a batch of three orders', () => {
  it('is planned as a job, and drawn in the order of the saw', async () => {
    first = await plan(['Sorrel', 'Clover', 'Yarrow'], 'Thursday');
    await sees(tobin, 'In the order of the saw');
    await sees(tobin, 'Bundles');
    const { list } = await batch(first);
    await tobin.waitForFunction((n) => document.querySelectorAll('[data-line]').length === n, {}, list.length);
    expect(list.length).toBeGreaterThan(20);
    // What it has spoken for is said on the rack, and no money to the shop.
    expect(await tobin.evaluate(() => document.body.innerText)).not.toContain('$');
  });

  it('is cut on the tablet, stack by stack', async () => {
    await press(tobin, 'To the saw');
    await tobin.waitForSelector('[data-saw] [data-stick]');
    await reload(tobin);
    // What is ripped comes first: a fence to set, no pieces.
    const isRip = (l: Line): boolean => l.kind === 'rip' && l.state === 'open';
    while ((await batch(first)).list.some(isRip)) {
      await sees(tobin, 'Fence at');
      await cutNow(first);
      await reload(tobin);
    }
    await cutNow(first);
    const now = await batch(first);
    expect(now.state).toBe('cutting');
    const done = now.list.filter((l) => l.state === 'cut' && l.kind !== 'rip');
    const { order, part } = done[0]?.pieces[0]?.parts[0] as { order: number; part: string };
    const work = await world.api(tobin, `/orders/${order}/work-order`);
    expect(work.parts.find((p: { partId: string }) => p.partId === part).state).toBe('cut');
  });

  it('has a piece that is no good cut again from other wood', async () => {
    await tobin.waitForSelector('[data-saw] [data-piece]');
    await tobin.evaluate(() => document.querySelector<HTMLElement>('[data-saw] [data-piece]')?.click());
    await sees(tobin, '1 of the pieces no good');
    await tobin.$eval('[data-cut]', (b) => (b as HTMLButtonElement).click());
    await noticed(tobin, 'done', /planned anew from other wood/);
    const now = await batch(first);
    const bad = now.list.flatMap((l) => l.pieces).find((p) => p.state === 'spoiled')?.parts[0];
    expect(bad).toBeDefined();
    const again = now.list.filter((l) => l.state === 'open').flatMap((l) => l.pieces.flatMap((p) => p.parts));
    expect(again.some((p) => p.order === bad?.order && p.part === bad.part)).toBe(true);
  });

  it('goes on where a delivery was short: counted, and planned from what there is', async () => {
    await reload(tobin);
    const at = Number(await tobin.$eval('[data-stick]', (n) => n.getAttribute('data-stick')));
    const line = (await batch(first)).list.find((l) => l.id === at) as Line;
    await press(tobin, 'Not there fewer than the book says');
    await tobin.type('[aria-label="How many are there"]', '0');
    await press(tobin, 'Plan without them');
    await noticed(tobin, 'done', /planned anew from what there is/);
    const now = await batch(first);
    expect(now.list.filter((l) => l.state === 'open' && l.stock?.id === line.stock?.id)).toEqual([]);
    expect((await rack()).find((l) => l.id === line.stock?.id)).toBeUndefined();
  });

  it('is taken back by a held button', async () => {
    await reload(tobin);
    await cutNow(first);
    const last = (await batch(first)).list.filter((l) => l.state === 'cut').at(-1) as Line;
    await reload(tobin);
    const held = await tobin.waitForSelector('::-p-text(Hold: take back)');
    const box = await held?.boundingBox();
    await tobin.mouse.move((box?.x ?? 0) + 20, (box?.y ?? 0) + 8);
    await tobin.mouse.down();
    await until(
      () => batch(first),
      (b) => b.list.find((l) => l.id === last.id)?.state === 'open',
    );
    await tobin.mouse.up();
  });

  it('leaves offcuts with marks, and the next batch begins with one', async () => {
    // Cut until something of the small stuff is left that the next order is made of too.
    for (let k = 0; k < 60; k++) {
      const left = (await batch(first)).list
        .filter((l) => l.item === '2x2')
        .flatMap((l) => l.rests.filter((r) => r.mark !== undefined && r.length > 40));
      const there = await tobin.$eval('[data-cut]', (b) => !(b as HTMLButtonElement).disabled);
      if (left.length >= 1 || !there) break;
      const open = (await batch(first)).list.filter((l) => l.state === 'open');
      if (!open.some((l) => l.stock !== null)) break;
      await cutNow(first);
    }
    const mine = (await batch(first)).list.flatMap((l) =>
      l.rests.flatMap((r) => (r.stock === undefined ? [] : [r.stock])),
    );
    expect(mine.length).toBeGreaterThan(0);
    const second = await plan(['Hawthorn'], 'Friday');
    const used = (await batch(second)).list.flatMap((l) => (l.stock && l.stock.mark !== '' ? [l.stock.id] : []));
    expect(used.some((id) => mine.includes(id))).toBe(true);
  });
});

describe('what is bought', () => {
  it('is read from a price list, looked at first', async () => {
    await visit(odile, `${world.base}/rack/items`);
    const type = async (csv: string): Promise<void> => {
      const field = await odile.waitForSelector('[data-testid=csv] textarea');
      await field?.focus();
      await odile.keyboard.down('Control');
      await odile.keyboard.press('a');
      await odile.keyboard.up('Control');
      await field?.type(csv);
    };
    await type('item,length,price\n2x4,8 ft,4.9x\n');
    await press(odile, 'Look at it first');
    await sees(odile, 'Row 2: The price of 2x4 is "4.9x"');
    await type('item,length,price\n2x4,8 ft,4.95\n');
    await press(odile, 'Look at it first');
    await press(odile, 'Take it over');
    await noticed(odile, 'done', /prices are as the list has them/);
    await sees(odile, '$4.95');
    await press(odile, 'Work it out');
    await sees(odile, 'Margin then');
  });

  it('is worked out for all orders, written as an order, sent, and received in part', async () => {
    await visit(odile, `${world.base}/rack/buying`);
    await odile.waitForSelector('[data-supplier=oxbow-hardware]');
    await odile.$eval('[data-supplier=oxbow-hardware] button', (b) => b.click());
    await odile.waitForSelector('[data-purchase][data-state=draft]');
    await press(odile, 'Send it');
    await noticed(odile, 'done', /in the outbox/);
    await sees(odile, 'To desk@oxbow.example');
    const id = Number(/\d+$/.exec(odile.url())?.[0]);
    await press(odile, 'Ask the supplier what is there');
    await sees(odile, 'The supplier says');
    // Tobin takes in what came: all of the first line, nothing of the others.
    await visit(tobin, `${world.base}/rack/buying/${id}`);
    const order = await world.api(tobin, `/purchases/${id}`);
    const [line] = order.list as { id: number; item: string; quantity: number }[];
    await press(tobin, `All ${line?.quantity}`);
    await press(tobin, 'Take it onto the rack');
    await noticed(tobin, 'done', /the rest stays ordered/);
    expect((await world.api(tobin, `/purchases/${id}`)).state).toBe('in part');
    const there = (await rack()).find((l) => l.item === line?.item)?.quantity ?? 0;
    expect(there).toBeGreaterThanOrEqual(line?.quantity ?? 1);
    await reload(odile);
    await press(odile, 'Nothing more comes');
    await answer(odile, 'Close it', 'bought at another yard');
    await noticed(odile, 'done', /closed/);
  });

  it('is counted onto the rack place by place', async () => {
    await visit(tobin, `${world.base}/rack/count`);
    const hinge = (await rack()).find((l) => l.item === 'latch');
    await fill(tobin, 'Counted of barrel bolt with clip', String((hinge?.quantity ?? 0) + 3));
    await press(tobin, 'Keep 1 count');
    await noticed(tobin, 'done', /1 line is put right/);
    expect((await rack()).find((l) => l.item === 'latch')?.quantity).toBe((hinge?.quantity ?? 0) + 3);
  });
});
