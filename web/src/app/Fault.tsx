import { Box } from '@chakra-ui/react';
import { useRouteError } from 'react-router';
import { ApiError } from '../data/api.ts';
import { Button, LinkButton } from '../parts/Button.tsx';
import { Title } from '../parts/Text.tsx';

/** What it is called when a page has nothing to show, by the status of the answer. */
const TITLES: Readonly<Record<number, string>> = {
  0: 'The shop’s server does not answer',
  403: 'This is not yours to see',
  404: 'There is nothing here',
  503: 'The shop’s server is away for a moment',
};

/** What is shown when a page cannot be: what happened, that nothing is lost, and the ways on. */
export const Fault = () => {
  const error = useRouteError();
  const status = error instanceof ApiError ? error.status : undefined;
  return (
    <Box p={10} maxW="620px" data-testid="fault">
      <Title>{(status === undefined ? undefined : TITLES[status]) ?? 'This page broke'}</Title>
      <Box my={3} color="soft">
        {error instanceof Error ? error.message : 'Something did not load.'} Nothing that was saved is lost.
      </Box>
      <Box display="flex" gap={3}>
        <Button onClick={() => window.location.reload()}>Load it again</Button>
        <LinkButton href="/">To Today</LinkButton>
      </Box>
    </Box>
  );
};
