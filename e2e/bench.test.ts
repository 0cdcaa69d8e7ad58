import { answer, fill, finishBench, noticed, openWorld, press, reload, sees, visit } from './world.ts';
import type { World } from './world.ts';
import type { Page } from 'puppeteer-core';

let world: World;
/** Tobin at a tablet, and Odile in the office; both follow what the other does. */
let tobin: Page;
let odile: Page;
let id: number;
beforeAll(async () => {
  world = await openWorld('rubbet_bench_together');
  [tobin, odile] = await Promise.all([world.newPage(1024, 768, true), world.newPage(1280, 800, true)]);
  await world.signIn(tobin, 'shop');
  await world.signIn(odile, 'office');
  id = (await world.api(odile, '/orders')).rows.find((r: { title: string }) => r.title === 'Sorrel').id;
  await tobin.goto(`${world.base}/bench/${id}`, { waitUntil: 'domcontentloaded' });
  await tobin.waitForSelector('[data-testid=step-done]');
});
afterAll(() => world.close());

interface Row {
  readonly id: number;
  readonly version: number;
  readonly state: string;
}
interface Work {
  readonly planId: number;
  readonly parts: readonly (Row & {
    readonly partId: string;
    readonly mark: string;
    readonly measured: number | null;
  })[];
  readonly steps: readonly (Row & {
    readonly stepId: string;
    readonly minutes: number | null;
    readonly doneBy: string | null;
  })[];
  readonly sticks: {
    readonly sticks: readonly { readonly cuts: readonly { readonly id: string; readonly length: number }[] }[];
  };
  readonly doneAt: string | null;
}
const work = (page: Page = odile): Promise<Work> => world.api(page, `/orders/${id}/work-order`);
const cutOn = (page: Page): Promise<string> =>
  page.evaluate(() => /cut \d+ of \d+/.exec(document.body.innerText)?.[0] ?? '');
const seesCut = (page: Page, words: string): Promise<unknown> =>
  page.waitForFunction((w) => document.body.innerText.includes(w), {}, words);
const countCut = (w: Work): number => w.parts.filter((p) => p.state === 'cut').length;
/** Waits until so many pieces are cut, as the server has it. */
const cutsAre = (count: number): Promise<unknown> =>
  odile.waitForFunction(
    async (n, cut) => {
      const w = (await (await fetch(`/api/orders/${n}/work-order`)).json()) as { parts: { state: string }[] };
      return w.parts.filter((p) => p.state === 'cut').length === cut;
    },
    {},
    id,
    count,
  );
const patch = (page: Page, path: string, body: object): Promise<number> =>
  page.evaluate(
    async (p, b) =>
      (await fetch(p, { method: 'PATCH', headers: { 'content-type': 'application/json' }, body: JSON.stringify(b) }))
        .status,
    `/api/orders/${id}/work-order${path}`,
    body,
  );
/** Pieces that are not cut yet, but for those that are measured in place first. */
const OPEN = '[data-mark]:not([aria-pressed=true]):not([data-mark^=RO])';
const tab = (name: string): Promise<void> =>
  tobin.$$eval(
    '[aria-label=Panels] button',
    (list, n) => list.find((b) => b.textContent?.replace(' ✓', '').trim() === n)?.click(),
    name,
  );

describe('two people at one order', () => {
  it('what one cuts, the other sees without asking', async () => {
    const before = countCut(await work());
    const total = (await work()).parts.length;
    await tobin.waitForSelector('[data-mark]');
    const part = (await work()).parts.find((p) => p.state === 'open');
    const from = Date.now();
    expect(await patch(odile, `/parts/${part?.id}`, { version: part?.version, state: 'cut' })).toBe(200);
    await seesCut(tobin, `cut ${before + 1} of ${total}`);
    console.log(`   seen by the other after ${Date.now() - from} ms`);
  });

  it('a tap on what is cut undoes nothing: that is asked', async () => {
    const before = countCut(await work());
    await tobin.$eval('[data-mark][aria-pressed=true]', (n) => (n as HTMLElement).click());
    await tobin.waitForSelector('[data-testid=cut-bar]');
    expect(countCut(await work())).toBe(before);
    await tobin.$$eval('[data-testid=cut-bar] button', (list) =>
      list.find((b) => b.textContent?.includes('not cut after all'))?.click(),
    );
    await tobin.waitForFunction(() => document.querySelector('[data-testid=cut-bar]') === null);
    await cutsAre(before - 1);
  });
});

