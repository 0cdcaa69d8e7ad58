import { findItem } from '@rubbet/core/stock';
import { judgeLedger } from '../testing/judgeLedger.ts';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { ItemLine, MarginLine, PriceListAnswer, Supplier } from '../items/items.answers.ts';
import type { CostingAnswer } from '../costing/costing.answers.ts';
import type { CountAnswer, LedgerEntry, RackLine } from '../rack/rack.answers.ts';
import type { Availability, NeedsAnswer, Purchase, PurchaseSummary } from './purchases.answers.ts';
import { askDesk } from './supplierDesk.ts';

let app: TestApp;
let office: Agent;
let shop: Agent;
beforeAll(async () => {
  app = await openTestApp('purchases');
  office = await app.as('office');
  shop = await app.as('shop');
});
afterAll(() => app.close());

const items = async (): Promise<ItemLine[]> => (await office.get('/api/items').expect(200)).body as ItemLine[];
const item = async (key: string): Promise<ItemLine> => (await items()).find((i) => i.item === key) as ItemLine;
const rackOf = async (key: string, length: number | null): Promise<number> =>
  ((await office.get('/api/rack')).body as RackLine[])
    .filter((l) => l.item === key && l.length === length && l.mark === '')
    .reduce((n, l) => n + l.quantity, 0);
const list = (csv: string, apply: boolean) =>
  office.post('/api/suppliers/millrace-timber/price-list').send({ csv, apply });

describe('items', () => {
  it('stand with their sizes, supplier, and what is there of them', async () => {
    const board = await item('2x4');
    expect(board.sizes.find((s) => s.size === '96')).toEqual({ size: '96', cost: 416, carried: true });
    expect(board.supplierId).toBe('millrace-timber');
    expect(board.onRack).toBeGreaterThan(100);
    expect(board.least).toBe(40);
  });

  it('are carried in the lengths that are said, and orders are built from those', async () => {
    const before = await item('1x4');
    const sizes = before.sizes.filter((s) => s.size === '96').map(({ size, cost }) => ({ size, cost }));
    const after = (await office.patch('/api/items/1x4').send({ version: before.version, sizes }).expect(200))
      .body as ItemLine;
    expect(after.sizes.map((s) => [s.size, s.carried])).toEqual([
      ['96', true],
      ['120', false],
      ['144', false],
    ]);
    const rules = (await shop.get('/api/settings').expect(200)).body.rules as { items: Record<string, unknown> };
    expect(rules.items['1x4']).toEqual({ lengths: [{ length: 96, cost: 368 }] });
    const stale = await office.patch('/api/items/1x4').send({ version: before.version, least: 3 }).expect(409);
    expect(stale.body.theirs).toBe(after.version);
    await office
      .patch('/api/items/1x4')
      .send({ version: after.version, sizes: before.sizes.map(({ size, cost }) => ({ size, cost })) })
      .expect(200);
  });

  it('refuse what they cannot be, with what is wrong', async () => {
    const { version } = await item('2x4');
    const none = await office.patch('/api/items/2x4').send({ version, sizes: [] }).expect(400);
    expect(none.body.message).toMatch(/at least one length/);
    const short = await office
      .patch('/api/items/2x4')
      .send({ version, sizes: [{ size: '6', cost: 10 }] })
      .expect(400);
    expect(short.body.message).toMatch(/sticks are 24 to 384 in long/);
    await office.patch('/api/items/nothing').send({ version: 0, least: 1 }).expect(404);
    await shop.patch('/api/items/2x4').send({ version, least: 1 }).expect(403);
    const setting = await office
      .patch('/api/settings')
      .send({ version: 0, value: { items: {} } })
      .expect(400);
    expect(setting.body.message).toMatch(/list of items/);
  });
});

