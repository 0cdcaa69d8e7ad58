import ical from 'node-ical';
import type { Page } from 'puppeteer-core';
import { answer, noticed, openWorld, press, sees, send, visit } from './world.ts';
import type { World } from './world.ts';

let world: World;
let page: Page;
beforeAll(async () => {
  world = await openWorld('rubbet_e2e_crews');
  page = await world.newPage();
  await world.signIn(page, 'office');
});
afterAll(() => world.close());

interface Visit {
  readonly start: { readonly day: string; readonly minute: number };
  readonly people: readonly string[];
  readonly pieces: readonly { readonly day: string }[];
}
interface Block {
  readonly id: string;
  readonly orderId: number;
  readonly station: string;
  readonly done: boolean;
  readonly pinned: boolean;
  readonly supply: { readonly buy: readonly string[] } | null;
  readonly visits: readonly Visit[];
}
const board = async () =>
  (await world.api(page, '/board')) as {
    readonly today: string;
    readonly operations: readonly Block[];
    readonly people: readonly {
      readonly key: string;
      readonly name: string;
      readonly crewOn: readonly { readonly day: string }[];
    }[];
    readonly out: readonly { readonly ref: string; readonly day: string; readonly note: string }[];
    readonly faults: readonly { readonly kind: string; readonly text: string }[];
    readonly days: readonly { readonly day: string; readonly works: boolean; readonly rain: number }[];
  };
const go = (path: string) => visit(page, `${world.base}${path}`);
const byTitle = async (title: string): Promise<number> =>
  (await world.api(page, '/orders')).rows.find((o: { title: string }) => o.title === title).id as number;
/** Sets a field of a form by the words of its label, as typing into it does. */
const set = (label: string, value: string) =>
  page.evaluate(
    (words, to) => {
      const at = [...document.querySelectorAll('label')].find((l) => l.textContent?.trim() === words);
      const field = document.getElementById(at?.htmlFor ?? '') as HTMLInputElement | HTMLSelectElement | null;
      if (!field) throw new Error(`no field ${words}`);
      const kind = field instanceof HTMLSelectElement ? HTMLSelectElement : HTMLInputElement;
      Object.getOwnPropertyDescriptor(kind.prototype, 'value')?.set?.call(field, to);
      field.dispatchEvent(new Event(field instanceof HTMLSelectElement ? 'change' : 'input', { bubbles: true }));
    },
    label,
    value,
  );
const pick = (words: string) =>
  page.$$eval('[aria-label="What came up"] button', (all, w) => all.find((b) => b.textContent === w)?.click(), words);
const choose = async (plan: string): Promise<void> => {
  await page.waitForSelector(`[data-plan="${plan}"]`, { timeout: 30_000 });
  await page.$eval(`[data-plan="${plan}"]`, (n) =>
    [...n.querySelectorAll('button')].find((b) => b.textContent === 'Take this plan')?.click(),
  );
  await noticed(page, 'done', /The board follows the plan/);
};

