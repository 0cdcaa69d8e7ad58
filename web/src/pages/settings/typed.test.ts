import { BUSINESS_RULES, makeShow, readRules } from '@rubbet/core/order';
import { compareSettings, isSameSettings, readSettings, typedSettings } from './typed.ts';

const inches = makeShow(BUSINESS_RULES.units);
const mm = makeShow({ style: 'mm', denominator: 16 });
const usual = typedSettings(BUSINESS_RULES, inches);
const withText = (path: string, text: string) => ({ ...usual, texts: { ...usual.texts, [path]: text } });
const both = { rules: BUSINESS_RULES, defaults: BUSINESS_RULES };

describe('settings as typed', () => {
  it('read back to the rules that they show, in either system, exactly', () => {
    expect(readRules(readSettings(usual, {}, both, inches))).toEqual(BUSINESS_RULES);
    expect(readRules(readSettings(typedSettings(BUSINESS_RULES, mm), {}, both, mm))).toEqual(BUSINESS_RULES);
  });
  it('keep only what is not the usual value, and leave what the form does not show', () => {
    expect(readSettings(withText('labour.load', '45'), { units: { style: 'mm' } }, both, inches)).toMatchObject({
      labour: { load: 45 },
      units: { style: 'mm' },
    });
    const kept = readSettings(
      usual,
      { labour: { load: 45 } },
      { ...both, rules: readRules({ labour: { load: 45 } }) },
      inches,
    );
    expect(kept.labour).toEqual({});
  });
  it('say the same however a number is written', () => {
    const same = isSameSettings(inches);
    expect(same(withText('price.labourPerHour', '34.00'), usual)).toBe(true);
    expect(same(withText('price.labourPerHour', '35'), usual)).toBe(false);
    expect(same(withText('price.labourPerHour', 'a lot'), usual)).toBe(false);
    expect(same({ ...usual, severities: { draught: 'off' } }, usual)).toBe(false);
  });
  it('are compared by what they are called', () => {
    const mine = { ...withText('price.labourPerHour', '35'), severities: { draught: 'stop' as const } };
    expect(compareSettings(mine, usual, inches)).toEqual([
      { label: 'Bench labour, USD an hour', mine: '35', theirs: '34' },
      { label: 'Draught on the roost', mine: 'stop', theirs: 'as usual' },
    ]);
  });
});
