import { FAMILIES, parseSpec } from '../model/index.ts';
import { BUSINESS_RULES, readKeptRules, readRules, RuleError } from './businessRules.ts';
import { computeOrder } from './computeOrder.ts';

describe('computeOrder', () => {
  it.each(FAMILIES.map((f) => [f.key]))('comes to figures that agree with their parts for %s', (family) => {
    const c = computeOrder({ spec: parseSpec({ family, params: {} }), miles: 10 }, BUSINESS_RULES, 'quick');
    expect(c.summary.material).toBe(c.takeoff.cost);
    expect(c.summary.sticks).toBe(c.takeoff.sticks.sticks.length);
    expect(c.summary.price).toBe(c.price.net);
    expect(c.summary.stops).toBe(c.findings.filter((f) => f.severity === 'stop').length);
    expect(c.summary.firstLimit).toBe(c.sizing.first?.what);
    expect(c.operations.reduce((n, o) => n + o.steps.length, 0)).toBe(c.steps.length);
  });
  it('plans at full effort no dearer than in a hurry, with the tighter bound', () => {
    const spec = parseSpec({ family: 'raised-lean-to', params: {} });
    const quick = computeOrder({ spec }, BUSINESS_RULES, 'quick').takeoff.sticks;
    const full = computeOrder({ spec }, BUSINESS_RULES, 'full').takeoff.sticks;
    expect(full.cost).toBeLessThanOrEqual(quick.cost);
    expect(full.bound).toBeGreaterThanOrEqual(quick.bound);
    expect(full.bound).toBeLessThanOrEqual(full.cost);
  });
  it('charges more when labour costs more, and nothing else changes', () => {
    const spec = parseSpec({ family: 'low-pen', params: {} });
    const dear = readRules({ price: { labourPerHour: 6800 } });
    const [a, b] = [computeOrder({ spec }, BUSINESS_RULES, 'quick'), computeOrder({ spec }, dear, 'quick')];
    expect(b.price.labour).toBeCloseTo(a.price.labour * 2, -1);
    expect(b.price.materials).toBe(a.price.materials);
    expect(b.build).toEqual(a.build);
  });
  it('judges by the rules of the business', () => {
    const spec = parseSpec({ family: 'low-pen', params: { wheels: 'wheel-8' } });
    const codes = (rules = BUSINESS_RULES) => computeOrder({ spec }, rules, 'quick').findings.map((f) => f.code);
    expect(codes()).not.toContain('wheel-size');
    expect(codes(readRules({ check: { wheelLeast: 10 } }))).toContain('wheel-size');
  });
});

describe('readRules', () => {
  it('keeps every default that is not changed', () => {
    const rules = readRules({ pads: { embed: 3 } });
    expect(rules.pads).toEqual({ ...BUSINESS_RULES.pads, embed: 3 });
    expect(rules.price).toEqual(BUSINESS_RULES.price);
  });
  it.each([
    [{ hats: 1 }, 'There is no setting hats.'],
    [{ price: { hats: 1 } }, 'There is no setting price.hats.'],
    [{ price: 3 }, 'price must be a group of settings.'],
    [{ price: { tax: 'much' } }, 'price.tax is "much"; it must be a number.'],
    [{ price: { tax: -0.1 } }, 'price.tax is -0.1; it must be a number of at least 0.'],
    [{ price: { margin: 0.95 } }, /takes 0 to 0.89/],
  ])('%j is refused by name', (changes, message) => {
    expect(() => readRules(changes)).toThrow(RuleError);
    expect(() => readRules(changes)).toThrow(message);
  });
});

describe('bounds of settings', () => {
  it.each([
    [{ check: { flock: { hensPerNest: 0 } } }, /check.flock.hensPerNest is 0; it takes 0.1 to 100/],
    [{ price: { labourPerHour: 1e9 } }, /takes 0 to 50000/],
    [{ pads: { block: 0 } }, /pads.block is 0; it takes 1 to 24/],
    [{ labour: { roadMilesPerHour: 0 } }, /takes 5 to 80/],
    [{ price: { margin: 0.9 } }, /takes 0 to 0.89/],
    [{ price: { tax: Infinity } }, /at least 0/],
    [{ units: { style: 'ells' } }, /takes one of inches/],
    [{ units: { denominator: 7 } }, /takes 16 or 32/],
    [{ check: { severities: { nonsense: 'stop' } } }, /no such finding/],
    [{ check: { severities: { constructor: 'stop' } } }, /no such finding/],
    [JSON.parse('{"__proto__": {"price": 1}}'), /no setting __proto__/],
    [JSON.parse('{"toString": 1}'), /no setting toString/],
    [[], /must be a group/],
  ])('%j is refused', (changes, words) => expect(() => readRules(changes)).toThrow(words));
  it('let every usual value through', () => expect(readRules(BUSINESS_RULES)).toEqual(BUSINESS_RULES));
  it('never keep a business from opening: what no longer holds falls back to the usual', () => {
    const kept = readKeptRules({ price: { tax: 7, margin: 0.4 }, gone: 1, check: { severities: { nope: 'stop' } } });
    expect(kept.price).toEqual({ ...BUSINESS_RULES.price, margin: 0.4 });
    expect(kept.check).toEqual(BUSINESS_RULES.check);
    expect(readKeptRules(null)).toEqual(BUSINESS_RULES);
  });
});
