import { chakra } from '@chakra-ui/react';

/** One of the few things at the foot of a tablet: for gloves. */
export const BigButton = chakra('button', {
  base: {
    textAlign: 'center',
    px: 3,
    minH: '112px',
    fontFamily: 'heading',
    fontStretch: '86%',
    fontWeight: 640,
    fontSize: '22px',
    bg: 'sheet',
    borderRight: '1px solid',
    borderColor: 'rule',
    _disabled: { color: 'soft' },
  },
});
