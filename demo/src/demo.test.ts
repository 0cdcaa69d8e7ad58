import { computeOrder } from '@rubbet/core/order';
import { parseSpec } from '@rubbet/core/model';
import { findItem, priceOf } from '@rubbet/core/stock';
import { AWAY, BUILDERS, BUSINESS_OF_DEMO, CREWS, HELPS, OUT, TRAILERS, USERS, VEHICLES } from './business.ts';
import { flockFor, MODELS } from './models.ts';
import { ORDERS } from './orders.ts';
import { LEAST, PURCHASES, RACK, SUPPLIER_OF, SUPPLIERS } from './supply.ts';

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

describe('what the demo sells', () => {
  it('is named once, for birds that it holds by its own rules', () => {
    expect(new Set(MODELS.map((m) => m.name)).size).toBe(MODELS.length);
    for (const m of MODELS) {
      const { sizing } = computeOrder(
        { spec: parseSpec({ family: m.family, params: m.params }), flock: flockFor(m) },
        undefined,
        'quick',
      );
      expect([m.name, sizing.birds >= m.birds]).toEqual([m.name, true]);
    }
  });
  it('had a first revision that was built too, and may be chosen between sizes that are', () => {
    for (const { family, params, before, ranges } of MODELS) {
      const was = before && { ...params, ...before.params };
      if (was) expect(() => parseSpec({ family, params: was })).not.toThrow();
      expect(before?.note ?? 'said').not.toBe('');
      for (const [key, ends] of Object.entries(ranges ?? {}))
        for (const value of ends)
          expect(() => parseSpec({ family, params: { ...params, [key]: value } })).not.toThrow();
    }
  });
});

describe('whom it sells to', () => {
  it('can be reached nowhere: numbers and addresses are kept free for stories', () => {
    for (const { customer } of ORDERS) {
      expect(customer.phone).toMatch(/^555-01\d\d$/);
      expect(customer.email).toMatch(/\.invalid$/);
      expect([customer.miles > 0, customer.bearing >= 0 && customer.bearing < 360]).toEqual([true, true]);
      if (customer.opens !== undefined) expect(customer.closes ?? 0).toBeGreaterThan(customer.opens);
    }
    for (const s of SUPPLIERS) expect(s.email === '' || s.email.endsWith('.example')).toBe(true);
    expect(BUSINESS_OF_DEMO.email).toMatch(/\.(example|invalid)$/);
  });
  it('is one person an address, however often they order', () => {
    const at = new Map(ORDERS.map(({ customer }) => [customer.name, customer.address]));
    for (const { customer } of ORDERS) expect(customer.address).toBe(at.get(customer.name));
  });
  it('want it after today, and nothing of it begins after that', () => {
    for (const o of ORDERS.filter((x) => x.upTo !== 'done' && x.upTo !== 'delivered')) {
      expect([o.title, o.wantedIn > 0]).toEqual([o.title, true]);
      expect([o.title, (o.startsIn ?? 0) < o.wantedIn]).toEqual([o.title, true]);
    }
  });
  it('gets what can be built: each order is a model as it may be changed', () => {
    for (const o of ORDERS) {
      const model = MODELS.find((m) => m.name === o.model);
      if (model)
        expect(() => parseSpec({ family: model.family, params: { ...model.params, ...o.change } })).not.toThrow();
    }
  });
});

describe('who works for it, and with what', () => {
  it('are people of a crew that there is, each in one place', () => {
    const names = [...USERS.map((u) => u.name), ...BUILDERS.map((b) => b.name)];
    expect(new Set(names).size).toBe(names.length);
    for (const a of AWAY) expect(names).toContain(a.name);
    expect(names).toEqual(expect.arrayContaining([HELPS.name, HELPS.while]));
    expect(CREWS.map((c) => c.id)).toContain(HELPS.crew);
    expect(new Set(CREWS.map((c) => c.id)).size).toBe(CREWS.length);
  });
  it('has trailers that a vehicle of its own may tow', () => {
    for (const t of TRAILERS) {
      // Empty at the least; how it is loaded decides each time.
      expect([t.name, VEHICLES.some((v) => v.tows > t.weight)]).toEqual([t.name, true]);
    }
    const there = [...TRAILERS.map((t) => t.id as string), ...CREWS.map((c) => c.id as string)];
    for (const o of OUT) expect([there.includes(o.ref), o.from > 0]).toEqual([true, true]);
  });
});

describe('what it buys', () => {
  it('is of the list of items, from suppliers that there are, in sizes that are sold', () => {
    const suppliers = SUPPLIERS.map((s) => s.id as string);
    for (const id of Object.values(SUPPLIER_OF)) expect(suppliers).toContain(id);
    for (const p of PURCHASES) {
      expect(suppliers).toContain(p.supplier);
      for (const l of p.lines) {
        expect(findItem(l.item).key).toBe(l.item);
        expect(priceOf(l.item, l.length, 'width' in l ? l.width : null)).toBeGreaterThan(0);
        expect(l.received).toBeLessThanOrEqual(l.quantity);
      }
    }
    for (const item of Object.keys(LEAST)) expect(findItem(item).key).toBe(item);
  });
  it('lies on the rack line by line: whole lengths as they are sold, rests with a mark of their own', () => {
    const marks = RACK.filter((r) => r.mark !== '').map((r) => r.mark);
    expect(new Set(marks).size).toBe(marks.length);
    for (const r of RACK) {
      expect([r.item, r.quantity > 0, r.place !== '']).toEqual([r.item, true, true]);
      if (r.mark === '') expect([r.item, priceOf(r.item, r.length, r.width ?? null) > 0]).toEqual([r.item, true]);
    }
    const lines = RACK.map((r) => `${r.item} ${r.length} ${r.width ?? ''} ${r.mark}`);
    expect(new Set(lines).size).toBe(lines.length);
  });
});
