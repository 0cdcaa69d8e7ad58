import { BUSINESS_RULES, makeShow } from '@rubbet/core/order';
import { sayDetail } from './sayDetail.ts';

const show = makeShow(BUSINESS_RULES.units, 'CAD');

describe('what a deed says of itself', () => {
  it('has old and new, reasons, and money as money', () => {
    expect(
      sayDetail(
        {
          dayMinutes: { from: 480, to: 540 },
          why: 'summer',
          phone: { from: '', to: '555' },
          undone: [],
          price: { total: 123400 },
        },
        show,
      ),
    ).toEqual(['day minutes: 480 → 540', 'why: summer', 'phone: nothing → 555', 'price CA$1,234.00']);
  });
  it('is kept short', () => {
    const lines = sayDetail(Object.fromEntries(Array.from({ length: 30 }, (_, i) => [`k${i}`, 'x'.repeat(500)])), show);
    expect(lines).toHaveLength(9);
    expect(lines.at(-1)).toBe('and 22 more');
    expect(Math.max(...lines.map((l) => l.length))).toBeLessThan(140);
  });
});
