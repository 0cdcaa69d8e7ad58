import { groupParts } from '../unit/index.ts';
import type { Part } from '../unit/index.ts';

/** Most mitre saws end at this angle off square. Common practice, no source. */
export const MITRE_MOST = 50;

/** True for a piece with an end that a mitre saw does not reach. */
export const isSharp = (part: Part): boolean => part.cuts.some((c) => c.angle > MITRE_MOST);

/** How many pieces there are to cut for so many equal units, and by what. */
export const countText = (parts: readonly Part[], by: string, units = 1): string => {
  const lengths = groupParts(parts).length;
  const count = parts.length * units;
  const what = `${count} pieces${units > 1 ? ` for all ${units} units` : ''}`;
  if (count === 1) return `One piece, by the ${by}.`;
  if (by !== STICKS) return `${what}, by the ${by}.`;
  return lengths === 1
    ? `${what}, of one length, by the ${by}.`
    : `${what}, of ${lengths} lengths, by the ${by}: long pieces first.`;
};

const STICKS = 'stick bars';

/** What to mind when sticks of one kind are cut; ends that a mitre saw does not reach are cut with the piece on a wedge. */
export const cutText = (parts: readonly Part[], units = 1): string[] => {
  const sharp = [...new Set(parts.filter(isSharp).map((p) => p.mark))];
  return [
    countText(parts, STICKS, units),
    parts.length * units > groupParts(parts).length
      ? 'Stack equal pieces against the stop and cut them together; write the mark on each.'
      : 'Write the mark on each.',
    ...(sharp.length === 0
      ? []
      : [
          `More than ${MITRE_MOST}° off square: ${sharp.join(', ')}. Make a jig first, a wedge clamped to the fence at the rest of the angle.`,
        ]),
  ];
};

/** What to mind when mesh is cut: the rolls, how much of each, and that faces wider than a roll are lapped. */
export const cutMeshText = (parts: readonly Part[], units = 1): string[] => [
  `${parts.length * units === 1 ? 'One face' : `${parts.length * units} faces`}${units > 1 ? ` for all ${units} units` : ''}, by the roll layouts: strips along the roll one after the other, offcuts rolled up and marked.`,
  'Roll it out upside down under two boards so that it lies flat; cut beside a wire, write the mark on a strip of tape.',
];