describe('an item of the business’s own', () => {
  const glue = { name: 'Wood glue, 1 gal', cost: 1895, pack: 4, least: 6 };
  it('is added once, kept, bought in packs and put on the rack like any other', async () => {
    const made = (await office.post('/api/items').send(glue).expect(201)).body as ItemLine;
    expect(made).toMatchObject({ name: glue.name, kind: 'hardware', pack: 4, least: 6, onRack: 0, version: 1 });
    expect(made.sizes).toEqual([{ size: '', cost: 1895, carried: true }]);
    const again = await office
      .post('/api/items')
      .send({ ...glue, name: '  wood GLUE,  1 gal ' })
      .expect(409);
    expect(again.body.message).toMatch(/Wood glue, 1 gal already/);
    await office
      .post('/api/items')
      .send({ ...glue, name: '2×4' })
      .expect(409);
    await shop.post('/api/items').send(glue).expect(403);
    // None are there: two packs of four bring it over the six that are kept.
    const { lines } = (await office.get('/api/purchases/needs').expect(200)).body as NeedsAnswer;
    const mine = lines.find((l) => l.item === made.item);
    expect(mine).toMatchObject({ name: glue.name, buy: 8, each: 1895, cost: 8 * 1895, by: null });
    const counted = { lines: [{ item: made.item, place: 'F4', quantity: 7 }] };
    const rack = (await shop.post('/api/rack/count').send(counted).expect(200)).body as RackLine[];
    expect(rack.find((l) => l.item === made.item)).toMatchObject({ quantity: 7, place: 'F4' });
    const next = (await office.get('/api/purchases/needs').expect(200)).body as NeedsAnswer;
    expect(next.lines.some((l) => l.item === made.item)).toBe(false);
  });
  it('has its price changed with a history, and is told to the shop without', async () => {
    const key = encodeURIComponent('own:Wood glue, 1 gal');
    const change = { version: 1, sizes: [{ size: '', cost: 2050 }] };
    const line = (await office.patch(`/api/items/${key}`).send(change).expect(200)).body as ItemLine;
    expect(line).toMatchObject({ pack: 4, sizes: [{ cost: 2050 }] });
    const prices = (await office.get(`/api/items/${key}/prices`).expect(200)).body as { cost: number }[];
    expect(prices.map((p) => p.cost)).toEqual([2050, 1895]);
    const { rules } = (await shop.get('/api/settings').expect(200)).body as { rules: { items: object } };
    expect(rules.items).toMatchObject({ 'own:Wood glue, 1 gal': {} });
    expect(JSON.stringify(rules.items)).not.toMatch(/2050/);
    await office
      .patch(`/api/items/${encodeURIComponent('own:Nobody has this')}`)
      .send({ version: 0, least: 2 })
      .expect(404);
  });
});

describe('a price list', () => {
  it('is told row by row what is wrong with it, and changes nothing', async () => {
    const before = await items();
    const answer = (
      await list(
        'item,length,price\n2x4,8 ft,4.30\n2x4,96,4.40\nunobtainium,,1\n2x4,9 in,2\nhinge,,free\n',
        true,
      ).expect(200)
    ).body as PriceListAnswer;
    expect(answer.applied).toBe(false);
    expect(answer.faults).toEqual([
      { row: 3, message: '2x4 96 stands in row 2 already: leave one of them.' },
      { row: 4, message: expect.stringMatching(/no item "unobtainium"/) },
      { row: 5, message: expect.stringMatching(/not sold as "9 in"/) },
      { row: 6, message: expect.stringMatching(/price of hinge is "free"/) },
    ]);
    expect(await items()).toEqual(before);
  });

  it('is told where its heading is wrong', async () => {
    const answer = (await list('what;price\n2x4;4\n', true).expect(200)).body as PriceListAnswer;
    expect(answer.faults[0]).toEqual({ row: 1, message: expect.stringMatching(/no "item"/) });
    expect(answer.faults[1]?.message).toMatch(/has "what"/);
  });

  it('is looked at first, then taken over with its history, and shows which orders lose by it', async () => {
    const csv = 'item,length,price\n2x4,8 ft,$5.25\n2×4,144,7.80\nscrew-3,,0.15\nhardware-cloth,48x1200,290.00\n';
    const seen = (await list(csv, false).expect(200)).body as PriceListAnswer;
    expect(seen.applied).toBe(false);
    expect(seen.lines[0]).toMatchObject({ item: '2x4', size: '96', before: 416, cost: 525, carried: true });
    expect((await item('2x4')).sizes.find((s) => s.size === '96')?.cost).toBe(416);
    expect(((await list(csv, true).expect(200)).body as PriceListAnswer).applied).toBe(true);
    const after = await item('2x4');
    expect(after.sizes.find((s) => s.size === '96')?.cost).toBe(525);
    expect(after.sizes.find((s) => s.size === '120')?.cost).toBe(520);
    const history = (await office.get('/api/items/2x4/prices').expect(200)).body as { size: string; cost: number }[];
    expect(history.find((h) => h.size === '96')?.cost).toBe(525);
    expect(history.filter((h) => h.size === '96').length).toBeGreaterThan(3);
    const lost = (await office.get('/api/items/margins').expect(200)).body as MarginLine[];
    expect(lost.length).toBeGreaterThan(3);
    for (const l of lost) {
      expect(l.marginThen).toBeCloseTo(1 - l.costThen / l.accepted, 9);
      expect(l.costNow).toBeGreaterThan(l.costThen);
    }
    // What was accepted stays what it was.
    const order = await app.order(lost[0]?.orderId as number);
    expect(order.accepted?.price?.net).toBe(lost[0]?.accepted);
  });
});

