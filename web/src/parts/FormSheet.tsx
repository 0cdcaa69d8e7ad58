import { Box } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { useShow } from '../data/useShow.tsx';
import { Button, QuietButton } from './Button.tsx';
import { Title } from './Text.tsx';

/** A form over the page: what went wrong stands in it, and what was typed stays until it is kept or given up. */
export const FormSheet = ({
  title,
  yes,
  ready = true,
  wide = false,
  onKeep,
  onClose,
  children,
}: {
  readonly title: string;
  /** The verb of keeping it, as the button says it. */
  readonly yes: string;
  readonly ready?: boolean;
  readonly wide?: boolean;
  readonly onKeep: () => Promise<void>;
  readonly onClose: () => void;
  readonly children: ReactNode;
}) => {
  const show = useShow();
  const dialog = useRef<HTMLDialogElement>(null);
  const [fault, setFault] = useState<string>();
  const [busy, setBusy] = useState(false);
  useEffect(() => dialog.current?.showModal(), []);
  const keep = async (): Promise<void> => {
    setBusy(true);
    setFault(undefined);
    try {
      await onKeep();
      onClose();
    } catch (error) {
      setFault(error instanceof Error ? error.message : String(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <dialog
      ref={dialog}
      className={wide ? 'sheet wide' : 'sheet'}
      aria-label={title}
      data-testid="form"
      onCancel={(e) => {
        e.preventDefault();
        onClose();
      }}
    >
      <form
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          if (ready && !busy) void keep();
        }}
      >
        <Title mb={4}>{title}</Title>
        <Box display="grid" gap={4}>
          {children}
        </Box>
        {fault !== undefined && (
          <Box role="alert" mt={4} bg="keelwash" borderLeft="4px solid" borderColor="keel" px={3} py={2}>
            {show.text(fault)}
          </Box>
        )}
        <Box display="flex" gap={3} mt={5} justifyContent="flex-end">
          <QuietButton type="button" onClick={onClose}>
            Leave it
          </QuietButton>
          <Button type="submit" disabled={!ready || busy}>
            {yes}
          </Button>
        </Box>
      </form>
    </dialog>
  );
};

/** A label over a group of buttons or boxes. */
export const Labelled = ({
  label,
  help,
  children,
}: {
  readonly label: string;
  readonly help?: string;
  readonly children: ReactNode;
}) => (
  <Box minW={0}>
    <Box color="soft" fontSize="14px" mb="3px">
      {label}
    </Box>
    {children}
    {help !== undefined && (
      <Box color="soft" fontSize="13px" mt="3px">
        {help}
      </Box>
    )}
  </Box>
);
