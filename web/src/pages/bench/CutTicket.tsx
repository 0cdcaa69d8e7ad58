import { chakra } from '@chakra-ui/react';

/** A piece on a stick, a sheet or a roll: tapped when it is cut. */
export const CutTicket = chakra('button', {
  base: {
    position: 'relative',
    height: '54px',
    minW: 0,
    overflow: 'hidden',
    border: '1.4px solid',
    borderColor: 'woodink',
    bg: 'wood',
    color: 'woodink',
    fontFamily: 'heading',
    fontStretch: '80%',
    fontWeight: 650,
    fontSize: '16px',
    textAlign: 'center',
    lineHeight: 1.1,
    '&[aria-pressed=true]': { bg: 'mosswash', color: 'ink' },
  },
});
