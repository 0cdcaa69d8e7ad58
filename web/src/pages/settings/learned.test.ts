import { createElement } from 'react';
import { BUSINESS_RULES } from '@rubbet/core/order';
import { LABOUR_RATES } from '@rubbet/core/steps';
import { elements, html, plain } from '../../testing/rendered.ts';
import { FIELDS } from './fields.ts';
import { LearnedRates } from './LearnedRates.tsx';

const rate = (key: string, learned: number, more: object = {}) => ({
  rate: key,
  steps: 12,
  learned,
  low: learned * 0.9,
  high: learned * 1.1,
  small: learned * 1.05,
  large: learned * 0.95,
  ...more,
});
const shown = (rates: readonly object[], models: readonly object[] = []): string =>
  html(createElement(LearnedRates, { rules: BUSINESS_RULES, onTake: () => undefined }), 'inches', '/', {
    '/settings/learned': { rates, models },
  });

describe('what the clocks say', () => {
  it('stands beside what is kept, with its spread and how small and large work differ', () => {
    const words = plain(shown([rate('framePerPart', 2.8)]));
    expect(words).toContain('Framing a part 12 2.2 min 2.8 2.52 to 3.08 2.94 , 2.66'.replace(' ,', ','));
  });
  it('is taken by name, and only where it has moved', () => {
    const buttons = elements(shown([rate('framePerPart', 2.8), rate('hangDoor', 25.2)]), 'button');
    expect(buttons).toHaveLength(1);
    expect(buttons[0]?.open).toContain('Take it: 2.8 for Framing a part');
  });
  it('is not spoken of before anything was timed', () => expect(shown([])).not.toContain('What the clocks say'));
  it('names models with how many orders they stand for', () => {
    const markup = shown([rate('framePerPart', 2.8)], [{ name: 'Sorrel', orders: 3, planned: 900, logged: 1000 }]);
    expect(plain(markup)).toContain('Models: planned and logged');
  });
  it('has a field for every rate that can be learned', () => {
    for (const key of Object.keys(LABOUR_RATES))
      expect([key, FIELDS.some((f) => f.path === `labour.${key}`)]).toEqual([key, true]);
  });
});
