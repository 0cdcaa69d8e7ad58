import { chakra } from '@chakra-ui/react';

const base = {
  display: 'inline-flex',
  alignItems: 'center',
  justifyContent: 'center',
  gap: '6px',
  px: '14px',
  py: '6px',
  fontFamily: 'heading',
  fontStretch: '86%',
  fontWeight: 600,
  fontSize: '14.5px',
  textDecoration: 'none',
  border: '1px solid',
  flexShrink: 0,
  lineHeight: 1.3,
  textAlign: 'center',
} as const;

/** The next action: one filled blue button in view at a time. */
export const Button = chakra('button', {
  base: {
    ...base,
    bg: 'chalkfill',
    borderColor: 'chalkfill',
    color: '#fff',
    _disabled: { opacity: 0.55 },
    _hover: { filter: 'brightness(1.08)' },
  },
});

/** Any other action. */
export const QuietButton = chakra('button', {
  base: {
    ...base,
    borderColor: 'chalk',
    color: 'chalk',
    bg: 'transparent',
    _disabled: { opacity: 0.5 },
    _hover: { bg: 'chalkwash' },
  },
});

/** A link that looks like an action. */
export const LinkButton = chakra('a', {
  base: { ...base, borderColor: 'chalk', color: 'chalk', _hover: { bg: 'chalkwash' } },
});

/** One of a few choices; `aria-pressed` tells which is on. */
export const ChoiceButton = chakra('button', {
  base: {
    px: '10px',
    py: '4px',
    border: '1px solid',
    borderColor: 'rule',
    fontSize: '14px',
    bg: 'sheet',
    '&[aria-pressed=true]': { bg: 'ink', color: 'sheet', borderColor: 'ink', fontWeight: 600 },
  },
});
