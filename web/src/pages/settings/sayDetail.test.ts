import { BUSINESS_RULES, makeShow } from '@rubbet/core/order';
import { sayAgent, sayDetail } from './sayDetail.ts';

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

describe('a browser in words', () => {
  it.each([
    [
      'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/150.0.0.0 Safari/537.36',
      'Chromium on Linux',
    ],
    [
      'Mozilla/5.0 (iPad; CPU OS 18_0 like Mac OS X) AppleWebKit/605 (KHTML, like Gecko) Version/18.0 Safari/604.1',
      'Safari on iPad',
    ],
    ['Mozilla/5.0 (Windows NT 10.0; Win64; x64; rv:140.0) Gecko/20100101 Firefox/140.0', 'Firefox on Windows'],
    ['', 'unknown program'],
    ['curl/8', 'curl/8'],
  ])('%s', (agent, words) => expect(sayAgent(agent)).toBe(words));
});
