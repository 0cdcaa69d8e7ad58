import { Box } from '@chakra-ui/react';
import { createContext, useCallback, useContext, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { QuietButton } from './Button.tsx';

interface Note {
  readonly text: string;
  readonly tone: 'done' | 'wrong';
}
interface Notices {
  readonly tell: (text: string) => void;
  readonly fail: (error: unknown) => void;
}

const Context = createContext<Notices>({ tell: () => undefined, fail: () => undefined });

/** Says what was done or what went wrong, in one place, until the next thing happens. */
export const NoticeProvider = ({ children }: { readonly children: ReactNode }) => {
  const [note, setNote] = useState<Note>();
  const tell = useCallback((text: string) => setNote({ text, tone: 'done' }), []);
  const fail = useCallback(
    (error: unknown) => setNote({ text: error instanceof Error ? error.message : String(error), tone: 'wrong' }),
    [],
  );
  const value = useMemo(() => ({ tell, fail }), [tell, fail]);
  return (
    <Context value={value}>
      {children}
      <Box
        position="fixed"
        left="50%"
        bottom="18px"
        transform="translateX(-50%)"
        zIndex={60}
        role="status"
        aria-live="polite"
        data-notice={note?.tone ?? 'none'}
        className="no-print"
      >
        {note && (
          <Box
            display="flex"
            gap={4}
            alignItems="center"
            maxW="min(720px, 92vw)"
            px={4}
            py={3}
            bg={note.tone === 'done' ? 'mosswash' : 'keelwash'}
            color="ink"
            borderLeft="5px solid"
            borderColor={note.tone === 'done' ? 'moss' : 'keel'}
          >
            <span>
              <strong className="cond">{note.tone === 'done' ? 'Done. ' : 'Not done. '}</strong>
              {note.text}
            </span>
            <QuietButton onClick={() => setNote(undefined)}>Close</QuietButton>
          </Box>
        )}
      </Box>
    </Context>
  );
};

/** `tell` what was done, `fail` with an error's sentence. */
export const useNotice = (): Notices => useContext(Context);
