import type { Part } from '../unit/index.ts';
import { isSharp } from './cutText.ts';
import type { Verb } from './types.ts';

/** A caution and when it applies. */
export interface Caution {
  readonly when: (verb: Verb, parts: readonly Part[]) => boolean;
  readonly text: string;
}

const isMesh = (p: Part): boolean => p.role === 'mesh';

/** The trade's usual cautions, shown with every step that they touch. */
export const CAUTIONS: readonly Caution[] = [
  { when: (v) => v === 'frame', text: 'Nailer: keep the other hand clear of where a nail can turn out.' },
  {
    when: (v, parts) => v === 'cut' && !parts.some(isMesh),
    text: 'Saw: guards on, eyes and ears; no freehand narrow rips.',
  },
  {
    when: (v, parts) => v === 'cut' && parts.some((p) => p.item.endsWith('-pt')),
    text: 'Treated lumber: gloves and mask; never burn the offcuts.',
  },
  {
    when: (v, parts) => v === 'cut' && parts.some(isSharp),
    text: 'Sharp points: clamped in the jig, hands clear of the blade; never freehand.',
  },
  {
    when: (v, parts) => (v === 'skin' || v === 'cut') && parts.some(isMesh),
    text: 'Mesh: long sleeves and gloves.',
  },
  {
    when: (v) => v === 'saw out',
    text: 'Saw near nails: eyes and ears, both hands on it, nobody behind the plate.',
  },
  { when: (v, parts) => v === 'roof' && parts.some((p) => p.item === 'metal'), text: 'Metal edges cut: gloves.' },
  { when: (v) => v === 'roof', text: 'Ladder on firm ground, and mind the roof edge.' },
  {
    when: (v) => v === 'stand' || v === 'load' || v === 'unload' || v === 'set',
    text: 'Lift as a team; never work alone under a raised unit.',
  },
  {
    when: (v) => v === 'found',
    text: 'Have buried services located before digging; look up for overhead lines. Local codes, permits and licensed trades decide.',
  },
  { when: (v) => v === 'inspect', text: 'A door that can shut a person in must open from inside.' },
];
