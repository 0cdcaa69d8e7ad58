import { BUSINESS_RULES, readRules } from '@rubbet/core/order';
import { compareSettings, isSameSettings, readSettings, typedSettings } from './typed.ts';

const usual = typedSettings(BUSINESS_RULES);
const withText = (path: string, text: string) => ({ ...usual, texts: { ...usual.texts, [path]: text } });

describe('settings as typed', () => {
  it('read back to the rules that they show', () => expect(readRules(readSettings(usual, {}))).toEqual(BUSINESS_RULES));
  it('leave what the form does not show', () =>
    expect(readSettings(usual, { labour: { load: 45 } })).toMatchObject({ labour: { load: 45 } }));
  it('say the same however a number is written', () => {
    expect(isSameSettings(withText('price.labourPerHour', '34.00'), usual)).toBe(true);
    expect(isSameSettings(withText('price.labourPerHour', '35'), usual)).toBe(false);
    expect(isSameSettings(withText('price.labourPerHour', 'a lot'), usual)).toBe(false);
    expect(isSameSettings({ ...usual, severities: { draught: 'off' } }, usual)).toBe(false);
  });
  it('are compared by what they are called', () => {
    const mine = {
      ...withText('price.labourPerHour', '35'),
      style: 'mm' as const,
      severities: { draught: 'stop' as const },
    };
    expect(compareSettings(mine, usual)).toEqual([
      { label: 'Bench labour, $ an hour', mine: '35', theirs: '34' },
      { label: 'Lengths in', mine: 'mm', theirs: 'inches' },
      { label: 'Draught on the roost', mine: 'stop', theirs: 'as usual' },
    ]);
  });
});
