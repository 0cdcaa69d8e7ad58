import { BUSINESS_RULES, readRules } from '@rubbet/core/order';
import { FIELDS, pathValue, readField, showField, withPath } from './fields.ts';

describe('setting fields', () => {
  it.each(FIELDS.map((f) => [f.path, f] as const))('%s exists in the rules and reads back what it shows', (path, f) => {
    const value = pathValue(BUSINESS_RULES, path);
    expect(value).toBeDefined();
    expect(readField(f, showField(f, value))).toBeCloseTo(value ?? 0, 6);
  });
  it('keeps money in cents and shares as fractions', () => {
    const money = FIELDS.find((f) => f.path === 'price.labourPerHour');
    const share = FIELDS.find((f) => f.path === 'price.margin');
    expect(money && readField(money, '34.5')).toBe(3450);
    expect(share && readField(share, '30')).toBe(0.3);
  });
  it('refuses what is no number', () => expect(FIELDS[0] && readField(FIELDS[0], '-3')).toBeUndefined());
  it('makes changes that the rules accept', () => {
    expect(readRules(withPath({}, 'check.moving.lift.one adult', 60)).check.moving.lift['one adult']).toBe(60);
  });
});