describe('suppliers', () => {
  it('are written down and changed', async () => {
    const made = (await office.post('/api/suppliers').send({ name: 'Alder Fixings', leadDays: 4 }).expect(201))
      .body as Supplier[];
    const one = made.find((s) => s.name === 'Alder Fixings') as Supplier;
    const bad = await office.patch(`/api/suppliers/${one.id}`).send({ version: one.version, email: 'no' }).expect(400);
    expect(bad.body.message).toMatch(/mail address/);
    await office.patch(`/api/suppliers/${one.id}`).send({ version: one.version, phone: '555 0199' }).expect(200);
    await office.patch(`/api/suppliers/${one.id}`).send({ version: one.version, phone: '1' }).expect(409);
  });

  it('answer the same on the same day, and never with more than was asked for', () => {
    const ask = (item: string) => askDesk('millrace-timber', { item, length: 96, quantity: 40 }, '2026-05-04', 3);
    expect(ask('2x4')).toEqual(ask('2x4'));
    const answers = ['1x2', '1x3', '1x4', '1x6', '2x2', '2x3', '2x4', '2x6', '2x8', '4x4'].map(ask);
    expect(answers.every((a) => a.has >= 0 && a.has <= 40 && a.days >= 3)).toBe(true);
    expect(new Set(answers.map((a) => a.has)).size).toBeGreaterThan(1);
  });
});

describe('what is to be bought', () => {
  it('is what all accepted orders need, less the rack and what is on its way', async () => {
    const needs = (await office.get('/api/purchases/needs').expect(200)).body as NeedsAnswer;
    expect(needs.orders).toBeGreaterThan(3);
    expect(needs.lines.length).toBeGreaterThan(5);
    for (const l of needs.lines) {
      expect(l.buy % l.pack).toBe(0);
      expect(l.cost).toBe(l.buy * l.each);
      if (l.by !== null && l.orderBy !== null) expect(l.orderBy <= l.by).toBe(true);
    }
    expect(needs.cost).toBe(needs.lines.reduce((n, l) => n + l.cost, 0));
    // Ordered, nothing of it is asked for again.
    const bySupplier = new Map<string, NeedsAnswer['lines'][number][]>();
    for (const l of needs.lines)
      bySupplier.set(l.supplierId ?? 'oxbow-hardware', [
        ...(bySupplier.get(l.supplierId ?? 'oxbow-hardware') ?? []),
        l,
      ]);
    for (const [supplierId, lines] of bySupplier) {
      const p = (
        await office
          .post('/api/purchases')
          .send({
            supplierId,
            lines: lines.map((l) => ({
              item: l.item,
              ...(l.length === null ? {} : { length: l.length }),
              ...(l.width === null ? {} : { width: l.width }),
              quantity: l.buy,
              each: l.each,
            })),
          })
          .expect(201)
      ).body as Purchase;
      await office.post(`/api/purchases/${p.id}/send`).send({ version: p.version }).expect(200);
    }
    const again = (await office.get('/api/purchases/needs').expect(200)).body as NeedsAnswer;
    const counted = again.lines.filter((l) => !['lumber', 'sheet'].includes(findItem(l.item).kind));
    expect(counted).toEqual([]);
    expect(again.cost).toBeLessThan(needs.cost * 0.05);
    await shop.get('/api/purchases/needs').expect(403);
  });
});

