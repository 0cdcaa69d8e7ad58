import { NO_TERMS } from '@rubbet/core/price';
import { readTerms, showTerms } from './terms.ts';

const text = showTerms(NO_TERMS);

describe('terms as they are typed', () => {
  it('are nothing where nothing is typed', () => {
    expect(readTerms(text)).toEqual({ terms: { options: [], deposit: 0 }, send: { options: [], deposit: 0 } });
  });
  it('read back what they show', () => {
    const terms = {
      margin: { share: 0.275, why: 'a neighbour', by: '' },
      discount: { cents: 4990, why: 'a scratch', by: '' },
      options: [{ name: 'gutter', price: 8850, taken: true }],
      deposit: 0.3,
      validUntil: '2026-05-04',
    };
    expect(readTerms(showTerms(terms))).toMatchObject({ terms });
  });
  it.each([
    [{ margin: '95', marginWhy: 'why' }, /0 to 89 %/],
    [{ margin: '20' }, /Say why it has another margin/],
    [{ discount: '50' }, /Say why something is taken off/],
    [{ discount: 'half', discountWhy: 'why' }, /in money/],
    [{ deposit: '120' }, /0 to 100 %/],
    [{ options: [{ name: 'gutter', price: '', taken: true }] }, /gutter has no price/],
    [{ options: [{ name: ' ', price: '5', taken: true }] }, /Option 1 has no name/],
  ])('say what is wrong: %j', (change, fault) => {
    const read = readTerms({ ...text, ...change });
    expect('fault' in read ? read.fault : '').toMatch(fault);
  });
});
