import { Box } from '@chakra-ui/react';
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { useShow } from '../data/useShow.tsx';
import { Button, QuietButton } from './Button.tsx';
import { Field, TextArea } from './Fields.tsx';
import { Title } from './Text.tsx';

/** What is asked before something is done that cannot simply be undone. */
export interface Question {
  readonly title: string;
  /** What goes, each thing a sentence. */
  readonly lines: readonly string[];
  /** The verb of going on, as the button says it. */
  readonly yes: string;
  readonly no?: string;
  /** Asks for a reason as well, under this label. */
  readonly reason?: string;
}

/** The answer: undefined for no. */
export type Answer = { readonly why: string } | undefined;

const Context = createContext<(question: Question) => Promise<Answer>>(() => Promise.resolve(undefined));

/** Asks in words before anything that takes something away. */
export const AskProvider = ({ children }: { readonly children: ReactNode }) => {
  const [open, setOpen] = useState<{ readonly question: Question; readonly answer: (a: Answer) => void }>();
  const ask = useCallback(
    (question: Question) => new Promise<Answer>((resolve) => setOpen({ question, answer: resolve })),
    [],
  );
  const value = useMemo(() => ask, [ask]);
  return (
    <Context value={value}>
      {children}
      {open && (
        <Sheet
          question={open.question}
          onAnswer={(a) => {
            setOpen(undefined);
            open.answer(a);
          }}
        />
      )}
    </Context>
  );
};

const Sheet = ({ question, onAnswer }: { readonly question: Question; readonly onAnswer: (a: Answer) => void }) => {
  const dialog = useRef<HTMLDialogElement>(null);
  const show = useShow();
  const [why, setWhy] = useState('');
  useEffect(() => dialog.current?.showModal(), []);
  const ready = question.reason === undefined || why.trim().length >= 2;
  return (
    <dialog
      ref={dialog}
      className="sheet"
      aria-label={question.title}
      data-testid="ask"
      onCancel={(e) => {
        e.preventDefault();
        onAnswer(undefined);
      }}
    >
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (ready) onAnswer({ why: why.trim() });
        }}
      >
        <Title mb={3}>{question.title}</Title>
        {question.lines.map((line) => (
          <Box key={line} asChild mb={2}>
            <p>{show.text(line)}</p>
          </Box>
        ))}
        {question.reason !== undefined && (
          <Box mt={3}>
            <Field label={question.reason}>
              {(id) => <TextArea id={id} value={why} maxLength={240} onChange={(e) => setWhy(e.target.value)} />}
            </Field>
          </Box>
        )}
        <Box display="flex" gap={3} mt={5} justifyContent="flex-end">
          <QuietButton type="button" onClick={() => onAnswer(undefined)} autoFocus={question.reason === undefined}>
            {question.no ?? 'Leave it'}
          </QuietButton>
          <Button type="submit" disabled={!ready}>
            {question.yes}
          </Button>
        </Box>
      </form>
    </dialog>
  );
};

/** `ask(question)` gives the answer once it is given. */
export const useAsk = () => useContext(Context);