describe('a week of a shop', () => {
  let id = 0;
  let path = '';
  it('promises a day at the price, with how sure it is and what is in its way', async () => {
    id = await byTitle('Spindle');
    await go(`/orders/${id}/price`);
    await press(page, 'Look which day');
    await page.waitForSelector('[data-sure="nineteen in twenty"]', { timeout: 60_000 });
    const words = await page.$eval('[data-testid=promise]', (n) => n.textContent ?? '');
    expect(words).toMatch(/kept one in two times.*kept four in five times.*kept nineteen in twenty times/s);
    expect(words).toMatch(/can be promised|is not sure|is too soon/);
    expect(words).toMatch(/100 times drawn/);
  });
  it('puts the order that is accepted on the board, and tells its days', async () => {
    await press(page, 'The customer accepts');
    await answer(page, 'They accept');
    await noticed(page, 'done', /Accepted at/);
    await go(`/orders/${id}/days`);
    await press(page, 'Put it on the board');
    await noticed(page, 'done', /It is on the board\. Nothing else moved\./);
    await sees(page, 'To spare');
    const b = await board();
    expect(b.operations.filter((o) => o.orderId === id).every((o) => o.visits.length > 0)).toBe(true);
    expect(b.faults.filter((f) => f.kind !== 'past')).toEqual([]);
  });
  it('says what of its wood is to be bought, and by when, and leads to what is to be ordered', async () => {
    const short = (await board()).operations.find((o) => !o.done && (o.supply?.buy.length ?? 0) > 0);
    await go(`/orders/${short?.orderId ?? 0}/days`);
    await sees(page, `Not enough ${short?.supply?.buy[0] ?? 'nothing'}`);
    await page.$$eval('a', (all) => all.find((a) => a.textContent === 'What to buy')?.click());
    await page.waitForFunction(() => location.pathname === '/rack/buying');
    await page.waitForFunction(
      (item) => document.body.innerText.includes(item),
      { timeout: 60_000 },
      short?.supply?.buy[0] ?? '',
    );
  });
  it('gives a calendar a link that another program reads', async () => {
    await go('/crews/calendars');
    await press(page, 'Make a link');
    await page.waitForSelector('[data-feed=shop]');
    path = ((await world.api(page, '/feeds')) as { path: string }[])[0]?.path ?? '';
    const text = await fetch(`${world.base}${path}`).then((r) => r.text());
    const events = Object.values(ical.sync.parseICS(text)).filter((e) => e?.type === 'VEVENT');
    expect(events.length).toBeGreaterThan(10);
  });
  it('somebody is ill: plans are looked at, nothing moves, one is taken, and it is followed', async () => {
    const before = await board();
    const who = before.people.find((p) =>
      before.operations.some((o) => !o.done && o.station === 'bay' && o.visits.some((v) => v.people.includes(p.key))),
    );
    const key = who?.key ?? '';
    const day = before.operations
      .filter((o) => !o.done && o.station === 'bay')
      .flatMap((o) => o.visits.filter((v) => v.people.includes(key)).map((v) => v.start.day))
      .filter((d) => d > before.today)
      .sort()[0] as string;
    await go('/crews');
    await press(page, 'What came up?');
    await page.waitForSelector('[aria-label="What came up"]');
    await set('Who', key);
    await set('From', day);
    await set('To, that day too', day);
    await press(page, 'Look for plans');
    await page.waitForSelector('[data-plan="least upset"]', { timeout: 30_000 });
    await sees(page, 'If everybody just goes on');
    expect((await board()).operations).toEqual(before.operations);
    await choose('least upset');
    const after = await board();
    for (const o of after.operations)
      for (const v of o.visits) if (v.people.includes(key)) expect(v.pieces.map((p) => p.day)).not.toContain(day);
    expect(after.faults.filter((f) => f.kind !== 'past')).toEqual([]);
    const text = await fetch(`${world.base}${path}`).then((r) => r.text());
    const starts = Object.values(ical.sync.parseICS(text)).flatMap((e) =>
      e?.type === 'VEVENT' ? [e.start.toISOString().slice(0, 10)] : [],
    );
    const wanted = after.operations.flatMap((o) => o.visits.flatMap((v) => v.pieces.map((p) => p.day)));
    expect(starts.sort()).toEqual(wanted.sort());
  });
  it('a day turns out wet: the board says so, and the customer’s day follows where it is theirs', async () => {
    const before = await board();
    const day = before.days.filter((d) => d.works && d.day > before.today)[3]?.day as string;
    await go('/crews/morning');
    await pick('It rains');
    await set('On', day);
    await press(page, 'Look for plans');
    await choose('least upset');
    expect((await board()).days.find((d) => d.day === day)?.rain).toBe(0.95);
  });
  it('agrees on a day with the customer: their page and their calendar have it, and the board keeps it', async () => {
    const b = await board();
    const built = b.operations.filter((o) => o.orderId === id && o.station !== 'road' && o.station !== 'site');
    const last =
      built
        .flatMap((o) => o.visits.flatMap((v) => v.pieces.map((p) => p.day)))
        .sort()
        .at(-1) ?? '';
    const day = b.days.filter((d) => d.works && d.day > last)[4]?.day as string;
    await go(`/orders/${id}/road`);
    await page.$eval(
      'input[type=date]',
      (n, to) => {
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(n, to);
        n.dispatchEvent(new Event('input', { bubbles: true }));
      },
      day,
    );
    await press(page, 'Set the delivery day');
    await noticed(page, 'done', /./);
    const { token } = await world.api(page, `/orders/${id}`);
    const text = await fetch(`${world.base}/api/visit/${token}/day.ics`).then((r) => r.text());
    const events = Object.values(ical.sync.parseICS(text)).flatMap((e) => (e?.type === 'VEVENT' ? [e] : []));
    expect(events[0]?.start.toISOString().slice(0, 10)).toBe(day);
    const trip = (await board()).operations.find((o) => o.id === `${id}/deliver`);
    expect(trip?.visits[0]?.start.day).toBe(day);
    const visitor = await world.newPage(390, 844);
    await visit(visitor, `${world.base}/visit/${token}`);
    await sees(
      visitor,
      new Date(`${day}T12:00:00Z`).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' }),
    );
    await visitor.close();
  });
  it('shows a day to each, on a telephone: what, where, with whom, and what goes on after', async () => {
    const shop = await world.newPage(390, 844);
    await world.signIn(shop, 'shop');
    await visit(shop, `${world.base}/crews/my-day`);
    await shop.waitForSelector('[data-testid=my-day]');
    const words = () => shop.$eval('[data-testid=my-day]', (n) => n.textContent ?? '');
    for (let n = 0; n < 10 && (await shop.$('[data-stint]')) === null; n++) {
      await shop.click('[aria-label="The day after"]');
      await new Promise((r) => setTimeout(r, 200));
    }
    expect(await words()).toMatch(/Tobin Askew.*\d\d:\d\d–\d\d:\d\d/s);
    await shop.close();
  });
  it('is seen by day, week and season, by people, searched, and found by its words', async () => {
    await go('/crews');
    for (const zoom of ['day', 'week', 'season', 'two weeks']) {
      await page.$$eval(
        '[aria-label="How much is seen"] button',
        (all, z) => all.find((b) => b.textContent === z)?.click(),
        zoom,
      );
      await page.waitForFunction(
        (z) => document.querySelector('[aria-label="How much is seen"] [aria-pressed=true]')?.textContent === z,
        {},
        zoom,
      );
    }
    await page.$$eval('[aria-label=Rows] button', (all) => all.find((b) => b.textContent === 'people')?.click());
    await page.waitForFunction(() => document.body.innerText.includes('Ruta Malin'));
    await page.type('[aria-label="Find on the board"]', 'no such order');
    const dim = await page.$$eval('[data-task]', (all) => all.map((n) => (n as HTMLElement).style.opacity));
    expect(new Set(dim)).toEqual(new Set(['0.28']));
    await go('/crews/figures');
    await sees(page, 'Hours by week');
    expect(await page.$eval('[role=img]', (n) => n.getAttribute('aria-label'))).toMatch(/of \d+ hours/);
    // What became of plans: minutes that were timed, and days before or after the wanted one.
    await page.waitForFunction(() =>
      [...document.querySelectorAll('[role=img]')].some((n) => /hours planned, \d+ logged/.test(n.ariaLabel ?? '')),
    );
    await sees(page, 'Days after the wanted one');
  });
  it('a link that is ended leads nowhere', async () => {
    await go('/crews/calendars');
    await press(page, 'End it');
    await noticed(page, 'done', /leads nowhere/);
    expect((await fetch(`${world.base}${path}`)).status).toBe(404);
  });
  it('a day is closed early and somebody takes a holiday, in the calendar', async () => {
    const b = await board();
    const days = b.days.filter((d) => d.works && d.day > b.today).map((d) => d.day);
    await go('/settings/calendar');
    await press(page, 'Another day');
    await set('Day', days[20] as string);
    await page.$$eval('[data-testid=form] [aria-label=What] button', (all) =>
      all.find((n) => n.textContent === 'Closes early')?.click(),
    );
    await send(page, 'Write it down');
    await page.waitForSelector(`[data-day="${days[20]}"]`);
    expect(await page.$eval(`[data-day="${days[20]}"]`, (n) => n.textContent)).toMatch(/closes at 13:00/);
    await press(page, 'Somebody is away');
    await set('From', days[21] as string);
    await send(page, 'Write it down');
    await page.waitForSelector(`[data-testid="away"] [data-written="${days[21]}"]`);
  });
  it('a machine is out for a day, and somebody works with another crew: the board shows both', async () => {
    const b = await board();
    const day = b.days.filter((d) => d.works && d.day > b.today).map((d) => d.day)[22] as string;
    await go('/settings/calendar');
    await press(page, 'Something is out');
    await set('From', day);
    await set('Why', 'belt');
    await send(page, 'Write it down');
    await page.waitForSelector(`[data-testid="out"] [data-written="${day}"]`);
    await press(page, 'Another crew for a day');
    await set('From', day);
    await send(page, 'Write it down');
    await page.waitForSelector(`[data-testid="other-crews"] [data-written="${day}"]`);
    const after = await board();
    expect(after.out.find((o) => o.day === day)).toMatchObject({ ref: 'saw', note: 'belt' });
    expect(after.people.some((p) => p.crewOn.some((c) => c.day === day))).toBe(true);
    await page.$$eval(
      '[data-testid="out"] tr',
      (all, d) =>
        all
          .find((n) => n.getAttribute('data-written') === d)
          ?.querySelector('button')
          ?.click(),
      day,
    );
    await page.waitForSelector(`[data-testid="out"] [data-written="${day}"]`, { hidden: true });
    expect((await board()).out.some((o) => o.day === day)).toBe(false);
  });
  it('a trailer that is out this morning is one of the things that come up', async () => {
    await go('/crews/morning');
    await page.$$eval('[aria-label="What came up"] button', (all) =>
      all.find((n) => n.textContent === 'A machine or trailer is out')?.click(),
    );
    await press(page, 'Look for plans');
    await page.waitForSelector('[data-plan]');
    await sees(page, 'Saw is out on');
  });
});
