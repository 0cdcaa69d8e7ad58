import { createElement } from 'react';
import type { ReplanData } from '../../data/types.ts';
import { blockOf, boardOf } from '../../testing/board.ts';
import { elements, html, plain } from '../../testing/rendered.ts';
import { DaysMoved } from './DaysMoved.tsx';
import { WaitLines } from './WaitLines.tsx';

type Plan = ReplanData['plans'][number];
const TODAY = '2026-05-05';
const order = (orderId: number, before: string | null, after: string | null, late = 0): Plan['orders'][number] => ({
  orderId,
  title: 'Sorrel',
  before: before === null ? null : { day: before, late: 0 },
  after: after === null ? null : { day: after, late },
});
const drawn = (...orders: Plan['orders']): string =>
  html(createElement(DaysMoved, { plan: { orders } as unknown as Plan, today: TODAY }));

describe('days before and after a plan', () => {
  it('are a line for each order, with both days told', () => {
    const markup = drawn(order(7, '2026-05-08', '2026-05-11'), order(8, '2026-05-12', '2026-05-07'));
    expect(markup).toContain('Days of 2 orders before and after');
    expect([...markup.matchAll(/title="([^"]+)"/g)].map((m) => m[1])).toEqual([
      'before: Fri 8 May',
      'after: Mon 11 May',
      'before: Tue 12 May',
      'after: Thu 7 May',
    ]);
    expect(plain(markup)).toMatch(/Tue 5 May.*○ before ● after.*in 7 days/);
  });
  it('leave out what had no day, or has none now', () => {
    expect(plain(drawn(order(7, null, '2026-05-11'), order(8, '2026-05-12', null)))).toBe('');
    expect(drawn(order(7, null, '2026-05-11'), order(9, '2026-05-06', '2026-05-06'))).toContain(
      'Days of an order before',
    );
  });
  it('keep to the line, whatever is behind today', () => {
    const lefts = [...drawn(order(7, '2026-05-01', '2026-05-15')).matchAll(/left:(?:calc\()?([\d.]+)%/g)].map((m) =>
      Number(m[1]),
    );
    for (const left of lefts) expect(left >= 0 && left <= 100).toBe(true);
  });
});

describe('what a block waits for, line by line', () => {
  const lines = (more: Parameters<typeof blockOf>[1], buyer = true): string => {
    const op = blockOf('7/saw', more);
    const data = boardOf({ operations: [op] });
    return html(createElement(WaitLines, { data, op, buyer }));
  };
  const short = { supply: { day: '2026-05-08', coming: ['2×4'], buy: ['hinge'], orderBy: '2026-05-06' } };
  it('is what is ordered and what is not, with the way to what is to be bought for whoever buys', () => {
    const markup = lines(short);
    expect(plain(markup)).toMatch(/2×4 is ordered\..*▤ Not enough hinge on the rack or on order: order by Wed 6 May\./);
    expect(elements(markup, 'a').map((a) => a.words)).toEqual(['What to buy']);
    expect(markup).toContain('href="/rack/buying"');
    expect(elements(lines(short, false), 'a')).toEqual([]);
  });
  it('is nothing where all of it is there, or the work is done', () => {
    expect(plain(lines({}))).toBe('');
    expect(plain(lines({ ...short, done: true }))).toBe('');
  });
});
