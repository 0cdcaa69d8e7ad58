import { Box } from '@chakra-ui/react';

/** A tape being pulled while something loads. */
export const Loading = () => (
  <Box p={10} role="status" aria-label="Loading">
    <Box height="14px" width="260px" borderBottom="1px solid" borderColor="soft" position="relative" overflow="hidden">
      <Box className="loading-tape" height="14px" bg="tape" width="40%" borderRight="5px solid" borderColor="soft" />
    </Box>
    <Box mt={2} color="soft">
      Pulling the tape …
    </Box>
  </Box>
);

/** Nothing here yet, and what to do about it. */
export const Empty = ({ children }: { readonly children: React.ReactNode }) => (
  <Box p={6} border="1px dashed" borderColor="rule" color="soft" maxW="560px">
    {children}
  </Box>
);
