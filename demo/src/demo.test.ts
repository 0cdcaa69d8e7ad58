import { computeOrder } from '@rubbet/core/order';
import { parseSpec } from '@rubbet/core/model';
import { flockFor, MODELS } from './models.ts';
import { ORDERS } from './orders.ts';

describe('demo', () => {
  it.each(MODELS.map((m) => [m.name, m] as const))('%s is built without a stop', (_name, model) => {
    const computed = computeOrder(
      { spec: parseSpec({ family: model.family, params: model.params }), flock: flockFor(model) },
      undefined,
      'quick',
    );
    expect(computed.findings.filter((f) => f.severity === 'stop')).toEqual([]);
    expect(computed.takeoff.sticks.unplaced).toEqual([]);
    expect(computed.takeoff.sheets.unplaced).toEqual([]);
  });
  it('has orders at every stage, of models that exist', () => {
    expect(ORDERS.length).toBeGreaterThanOrEqual(8);
    for (const o of ORDERS) if (o.model) expect(MODELS.map((m) => m.name)).toContain(o.model);
    expect(new Set(ORDERS.map((o) => o.upTo)).size).toBeGreaterThanOrEqual(8);
  });
});
