import { BUSINESS_RULES, makeShow } from '@rubbet/core/order';
import { readFigure, showFigure } from './figures.ts';

const plain = makeShow(BUSINESS_RULES.units);
const mm = makeShow({ style: 'mm', denominator: 16 });

describe('a figure in a form', () => {
  // 5200 lb are 2358.68 kg; 2359 kg are 5200.7 lb.
  it('is shown whole, and stays as it was kept where nobody touched it', () => {
    expect(showFigure('weight', 5200, mm)).toBe('2359');
    expect(readFigure('weight', '2359', 5200, mm)).toBe(5200);
    expect(readFigure('weight', '2359', undefined, mm)).toBe(5201);
    expect(readFigure('weight', ' 2400 ', 5200, mm)).toBe(5291);
    expect(readFigure('distance', '48', 48, plain)).toBe(48);
  });
  it.each(['', 'much', '-3', '1,000'])('%j is none', (text) => {
    expect(readFigure('weight', text, 5200, plain)).toBeUndefined();
  });
  it('that is not there yet is empty', () => expect(showFigure('weight', undefined, mm)).toBe(''));
});
