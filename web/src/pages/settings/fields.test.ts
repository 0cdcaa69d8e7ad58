import { BUSINESS_RULES, makeShow, readRules } from '@rubbet/core/order';
import { faultOf, FIELDS, pathValue, readField, showField, unitOf, withPath } from './fields.ts';
import type { SettingField } from './fields.ts';

const inches = makeShow(BUSINESS_RULES.units);
const mm = makeShow({ style: 'mm', denominator: 16 }, 'EUR');
const at = (path: string): SettingField => FIELDS.find((f) => f.path === path) as SettingField;

/** Every number that the rules hold, by its path. */
const numbers = (value: unknown, path = ''): string[] =>
  typeof value === 'number'
    ? [path]
    : typeof value === 'object' && value !== null
      ? Object.entries(value).flatMap(([k, v]) => numbers(v, path ? `${path}.${k}` : k))
      : [];

describe('setting fields', () => {
  it('are there for every number that the rules hold', () => {
    expect(FIELDS.map((f) => f.path).sort()).toEqual(
      numbers(BUSINESS_RULES)
        .filter((p) => p !== 'units.denominator')
        .sort(),
    );
  });
  it.each(FIELDS.map((f) => [f.path, f] as const))('%s reads back what it shows, in either system', (path, f) => {
    const value = pathValue(BUSINESS_RULES, path) as number;
    for (const show of [inches, mm]) {
      expect(readField(f, showField(f, value, show), value, show)).toBe(value);
      expect(readField(f, showField(f, value, show), undefined, show)).toBeCloseTo(value, 2);
      expect(faultOf(f, showField(f, value, show), BUSINESS_RULES, show)).toBeUndefined();
    }
    expect(f.help.length).toBeGreaterThan(8);
  });
  it('keep money in cents, shares as fractions, figures in the trade’s units', () => {
    expect(readField(at('price.labourPerHour'), '34.5', undefined, inches)).toBe(3450);
    expect(readField(at('price.margin'), '30', undefined, inches)).toBeCloseTo(0.3, 9);
    // 4 sq ft are 0.37161216 m².
    expect(readField(at('check.flock.housePerHen'), '0.371612', undefined, mm)).toBeCloseTo(4, 4);
    expect([unitOf(at('check.snow'), inches), unitOf(at('check.snow'), mm)]).toEqual(['psf', 'kPa']);
    expect(unitOf(at('price.labourPerHour'), mm)).toBe('EUR an hour');
  });
  it('say what is possible', () => {
    expect(readField(at('price.tax'), '-3', undefined, inches)).toBeUndefined();
    expect(faultOf(at('price.tax'), '80', BUSINESS_RULES, inches)).toBe('0 to 50');
    expect(faultOf(at('price.tax'), 'much', BUSINESS_RULES, inches)).toBe('0 to 50');
  });
  it('make changes that the rules accept, and take them out again', () => {
    expect(readRules(withPath({}, 'check.moving.lift.one adult', 60)).check.moving.lift['one adult']).toBe(60);
    expect(withPath({ price: { tax: 0.1, margin: 0.2 } }, 'price.tax', undefined)).toEqual({ price: { margin: 0.2 } });
  });
});
