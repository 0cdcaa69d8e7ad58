import { Box } from '@chakra-ui/react';
import { useRouteError } from 'react-router';
import { Button } from '../parts/Button.tsx';
import { Title } from '../parts/Text.tsx';

/** What is shown when a page breaks: what happened, and the way out. */
export const Fault = () => {
  const error = useRouteError();
  return (
    <Box p={10} maxW="620px">
      <Title>This page broke</Title>
      <Box my={3} color="soft">
        {error instanceof Error ? error.message : 'Something did not load.'} Nothing that was saved is lost.
      </Box>
      <Button onClick={() => window.location.reload()}>Load it again</Button>
    </Box>
  );
};
