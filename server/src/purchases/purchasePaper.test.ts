import { BUSINESS, BUSINESS_RULES, makeShow } from '@rubbet/core/order';
import { purchaseLetter, purchasePdf, sizeText } from './purchasePaper.ts';
import type { Purchase } from './purchases.answers.ts';

const inches = makeShow(BUSINESS_RULES.units);
const mm = makeShow({ style: 'mm', denominator: 16 }, 'EUR');
const order: Purchase = {
  id: 12,
  supplierId: 'mill',
  supplier: 'Mill Timber',
  state: 'ordered',
  due: '2026-05-08',
  orderedAt: '2026-05-04 08:00:00',
  lines: 3,
  cost: 24960 + 23124 + 62000,
  version: 2,
  note: 'Straight ones, please.',
  madeBy: 'Wren',
  sent: [],
  list: [
    { id: 1, item: '2x4', name: '2×4', length: 96, width: null, quantity: 60, received: 0, each: 416, cost: 24960 },
    {
      id: 2,
      item: 'hardware-cloth',
      name: 'hardware cloth',
      length: 600,
      width: 36,
      quantity: 2,
      received: 0,
      each: 11562,
      cost: 23124,
    },
    {
      id: 3,
      item: 'hinge',
      name: 'strap hinge',
      length: null,
      width: null,
      quantity: 100,
      received: 0,
      each: 620,
      cost: 62000,
    },
  ],
};
const business = { ...BUSINESS, name: 'Withy Bend Coops' };

describe('a purchase order as it is written', () => {
  it('says how many of what size, by when, and what was noted, and no price', () => {
    const letter = purchaseLetter(order, business, inches).split('\n');
    expect(letter).toEqual([
      'Purchase order 12 of Withy Bend Coops',
      'Wanted by 2026-05-08',
      '',
      '60 × 2×4, 96"',
      '2 × hardware cloth, 36" × 600"',
      '100 × strap hinge',
      '',
      'Straight ones, please.',
    ]);
  });
  it('is written in the business’s units', () => {
    expect(order.list.map((l) => sizeText(l, mm))).toEqual(['2438 mm', '914 mm × 15240 mm', '']);
  });
  it('says nothing of a day or a note that there is none of', () => {
    const letter = purchaseLetter({ ...order, due: null, note: '' }, business, inches);
    expect(letter).not.toMatch(/Wanted by/);
    expect(letter.endsWith('strap hinge')).toBe(true);
  });
  it('is a paper of its own', async () => {
    const supplier = {
      id: 'mill',
      name: 'Mill Timber',
      phone: '555 0100',
      email: '',
      leadDays: 3,
      note: '',
      active: true,
      version: 1,
    };
    const pdf = await purchasePdf(order, supplier, { show: inches, business });
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  });
});
