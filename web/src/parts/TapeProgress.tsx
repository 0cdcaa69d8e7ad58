import { Box } from '@chakra-ui/react';

/** A tape pulled as far as something has come, 0 to 1. */
export const TapeProgress = ({ part, name }: { readonly part: number; readonly name: string }) => (
  <Box
    role="progressbar"
    aria-label={name}
    aria-valuenow={Math.round(part * 100)}
    aria-valuemin={0}
    aria-valuemax={100}
    height="14px"
    bg="tapeoff"
    border="1px solid"
    borderColor="tick"
  >
    <Box
      height="100%"
      bg="tape"
      width={`${Math.round(part * 100)}%`}
      backgroundImage="repeating-linear-gradient(90deg,#5A4300 0 1px,transparent 1px 8px)"
      backgroundSize="100% 6px"
      backgroundRepeat="no-repeat"
    />
  </Box>
);
