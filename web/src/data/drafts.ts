/** What somebody had typed or drawn and not kept yet, with what it was made on, and when. */
export interface Draft<T> {
  readonly value: T;
  readonly base: unknown;
  readonly at: string;
}

/** Where drafts are put: the browser's own store, or another for tests. */
export type DraftStore = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

const PREFIX = 'rubbet-draft:';
const browserStore = (): DraftStore | undefined => {
  try {
    return globalThis.localStorage;
  } catch {
    // A browser that is told to keep nothing keeps no drafts either.
    return undefined;
  }
};

/** The name of a draft: each person has their own of each thing. */
export const draftKey = (person: number, thing: string): string => `${person}:${thing}`;

/** The draft of that name, if there is one that can be read. */
export const readDraft = <T>(key: string, store = browserStore()): Draft<T> | undefined => {
  try {
    const text = store?.getItem(PREFIX + key);
    if (text === undefined || text === null) return undefined;
    const draft = JSON.parse(text) as Draft<T>;
    return typeof draft === 'object' && draft !== null && 'value' in draft && typeof draft.at === 'string'
      ? draft
      : undefined;
  } catch {
    return undefined;
  }
};

/** Writes a draft down; a full store keeps the older one. Says whether it is kept. */
export const writeDraft = <T>(key: string, draft: Draft<T>, store = browserStore()): boolean => {
  try {
    store?.setItem(PREFIX + key, JSON.stringify(draft));
    return store !== undefined;
  } catch {
    return false;
  }
};

export const dropDraft = (key: string, store = browserStore()): void => store?.removeItem(PREFIX + key);

/** Whether two values say the same, whatever order their fields stand in. */
export const isSame = (a: unknown, b: unknown): boolean => stable(a) === stable(b);
const stable = (v: unknown): string =>
  JSON.stringify(v, (_key, inner: unknown) =>
    typeof inner === 'object' && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  ) ?? 'undefined';

/** How what a person has in hand stands to what is kept: nothing new, something new, or both sides changed. */
export type Standing = 'kept' | 'mine' | 'both';

/** Compares what is in hand with what it was made on and with what is kept now. */
export const standingOf = <T>(value: T, base: T, kept: T, same: (a: T, b: T) => boolean = isSame): Standing => {
  if (same(value, kept)) return 'kept';
  return same(base, kept) ? 'mine' : 'both';
};
