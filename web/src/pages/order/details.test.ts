import type { Order } from '../../data/types.ts';
import { detailsOf, readDetails } from './details.ts';

const order = {
  title: 'Sorrel',
  wantedBy: '2026-05-04',
  quantity: 2,
  customer: { id: 7 },
  notes: 'by the brook',
} as unknown as Order;
const typed = detailsOf(order);

describe('details of an order as typed', () => {
  it('are no change when nothing was typed', () =>
    expect(readDetails(typed, order)).toEqual({ errors: {}, change: {} }));
  it('are just what is new, trimmed', () =>
    expect(readDetails({ ...typed, title: ' Sorrel, longer ', quantity: '3', customerId: 8 }, order).change).toEqual({
      title: 'Sorrel, longer',
      quantity: 3,
      customerId: 8,
    }));
  it.each([
    [{ title: ' ' }, 'title'],
    [{ title: 'x'.repeat(121) }, 'title'],
    [{ wantedBy: '' }, 'wantedBy'],
    [{ quantity: '0' }, 'quantity'],
    [{ quantity: '2.5' }, 'quantity'],
    [{ quantity: '51' }, 'quantity'],
    [{ notes: 'x'.repeat(4001) }, 'notes'],
  ])('%j is refused beside its field', (entry, key) =>
    expect(Object.keys(readDetails({ ...typed, ...entry }, order).errors)).toEqual([key]),
  );
});
