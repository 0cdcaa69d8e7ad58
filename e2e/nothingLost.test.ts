import { answer, fill, finishBench, goBack, noticed, openWorld, press, reload, sees, visit } from './world.ts';
import type { World } from './world.ts';
import type { Page } from 'puppeteer-core';

let world: World;
let page: Page;
beforeAll(async () => {
  world = await openWorld('rubbet_nothing_lost');
  page = await world.newPage();
  await world.signIn(page, 'office');
});
afterAll(() => world.close());

const find = async (title: string): Promise<number> =>
  (await world.api(page, '/orders')).rows.find((r: { title: string }) => r.title === title).id as number;
const go = (path: string): Promise<unknown> => visit(page, `${world.base}${path}`);
const valueOf = (label: string): Promise<string> =>
  page.$eval(`::-p-box(${label})`, (n) => (n as HTMLInputElement).value);
const send = (method: string, path: string, body: unknown): Promise<unknown> =>
  page.evaluate(
    async (m, p, b) =>
      (
        await fetch(`/api${p}`, { method: m, headers: { 'content-type': 'application/json' }, body: JSON.stringify(b) })
      ).json(),
    method,
    path,
    body,
  );

/** Loses the connection while something is kept, hears so, then reloads, goes to another page and comes back. */
const upset = async (path: string, keep: string): Promise<void> => {
  await page.setOfflineMode(true);
  await press(page, keep);
  await noticed(page, 'wrong', /does not answer/);
  await page.setOfflineMode(false);
  await reload(page);
  await page.waitForSelector('[data-testid=draft-bar]');
  await go('/rack');
  await goBack(page);
  await page.waitForFunction((p) => location.pathname === p, {}, path);
  await page.waitForSelector('[data-testid=draft-bar]');
};

describe('what is in hand survives a lost connection, a reload and another page', () => {
  it('at Flock', async () => {
    const path = `/orders/${await find('Sorrel, stretched ten inches')}/flock`;
    await go(path);
    await fill(page, 'Birds now', '9');
    await press(page, 'Hard, with snow');
    await upset(path, 'Keep the flock, go to Build');
    expect(await valueOf('Birds now')).toBe('9');
    await press(page, 'Keep the flock, go to Build');
    await noticed(page, 'done', /flock is written down/);
    expect((await world.api(page, path.replace('/flock', ''))).flock).toMatchObject({ now: 9, winters: 'hard' });
    await go(path);
    expect(await page.$('[data-testid=draft-bar]')).toBeNull();
  });

  it('at Build, with the steps that can be undone', async () => {
    const path = `/orders/${await find('Sorrel, stretched ten inches')}/build`;
    await go(path);
    await page.waitForSelector('[data-testid=live-strip] div div');
    // A flat picture, so that no edit draws the round one.
    await page.$$eval('button', (list) => list.find((b) => b.textContent?.trim() === 'section')?.click());
    for (let i = 1; i <= 6; i++) {
      await fill(page, 'Floor, long side', String(60 + i));
      await page.keyboard.press('Enter');
    }
    await upset(path, 'Keep this revision');
    await page.waitForSelector('[data-testid=live-strip] div div');
    expect(await valueOf('Floor, long side')).toBe('66"');
    for (let i = 0; i < 3; i++) await press(page, 'Undo');
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('input[aria-label="Floor, long side"]')?.value === '63"',
    );
    await press(page, 'Keep this revision');
    await noticed(page, 'done', /Kept as revision/);
    expect((await world.api(page, path.replace('/build', ''))).revision.spec.params.length).toBe(63);
  });

  it('at Ground', async () => {
    const path = `/orders/${await find('Bramble on a slope')}/ground`;
    await go(path);
    await fill(page, 'Rod at back left', '61 1/4');
    await fill(page, 'Narrowest way in', '96');
    await upset(path, 'Keep these readings');
    expect(await valueOf('Rod at back left')).toBe('61 1/4');
    await press(page, 'Keep these readings');
    await noticed(page, 'done', /readings are written down/);
    const { survey } = await world.api(page, path.replace('/ground', ''));
    expect(survey.survey).toMatchObject({ gate: 96 });
    expect(survey.survey.pads[3].rod).toBe(61.25);
  });

  it('at Settings', async () => {
    await go('/settings/rates');
    await fill(page, 'Bench labour', '41.50');
    await upset('/settings/rates', 'Keep the settings');
    expect(await valueOf('Bench labour')).toBe('41.50');
    await press(page, 'Keep the settings');
    await noticed(page, 'done', /settings are kept/);
    expect((await world.api(page, '/settings')).rules.price.labourPerHour).toBe(4150);
  });

  it('at Hand-over', async () => {
    const id = await find('Sorrel, no window');
    const path = `/orders/${id}/hand-over`;
    await go(path);
    for (const box of (await page.$$('input[type=checkbox]')).slice(0, 4)) await box.click();
    await reload(page);
    await sees(page, '3 still to show.');
    await go('/');
    await goBack(page);
    await sees(page, '3 still to show.');
    for (const box of (await page.$$('input[type=checkbox]')).slice(4)) await box.click();
    // It is asked first, and no is no.
    await press(page, 'Hand it over');
    await answer(page, 'Leave it');
    expect((await world.api(page, `/orders/${id}`)).handedOverAt).toBeNull();
    await page.setOfflineMode(true);
    await press(page, 'Hand it over');
    await answer(page, 'Hand it over');
    await noticed(page, 'wrong', /does not answer/);
    await page.setOfflineMode(false);
    await press(page, 'Hand it over');
    await answer(page, 'Hand it over');
    await sees(page, 'Handed over');
  });

  it('and is let go when that is what is wanted', async () => {
    await go('/settings/rates');
    await fill(page, 'Tax', '7');
    await reload(page);
    await press(page, 'Let it go');
    expect(await valueOf('Tax')).toBe('5');
    await reload(page);
    expect(await page.$('[data-testid=draft-bar]')).toBeNull();
  });
});

