import { useCallback, useEffect, useRef, useState } from 'react';
import { draftKey, dropDraft, isSame, readDraft, standingOf, writeDraft } from './drafts.ts';
import type { Standing } from './drafts.ts';
import { useMe } from './hooks.ts';

/** What a person works on: their value, what it was made on, and how it stands to what is kept. */
export interface Kept<T> {
  readonly value: T;
  readonly set: (next: T | ((now: T) => T)) => void;
  readonly standing: Standing;
  /** When what was restored had been put aside; undefined when nothing was. */
  readonly restoredAt: string | undefined;
  /** Gives mine up for what is kept. */
  readonly takeTheirs: () => void;
  /** Goes on with mine, knowing what is kept now. */
  readonly putMineOnTop: () => void;
}

/**
 * A value that is edited and kept on the server, never lost in between: as long as it differs from what is kept it is put
 * aside in this browser, for this person, and is there again after a reload, another page or a closed lid. What somebody else
 * keeps meanwhile is seen as such.
 * @param thing names what is edited, e.g. `order 1036 flock`
 * @param given what the server has
 * @param same whether two values say the same, where that is not for their letters to tell
 */
export const useKept = <T>(thing: string, given: T, same: (a: T, b: T) => boolean = isSame): Kept<T> => {
  const { me } = useMe();
  // What says the same is the same, however often it is made anew.
  const seen = useRef(given);
  if (!same(seen.current, given)) seen.current = given;
  const kept = seen.current;
  const key = draftKey(me?.id ?? 0, thing);
  const [state, setState] = useState(() => {
    const draft = readDraft<T>(key);
    return draft && !same(draft.value, kept)
      ? { value: draft.value, base: draft.base as T, restoredAt: draft.at as string | undefined }
      : { value: kept, base: kept, restoredAt: undefined };
  });
  const standing = standingOf(state.value, state.base, kept, same);
  const latest = useRef(kept);
  const compare = useRef(same);
  useEffect(() => {
    const before = latest.current;
    latest.current = kept;
    setState((s) => {
      // What says the same stays as it was written; whoever has nothing of their own in hand follows what is kept.
      if (compare.current(s.value, kept)) return s.base === kept ? s : { ...s, base: kept };
      return compare.current(s.value, before) ? { ...s, value: kept, base: kept } : s;
    });
  }, [kept]);
  useEffect(() => {
    if (compare.current(state.value, kept)) dropDraft(key);
    else writeDraft(key, { value: state.value, base: state.base, at: new Date().toISOString() });
  }, [key, kept, state.value, state.base]);
  const set = useCallback(
    (next: T | ((now: T) => T)) =>
      setState((s) => ({ ...s, value: typeof next === 'function' ? (next as (now: T) => T)(s.value) : next })),
    [],
  );
  const takeTheirs = useCallback(
    () => setState({ value: latest.current, base: latest.current, restoredAt: undefined }),
    [],
  );
  const putMineOnTop = useCallback(() => setState((s) => ({ ...s, base: latest.current, restoredAt: undefined })), []);
  return {
    value: state.value,
    set,
    standing,
    restoredAt: standing === 'kept' ? undefined : state.restoredAt,
    takeTheirs,
    putMineOnTop,
  };
};
