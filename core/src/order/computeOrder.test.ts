import { FAMILIES, parseSpec } from '../model/index.ts';
import { BUSINESS_RULES, readRules, RuleError } from './businessRules.ts';
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
    [{ price: { margin: 0.95 } }, /under 0.9/],
  ])('%j is refused by name', (changes, message) => {
    expect(() => readRules(changes)).toThrow(RuleError);
    expect(() => readRules(changes)).toThrow(message);
  });
});
