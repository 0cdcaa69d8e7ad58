import { mend } from '../mend.ts';
import type { Check, Finding } from '../types.ts';
import { one } from '../print.ts';

/** Frame heights that fit a roll. */
export const meshRoll: Check = ({ build, params }) => {
  return build.facts.meshHeights.flatMap((m): Finding[] => {
    if (m.height > 48 || [24, 36, 48].some((roll) => Math.abs(roll - m.height) < 1 / 16)) return [];
    const nearest = [24, 36, 48]
      .filter((r) => r <= 42)
      .reduce((a, b) => (Math.abs(b - m.height) < Math.abs(a - m.height) ? b : a));
    return [
      {
        code: 'mesh-roll',
        severity: 'tip',
        what: `A frame ${one(m.height)}″ high fits no roll.`,
        why: `Rolls are 24, 36 and 48″ wide: at ${nearest}″ the mesh goes on uncut, with its own edge.`,
        where: [`${m.assembly}/mesh`],
        ...('height' in params ? mend(`Make it ${nearest}″ high`, { height: nearest }) : {}),
      },
    ];
  });
};