describe('two people at one thing', () => {
  it('both versions of the flock stand side by side, and mine can be put on top', async () => {
    const id = await find('Pimpernel for the garden');
    await go(`/orders/${id}/flock`);
    await fill(page, 'Birds now', '7');
    const now = await world.api(page, `/orders/${id}`);
    await send('PATCH', `/orders/${id}`, { version: now.version, flock: { ...now.flock, now: 5 } });
    await press(page, 'Keep the flock, go to Build');
    await noticed(page, 'wrong', /Somebody changed this/);
    const both = await page.waitForSelector('[data-testid=both-versions]');
    expect(await both?.evaluate((n) => n.textContent)).toMatch(/Birds now57/);
    expect((await world.api(page, `/orders/${id}`)).flock.now).toBe(5);
    await press(page, 'Go on with mine');
    await press(page, 'Keep the flock, go to Build');
    await noticed(page, 'done', /flock is written down/);
    expect((await world.api(page, `/orders/${id}`)).flock.now).toBe(7);
  });

  it('or what is kept is taken', async () => {
    await go('/settings/rates');
    await fill(page, 'Margin', '33');
    const { version, value } = await world.api(page, '/settings');
    await send('PATCH', '/settings', { version, value: { ...value, price: { ...value.price, margin: 0.25 } } });
    await press(page, 'Keep the settings');
    const both = await page.waitForSelector('[data-testid=both-versions]');
    expect(await both?.evaluate((n) => n.textContent)).toMatch(/Margin, %2533/);
    await press(page, 'Take what is kept now');
    expect(await valueOf('Margin')).toBe('25');
  });
});

