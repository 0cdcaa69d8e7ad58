import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useId, useState } from 'react';
import type { ReactNode } from 'react';
import { useShow } from '../data/useShow.tsx';
import { ChoiceButton } from './Button.tsx';

export const Input = chakra('input', {
  base: {
    width: '100%',
    bg: 'sheet',
    border: '1px solid',
    borderColor: 'soft',
    px: '9px',
    py: '6px',
    minW: 0,
    '&[aria-invalid=true]': { borderColor: 'keel', borderWidth: '2px' },
  },
});
export const Select = chakra('select', {
  base: { width: '100%', bg: 'sheet', border: '1px solid', borderColor: 'soft', px: '9px', py: '6px' },
});
export const TextArea = chakra('textarea', {
  base: { width: '100%', bg: 'sheet', border: '1px solid', borderColor: 'soft', px: '9px', py: '6px', minH: '70px' },
});

/** A label over its control, with what is wrong under it. */
export const Field = ({
  label,
  error,
  help,
  children,
}: {
  readonly label: string;
  readonly error?: string | undefined;
  readonly help?: string;
  readonly children: (id: string) => ReactNode;
}) => {
  const id = useId();
  return (
    <Box minW={0}>
      <Box asChild color="soft" fontSize="14px" display="block">
        <label htmlFor={id}>{label}</label>
      </Box>
      {children(id)}
      {help && !error && (
        <Box color="soft" fontSize="13px" id={`${id}-help`}>
          {help}
        </Box>
      )}
      {error && (
        <Box color="keel" fontSize="14px" id={`${id}-error`} role="alert">
          {error}
        </Box>
      )}
    </Box>
  );
};

/** Takes a length as people write it and gives inches; says what it does not understand and keeps what was typed. */
export const LengthInput = ({
  value,
  onChange,
  min,
  max,
  label,
  id,
}: {
  readonly value: number | undefined;
  readonly onChange: (inches: number) => void;
  readonly min: number;
  readonly max: number;
  readonly label: string;
  readonly id?: string;
}) => {
  const show = useShow();
  const printed = value === undefined ? '' : show.length(value);
  const [text, setText] = useState(printed);
  const [error, setError] = useState<string>();
  const own = useId();
  const name = id ?? own;
  useEffect(() => {
    setText(printed);
    setError(undefined);
  }, [printed]);
  const commit = (): void => {
    if (text === printed) return;
    if (text.trim() === '') return;
    try {
      const inches = show.read(text);
      if (inches < min || inches > max) setError(`From ${show.length(min)} to ${show.length(max)}.`);
      else {
        setError(undefined);
        onChange(inches);
      }
    } catch {
      setError(`Write it like ${show.example}.`);
    }
  };
  return (
    <Box minW={0}>
      <Input
        id={name}
        aria-label={label}
        aria-invalid={error !== undefined}
        aria-describedby={error ? `${name}-e` : undefined}
        value={text}
        inputMode="text"
        textAlign="right"
        className="cond"
        onChange={(e) => setText(e.target.value)}
        onBlur={commit}
        onKeyDown={(e) => e.key === 'Enter' && commit()}
      />
      {error && (
        <Box id={`${name}-e`} role="alert" color="keel" fontSize="13px">
          {error}
        </Box>
      )}
    </Box>
  );
};

/** A few named values, one of them on. */
export const Choices = <T extends string | number | boolean>({
  label,
  value,
  choices,
  onChange,
}: {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
}) => {
  const show = useShow();
  return (
    <Box role="group" aria-label={label} display="flex" gap="5px" flexWrap="wrap">
      {choices.map((c) => (
        <ChoiceButton
          type="button"
          key={String(c.value)}
          aria-pressed={c.value === value}
          onClick={() => onChange(c.value)}
        >
          {show.text(c.label)}
        </ChoiceButton>
      ))}
    </Box>
  );
};

/** Several named values, any of them on. */
export const Several = <T extends string>({
  label,
  value,
  choices,
  onChange,
}: {
  readonly label: string;
  readonly value: readonly T[];
  readonly choices: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T[]) => void;
}) => (
  <Box role="group" aria-label={label} display="flex" gap="5px" flexWrap="wrap">
    {choices.map((c) => {
      const on = value.includes(c.value);
      return (
        <ChoiceButton
          type="button"
          key={c.value}
          aria-pressed={on}
          onClick={() => onChange(choices.map((x) => x.value).filter((v) => (v === c.value ? !on : value.includes(v))))}
        >
          {c.label}
        </ChoiceButton>
      );
    })}
  </Box>
);
