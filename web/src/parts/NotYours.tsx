import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import { Title } from './Text.tsx';

/** A page that is not for this sign-in: said at once, with where to go. */
export const NotYours = ({ what = 'This page' }: { readonly what?: string }) => (
  <Box p={{ base: 4, md: 10 }} maxW="560px" data-testid="not-yours">
    <Title mb={2}>Not yours to see</Title>
    <Box mb={4}>{what} is the office’s. Ask there if you need something from it.</Box>
    <Box display="flex" gap={5}>
      <Link to="/">To Today</Link>
      <Link to="/roads">To Roads</Link>
      <Link to="/orders">To Orders</Link>
    </Box>
  </Box>
);
