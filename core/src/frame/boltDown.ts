import type { PartDraft } from '../unit/index.ts';
import type { Sketch } from './sketch.ts';

/** Anchor bolts of a piece: near both ends and no farther apart than this. IRC R403.1.6: 6 ft at most, two a piece (from memory). */
const LEAST = 2;

/** The sole plates of a house without a floor of its own. */
export const isSole = (part: PartDraft): boolean =>
  part.role === 'plate' && part.assembly.endsWith('-wall') && part.id.includes('bottom-plate');

/** Bolts plates or sills down to the concrete that they lie on. */
export const boltDown = (sketch: Sketch, which: (part: PartDraft) => boolean, apart: number): void => {
  for (const part of sketch.parts.filter(which))
    sketch.join({
      kind: 'bolt',
      parts: [part.id],
      hardware: { 'anchor-bolt': Math.max(LEAST, Math.ceil(part.length / apart)) },
    });
};