describe('a purchase order', () => {
  it('is written, sent, received in part, ordered back and received', async () => {
    const made = (
      await office
        .post('/api/purchases')
        .send({
          supplierId: 'millrace-timber',
          note: 'Straight ones, please.',
          lines: [
            { item: '2x4', length: 96, quantity: 10, each: 525 },
            { item: '2x4', length: 144, quantity: 4, each: 780 },
          ],
        })
        .expect(201)
    ).body as Purchase;
    expect(made).toMatchObject({ state: 'draft', cost: 10 * 525 + 4 * 780 });
    const early = await shop
      .post(`/api/purchases/${made.id}/receive`)
      .send({ version: made.version, lines: [{ id: made.list[0]?.id, quantity: 1 }] })
      .expect(409);
    expect(early.body.message).toMatch(/is draft/);
    const sent = (await office.post(`/api/purchases/${made.id}/send`).send({ version: made.version }).expect(200))
      .body as Purchase;
    expect(sent.state).toBe('ordered');
    expect(sent.sent[0]?.to).toBe('orders@millrace.example');
    expect(sent.sent[0]?.body).toMatch(/10 × 2×4, 96"/);
    const there = await rackOf('2x4', 96);
    const part = (
      await shop
        .post(`/api/purchases/${made.id}/receive`)
        .send({ version: sent.version, due: '2027-01-08', lines: [{ id: sent.list[0]?.id, quantity: 6 }] })
        .expect(200)
    ).body as Purchase;
    expect(part).toMatchObject({ state: 'in part', due: '2027-01-08' });
    expect(await rackOf('2x4', 96)).toBe(there + 6);
    const answers = (await office.get(`/api/purchases/${made.id}/availability`).expect(200)).body as Availability[];
    expect(answers).toHaveLength(2);
    const tooMany = await shop
      .post(`/api/purchases/${made.id}/receive`)
      .send({ version: part.version, lines: [{ id: part.list[0]?.id, quantity: 5 }] })
      .expect(400);
    expect(tooMany.body.message).toMatch(/4 of 2×4 were still to come/);
    expect(await rackOf('2x4', 96)).toBe(there + 6);
    const whole = (
      await shop
        .post(`/api/purchases/${made.id}/receive`)
        .send({ version: part.version, lines: part.list.map((l) => ({ id: l.id, quantity: l.quantity - l.received })) })
        .expect(200)
    ).body as Purchase;
    expect(whole.state).toBe('received');
    expect(await rackOf('2x4', 96)).toBe(there + 10);
    const ledger = (await office.get('/api/rack/ledger')).body as LedgerEntry[];
    expect(ledger.slice(0, 2).every((e) => e.kind === 'received' && e.purchaseId === made.id)).toBe(true);
    await judgeLedger(app.db);
  });

  it('brings whole sheets to the line that they lie in, however they are written', async () => {
    const sheets = async (): Promise<RackLine[]> =>
      ((await office.get('/api/rack')).body as RackLine[]).filter((l) => l.item === 'ply-1/2' && l.mark === '');
    const before = await sheets();
    const made = (
      await office
        .post('/api/purchases')
        .send({
          supplierId: 'millrace-timber',
          lines: [{ item: 'ply-1/2', length: 96, width: 48, quantity: 3, each: 3450 }],
        })
        .expect(201)
    ).body as Purchase;
    const sent = (await office.post(`/api/purchases/${made.id}/send`).send({ version: made.version }).expect(200))
      .body as Purchase;
    await shop
      .post(`/api/purchases/${made.id}/receive`)
      .send({ version: sent.version, lines: [{ id: sent.list[0]?.id, quantity: 3 }] })
      .expect(200);
    const after = await sheets();
    expect(after).toHaveLength(before.length);
    expect(after[0]?.quantity).toBe((before[0]?.quantity ?? 0) + 3);
  });

  it('is printed, and written as a table', async () => {
    const [first] = (await office.get('/api/purchases').expect(200)).body as PurchaseSummary[];
    const pdf = await office.get(`/api/purchases/${first?.id}/order.pdf`).expect(200);
    expect(pdf.headers['content-type']).toBe('application/pdf');
    const csv = await office.get(`/api/purchases/${first?.id}/order.csv`).expect(200);
    expect(csv.text.split('\r\n')[0]).toBe('item,name,length,width,quantity,received,price');
  });

  it('is cancelled with a reason; what had come stays', async () => {
    const open = ((await office.get('/api/purchases')).body as PurchaseSummary[]).find((p) => p.state === 'in part');
    const done = (
      await office
        .post(`/api/purchases/${open?.id}/cancel`)
        .send({ version: open?.version, why: 'bought elsewhere' })
        .expect(200)
    ).body as Purchase;
    expect(done.state).toBe('received');
    await office.post(`/api/purchases/${open?.id}/cancel`).send({ version: done.version, why: 'again' }).expect(409);
  });

  it('sells to nobody what does not exist', async () => {
    const answer = await office
      .post('/api/purchases')
      .send({ supplierId: 'millrace-timber', lines: [{ item: 'moon', quantity: 1, each: 1 }] })
      .expect(400);
    expect(answer.body.message).toMatch(/no item "moon"/);
    await office
      .post('/api/purchases')
      .send({ supplierId: 'nobody', lines: [{ item: '2x4', length: 96, quantity: 1, each: 1 }] })
      .expect(400);
  });
});

describe('a count of the rack', () => {
  it('is read as a sheet, all of it or nothing', async () => {
    const before = await rackOf('2x4', 96);
    const bad = (
      await shop
        .post('/api/rack/count-sheet')
        .send({ csv: 'item,length,mark,place,quantity\n2x4,96,,A1,12\n2x4,,,A1,3\n2x3,8 ft,,A3,many\n', apply: true })
        .expect(200)
    ).body as CountAnswer;
    expect(bad.applied).toBe(false);
    expect(bad.faults.map((f) => f.row)).toEqual([3, 4]);
    expect(await rackOf('2x4', 96)).toBe(before);
    const good = (
      await shop
        .post('/api/rack/count-sheet')
        .send({ csv: 'item,length,quantity\n2x4,8 ft,31\nhinge,,7\n', apply: true })
        .expect(200)
    ).body as CountAnswer;
    expect(good.applied).toBe(true);
    expect(await rackOf('2x4', 96)).toBe(31);
    expect(await rackOf('hinge', null)).toBe(7);
    await judgeLedger(app.db);
  });

  it('never takes away what is not there', async () => {
    const line = ((await shop.get('/api/rack')).body as RackLine[]).find((l) => l.item === 'hinge') as RackLine;
    const answer = await shop
      .post(`/api/rack/${line.id}/moves`)
      .send({ kind: 'spoiled', change: -(line.quantity + 1), why: 'rusted' })
      .expect(409);
    expect(answer.body.message).toMatch(/Only 7 of strap hinge/);
    const two = await Promise.all(
      [office, shop].map((me) =>
        me.post(`/api/rack/${line.id}/moves`).send({ kind: 'spoiled', change: -4, why: 'rusted' }),
      ),
    );
    expect(two.map((t) => t.status).sort()).toEqual([200, 409]);
    await judgeLedger(app.db);
  });
});

describe('what orders took', () => {
  it('is planned against actual, and adds up inch for inch', async () => {
    const { orders, yields } = (await office.get('/api/costing').expect(200)).body as CostingAnswer;
    expect(yields.length).toBeGreaterThan(6);
    for (const y of yields) {
      const parts = y.pieces + y.returned + y.kerf + y.spoiled + y.scrap;
      expect(Math.abs(parts - y.taken)).toBeLessThan(1e-6 * y.taken + 1e-6);
    }
    const cut = orders.filter((o) => o.woodCut !== null);
    expect(cut.length).toBeGreaterThan(1);
    for (const o of cut) {
      expect(o.cutShare).toBeGreaterThan(0.9);
      // Built from whole sticks bought for it: within a third of what was planned.
      expect((o.woodCut as number) / o.woodPlanned).toBeGreaterThan(0.5);
      expect((o.woodCut as number) / o.woodPlanned).toBeLessThan(1.35);
      expect(o.minutesLogged).toBeGreaterThan(0);
    }
    await shop.get('/api/costing').expect(403);
    await judgeLedger(app.db);
  });
});