describe('a lost connection', () => {
  it('keeps what is done in its order, and sends it when it is back; what clashed is shown with both ways out', async () => {
    const before = await work();
    await tobin.setOfflineMode(true);
    // Three pieces without a connection; one of them is cut by the other meanwhile.
    const marks = await tobin.$$eval(OPEN, (list) =>
      list.slice(0, 3).map((b) => (b as HTMLElement).dataset.mark ?? ''),
    );
    expect(marks).toHaveLength(3);
    for (let k = 0; k < 3; k++) await tobin.$eval(OPEN, (n) => (n as HTMLElement).click());
    await tobin.waitForSelector('[data-testid=offline]');
    await sees(tobin, '3 entries are kept here');
    // He goes on as if nothing were: his own list is ticked.
    await seesCut(tobin, `cut ${countCut(before) + 3} of ${before.parts.length}`);
    const same = before.parts.find((p) => p.state === 'open' && p.mark === marks[0]);
    expect(await patch(odile, `/parts/${same?.id}`, { version: same?.version, state: 'spoiled' })).toBe(200);
    await tobin.setOfflineMode(false);
    await tobin.waitForSelector('[data-testid=clash]');
    await tobin.waitForFunction(() => document.querySelector('[data-testid=offline]') === null);
    const clash = await tobin.$eval('[data-testid=clash]', (n) => n.textContent ?? '');
    expect(clash).toContain(`${marks[0] ?? ''} cut, by you at`);
    expect(clash).toContain('Somebody changed this while you had it open.');
    await cutsAre(countCut(before) + 2);
    const now = await work();
    expect(now.parts.find((p) => p.id === same?.id)?.state).toBe('spoiled');
    // It was his that is right: it is put again, on what stands there now.
    await press(tobin, 'Put mine');
    await tobin.waitForFunction(() => document.querySelector('[data-testid=clash]') === null);
    await seesCut(tobin, `cut ${countCut(before) + 3} of ${before.parts.length}`);
    await cutsAre(countCut(before) + 3);
  });

  it('keeps it over a reload', async () => {
    const before = await work();
    await tobin.setOfflineMode(true);
    await tobin.$eval(OPEN, (n) => (n as HTMLElement).click());
    await tobin.waitForSelector('[data-testid=offline]');
    await tobin.setOfflineMode(false);
    await tobin.reload({ waitUntil: 'domcontentloaded' });
    await tobin.waitForSelector('[data-testid=step-done]');
    await seesCut(tobin, `cut ${countCut(before) + 1} of ${before.parts.length}`);
    expect(await cutOn(tobin)).toContain(`${countCut(before) + 1} of`);
    await cutsAre(countCut(before) + 1);
  });
});

