import { printList } from './printList.ts';

describe('words one after the other', () => {
  it.each([
    [[], ''],
    [['a'], 'a'],
    [['a', 'b'], 'a and b'],
    [['a', 'b', 'c'], 'a, b and c'],
    // One more is told rather than counted.
    [['a', 'b', 'c', 'd'], 'a, b, c and d'],
    [['a', 'b', 'c', 'd', 'e'], 'a, b, c and 2 more'],
  ])('%j read "%s", of many the first three', (words, read) => {
    expect(printList(words, 3)).toBe(read);
  });
  it('are all told where nobody asks for fewer', () => {
    expect(printList(['a', 'b', 'c', 'd', 'e'])).toBe('a, b, c, d and e');
  });
});
