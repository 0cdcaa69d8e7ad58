import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Title } from './Text.tsx';
import '../app/lightDark.ts';

/** The page before anybody is signed in: a pull of the tape, a title, a form. */
export const Doorstep = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <Box
    as="main"
    className="dots"
    minH="100%"
    bg="sheet"
    px={{ base: 4, md: 12 }}
    py={{ base: 6, md: 12 }}
    overflow="auto"
  >
    <Box maxW="620px" mx="auto">
      <Box bg="tape" height="16px" width="180px" borderRight="7px solid" borderColor="soft" mb={4} aria-hidden="true" />
      <Title fontSize="30px" mb={2}>
        {title}
      </Title>
      {children}
    </Box>
  </Box>
);

/** What went wrong with a form on the doorstep. */
export const Wrong = ({ children }: { readonly children: ReactNode }) => (
  <Box role="alert" bg="keelwash" borderLeft="4px solid" borderColor="keel" p={3}>
    {children}
  </Box>
);
