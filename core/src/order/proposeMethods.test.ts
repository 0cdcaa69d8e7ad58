import { FAMILIES, parseSpec } from '../model/index.ts';
import { findOrderBreaches } from '../steps/index.ts';
import type { ParamValue } from '../unit/index.ts';
import { readRules } from './businessRules.ts';
import { computeOrder } from './computeOrder.ts';
import type { OrderInput } from './computeOrder.ts';
import { readMethodSite, SiteError } from './readMethodSite.ts';

const order = (family: string, params: Record<string, ParamValue> = {}, more: Partial<OrderInput> = {}) =>
  computeOrder({ spec: parseSpec({ family, params }), miles: 20, ...more });
const of = (o: ReturnType<typeof order>, method: string) => {
  const found = o.methods.proposals.find((p) => p.method === method);
  if (!found) throw new Error(`There is no proposal for ${method}.`);
  return found;
};

describe('the method that is proposed', () => {
  it.each([
    ['low-pen', {}, 'whole'],
    ['raised-lean-to', {}, 'whole'],
    ['skid-house', {}, 'whole'],
    ['panel-kit', {}, 'kit'],
    ['barn-fit-out', {}, 'on-site'],
    ['walk-in', {}, 'panels'],
    ['house-with-run', {}, 'panels'],
    ['walk-in', { length: 240, depth: 120 }, 'panels'],
  ] as const)('%s %j: %s', (family, params, method) => expect(order(family, params).method).toBe(method));

  it('gives way to a narrow way in, and says so', () => {
    const open = order('raised-lean-to');
    const narrow = order('raised-lean-to', {}, { site: { slope: 0, gate: 40 } });
    expect([open.method, narrow.method]).toEqual(['whole', 'panels']);
    expect(narrow.methods.why).toMatch(/across and wants \d+″; the way in is 40″/);
  });

  it('gives way to a trailer that is too weak or too short', () => {
    const small = {
      id: 's',
      name: 'small',
      bedLength: 96,
      bedWidth: 60,
      bedHeight: 20,
      carries: 600,
      weight: 500,
      tilt: false,
    };
    const o = order('raised-lean-to', {}, { trailers: [small] });
    expect(of(o, 'whole').possible).toBe(false);
    expect(of(o, 'whole').reasons.join(' ')).toMatch(/the small carries 600 lb/);
    expect(o.method).toBe('panels');
    expect(of(o, 'panels').trips).toBeGreaterThan(1);
  });

  it('follows what people lift: settable', () => {
    const strong = computeOrder(
      { spec: parseSpec({ family: 'walk-in', params: {} }), miles: 20 },
      readRules({ method: { lift: 200 } }),
    );
    // 709 lb of base: four people at 200 carry it, so that it is made in the shop.
    expect(of(strong, 'panels').steps.find((s) => s.id === 'base/frame')?.place).toBe('shop');
    expect(of(order('walk-in'), 'panels').steps.find((s) => s.id === 'base/frame')?.place).toBe('site');
  });

  it('is what is asked for, where somebody decided: everything follows from it', () => {
    const o = order('raised-lean-to', {}, { method: 'on-site' });
    expect(o.method).toBe('on-site');
    expect(o.methods.method).toBe('whole');
    expect(o.steps).toEqual(of(o, 'on-site').steps);
    expect(o.summary).toMatchObject({ method: 'on-site', siteDays: of(o, 'on-site').siteDays });
    expect(o.brief.carried.what).toBe('bundle');
  });
});

