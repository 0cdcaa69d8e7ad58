import { Box } from '@chakra-ui/react';
import { Link, useLocation } from 'react-router';
import { Title } from '../parts/Text.tsx';

/** An address that leads nowhere says so, with ways on. */
export const NoSuchPage = () => (
  <Box p={{ base: 4, md: 10 }} maxW="620px" data-testid="no-such-page">
    <Title mb={2}>There is no such page</Title>
    <Box mb={4} overflowWrap="anywhere">
      Nothing is at {useLocation().pathname}. Perhaps a letter of the address is missing.
    </Box>
    <Box display="flex" gap={5}>
      <Link to="/">To Today</Link>
      <Link to="/orders">To Orders</Link>
      <Link to="/models">To Models</Link>
    </Box>
  </Box>
);
