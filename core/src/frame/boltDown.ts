import { measurePtBounds } from '../geometry/index.ts';
import type { PartDraft } from '../unit/index.ts';
import type { Sketch } from './sketch.ts';

/** Anchor bolts of a piece: near both ends and no farther apart than this. IRC R403.1.6: 6 ft at most, two a piece (from memory). */
const LEAST = 2;
/** A piece shorter than this has room for one. */
const SHORT = 12;

/** The sole plates of a house without a floor of its own. */
export const isSole = (part: PartDraft): boolean =>
  part.role === 'plate' && part.assembly.endsWith('-wall') && part.id.includes('bottom-plate');

/** Bolts plates or sills down to the concrete that they lie on. */
export const boltDown = (sketch: Sketch, which: (part: PartDraft) => boolean, apart: number): void => {
  for (const part of sketch.parts.filter(which)) {
    // Of a plate that is sawn out, what lies there: its gap has none.
    const [x0, , x1] = measurePtBounds(part.shape.outline);
    const lies = part.sawnOut ? x1 - x0 : part.length;
    const least = lies < SHORT ? 1 : LEAST;
    sketch.join({
      kind: 'bolt',
      parts: [part.id],
      hardware: { 'anchor-bolt': Math.max(least, Math.ceil(lies / apart)) },
    });
  }
};
