import { createElement } from 'react';
import type {
  BatchData,
  BatchLine,
  ItemLine,
  NeedsData,
  Purchase,
  PurchaseSummary,
  Supplier,
  ToCut,
} from '../../data/types.ts';
import { elements, html, plain } from '../../testing/rendered.ts';
import { SawBatch } from '../saw/SawBatch.tsx';
import { Batches } from './Batches.tsx';
import { BatchPage } from './BatchPage.tsx';
import { Buying } from './Buying.tsx';
import { CountPage } from './CountPage.tsx';
import { NewItem } from './NewItem.tsx';
import { Items } from './Items.tsx';
import { PurchasePage } from './PurchasePage.tsx';

const me = (...roles: string[]) => ({ '/session': { id: 1, name: 'Wren', roles, units: null } });

const supplier: Supplier = {
  id: 'mill',
  name: 'Mill Timber',
  phone: '555 0100',
  email: '',
  leadDays: 3,
  note: 'Tuesdays.',
  active: true,
  version: 1,
};
const item = (more: Partial<ItemLine>): ItemLine => ({
  item: '2x4',
  name: '2×4',
  kind: 'lumber',
  sizes: [
    { size: '96', cost: 416, carried: true },
    { size: '192', cost: 899, carried: false },
  ],
  pack: 1,
  gravity: 0.42,
  supplierId: 'mill',
  leadDays: null,
  least: 40,
  onRack: 12,
  version: 1,
  ...more,
});
const line = (more: Partial<BatchLine> = {}): BatchLine => ({
  id: 1,
  seq: 1,
  stack: 0,
  kind: 'stick',
  item: '2x4',
  length: 96,
  width: null,
  cost: 416,
  stock: { id: 7, mark: '', place: 'A1' },
  pieces: [
    {
      length: 60,
      parts: [{ order: 1040, part: 'p', mark: 'R1', panel: 'roof', length: 60, ends: 'end mitre 10°' }],
      state: 'open',
    },
  ],
  cuts: null,
  ripped: false,
  dropOf: null,
  rests: [{ length: 35.875 }],
  state: 'open',
  cutBy: null,
  cutAt: null,
  version: 1,
  ...more,
});
const batch = (more: Partial<BatchData> = {}): BatchData => ({
  id: 5,
  title: 'Thursday',
  state: 'planned',
  orders: [{ id: 1040, title: 'Hawthorn' }],
  figures: {
    pieces: 195,
    sticks: 65,
    sheets: 12,
    cost: 81310,
    costBound: 81308,
    proved: false,
    moves: 63,
    costApart: 90000,
    waiting: 13,
    buy: [{ item: '1x3', length: 144, width: null, count: 2, cost: 792 }],
    unplaced: [],
  },
  lines: 1,
  linesCut: 0,
  madeBy: 'Wren',
  madeAt: '2026-05-04 08:00:00',
  version: 2,
  list: [line()],
  job: null,
  ...more,
});

describe('what is to be cut', () => {
  const orders: ToCut[] = [
    {
      orderId: 1040,
      title: 'Hawthorn',
      customer: 'G. Moor',
      wantedBy: '2026-12-01',
      open: 62,
      units: 1,
      inBatches: 36,
      day: '2026-11-27',
    },
    {
      orderId: 1041,
      title: 'Yarrow',
      customer: 'S. Pratt',
      wantedBy: '2026-12-06',
      open: 28,
      units: 1,
      inBatches: 28,
      day: null,
    },
  ];
  const page = (...roles: string[]): string =>
    html(createElement(Batches), 'inches', '/rack/saw', {
      ...me(...roles),
      '/batches/to-cut': orders,
      '/batches': [batch()],
    });
  it('is what no batch has yet, by the day of the crew plan as well', () => {
    const words = plain(page('shop'));
    expect(words).toMatch(/1040 Hawthorn G\. Moor 26 of 62 Fri 27 Nov/);
    expect(words).not.toContain('1041 Yarrow');
    expect(words).toContain('The crew plan’s Fri 27 Nov (1)');
    expect(words).toContain('Choose what to cut');
  });
  it('is looked at by a driver, and planned by nobody who does not saw', () => {
    expect(plain(page('driver'))).not.toContain('Choose what to cut');
    expect(page('driver')).toMatch(/type="checkbox"[^>]*disabled/);
  });
  it('tells what batches cost to the office alone', () => {
    expect(plain(page('office'))).toContain('$813.10 of wood');
    expect(plain(page('shop'))).not.toContain('$');
  });
});

