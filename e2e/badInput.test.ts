import { fill, noticed, openWorld, press, sees, visit } from './world.ts';
import type { World } from './world.ts';
import type { Page } from 'puppeteer-core';

let world: World;
let page: Page;
beforeAll(async () => {
  world = await openWorld('rubbet_bad');
  page = await world.newPage();
  await world.signIn(page, 'office');
});
afterAll(() => world.close());

const find = async (title: string): Promise<number> =>
  (await world.api(page, '/orders')).rows.find((r: { title: string }) => r.title === title).id as number;
const open = async (id: number, station: string): Promise<void> => {
  await visit(page, `${world.base}/orders/${id}/${station}`);
};

describe('bad input at each station says what is wrong and changes nothing', () => {
  it('sign-in: a wrong password', async () => {
    const other = await world.newPage();
    await visit(other, `${world.base}/sign-in`);
    await other.type('input[autocomplete=username]', 'office');
    await other.type('input[type=password]', 'guess');
    await other.keyboard.press('Enter');
    await other.waitForSelector('[role=alert]');
    expect(await other.$eval('[role=alert]', (n) => n.textContent)).toMatch(/do not go together/);
    expect(other.url()).toMatch(/sign-in/);
    await other.close();
  });

  it('an enquiry without a name or with half a mile', async () => {
    const before = (await world.api(page, '/orders')).total;
    await visit(page, `${world.base}/orders`);
    await press(page, 'Take an enquiry');
    await fill(page, 'Way from the shop, miles', '7.5');
    await fill(page, 'What for', 'A pen');
    await press(page, 'Write it down');
    await sees(page, 'Write the name of the customer.');
    await sees(page, 'A whole number, 0 or more.');
    expect((await world.api(page, '/orders')).total).toBe(before);
  });

  it('Flock: no birds at all', async () => {
    const id = await find('Sorrel, stretched ten inches');
    await open(id, 'flock');
    await fill(page, 'Birds now', '0');
    await sees(page, 'A whole number from 1 to 500.');
    expect(await page.$eval('::-p-named(Keep the flock, go to Build)', (n) => (n as HTMLButtonElement).disabled)).toBe(
      true,
    );
    expect((await world.api(page, `/orders/${id}`)).flock.now).toBe(5);
  });

  it('Build: a length out of range and one that is none', async () => {
    const id = await find('Sorrel, stretched ten inches');
    await open(id, 'build');
    await page.waitForSelector('[data-testid=live-strip] div div');
    await fill(page, 'Floor, long side', '400');
    await page.keyboard.press('Enter');
    await sees(page, 'From 36" to 144".');
    await fill(page, 'Floor, long side', 'wide');
    await page.keyboard.press('Enter');
    await sees(page, 'Write it like 64 1/2');
    expect((await world.api(page, `/orders/${id}`)).revision.spec.params.length).toBe(82);
  });

  it('Build: somebody else kept a revision meanwhile', async () => {
    const id = await find('Sorrel, stretched ten inches');
    await open(id, 'build');
    await page.waitForSelector('[data-testid=live-strip] div div');
    const before = await world.api(page, `/orders/${id}`);
    await page.evaluate(
      (n, version) =>
        fetch(`/api/orders/${n}`, {
          method: 'PATCH',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ version, notes: 'changed elsewhere' }),
        }),
      id,
      before.version,
    );
    await fill(page, 'Floor, long side', '84');
    await page.keyboard.press('Enter');
    await page.waitForFunction(
      () => ![...document.querySelectorAll('button')].find((b) => b.textContent === 'Keep this revision')?.disabled,
    );
    // Another thing of the order was changed: mine is kept beside it.
    await press(page, 'Keep this revision');
    await noticed(page, 'done', /Kept as revision/);
    const kept = await world.api(page, `/orders/${id}`);
    expect(kept).toMatchObject({ notes: 'changed elsewhere', revision: { spec: { params: { length: 84 } } } });
    // The same thing was changed: both stand side by side, and nothing is kept until one is chosen.
    await fill(page, 'Floor, long side', '86');
    await page.keyboard.press('Enter');
    await page.evaluate(
      (n, version, spec) =>
        fetch(`/api/orders/${n}/revisions`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ version, spec: { ...spec, params: { ...spec.params, length: 90 } } }),
        }),
      id,
      kept.version,
      kept.revision.spec,
    );
    await press(page, 'Keep this revision');
    await noticed(page, 'wrong', /Somebody changed this/);
    const both = await page.waitForSelector('[data-testid=both-versions]');
    expect(await both?.evaluate((n) => n.textContent)).toMatch(/Floor, long side.*90".*86"/);
    expect(await page.$eval('input[aria-label="Floor, long side"]', (n) => (n as HTMLInputElement).value)).toBe('86"');
    expect((await world.api(page, `/orders/${id}`)).revision.spec.params.length).toBe(90);
    await press(page, 'Go on with mine');
    await press(page, 'Keep this revision');
    await page.waitForFunction(() => document.querySelector('[data-testid=both-versions]') === null);
    await noticed(page, 'done', /Kept as revision/);
    const mine = await world.api(page, `/orders/${id}`);
    expect(mine.revision.spec.params.length).toBe(86);
    expect(mine.revisions).toHaveLength(before.revisions.length + 3);
  });

  it('Ground: a reading that is no length', async () => {
    const id = await find('Bramble on a slope');
    await open(id, 'ground');
    await fill(page, 'Rod at back left', 'low');
    await sees(page, 'Write it like 64 1/2 or');
    expect(await page.$eval('::-p-named(Keep these readings)', (n) => (n as HTMLButtonElement).disabled)).toBe(true);
    expect((await world.api(page, `/orders/${id}`)).survey.survey.pads[3].rod).toBe(58);
  });

  it('Price: nothing to price, nothing to accept', async () => {
    const id = await find('Pimpernel for the garden');
    await open(id, 'price');
    await sees(page, 'Nothing is built yet.');
    await open(id, 'bench');
    await sees(page, 'Settle the price first.');
    await open(id, 'days');
    await sees(page, 'Only accepted orders go on the board.');
  });

  it('Bench: a step before what it needs, a measure that cannot be', async () => {
    const id = await find('Sorrel');
    await page.setViewport({ width: 1024, height: 768 });
    await visit(page, `${world.base}/bench/${id}`);
    await press(page, 'roosts');
    await sees(page, 'Fit the roosts');
    await page.click('[data-testid=step-done]');
    await noticed(page, 'wrong', /First: /);
    await page.$$eval('button', (list) => list.find((b) => b.textContent?.startsWith('Measure RO'))?.click());
    const field = await page.waitForSelector('input[aria-label="Measured RO1"]');
    await field?.type('12');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() =>
      document.querySelector('[data-notice=wrong]')?.textContent?.includes('too far off'),
    );
    const work = await world.api(page, `/orders/${id}/work-order`);
    expect(work.parts.filter((p: { measured: number | null }) => p.measured !== null)).toEqual([]);
    await page.setViewport({ width: 1280, height: 800 });
  });

  it('Crews: a block dropped where its work is not done', async () => {
    const id = await find('Hawthorn');
    await visit(page, `${world.base}/crews`);
    const before = await world.api(page, '/board');
    await page.waitForSelector(`[data-task="${id}/saw"]`);
    await page.evaluate((t) => document.querySelector<HTMLElement>(`[data-task="${t}"]`)?.focus(), `${id}/saw`);
    await page.keyboard.press('Enter');
    await page.keyboard.press('ArrowDown');
    await page.waitForSelector('[data-said=refused]');
    expect(await page.$eval('[data-said=refused]', (n) => n.textContent)).toMatch(/cut is no work for Bay 1/);
    expect((await world.api(page, '/board')).operations).toEqual(before.operations);
  });

  it('Road: a day in the past and a time that is none', async () => {
    const id = await find('Teasel');
    await open(id, 'road');
    await fill(page, 'We arrive at', 'noon');
    await press(page, 'Change the delivery');
    await sees(page, 'Write the time like 09:30.');
    await fill(page, 'We arrive at', '10:00');
    await page.$eval('input[type=date]', (n) => {
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
      set?.call(n, '2020-05-07');
      n.dispatchEvent(new Event('input', { bubbles: true }));
    });
    await press(page, 'Change the delivery');
    await noticed(page, 'wrong', /in the past/);
    expect((await world.api(page, `/orders/${id}`)).delivery.arrives).toBe('09:30');
  });

  it('Hand-over: before everything is shown', async () => {
    const id = await find('Sorrel, no window');
    await open(id, 'hand-over');
    expect(await page.$eval('::-p-named(Hand it over)', (n) => (n as HTMLButtonElement).disabled)).toBe(true);
    await sees(page, '7 still to show.');
  });

  it('Settings: a rate that is no number', async () => {
    await visit(page, `${world.base}/settings/rates`);
    await fill(page, 'Bench labour', 'a lot');
    await sees(page, 'One value is not possible: Bench labour.');
    expect(await page.$eval('::-p-named(Keep the settings)', (n) => (n as HTMLButtonElement).disabled)).toBe(true);
  });

  it('the customer’s page: a link that leads nowhere', async () => {
    await visit(page, `${world.base}/visit/aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa`);
    await sees(page, 'This link leads nowhere.');
  });
});
