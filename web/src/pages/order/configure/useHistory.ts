import { useCallback, useEffect } from 'react';

/** A value with what it was before and what was taken back, oldest first and nearest first. */
export interface History<T> {
  readonly past: readonly T[];
  readonly now: T;
  readonly next: readonly T[];
}
type Action<T> = { readonly type: 'set'; readonly value: T } | { readonly type: 'undo' } | { readonly type: 'redo' };

/** Steps that can be undone; they are put aside with a draft. */
const DEEPEST = 100;

/** One step of a history. */
export const stepHistory = <T>(s: History<T>, a: Action<T>): History<T> => {
  if (a.type === 'set') return { past: [...s.past.slice(-DEEPEST), s.now], now: a.value, next: [] };
  if (a.type === 'undo') {
    const last = s.past[s.past.length - 1];
    return last === undefined ? s : { past: s.past.slice(0, -1), now: last, next: [s.now, ...s.next] };
  }
  const [first, ...rest] = s.next;
  return first === undefined ? s : { past: [...s.past, s.now], now: first, next: rest };
};

/** A history that is kept by somebody else, with undo and redo, on Ctrl Z and Ctrl Y as well. */
export const useHistory = <T>(history: History<T>, change: (step: (h: History<T>) => History<T>) => void) => {
  const set = useCallback((value: T) => change((h) => stepHistory(h, { type: 'set', value })), [change]);
  const undo = useCallback(() => change((h) => stepHistory(h, { type: 'undo' })), [change]);
  const redo = useCallback(() => change((h) => stepHistory(h, { type: 'redo' })), [change]);
  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      if (!(e.ctrlKey || e.metaKey)) return;
      if (e.target instanceof HTMLInputElement && e.target.type === 'text') return;
      const key = e.key.toLowerCase();
      if (key === 'z' && !e.shiftKey) undo();
      else if (key === 'y' || (key === 'z' && e.shiftKey)) redo();
      else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo]);
  return { now: history.now, set, undo, redo, canUndo: history.past.length > 0, canRedo: history.next.length > 0 };
};
