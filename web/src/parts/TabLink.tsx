import { chakra } from '@chakra-ui/react';
import { NavLink } from 'react-router';

/** One of the parts of a place, over its page. */
export const TabLink = chakra(NavLink, {
  base: {
    px: '12px',
    py: '8px',
    fontFamily: 'heading',
    fontStretch: '84%',
    fontWeight: 600,
    fontSize: '15px',
    textDecoration: 'none',
    color: 'ink',
    whiteSpace: 'nowrap',
    borderBottom: '4px solid',
    borderColor: 'transparent',
    _hover: { bg: 'chalkwash' },
    '&.active': { borderColor: 'tape', bg: 'sheet' },
  },
});
