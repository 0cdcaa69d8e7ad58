import { useCallback, useEffect, useReducer } from 'react';

interface State<T> {
  readonly past: readonly T[];
  readonly now: T;
  readonly next: readonly T[];
}
type Action<T> = { readonly type: 'set'; readonly value: T } | { readonly type: 'undo' } | { readonly type: 'redo' };

const DEEPEST = 200;

/** One step of a history. */
export const stepHistory = <T>(s: State<T>, a: Action<T>): State<T> => {
  if (a.type === 'set') return { past: [...s.past.slice(-DEEPEST), s.now], now: a.value, next: [] };
  if (a.type === 'undo') {
    const last = s.past[s.past.length - 1];
    return last === undefined ? s : { past: s.past.slice(0, -1), now: last, next: [s.now, ...s.next] };
  }
  const [first, ...rest] = s.next;
  return first === undefined ? s : { past: [...s.past, s.now], now: first, next: rest };
};

/** A value with undo and redo, on Ctrl Z and Ctrl Y as well. */
export const useHistory = <T>(first: T) => {
  const [state, dispatch] = useReducer(stepHistory<T>, { past: [], now: first, next: [] });
  const set = useCallback((value: T) => dispatch({ type: 'set', value }), []);
  const undo = useCallback(() => dispatch({ type: 'undo' }), []);
  const redo = useCallback(() => dispatch({ type: 'redo' }), []);
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
  return { now: state.now, set, undo, redo, canUndo: state.past.length > 0, canRedo: state.next.length > 0 };
};
