import { useSyncExternalStore } from 'react';

const query = '(max-width: 767px)';
const watch = (changed: () => void): (() => void) => {
  const media = window.matchMedia(query);
  media.addEventListener('change', changed);
  return () => media.removeEventListener('change', changed);
};

/** Whether the page is as narrow as a telephone. */
export const useNarrow = (): boolean =>
  useSyncExternalStore(
    watch,
    () => window.matchMedia(query).matches,
    () => false,
  );
