import { Box } from '@chakra-ui/react';
import { createContext, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { useShow } from '../data/useShow.tsx';
import { QuietButton } from './Button.tsx';

interface Note {
  readonly text: string;
  readonly tone: 'done' | 'wrong';
}
interface Notices {
  readonly tell: (text: string) => void;
  readonly fail: (error: unknown) => void;
}

/** How long a message that something was done stays; what went wrong stays until it is closed. */
const STAYS_MS = 7000;

const Context = createContext<Notices>({ tell: () => undefined, fail: () => undefined });

/**
 * Says what was done or what went wrong in a line of its own over the page: the page makes room for it, so that it never lies
 * over a button or a reading, and what stands at the foot of the page stays where it is.
 */
export const NoticeProvider = ({ children }: { readonly children: ReactNode }) => {
  const show = useShow();
  const [note, setNote] = useState<Note>();
  const tell = useCallback((text: string) => setNote({ text, tone: 'done' }), []);
  const fail = useCallback(
    (error: unknown) => setNote({ text: error instanceof Error ? error.message : String(error), tone: 'wrong' }),
    [],
  );
  const value = useMemo(() => ({ tell, fail }), [tell, fail]);
  useEffect(() => {
    if (note?.tone !== 'done') return;
    const timer = setTimeout(() => setNote((now) => (now === note ? undefined : now)), STAYS_MS);
    return () => clearTimeout(timer);
  }, [note]);
  return (
    <Context value={value}>
      <Box display="grid" gridTemplateRows="auto minmax(0,1fr)" height="100%">
        <Box role="status" aria-live="polite" data-notice={note?.tone ?? 'none'} className="no-print">
          {note && (
            <Box
              display="flex"
              gap={4}
              alignItems="center"
              px={5}
              py="6px"
              bg={note.tone === 'done' ? 'mosswash' : 'keelwash'}
              color="ink"
              borderBottom="2px solid"
              borderColor={note.tone === 'done' ? 'moss' : 'keel'}
            >
              <span>
                <strong className="cond">{note.tone === 'done' ? 'Done. ' : 'Not done. '}</strong>
                {show.text(note.text)}
              </span>
              <QuietButton ml="auto" onClick={() => setNote(undefined)}>
                Close
              </QuietButton>
            </Box>
          )}
        </Box>
        <Box minH={0} height="100%">
          {children}
        </Box>
      </Box>
    </Context>
  );
};

/** `tell` what was done, `fail` with an error's sentence. */
export const useNotice = (): Notices => useContext(Context);