describe('a batch', () => {
  const page = (b: BatchData, ...roles: string[]): string =>
    html(createElement(BatchPage), 'inches', '/', { ...me(...roles), '/batches/': b });
  it('says what it comes to, what is to be there first, and where every piece goes', () => {
    const words = plain(page(batch(), 'office'));
    expect(words).toContain('within $0.02 of the least that any plan can cost');
    expect(words).toMatch(/The stop is set 63 times for 195 pieces/);
    expect(words).toMatch(/1×3 12 ft 2 \$7\.92/);
    expect(words).toContain('1040 · roof 0 of 1 there: R1');
    expect(words).toContain('13 pieces are measured in place first');
  });
  it('hides money from the shop and still says the rest', () => {
    const words = plain(page(batch(), 'shop'));
    expect(words).not.toContain('$');
    expect(words).toContain('To the saw');
    expect(plain(page(batch(), 'driver'))).not.toContain('To the saw');
  });
  it('is given up only while nothing of it is cut', () => {
    expect(plain(page(batch(), 'shop'))).toContain('Give it up');
    expect(plain(page(batch({ list: [line({ state: 'cut' }), line({ id: 2 })] }), 'shop'))).not.toContain('Give it up');
  });
  it('says that its planning was stopped before there was a plan, and how to go on', () => {
    const words = plain(page(batch({ state: 'planning', figures: null, list: [], job: null }), 'shop'));
    expect(words).toContain('stopped before there was a plan');
    expect(words).toContain('Plan it now');
  });
  it('says which pieces have no stick, and why', () => {
    const f = batch().figures as NonNullable<BatchData['figures']>;
    const words = plain(
      page(
        batch({ figures: { ...f, unplaced: [{ order: 1040, mark: 'P1', why: 'At 200 in it is too long.' }] } }),
        'shop',
      ),
    );
    expect(words).toContain('Order 1040, P1: At 200 in it is too long.');
  });
});

describe('at the saw', () => {
  const page = (b: BatchData, style: 'inches' | 'mm' = 'inches'): string =>
    html(createElement(SawBatch), style, '/', { ...me('shop'), '/batches/': b });
  it('shows the stick, where it is, its stops with their angles, where pieces go and what is left', () => {
    const words = plain(page(batch()));
    expect(words).toMatch(/2×4 8 ft from A1/);
    expect(words).toMatch(/60″? ?″? 1 piece end mitre 10°/);
    expect(words).toContain('R1 → 1040 roof');
    expect(words).toMatch(/Left: 35 7\/8 ″ back to the rack/);
    expect(words).toContain('This stick is cut');
  });
  it('stacks what lies on one another, and says so on its button', () => {
    const words = plain(page(batch({ list: [line(), line({ id: 2 })], lines: 2 })));
    expect(words).toContain('2 × 2×4 8 ft');
    expect(words).toContain('These 2 are cut');
    expect(words).toContain('One at a time');
  });
  it('names an offcut by its mark, and says what was not there when it was planned', () => {
    expect(plain(page(batch({ list: [line({ stock: { id: 9, mark: 'R9', place: 'C1' }, length: 41.5 })] })))).toContain(
      'offcut R9, at C1',
    );
    expect(plain(page(batch({ list: [line({ stock: null })] })))).toContain('not on the rack when it was planned');
  });
  it('is read in millimetres where the shop reads those', () => {
    const words = plain(page(batch(), 'mm'));
    expect(words).toContain('2×4 2438 mm');
    expect(words).not.toMatch(/\d ft|″/);
  });
  it('ends with everything cut', () => {
    const words = plain(page(batch({ list: [line({ state: 'cut' })], linesCut: 1, state: 'done' })));
    expect(words).toContain('Everything of this batch is cut');
    expect(words).toContain('All cut');
    expect(words).toContain('Hold: take back');
  });
});

describe('buying', () => {
  const needs: NeedsData = {
    orders: 6,
    cost: 9164,
    lines: [
      {
        item: '2x4',
        name: '2×4',
        length: 144,
        width: null,
        wanted: 40,
        onRack: 26,
        onOrder: 0,
        buy: 14,
        pack: 1,
        each: 624,
        cost: 8736,
        supplierId: 'mill',
        by: '2020-01-08',
        orderBy: '2020-01-05',
        orders: [1038, 1039],
      },
      {
        item: 'hinge',
        name: 'strap hinge',
        length: null,
        width: null,
        wanted: 0,
        onRack: 0,
        onOrder: 0,
        buy: 4,
        pack: 1,
        each: 107,
        cost: 428,
        supplierId: null,
        by: null,
        orderBy: null,
        orders: [],
      },
    ],
  };
  const purchases: PurchaseSummary[] = [
    {
      id: 2,
      supplierId: 'mill',
      supplier: 'Mill Timber',
      state: 'in part',
      due: '2020-01-02',
      orderedAt: '2020-01-01 08:00:00',
      lines: 3,
      cost: 50688,
      version: 2,
    },
    {
      id: 1,
      supplierId: 'mill',
      supplier: 'Mill Timber',
      state: 'received',
      due: null,
      orderedAt: null,
      lines: 1,
      cost: 100,
      version: 3,
    },
  ];
  const words = plain(
    html(createElement(Buying), 'inches', '/rack/buying', {
      ...me('office'),
      '/purchases/needs': needs,
      '/suppliers': [supplier],
      '/purchases': purchases,
    }),
  );
  it('says what is wanted, what there is of it, what to buy by when, and for whom', () => {
    expect(words).toMatch(/2×4 12 ft 40 26 14 \$6\.24 \$87\.36 today, late 1038, 1039/);
    expect(words).toContain('the least that is kept');
  });
  it('goes by supplier, and says where there is none yet', () => {
    expect(words).toContain('3 days. Tuesdays.');
    expect(words).toContain('No supplier yet');
    expect(words).toContain('Say at Items and prices who these are bought from.');
  });
  it('shows what is late of what is ordered', () => {
    expect(words).toMatch(/2 Mill Timber came in part Thu 2 Jan, late 3 \$506\.88 Receive/);
    expect(words).toContain('1 received');
  });
});