describe('what goes wrong', () => {
  it('a bad measure is asked about, and the rest of the sticks is planned around it', async () => {
    await tab('roosts');
    await sees(tobin, 'Fit the roosts');
    await tobin.$$eval('button', (list) => list.find((b) => b.textContent?.startsWith('Measure RO'))?.click());
    for (const key of ['6', '3']) await press(tobin, key);
    await press(tobin, '10 sixteenths');
    await press(tobin, 'Take it');
    await tobin.waitForSelector('[data-testid=why-outside]');
    expect((await work()).parts.every((p) => p.measured === null)).toBe(true);
    await press(tobin, 'The frame is out of square');
    await noticed(tobin, 'done', /RO1 is 63 5\/8/);
    const cuts = (await work()).sticks.sticks.flatMap((s) => s.cuts.map((c) => c.length));
    expect(cuts).toContain(63.625);
  });

  it('a spoiled piece is cut again, from what is left', async () => {
    await press(tobin, 'Close');
    await tobin.$$eval('button', (list) => list.find((b) => b.textContent?.startsWith('Something'))?.click());
    await tobin.waitForSelector('[data-testid=trouble]');
    const marks = await tobin.$$eval('[aria-label="Which piece"] button', (list) =>
      list.map((b) => b.textContent ?? ''),
    );
    await press(tobin, `Cut another ${marks[0] ?? ''}`);
    await noticed(tobin, 'done', /is taken as spoiled; another is planned/);
    expect((await work()).parts.some((p) => p.state === 'spoiled' && p.mark === marks[0])).toBe(true);
  });

  it('what is missing is told to the office, who answers, and the answer stands at the bench', async () => {
    await press(tobin, 'Hardware missing');
    await tobin.type('input[aria-label="What happened"]', 'two hinges short');
    await press(tobin, 'Tell the office');
    await noticed(tobin, 'done', /The office is told/);
    await odile.goto(`${world.base}/orders/${id}/bench`, { waitUntil: 'domcontentloaded' });
    await odile.waitForSelector('[data-testid=troubles]');
    await press(odile, 'Answer');
    await answer(odile, 'Answer', 'on the van at noon');
    await noticed(odile, 'done', /The bench has your answer/);
    await sees(tobin, 'on the van at noon');
  });

  it('the clock stands still with its cause, and says so', async () => {
    await tobin.$$eval('button', (list) => list.find((b) => b.textContent?.startsWith('Something'))?.click());
    await press(tobin, 'Waiting for material');
    const band = await tobin.waitForSelector('[data-testid=standing]');
    expect(await band?.evaluate((n) => n.textContent)).toMatch(/Stopped: Waiting for material/);
    await press(tobin, 'Go on');
    await tobin.waitForFunction(() => document.querySelector('[data-testid=standing]') === null);
  });
});

describe('a change order', () => {
  it('is proposed from the drawing, says what it does, and is in the work order when it is accepted', async () => {
    const before = await work();
    const price = (await world.api(odile, `/orders/${id}`)).accepted.price.net as number;
    await odile.goto(`${world.base}/orders/${id}/build`, { waitUntil: 'domcontentloaded' });
    await odile.waitForSelector('[data-testid=live-strip] div div');
    await press(odile, 'Openings');
    await fill(odile, 'Window, rough width', '18');
    await odile.keyboard.press('Enter');
    await press(odile, 'Propose a change order');
    await answer(odile, 'Propose it', 'a smaller window, on the phone');
    await noticed(odile, 'done', /The change is proposed/);
    const shown = await odile.waitForSelector('[data-testid=change]');
    const words = (await shown?.evaluate((n) => (n as HTMLElement).innerText)) ?? '';
    expect(words).toMatch(/Proposed: a smaller window, on the phone/);
    expect(words).toMatch(/To be cut: \d+/);
    expect((await work()).planId).toBe(before.planId);
    await fill(odile, 'More to pay, before tax', '60');
    await press(odile, 'Accept the change');
    await answer(odile, 'Accept the change');
    await noticed(odile, 'done', /The change is in the work order/);
    const after = await work();
    expect(after.planId).not.toBe(before.planId);
    expect((await world.api(odile, `/orders/${id}`)).accepted.price.net).toBe(price + 6000);
    // What was ticked and stays is ticked.
    const kept = before.parts.filter(
      (p) => p.state === 'cut' && after.parts.some((x) => x.id === p.id && x.mark === p.mark),
    );
    expect(kept.length).toBeGreaterThan(40);
    await tobin.waitForFunction(
      (n) => new RegExp(`cut \\d+ of ${n}`).test(document.body.innerText),
      {},
      after.parts.length,
    );
  });
});

describe('a label', () => {
  it('opens its piece where it goes in, when its code is scanned', async () => {
    const { build, steps } = await world.api(tobin, `/orders/${id}/work-order/plan`);
    const stud = build.parts.find(
      (p: { id: string; role: string }) => p.role === 'stud' && p.id.startsWith('back-wall/'),
    );
    const row = (await work()).parts.find((p) => p.partId === stud.id);
    const page = await world.newPage(1024, 768);
    await world.signIn(page, 'shop');
    await visit(page, `${world.base}/p/${id}/${row?.id}`);
    await page.waitForSelector('[data-scanned]');
    expect(new URL(page.url()).pathname).toBe(`/bench/${id}`);
    const lit = await page.$eval('[data-scanned]', (n) => n.textContent ?? '');
    expect(lit).toContain(row?.mark);
    const step = steps.find(
      (s: { station: string; parts: string[] }) => s.station !== 'saw' && s.parts.includes(stud.id),
    );
    await sees(page, step.title);
    const type = await page.evaluate(async (n) => {
      const r = await fetch(`/api/orders/${n}/labels.pdf`);
      return [r.status, r.headers.get('content-type')];
    }, id);
    expect(type).toEqual([200, 'application/pdf']);
    await page.close();
  });
});