describe('what takes something away asks first', () => {
  it('a revision of what is accepted says what goes, and does nothing on no', async () => {
    const id = await find('Hawthorn');
    await go(`/orders/${id}/build`);
    await page.waitForSelector('[data-testid=live-strip] div div');
    await fill(page, 'Floor, long side', '86');
    await page.keyboard.press('Enter');
    await press(page, 'Keep this revision');
    const ask = await page.waitForSelector('[data-testid=ask]');
    const words = await ask?.evaluate((n) => n.textContent);
    expect(words).toMatch(/accepted price.*crew board.*work order, on which nothing is ticked/s);
    await answer(page, 'Leave it');
    await noticed(page, 'wrong', /Nothing was changed/);
    expect(await world.api(page, `/orders/${id}`)).toMatchObject({
      accepted: expect.anything(),
      workOrder: expect.anything(),
    });
    await press(page, 'Keep this revision');
    await answer(page, 'Do it all the same');
    await noticed(page, 'done', /Kept as revision 2/);
    expect(await world.api(page, `/orders/${id}`)).toMatchObject({
      accepted: null,
      workOrder: null,
      scheduledAt: null,
    });
  });

  it('whoever stands at the bench of a work order that was taken away is told, and shown the way', async () => {
    const id = await find('Clover');
    const bench = await world.newPage(1024, 768);
    await world.signIn(bench, 'shop');
    await visit(bench, `${world.base}/bench/${id}`);
    await bench.waitForSelector('[data-testid=step-done]');
    const now = await world.api(page, `/orders/${id}`);
    await send('POST', `/orders/${id}/revisions`, {
      version: now.version,
      spec: { ...now.revision.spec, params: { ...now.revision.spec.params, length: 90 } },
      undo: ['acceptance', 'days', 'work order'],
    });
    await bench.click('[data-testid=step-done]');
    await noticed(bench, 'wrong', /has no work order/);
    await reload(bench);
    await bench.waitForSelector('[data-testid=no-work-order] a');
    await bench.close();
  });

  it('an order is held, goes on, is copied and cancelled, each with its words', async () => {
    const id = await find('Clover, built for stock');
    await go(`/orders/${id}/road`);
    await press(page, 'Order details');
    await press(page, 'Put it on hold');
    await answer(page, 'Put it on hold', 'the buyer is away');
    await page.waitForSelector('[data-testid=stopped]');
    expect(await page.$eval('[data-testid=stopped]', (n) => n.textContent)).toMatch(
      /On hold since .*the buyer is away/,
    );
    await press(page, 'Go on with it');
    await page.waitForFunction(() => document.querySelector('[data-testid=stopped]') === null);
    await press(page, 'Order details');
    await press(page, 'Copy the order');
    await noticed(page, 'done', /is a copy of/);
    await page.waitForFunction((n) => !location.pathname.startsWith(`/orders/${n}`), {}, id);
    await press(page, 'Order details');
    await fill(page, 'What for', 'Clover, once more');
    await press(page, 'Keep the changes');
    await noticed(page, 'done', /The order is changed/);
    await sees(page, 'Clover, once more');
    await press(page, 'Order details');
    await press(page, 'Cancel the order');
    await answer(page, 'Cancel the order', 'a slip of the hand');
    await sees(page, 'a slip of the hand');
    await press(page, 'Take it up again');
    await noticed(page, 'done', /taken up again/);
  });

  it('a driver who says delivered too early is told, and a delivery is taken back', async () => {
    const driver = await world.newPage(390, 844);
    await world.signIn(driver, 'driver');
    const early = await find('Ten Vetch pens');
    await send('PUT', `/orders/${early}/delivery`, {
      version: 0,
      day: '2035-05-07',
      arrives: '09:30',
      trailerId: 'tilt',
    });
    await visit(driver, `${world.base}/orders/${early}/road`);
    await sees(driver, 'Nothing that is not built leaves.');
    expect(await driver.$eval('::-p-named(It has been delivered)', (n) => (n as HTMLButtonElement).disabled)).toBe(
      true,
    );
    const id = await find('Teasel');
    await visit(driver, `${world.base}/orders/${id}/road`);
    await press(driver, 'It has been delivered');
    await answer(driver, 'Not yet');
    expect((await world.api(page, `/orders/${id}`)).deliveredAt).toBeNull();
    await press(driver, 'It has been delivered');
    await answer(driver, 'It has been delivered');
    await noticed(driver, 'done', /Delivered/);
    await press(driver, 'It was not delivered');
    await answer(driver, 'Take it back', 'the gate was locked');
    await noticed(driver, 'done', /taken back/);
    expect((await world.api(page, `/orders/${id}`)).deliveredAt).toBeNull();
    await driver.close();
  });

  it('a move on the board is put back whole', async () => {
    await go('/crews');
    const before = await world.api(page, '/board');
    const id = await find('Sorrel');
    const task = before.operations.find(
      (o: { id: string; orderId: number; done: boolean }) => o.orderId === id && !o.done,
    )?.id;
    await page.waitForSelector(`[data-task="${task}"]`);
    await page.evaluate((t) => document.querySelector<HTMLElement>(`[data-task="${t}"]`)?.focus(), task);
    await page.keyboard.press('Enter');
    const startOf = async (): Promise<string> =>
      (await world.api(page, '/board')).operations.find((o: { id: string }) => o.id === task)?.visits[0]?.start
        .day as string;
    for (let i = 0; i < 3; i++) {
      const at = await startOf();
      await page.keyboard.press('ArrowRight');
      for (let k = 0; k < 50 && (await startOf()) === at; k++) await new Promise((r) => setTimeout(r, 100));
      await page.waitForFunction(() => document.querySelector('[data-said=moved]') !== null);
    }
    await reload(page);
    const middle = await world.api(page, '/board');
    await page.evaluate((t) => document.querySelector<HTMLElement>(`[data-task="${t}"]`)?.focus(), task);
    await page.keyboard.press('Enter');
    await page.keyboard.press('ArrowRight');
    await page.waitForSelector('[data-said=moved]');
    await press(page, 'Put it back');
    await page.waitForFunction(() => /stand where they stood|stands where it stood/.test(document.body.innerText));
    const places = (b: { operations: { id: string; place: string | null; visits: unknown }[] }) =>
      b.operations.map((x) => `${x.id} ${x.place} ${JSON.stringify(x.visits)}`).sort();
    expect(places(await world.api(page, '/board'))).toEqual(places(middle));
    expect(places(middle)).not.toEqual(places(before));
  });
});

