import type { Order } from '../orders/orders.answers.ts';
import { VISIT_ITEMS, visitItems } from './visitItems.ts';

const order = (family: string, size: [number, number, number], fall = 0, visited: string[] = []): Order =>
  ({
    revision: { spec: { family, schema: 1, params: {} }, summary: { size } },
    survey: fall > 0 ? { pads: { fall }, survey: {} } : null,
    visited,
  }) as unknown as Order;

describe('what a customer prepares', () => {
  it('is one text for each thing, in order', () => {
    expect(visitItems(order('low-pen', [96, 72, 28])).map((i) => i.key)).toEqual([...VISIT_ITEMS]);
  });
  it('gives the gate six inches more than the narrower side', () => {
    const gate = visitItems(order('low-pen', [96.5, 62.2, 28])).find((i) => i.key === 'gate');
    expect(gate?.text).toMatch(/63″ wide and 28″ high.*must be 69″/);
  });
  it('says whether a measured way in is wide enough', () => {
    const at = (gate: number) =>
      visitItems({
        ...order('low-pen', [96.5, 62.2, 28]),
        survey: { pads: { fall: 0 }, survey: { gate } },
      } as unknown as Order).find((i) => i.key === 'gate')?.text;
    expect(at(72)).toMatch(/measured 72″ .* of 63″ passes/);
    // A hand on each side is wanted: 64.2 in.
    expect(at(64)).toMatch(/measured 64″ .* is 63″ wide: we will ask/);
  });
  it('speaks of blocks only where the ground falls and something stays', () => {
    const ground = (o: Order) => visitItems(o).find((i) => i.key === 'ground')?.text ?? '';
    expect(ground(order('raised-lean-to', [72, 48, 90], 16.25))).toMatch(/fall of 17″/);
    expect(ground(order('raised-lean-to', [72, 48, 90]))).toMatch(/turf 12″ beyond/);
    expect(ground(order('low-pen', [96, 72, 28], 9))).toMatch(/Mow it short/);
  });
  it('remembers what was confirmed', () => {
    expect(
      visitItems(order('low-pen', [96, 72, 28], 0, ['home']))
        .filter((i) => i.done)
        .map((i) => i.key),
    ).toEqual(['home']);
  });
});