describe('a purchase order', () => {
  const order: Purchase = {
    id: 2,
    supplierId: 'mill',
    supplier: 'Mill Timber',
    state: 'in part',
    due: '2026-05-06',
    orderedAt: '2026-05-01 08:00:00',
    lines: 2,
    cost: 50688,
    version: 2,
    note: '',
    madeBy: 'Wren',
    sent: [],
    list: [
      { id: 1, item: '2x4', name: '2×4', length: 96, width: null, quantity: 60, received: 60, each: 416, cost: 24960 },
      { id: 2, item: '2x4', name: '2×4', length: 144, width: null, quantity: 24, received: 10, each: 624, cost: 14976 },
    ],
  };
  const page = (p: Purchase, ...roles: string[]): string =>
    html(createElement(PurchasePage), 'inches', '/', { ...me(...roles), '/purchases/': p });
  it('asks for what is still to come and for nothing else', () => {
    const inputs = elements(page(order, 'shop'), 'button').filter((b) => b.words.startsWith('All '));
    expect(inputs.map((b) => b.words)).toEqual(['All 14']);
    expect(plain(page(order, 'shop'))).toContain('Came in part; the rest is due Wed 6 May.');
  });
  it('is the office’s to send, to print and to pay', () => {
    const words = plain(page({ ...order, state: 'draft' }, 'office'));
    expect(words).toContain('Send it');
    expect(words).toContain('$506.88 before tax and delivery');
    const shop = plain(page({ ...order, state: 'draft' }, 'shop'));
    expect(shop).not.toContain('Send it');
    expect(shop).not.toContain('$');
  });
  it('is closed once nothing more comes', () => {
    expect(plain(page({ ...order, state: 'received' }, 'office'))).not.toContain('Say what came');
  });
});

describe('items and prices', () => {
  const words = plain(
    html(createElement(Items), 'inches', '/rack/items', {
      ...me('office'),
      '/items': [item({}), item({ item: 'hinge', name: 'strap hinge', kind: 'hardware' })],
      '/suppliers': [supplier],
    }),
  );
  it('list the sizes that are carried, who they are from, and what runs low', () => {
    expect(words).toMatch(/2×4 8 ft \$4\.16 Mill Timber 40 12, low/);
    expect(words).not.toContain('16 ft');
    // One kind at a time.
    expect(words).not.toContain('strap hinge');
  });
  it('say how a price list is written', () => expect(words).toContain('Columns: item, length, price.'));
});

describe('an item of one’s own', () => {
  it('asks for what is needed to count and buy it, and is not added without', () => {
    const markup = html(
      createElement(NewItem, { suppliers: [], onClose: () => undefined, onKept: () => undefined }),
      'inches',
    );
    const words = plain(markup);
    for (const label of ['Name', 'What one costs', 'Bought in packs of', 'Bought from', 'Keep at least'])
      expect(words).toContain(label);
    expect(markup).toMatch(/<button[^>]*disabled[^>]*>Add it/);
  });
});

describe('count day', () => {
  const rack = [
    {
      id: 1,
      item: '2x4',
      length: 96,
      width: null,
      place: 'A10',
      mark: '',
      quantity: 86,
      reserved: 0,
      since: '2026-01-05 08:00:00',
    },
    {
      id: 2,
      item: '2x4',
      length: 41.5,
      width: null,
      place: 'A2',
      mark: 'R-104',
      quantity: 1,
      reserved: 0,
      since: '2026-01-05 08:00:00',
    },
  ];
  it('says where a label leads that the book has nothing for', () => {
    const gone = html(createElement(CountPage), 'inches', '/rack/count?line=987654', { ...me('shop'), '/rack': rack });
    expect(plain(gone)).toMatch(/nothing on the line of that label any more/);
    const there = html(createElement(CountPage), 'inches', `/rack/count?line=${rack[0]?.id}`, {
      ...me('shop'),
      '/rack': rack,
    });
    expect(plain(there)).not.toMatch(/that label/);
    expect(there).toContain(`id="counted-${rack[0]?.id}"`);
  });
  it('goes place by place, with what the book says beside each', () => {
    const words = plain(html(createElement(CountPage), 'inches', '/rack/count', { ...me('shop'), '/rack': rack }));
    expect(words.indexOf('A2')).toBeLessThan(words.indexOf('A10'));
    expect(words).toMatch(/2×4 8 ft the book: 86/);
    expect(words).toContain('Nothing counted yet');
  });
  it('is not a driver’s', () => {
    expect(
      plain(html(createElement(CountPage), 'inches', '/rack/count', { ...me('driver'), '/rack': rack })),
    ).toContain('counted by the shop and the office');
  });
});
