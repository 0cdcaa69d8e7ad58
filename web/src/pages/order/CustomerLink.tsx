import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { WriteOrder } from '../../data/hooks.ts';
import type { Order } from '../../data/types.ts';
import { LinkButton, QuietButton } from '../../parts/Button.tsx';
import { useAsk } from '../../parts/Ask.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

/** The customer's link: opened, copied, made anew, withdrawn. It ends by itself a month after the hand-over. */
export const CustomerLink = ({ order, write }: { readonly order: Order; readonly write: WriteOrder }) => {
  const { tell, fail } = useNotice();
  const ask = useAsk();
  const [copied, setCopied] = useState(false);
  const go = async (path: string, question: string, yes: string, said: string): Promise<void> => {
    if (order.token !== null && !(await ask({ title: yes, lines: [question], yes }))) return;
    try {
      await write(path, 'POST', { version: order.version });
      tell(said);
    } catch (e) {
      fail(e);
    }
  };
  return (
    <Box borderTop="1px solid" borderColor="rule" mt={4} pt={3} data-testid="customer-link">
      <Heading mb={1}>The customer’s link</Heading>
      <Soft>
        {order.token === null
          ? 'There is none: the customer sees nothing of the order.'
          : 'Whoever has it sees the customer’s page. It ends a month after the hand-over.'}
      </Soft>
      <Box display="flex" gap={3} mt={2} flexWrap="wrap">
        {order.token !== null && (
          <>
            <LinkButton href={`/visit/${order.token}`} target="_blank">
              Open it
            </LinkButton>
            <QuietButton
              type="button"
              onClick={() => {
                void navigator.clipboard
                  .writeText(`${window.location.origin}/visit/${order.token}`)
                  .then(() => setCopied(true), fail);
              }}
            >
              {copied ? 'Copied' : 'Copy it'}
            </QuietButton>
          </>
        )}
        <QuietButton
          type="button"
          onClick={() =>
            void go(
              '/link',
              'The link that the customer has leads nowhere from then on.',
              'Make a new link',
              'There is a new link; the old one leads nowhere.',
            )
          }
        >
          Make a new link
        </QuietButton>
        {order.token !== null && (
          <QuietButton
            type="button"
            onClick={() =>
              void go(
                '/link/withdraw',
                'The customer sees nothing of the order any more.',
                'Withdraw the link',
                'The link is withdrawn.',
              )
            }
          >
            Withdraw it
          </QuietButton>
        )}
      </Box>
    </Box>
  );
};