describe('messages', () => {
  it('never lie over a button or a reading', async () => {
    const id = await find('Yarrow');
    await finishBench(page, id);
    await page.setViewport({ width: 1024, height: 768 });
    await go(`/bench/${id}`);
    await page.waitForSelector('[data-testid=built]');
    const covered = async (): Promise<string[]> =>
      page.evaluate(() => {
        const rows: string[] = [];
        for (const b of document.querySelectorAll<HTMLElement>('button, a, [data-testid=live-strip] > div')) {
          const r = b.getBoundingClientRect();
          if (r.width < 2 || r.bottom < 0 || r.top > innerHeight || r.right > innerWidth) continue;
          const top = document.elementFromPoint(r.left + r.width / 2, r.top + r.height / 2);
          if (top && !b.contains(top) && !top.contains(b) && top.closest('[data-notice], [data-testid=built]'))
            rows.push(b.textContent ?? '');
        }
        return rows;
      });
    expect(await covered()).toEqual([]);
    await page.setViewport({ width: 1280, height: 800 });
    const order = await find('Sorrel, stretched ten inches');
    await go(`/orders/${order}/build`);
    await page.waitForSelector('[data-testid=live-strip] div div');
    await fill(page, 'Floor, long side', '77');
    await page.keyboard.press('Enter');
    await press(page, 'Keep this revision');
    await noticed(page, 'done', /Kept as revision/);
    expect(await covered()).toEqual([]);
    // What was done fades by itself.
    await page.waitForFunction(() => document.querySelector('[data-notice=done]') === null, { timeout: 12_000 });
  });
});