describe('several units', () => {
  it('are followed one by one: what is done of one is open of the other, and both are built in the end', async () => {
    const pens = (await world.api(odile, '/orders')).rows.find(
      (r: { title: string }) => r.title === 'Two Teasel pens',
    ).id;
    await odile.evaluate((n) => fetch(`/api/orders/${n}/work-order`, { method: 'POST' }), pens);
    const page = await world.newPage(1024, 768);
    await world.signIn(page, 'shop');
    // The saw cuts for both.
    await page.evaluate(async (n) => {
      const call = async (path: string, body?: object) =>
        (
          await fetch(`/api/orders/${n}/work-order${path}`, {
            ...(body ? { method: 'PATCH', body: JSON.stringify(body) } : {}),
            headers: { 'content-type': 'application/json' },
          })
        ).json();
      const { steps } = await call('');
      for (const s of steps.filter((x: { stepId: string }) => x.stepId === 'sort' || x.stepId.startsWith('cut-')))
        await call(`/steps/${s.id}`, { version: s.version, state: 'done' });
    }, pens);
    await visit(page, `${world.base}/bench/${pens}`);
    await page.waitForSelector('[data-testid=units]');
    await sees(page, 'Unit 1: ');
    const unit = (n: number): Promise<void> =>
      page.$$eval(
        '[data-testid=units] button',
        (list, k) => list.find((b) => b.getAttribute('aria-label')?.startsWith(`Unit ${k},`))?.click(),
        n,
      );
    await unit(2);
    await sees(page, 'Unit 2: ');
    await page.click('[data-testid=step-done]');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('[data-testid=units] button')].some((b) =>
        /^Unit 2, 1 of/.test(b.getAttribute('aria-label') ?? ''),
      ),
    );
    const first = await page.$eval('[data-testid=units] button', (b) => b.getAttribute('aria-label'));
    expect(first).toMatch(/^Unit 1, 0 of/);
    await finishBench(page, pens);
    await reload(page);
    await page.waitForSelector('[data-testid=built]');
    await page.close();
  });
});

describe('to the end', () => {
  it('a diagonal that is out is reworked, then every step is done; minutes and pieces add up', async () => {
    const { steps } = await world.api(tobin, `/orders/${id}/work-order/plan`);
    const check = steps.find((s: { gate?: { tolerance?: number } }) => (s.gate?.tolerance ?? 0) > 0);
    // What comes before it.
    for (const s of steps.slice(0, steps.indexOf(check)) as { id: string }[]) {
      const row = (await work()).steps.find((r) => r.stepId === s.id);
      if (row?.state === 'open')
        await patch(tobin, `/steps/${row.id}`, { version: row.version, state: 'done', minutes: 7 });
    }
    await tobin.reload({ waitUntil: 'domcontentloaded' });
    await tobin.waitForSelector('[data-testid=gate]');
    const expected: number = check.gate.expected;
    await fill(tobin, 'One diagonal', (expected + 1).toFixed(3));
    await fill(tobin, 'The other', (expected - 0.5).toFixed(3));
    await tobin.keyboard.press('Tab');
    await tobin.click('[data-testid=step-done]');
    await tobin.waitForSelector('[data-testid=rework]');
    expect((await work()).steps.find((s) => s.stepId === check.id)?.state).toBe('open');
    await finishBench(tobin, id);
    await tobin.waitForSelector('[data-testid=built]');
    const done = await work();
    expect(done.doneAt).not.toBeNull();
    expect(done.steps.filter((s) => s.state === 'done').every((s) => s.doneBy !== null)).toBe(true);
    const order = await world.api(odile, `/orders/${id}`);
    expect(order.workOrder.minutes).toBe(done.steps.reduce((n, s) => n + (s.minutes ?? 0), 0));
    expect(order.workOrder.parts).toBe(done.parts.length);
  });
});
