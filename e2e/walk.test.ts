import { answer, fill, finishBench, noticed, openWorld, press, sees, visit } from './world.ts';
import type { World } from './world.ts';
import type { Page } from 'puppeteer-core';

let world: World;
let page: Page;
const faults: string[] = [];
beforeAll(async () => {
  world = await openWorld('rubbet_walk');
  page = await world.newPage();
  page.on('pageerror', (e) => faults.push(e instanceof Error ? e.message : String(e)));
  await world.signIn(page, 'office');
});
afterAll(() => world.close());

let id = 0;
const station = async (name: string): Promise<void> => {
  await visit(page, `${world.base}/orders/${id}/${name}`);
};

describe('one order through every station', () => {
  it('begins with a call: an enquiry is written down', async () => {
    await press(page, 'Orders');
    await press(page, 'Take an enquiry');
    await fill(page, 'Name', 'Wren Tallow');
    await fill(page, 'Address', '3 Ford Row, Ansel');
    await fill(page, 'Way from the shop, miles', '8');
    await fill(page, 'What for', 'House for six hens');
    await press(page, 'Write it down');
    await page.waitForFunction(() => /\/orders\/\d+\/flock/.test(location.pathname));
    id = Number(/orders\/(\d+)/.exec(page.url())?.[1]);
    expect(id).toBeGreaterThan(1036);
  });

  it('Flock: six hens need 72 in of roost and two nests', async () => {
    await fill(page, 'Birds now', '4');
    await fill(page, 'Birds in two years', '6');
    await sees(page, '6 birds need');
    const rows = await page.$$eval('table tr', (trs) => trs.map((t) => t.textContent ?? ''));
    expect(rows.find((r) => r.startsWith('roost'))).toContain('72 in');
    expect(rows.find((r) => r.startsWith('nest boxes'))).toContain('2 nests');
    await press(page, 'Keep the flock, go to Build');
    await page.waitForFunction(() => location.pathname.endsWith('/build'));
  });

  it('Build: is drawn in the round, says what is wrong, mends it in a click, undoes and redoes', async () => {
    await page.waitForSelector('[data-testid=build-view] canvas');
    await page.waitForSelector('[data-testid=live-strip] div div');
    const weight = () =>
      page.$eval(
        '[data-testid=live-strip]',
        (n) => /Weight\s*([\d,]+) lb/.exec((n as HTMLElement).innerText)?.[1] ?? '',
      );
    await page.waitForFunction(() =>
      /Weight\s*[\d,]+ lb/.test(document.querySelector<HTMLElement>('[data-testid=live-strip]')?.innerText ?? ''),
    );
    const before = await weight();
    await press(page, 'Openings');
    const release = await page.waitForSelector('::-p-named(Release on the inside)');
    await (await release?.$('::-p-text(No)'))?.click();
    await page.waitForSelector('[data-finding=inside-release][data-severity=stop]');
    await press(page, 'Add a release');
    await page.waitForFunction(() => document.querySelector('[data-finding=inside-release]') === null);
    await press(page, 'Size');
    await fill(page, 'Floor, long side', '82');
    await page.keyboard.press('Enter');
    await page.waitForFunction(
      (was) =>
        (/Weight\s*([\d,]+) lb/.exec(
          document.querySelector<HTMLElement>('[data-testid=live-strip]')?.innerText ?? '',
        )?.[1] ?? was) !== was,
      {},
      before,
    );
    await press(page, 'Undo');
    await page.waitForFunction(
      (was) => document.querySelector<HTMLElement>('[data-testid=live-strip]')?.innerText.includes(`${was} lb`),
      {},
      before,
    );
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.down('Control');
    await page.keyboard.press('y');
    await page.keyboard.up('Control');
    await page.waitForFunction(
      (was) => !document.querySelector<HTMLElement>('[data-testid=live-strip]')?.innerText.includes(`${was} lb`),
      {},
      before,
    );
    await press(page, 'Keep this revision');
    await noticed(page, 'done', /revision 1/);
    const order = await world.api(page, `/orders/${id}`);
    expect(order.revision.spec.params).toMatchObject({ length: 82, insideRelease: true });
  });

  it('Ground: four rod readings give pad heights by the difference', async () => {
    await station('ground');
    for (const [corner, rod] of [
      ['front left', '50'],
      ['front right', '52 1/2'],
      ['back right', `4' 10"`],
      ['back left', '1397 mm'],
    ] as const)
      await fill(page, `Rod at ${corner}`, rod);
    // One support for each of six legs: from the left, front before back.
    await page.waitForSelector('tr[data-pad=support-6]');
    const height = (pad: string) =>
      page.$eval(`tr[data-pad=${pad}] td[data-height]`, (n) => Number((n as HTMLElement).dataset.height));
    expect(await height('support-1')).toBe(0);
    expect(await height('support-5')).toBe(2.5);
    expect(await height('support-6')).toBe(8);
    // Midway it is the half of it: the ground is a plane along the front.
    expect(await height('support-3')).toBe(1.25);
    expect(await height('support-2')).toBeCloseTo(5, 6);
    expect(await page.$eval('[data-foundation]', (n) => (n as HTMLElement).dataset.foundation)).toBe('pads');
    // The unit is 48 in deep and its roof stands out: a garden gate is too narrow for it, a field gate is not.
    await fill(page, 'Narrowest way in', '36');
    await page.waitForSelector('[data-way=blocked]');
    await fill(page, 'Narrowest way in', `10'`);
    await page.waitForSelector('[data-way=passes]');
    await press(page, 'Keep these readings');
    await noticed(page, 'done', /readings are written down/);
    const { survey } = await world.api(page, `/orders/${id}`);
    expect(survey.survey.gate).toBe(120);
  });

  it('Price: each way of making it stands side by side; another one is chosen, and back', async () => {
    await station('price');
    await page.waitForSelector('tr[data-method=whole] input:checked');
    const net = async (): Promise<number> => (await world.api(page, `/orders/${id}/price`)).price.net;
    const whole = await net();
    await page.click('tr[data-method=on-site] input');
    await noticed(page, 'done', /On site: hours, trips and price/);
    await page.waitForSelector('tr[data-method=on-site] input:checked');
    const sheet = await world.api(page, `/orders/${id}/price`);
    expect([sheet.method, sheet.proposed]).toEqual(['on-site', 'whole']);
    expect(sheet.price.net).toBeGreaterThan(whole);
    expect(sheet.price.net).toBe(sheet.methods.find((m: { method: string }) => m.method === 'on-site').net);
    await page.click('tr[data-method=whole] input');
    await page.waitForSelector('tr[data-method=whole] input:checked');
    expect(await net()).toBe(whole);
    expect((await world.api(page, `/orders/${id}`)).method).toBeNull();
  });

  it('Price: adds up and is accepted', async () => {
    await station('price');
    await press(page, 'The customer accepts');
    await answer(page, 'They accept');
    await noticed(page, 'done', /Accepted at \$[\d,]+\.\d\d/);
    const { accepted } = await world.api(page, `/orders/${id}`);
    await sees(page, `$${(accepted.price.total / 100).toLocaleString('en-US', { minimumFractionDigits: 2 })}`);
  });

  it('Bench: the work order is made, a cut is ticked at its length, a measured piece re-plans its stick, steps go in order', async () => {
    await station('bench');
    await press(page, 'Make the work order');
    await noticed(page, 'done', /work order is made/);
    await page.setViewport({ width: 1024, height: 768 });
    await visit(page, `${world.base}/bench/${id}`);
    await page.waitForSelector('[data-testid=step-done]');
    await sees(page, 'Sort the boards');
    // Enter is the way forward.
    await page.focus('[data-testid=step-done]');
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-mark]');
    const rim = await page.$$eval('[data-mark^=RM]', (list) =>
      list.map((n) => Number((n as HTMLElement).dataset.length)),
    );
    // An 82 in floor has two long rims of 82 and two ends of 48 less 3.
    const work = await world.api(page, `/orders/${id}/work-order`);
    const lengths = work.parts
      .filter((p: { mark: string }) => p.mark.startsWith('RM'))
      .map((p: { length: number }) => p.length)
      .sort();
    expect(lengths).toEqual([45, 45, 82, 82]);
    if (rim.length > 0) expect(rim.every((l) => l === 45 || l === 82)).toBe(true);
    await page.click('[data-mark]:not([disabled])');
    await page.waitForSelector('[data-mark][aria-pressed=true]');
    await press(page, 'roosts');
    await sees(page, 'Fit the roosts');
    await page.$$eval('button', (list) => list.find((b) => b.textContent?.startsWith('Measure RO'))?.click());
    const field = await page.waitForSelector('input[aria-label="Measured RO1"]');
    await field?.type('74 5/8');
    await page.keyboard.press('Enter');
    // It is 3/8 off what was expected: that is asked about.
    await page.waitForSelector('[data-testid=why-outside]');
    await press(page, 'A stud or post is bowed');
    await noticed(page, 'done', /the sticks are planned again/);
    await sees(page, 'RO1 no. 1 ✓');
    const after = await world.api(page, `/orders/${id}/work-order`);
    expect(after.sticks.sticks.flatMap((s: { cuts: { length: number }[] }) => s.cuts.map((c) => c.length))).toContain(
      74.625,
    );
    await page.setViewport({ width: 1280, height: 800 });
  });

  it('prints the work order', async () => {
    const type = await page.evaluate(async (n) => {
      const response = await fetch(`/api/orders/${n}/work-order.pdf`);
      return [response.headers.get('content-type'), (await response.arrayBuffer()).byteLength] as const;
    }, id);
    expect(type[0]).toBe('application/pdf');
    expect(type[1]).toBeGreaterThan(20_000);
  });

  it('says how far the paper is while it is made, then shows it', async () => {
    const paper = await world.newPage(1280, 800, true);
    await world.signIn(paper, 'office');
    // A viewer of papers has no end of loading: it is waited for by what it shows.
    await paper.goto(`${world.base}/print/${id}`, { waitUntil: 'domcontentloaded' });
    await paper.waitForSelector('[data-printed=making] [role=progressbar]');
    await paper.waitForSelector('[data-printed=made]', { timeout: 30_000 });
    const made = await paper.$eval('a[download]', (a) => [
      (a as HTMLAnchorElement).download,
      (a as HTMLAnchorElement).href.slice(0, 5),
      document.querySelector('iframe')?.src === (a as HTMLAnchorElement).href,
    ]);
    expect(made).toEqual([`work-order-${id}.pdf`, 'blob:', true]);
    // What is not there is said, with a way to ask again.
    await paper.goto(`${world.base}/print/999999`, { waitUntil: 'domcontentloaded' });
    await paper.waitForSelector('[data-printed=failed]');
    expect(await paper.$eval('[role=alert]', (n) => n.textContent)).toMatch(/no order 999999.*Try again/);
    await paper.close();
  });

  it('Days and Crews: goes on the board, a block moves by keyboard and by mouse, what depends on it follows', async () => {
    await station('days');
    await press(page, 'Put it on the board');
    await noticed(page, 'done', /on the board/);
    const end = async (op: string): Promise<string> => {
      const board = await world.api(page, '/board');
      return board.operations.find((o: { id: string }) => o.id === `${id}/${op}`).visits.at(-1).end.day as string;
    };
    const [frame, load] = [await end('frame'), await end('load')];
    expect(load > frame).toBe(true);
    await visit(page, `${world.base}/crews`);
    const tile = await page.waitForSelector(`[data-task="${id}/frame"]`);
    // The mouse: three days on.
    const box = await tile?.boundingBox();
    const day = (await page.$eval('[data-row=bay-1]', (n) => n.clientWidth)) / 10;
    const [x, y] = [(box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + (box?.height ?? 0) / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 40, y, { steps: 4 });
    await page.mouse.move(x + day * 3, y, { steps: 8 });
    await page.mouse.up();
    await page.waitForSelector('[data-said=moved]');
    const moved = await end('frame');
    expect(moved > frame).toBe(true);
    expect((await end('load')) > moved).toBe(true);
    const board = await world.api(page, '/board');
    expect(board.faults.filter((f: { kind: string }) => f.kind !== 'past')).toEqual([]);
    // Late in the week three days on lie beyond the two that are shown.
    if ((await page.$(`[data-task="${id}/frame"]`)) === null) {
      await page.click('[aria-label="Week on"]');
      await page.waitForSelector(`[data-task="${id}/frame"]`);
    }
    // By keyboard: before the cut it needs, which is refused in words.
    await page.evaluate((t) => document.querySelector<HTMLElement>(`[data-task="${t}"]`)?.focus(), `${id}/frame`);
    await page.keyboard.press('Enter');
    for (let i = 0; i < 40 && (await page.$('[data-said=refused]')) === null; i++) {
      await page.keyboard.press('ArrowLeft');
      await new Promise((r) => setTimeout(r, 350));
    }
    // The last answer may still be on its way.
    await page.waitForSelector('[data-said=refused]', { timeout: 15_000 });
    expect(await page.$eval('[data-said=refused]', (n) => n.textContent)).toMatch(
      /starts before|time is over|Nobody works|still wet/,
    );
  });

  it('Road: the load is weighed, the day is set', async () => {
    await station('road');
    const order = await world.api(page, `/orders/${id}`);
    // The unit, and the masonry that we bring for its pads.
    const { foundation } = await world.api(page, `/orders/${id}/price`);
    expect(foundation.weight).toBeGreaterThan(100);
    const load = await page.$eval('[data-load]', (n) => Number((n as HTMLElement).dataset.load));
    expect(Math.abs(load - order.revision.summary.weight - foundation.weight)).toBeLessThan(1);
    expect(await page.$eval('[data-pack]', (n) => n.textContent)).toMatch(/paver/);
    await page.$eval('input[type=date]', (n) => {
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
      set?.call(n, '2035-05-07');
      n.dispatchEvent(new Event('input', { bubbles: true }));
    });
    await press(page, 'Set the delivery day');
    await noticed(page, 'done', /Monday 7 May/);
  });

  it('the customer sees the day on their own page and confirms what is ready', async () => {
    const { token } = await world.api(page, `/orders/${id}`);
    const phone = await world.newPage(390, 844);
    await visit(phone, `${world.base}/visit/${token}`);
    expect(await phone.$eval('[data-testid=visit-day]', (n) => n.textContent)).toMatch(
      /We come on Monday 7 May, 09:30/,
    );
    await phone.click('main input[type=checkbox]');
    await phone.waitForFunction(() => document.body.innerText.includes('7 of 8 still to confirm'));
    expect(await phone.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    await phone.close();
    expect((await world.api(page, `/orders/${id}`)).visited).toEqual(['ground']);
  });

  it('Bench: a check is read; outside it says what to rework and waits, within it goes on', async () => {
    const { steps } = await world.api(page, `/orders/${id}/work-order/plan`);
    const target = steps.find((s: { gate?: { tolerance?: number }; place: string }) => (s.gate?.tolerance ?? 0) > 0);
    await page.evaluate(
      async (n, ids) => {
        for (const stepId of ids) {
          const work = await (await fetch(`/api/orders/${n}/work-order`)).json();
          const row = work.steps.find((s: { stepId: string }) => s.stepId === stepId);
          await fetch(`/api/orders/${n}/work-order/steps/${row.id}`, {
            method: 'PATCH',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify({ version: row.version, state: 'done' }),
          });
        }
      },
      id,
      steps.slice(0, steps.indexOf(target)).map((s: { id: string }) => s.id),
    );
    await visit(page, `${world.base}/bench/${id}`);
    await page.waitForSelector('[data-testid=gate]');
    const expected: number = target.gate.expected;
    const read = async (a: number, b: number): Promise<void> => {
      await fill(page, 'One diagonal', a.toFixed(3));
      await fill(page, 'The other', b.toFixed(3));
      await page.keyboard.press('Tab');
      await page.click('[data-testid=step-done]');
    };
    await read(expected + 1, expected - 0.5);
    await page.waitForSelector('[data-testid=rework]');
    expect(await page.$eval('[data-testid=rework]', (n) => n.textContent)).toMatch(/push the corners of the longer/);
    // The page shows what was done before the server has it.
    const kept = (state: string, found: number): Promise<unknown> =>
      page.waitForFunction(
        async (n, stepId, wanted, count) => {
          const { steps: rows } = await (await fetch(`/api/orders/${n}/work-order`)).json();
          const row = rows.find((s: { stepId: string }) => s.stepId === stepId);
          return row.state === wanted && row.found?.length === count;
        },
        {},
        id,
        target.id,
        state,
        found,
      );
    await kept('open', 2);
    await read(expected, expected);
    await page.waitForFunction(() => document.querySelector('[data-testid=rework]') === null);
    await kept('done', 2);
  });

  it('Hand-over: is delivered, shown and ended', async () => {
    await station('road');
    // What is not built does not leave: the button says why.
    await sees(page, 'Nothing that is not built leaves.');
    await finishBench(page, id);
    await station('road');
    await press(page, 'It has been delivered');
    await answer(page, 'It has been delivered');
    await noticed(page, 'done', /Delivered/);
    await station('hand-over');
    for (const box of await page.$$('input[type=checkbox]')) await box.click();
    await press(page, 'Hand it over');
    await answer(page, 'Hand it over');
    await sees(page, 'Handed over');
    expect((await world.api(page, `/orders/${id}`)).handedOverAt).not.toBeNull();
  });

  it('broke no page on the way', () => expect(faults).toEqual([]));
});
