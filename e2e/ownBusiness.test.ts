import type { Page } from 'puppeteer-core';
import { isGone, openLauncher } from './launcher.ts';
import type { Launcher } from './launcher.ts';
import { answer, choose, fill, noticed, openPages, press, sees, send, visit } from './world.ts';

let rubbet: Launcher;
let pages: Awaited<ReturnType<typeof openPages>>;
let page: Page;
beforeAll(async () => {
  rubbet = await openLauncher();
  rubbet.start('--own');
  pages = await openPages();
  page = await pages.newPage();
  expect(await rubbet.up(120)).toBe(true);
});
afterAll(async () => {
  await pages.close();
  await rubbet.end();
});

const GOOD = 'four plain words here';
const go = (path: string) => visit(page, `${rubbet.base}${path}`);
const api = (path: string) => page.evaluate(async (p) => (await fetch(`/api${p}`)).json(), path);
let link: string;
let id: number;
let file: string;

describe('a business of one’s own', () => {
  it('begins with the code that the terminal prints', async () => {
    const code = /and give this code there:\s+(\S+)/.exec(rubbet.said())?.[1] ?? '';
    expect(code).toMatch(/^[A-Z2-9]{4}-[A-Z2-9]{4}-[A-Z2-9]{4}$/);
    expect(rubbet.said()).not.toMatch(/hedgerow/);
    await go('/setup');
    await fill(page, 'Code from the terminal', 'WRONG-CODE-HERE');
    await fill(page, 'Your name', 'Marlow Teague');
    await fill(page, 'Login', 'marlow');
    await page.type('input[type=password]', GOOD);
    await fill(page, 'Name of the business', 'Teague Coops');
    await fill(page, 'Address', '1 Ferry Row');
    await fill(page, 'Telephone', '555 0170');
    await press(page, 'Begin');
    await sees(page, 'not the code that the terminal printed');
    await fill(page, 'Code from the terminal', code.toLowerCase());
    await press(page, 'Begin');
    await page.waitForFunction(() => location.pathname === '/settings/people');
    await sees(page, 'Marlow Teague');
    expect(await api('/business')).toMatchObject({ name: 'Teague Coops', demo: false, demoPasswords: false });
  });

  it('takes two people in, one with a link that works once', async () => {
    for (const [name, role] of [
      ['Corrie Lund', 'Shop'],
      ['Heron Vale', 'Driver'],
    ] as const) {
      await press(page, 'Take somebody in');
      await fill(page, 'Name', name);
      if (role === 'Driver') await choose(page, 'Roles', 'Shop');
      if (role === 'Driver') await choose(page, 'Roles', 'Driver');
      await send(page, 'Take in');
      await page.waitForSelector(`[data-person="${name}"]`);
    }
    await page.$$eval('[data-person="Corrie Lund"] button', (list) =>
      list.find((b) => b.textContent?.trim() === 'Invite')?.click(),
    );
    await page.waitForSelector('[data-testid=one-time-link]');
    link = await page.$eval('[data-testid=one-time-link]', (n) => (n as HTMLInputElement).value);
    await page.$$eval('dialog[open] button', (list) => list.find((b) => b.textContent?.trim() === 'Close')?.click());
    const corrie = await pages.newPage(1024, 768);
    await visit(corrie, link);
    await sees(corrie, 'Welcome, Corrie Lund');
    await fill(corrie, 'Login', 'corrie');
    await corrie.type('input[type=password]', 'too short');
    await press(corrie, 'Come in');
    await sees(corrie, 'at least 10 letters');
    await corrie.click('input[type=password]', { count: 3 });
    await corrie.type('input[type=password]', `${GOOD} too`);
    await press(corrie, 'Come in');
    await corrie.waitForFunction(() => location.pathname === '/');
    // A page of the office's says so at once.
    await visit(corrie, `${rubbet.base}/settings/people`);
    await sees(corrie, 'Not yours to see');
    await visit(corrie, link);
    await sees(corrie, 'This link leads nowhere');
    await corrie.close();
  });

  it('has a bay with its size, a crew, a trailer and a vehicle', async () => {
    await go('/settings/crews');
    await press(page, 'Add a crew or bay');
    await fill(page, 'Name', 'Long bay');
    for (const [side, size] of [
      ['Clear length', `40'`],
      ['Clear width', `20'`],
      ['Clear height', `13'`],
    ] as const)
      await fill(page, side, size);
    await page.$$eval('dialog[open] label', (list) =>
      list
        .find((l) => l.textContent?.includes('Corrie Lund'))
        ?.querySelector('input')
        ?.click(),
    );
    await send(page, 'Add');
    await page.waitForSelector('[data-crew=long-bay]');
    expect(await page.$eval('[data-crew=long-bay]', (n) => n.textContent)).toMatch(/40' × 20', 13' high.*Corrie Lund/);
    await press(page, 'Add a crew or bay');
    await choose(page, 'It is', 'A crew');
    await fill(page, 'Name', 'All hands');
    for (const work of ['Framing', 'Paint', 'Saw', 'Loading', 'Driving', 'Setting on site'])
      await choose(page, 'Work that is done', work);
    await send(page, 'Add');
    await page.waitForSelector('[data-crew=all-hands]');
    await go('/settings/fleet');
    await press(page, 'Add a trailer');
    await fill(page, 'Name', 'Tilt trailer');
    for (const [label, value] of [
      ['Length of the bed', '192'],
      ['Width of the bed', '82'],
      ['Height of the bed', '24'],
      ['Carries, lb', '5200'],
      ['Weighs empty, lb', '1900'],
    ] as const)
      await fill(page, label, value);
    await send(page, 'Add');
    await page.waitForSelector('[data-trailer=tilt-trailer]');
    const { places } = await api('/board');
    expect(places.map((r: { id: string }) => r.id)).toEqual(['long-bay', 'all-hands']);
  });

  it('takes its first order to a printed work order with its own name on it', async () => {
    await go('/orders?enquiry=new');
    await fill(page, 'Name', 'Wren Tallow');
    await fill(page, 'Phone', '555 0180');
    await fill(page, 'Way from the shop, miles', '8');
    await fill(page, 'What for', 'House for four hens');
    await press(page, 'Write it down');
    await page.waitForFunction(() => /\/orders\/\d+\/flock/.test(location.pathname));
    id = Number(/orders\/(\d+)/.exec(page.url())?.[1]);
    await fill(page, 'Birds now', '3');
    await fill(page, 'Birds in two years', '4');
    await press(page, 'Keep the flock, go to Build');
    await page.waitForFunction(() => location.pathname.endsWith('/build'));
    await page.waitForSelector('[data-testid=live-strip] div div');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('button')].some((b) => b.textContent === 'Keep this revision' && !b.disabled),
    );
    await press(page, 'Keep this revision');
    await noticed(page, 'done', /[Rr]evision/);
    await go(`/orders/${id}/price`);
    await press(page, 'The customer accepts');
    await answer(page, 'They accept');
    await noticed(page, 'done', /Accepted at \$/);
    await go(`/orders/${id}/days`);
    await press(page, 'Put it on the board');
    await noticed(page, 'done', /on the board/);
    await go(`/orders/${id}/bench`);
    await press(page, 'Make the work order');
    await noticed(page, 'done', /work order is made/);
    const printed = await page.evaluate(async (n) => {
      const r = await fetch(`/api/orders/${n}/work-order.pdf`);
      return [r.headers.get('content-type'), (await r.arrayBuffer()).byteLength] as const;
    }, id);
    expect(printed[0]).toBe('application/pdf');
    expect(printed[1]).toBeGreaterThan(20_000);
    const { token } = await api(`/orders/${id}`);
    const customer = await pages.newPage(390, 844);
    await visit(customer, `${rubbet.base}/visit/${token}`);
    await sees(customer, 'Teague Coops');
    await sees(customer, '555 0170');
    await customer.close();
  });

  it('is found again by telephone in the palette, which does things as well', async () => {
    await page.keyboard.down('Control');
    await page.keyboard.press('k');
    await page.keyboard.up('Control');
    await page.waitForSelector('.palette input');
    await page.type('.palette input', '5550180');
    await page.waitForFunction(() => document.querySelector('.palette')?.textContent?.includes('House for four hens'));
    await page.keyboard.press('Escape');
    await go('/nowhere/at/all');
    await sees(page, 'There is no such page');
  });

  it('is there again from last night’s backup', async () => {
    const backup = await rubbet.run('backup', '--own');
    expect(backup.out).toMatch(/Backed up to/);
    file = /Backed up to (\S+?)\.? Read/.exec(backup.out)?.[1] ?? '';
    await page.evaluate(async () => {
      await fetch('/api/customers', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ name: 'Came after the backup' }),
      });
    });
    const launcher = rubbet.pidOf('launcher');
    process.kill(launcher, 'SIGTERM');
    expect(await isGone(launcher, 40)).toBe(true);
    const restored = await rubbet.run('restore', '--own', file);
    expect([restored.code, restored.out]).toEqual([
      0,
      expect.stringMatching(/Read in: \d+ records.*npm start -- --own/s),
    ]);
    rubbet.start('--own');
    expect(await rubbet.up(120)).toBe(true);
    await go('/sign-in');
    if ((await page.$('input[type=password]')) !== null) {
      await page.type('input[autocomplete=username]', 'marlow');
      await page.type('input[type=password]', GOOD);
      await page.keyboard.press('Enter');
      await page.waitForFunction(() => !location.pathname.startsWith('/sign-in'));
    }
    expect(await api(`/orders/${id}`)).toMatchObject({ title: 'House for four hens', workOrder: { doneAt: null } });
    expect((await api('/customers')).map((c: { name: string }) => c.name)).toEqual(['Wren Tallow']);
    expect((await api('/people')).map((p: { name: string }) => p.name).sort()).toEqual([
      'Corrie Lund',
      'Heron Vale',
      'Marlow Teague',
    ]);
  });

  it('lets somebody who is locked out in again from the terminal', async () => {
    const { out } = await rubbet.run('user', 'reset', 'corrie', '--own');
    const way = /http:\S+\/welcome\/\S+/.exec(out)?.[0] ?? '';
    const corrie = await pages.newPage();
    await visit(corrie, way);
    await sees(corrie, 'Choose a new password');
    await corrie.type('input[type=password]', 'quite another four words');
    await press(corrie, 'Come in');
    await corrie.waitForFunction(() => location.pathname === '/');
    expect((await rubbet.run('user', 'reset', 'nobody', '--own')).out).toMatch(/Nobody signs in as "nobody"/);
    expect((await rubbet.run('user')).code).toBe(2);
  });
});
