import fc from 'fast-check';
import { draftKey, dropDraft, isSame, readDraft, standingOf, writeDraft } from './drafts.ts';
import type { DraftStore } from './drafts.ts';

const memory = (most = Infinity): DraftStore & { readonly size: () => number } => {
  const kept = new Map<string, string>();
  return {
    getItem: (k) => kept.get(k) ?? null,
    setItem: (k, v) => {
      if (v.length > most) throw new Error('QuotaExceededError');
      kept.set(k, v);
    },
    removeItem: (k) => void kept.delete(k),
    size: () => kept.size,
  };
};

describe('a draft', () => {
  it('comes back as it was, for the person whose it is alone', () => {
    const store = memory();
    const draft = { value: { a: [1, { b: 'x' }] }, base: null, at: '2026-05-04T10:00:00.000Z' };
    expect(writeDraft(draftKey(1, 'order 7 flock'), draft, store)).toBe(true);
    expect(readDraft(draftKey(1, 'order 7 flock'), store)).toEqual(draft);
    expect(readDraft(draftKey(2, 'order 7 flock'), store)).toBeUndefined();
    dropDraft(draftKey(1, 'order 7 flock'), store);
    expect(store.size()).toBe(0);
  });
  it('that does not fit any more leaves the older one', () => {
    const store = memory(90);
    const at = '2026-05-04T10:00:00.000Z';
    writeDraft('k', { value: 'old', base: '', at }, store);
    expect(writeDraft('k', { value: 'x'.repeat(200), base: '', at }, store)).toBe(false);
    expect(readDraft('k', store)?.value).toBe('old');
  });
  it('that cannot be read is none', () => {
    const store = memory();
    for (const text of ['{', '[]', 'null', '7', '{"value": 1}']) {
      store.setItem('rubbet-draft:k', text);
      expect(readDraft('k', store)).toBeUndefined();
    }
  });
});

describe('sameness', () => {
  it('does not look at the order of fields', () => {
    expect(isSame({ a: 1, b: { c: 2, d: 3 } }, { b: { d: 3, c: 2 }, a: 1 })).toBe(true);
    expect(isSame([1, 2], [2, 1])).toBe(false);
    expect(isSame(undefined, null)).toBe(false);
  });
  it('holds for every value and itself read back', () => {
    fc.assert(fc.property(fc.jsonValue(), (v) => isSame(v, JSON.parse(JSON.stringify(v)))));
  });
});

describe('how what is in hand stands to what is kept', () => {
  it.each([
    ['kept', 1, 1, 1],
    ['mine', 2, 1, 1],
    ['both', 2, 1, 3],
    // Two people typed the same.
    ['kept', 3, 1, 3],
  ])('%s', (standing, value, base, kept) => expect(standingOf(value, base, kept)).toBe(standing));
});
