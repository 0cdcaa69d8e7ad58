import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { one } from '../print.ts';

/** Dark space under a low floor. */
export const underfloorDark: Check = ({ build, params }) => {
  const { underfloor } = build.facts;
  if (!underfloor?.open || underfloor.clear > 20) return [];
  return [
    {
      code: 'underfloor-dark',
      severity: 'tip',
      what: `The space of ${one(underfloor.clear)}″ under the floor is open and dark.`,
      why: 'Hens lay there, and rats move in. Skirt it with mesh, or raise it so that a dog goes in.',
      where: ['base/leg-1'],
      ...('legHeight' in params ? mend('Make the legs 24″', { legHeight: 24 }) : {}),
    },
  ];
};