describe('what a method comes to', () => {
  it('adds up for every family and method: labour, trips, nights, price', () => {
    for (const f of FAMILIES) {
      const o = order(f.key);
      for (const p of o.methods.proposals) {
        const sum = (place: readonly string[]): number =>
          p.steps.filter((s) => s.by === undefined && place.includes(s.place)).reduce((n, s) => n + s.minutes, 0);
        expect([f.key, p.method, p.shop, p.site]).toEqual([f.key, p.method, sum(['shop', 'load']), sum(['site'])]);
        const { materials, spoil, labour, site, delivery, nights = 0, cost } = p.price;
        expect(materials + spoil + labour + site + delivery + nights).toBe(cost);
        expect(p.trips >= 1 && p.siteDays >= 1 && p.nights >= 0).toBe(true);
      }
    }
  });

  it('charges every trip, and the crew’s drive to every further day', () => {
    const near = of(order('walk-in', {}, { miles: 0 }), 'on-site');
    const far = of(order('walk-in', {}, { miles: 35 }), 'on-site');
    expect(far.nights).toBe(0);
    // 35 miles at 35 an hour and ten minutes: 70 each way, two people, for every day but the trailer's.
    const drives = far.siteDays - far.trips;
    expect(drives).toBeGreaterThan(0);
    const rate = 3800 / 60;
    expect(far.price.site - near.price.site).toBeGreaterThan(drives * 2 * 60 * 2 * rate * 0.9);
  });

  it('stays overnight where the way is long, and charges the beds', () => {
    const away = of(order('walk-in', {}, { miles: 150 }), 'on-site');
    expect(away.nights).toBe(away.siteDays - 1);
    expect(away.price.nights).toBe(away.nights * 2 * 13_500);
  });

  it('a walk-in of ten by twenty is not set down for $44: its site work is days', () => {
    const o = order('walk-in', { length: 240, depth: 120 });
    expect(o.price.site).toBeGreaterThan(50_000);
    expect(o.summary.siteDays).toBeGreaterThanOrEqual(2);
    // Its long walls come in panels that four people carry.
    const panels = of(o, 'panels').travels.filter((t) => t.kind === 'panel' && /front wall/.test(t.name));
    expect(panels.length).toBeGreaterThan(1);
    for (const t of panels) expect(t.weight).toBeLessThanOrEqual(4 * 70);
    expect(o.build.assemblies.some((a) => a.id === 'front-wall-2')).toBe(true);
  });

  it('panels of long walls are made, stood and tied in an order that holds, and nothing of them is forgotten', () => {
    const { steps, build } = of(
      order('walk-in', { length: 240, depth: 120, foundation: 'slab', threshold: 0 }),
      'panels',
    );
    expect(findOrderBreaches(steps)).toEqual([]);
    expect(steps.flatMap((s) => s.joints).sort()).toEqual(build.joints.map((j) => j.id).sort());
    const at = (id: string): number => steps.findIndex((s) => s.id === id);
    expect(at('front-wall-2/stand')).toBeGreaterThan(at('front-wall/stand'));
    // The upper plate ties the panels before a rafter bears on it.
    expect(at('front-wall-cap/fit')).toBeGreaterThan(at('front-wall-2/stand'));
    expect(at('front-wall-cap/fit')).toBeLessThan(at('roof-front/frame'));
    expect(steps[at('front-wall-2/stand')]?.hardware.some((h) => h.item === 'carriage-bolt')).toBe(true);
    expect(steps[at('front-wall-2/square')]?.gate?.expected).toBeCloseTo(
      Math.hypot(
        build.assemblies.find((a) => a.id === 'front-wall-2')?.square?.width ?? 0,
        build.assemblies.find((a) => a.id === 'front-wall-2')?.square?.height ?? 0,
      ),
      9,
    );
  });

  it('a quick look counts only what is taken, and to the same price', () => {
    const spec = parseSpec({ family: 'raised-lean-to', params: {} });
    const [full, quick] = [computeOrder({ spec }), computeOrder({ spec }, undefined, 'quick')];
    expect(quick.methods.proposals.map((p) => p.method)).toEqual([full.method]);
    expect(quick.summary.benchMinutes).toBe(full.summary.benchMinutes);
  });
});

describe('a site that is read from a file', () => {
  it.each([
    [[], /must be an object/],
    [{ hat: 1 }, /"hat", which does not belong there/],
    [{ miles: -1 }, /miles is -1; it must be a number from 0 to 500/],
    [{ gate: 'wide' }, /gate is "wide"/],
    [{ quantity: 1.5 }, /whole number/],
    [{ trailers: {} }, /must be a list/],
    [{ trailers: [{ bedLength: 100 }] }, /trailers\[0\]\.bedWidth is missing/],
    [{ trailers: [7] }, /trailers\[0\] must be an object/],
  ])('%j is refused by name', (json, words) => {
    expect(() => readMethodSite(json)).toThrow(SiteError);
    expect(() => readMethodSite(json)).toThrow(words);
  });
  it('takes the gate of its survey where it names none', () => {
    const pads = [0, 100, 0].map((x, i) => ({ id: `p${i}`, x, y: i === 2 ? 80 : 0, rod: 50 }));
    expect(readMethodSite({ miles: 12, survey: { pads, gate: 44 } })).toMatchObject({ miles: 12, site: { gate: 44 } });
  });
});
