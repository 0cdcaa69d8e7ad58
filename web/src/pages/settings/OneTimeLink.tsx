import { Box } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { moment } from '../../data/days.ts';
import type { InviteMade } from '../../data/types.ts';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Input } from '../../parts/Fields.tsx';
import { Title } from '../../parts/Text.tsx';

/** A link that is shown once: to be copied and handed over. */
export const OneTimeLink = ({
  title,
  made,
  onClose,
}: {
  readonly title: string;
  readonly made: InviteMade;
  readonly onClose: () => void;
}) => {
  const dialog = useRef<HTMLDialogElement>(null);
  const [copied, setCopied] = useState(false);
  useEffect(() => dialog.current?.showModal(), []);
  const link = `${window.location.origin}/welcome/${made.token}`;
  return (
    <dialog ref={dialog} className="sheet" aria-label={title} onCancel={onClose}>
      <Title mb={3}>{title}</Title>
      <Box mb={3}>Give them this link; it is not shown again. It works once, until {moment(made.expiresAt)}.</Box>
      <Input
        readOnly
        aria-label="One-time link"
        value={link}
        data-testid="one-time-link"
        onFocus={(e) => e.target.select()}
      />
      <Box display="flex" gap={3} mt={5} justifyContent="flex-end" alignItems="center">
        {copied && <span role="status">Copied.</span>}
        <QuietButton type="button" onClick={onClose}>
          Close
        </QuietButton>
        <Button
          type="button"
          onClick={() => {
            void navigator.clipboard.writeText(link).then(() => setCopied(true));
          }}
        >
          Copy the link
        </Button>
      </Box>
    </dialog>
  );
};
