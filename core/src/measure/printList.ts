/**
 * Words one after the other as they are read: `a, b and c`.
 * @param most of more than one over so many only the first, and how many more: `a, b, c and 4 more`
 */
export const printList = (words: readonly string[], most = Infinity): string =>
  (words.length > most + 1 ? [...words.slice(0, most), `${words.length - most} more`] : words)
    .join(', ')
    .replace(/, ([^,]*)$/, ' and $1');
