import { mend } from '../mend.ts';
import type { Check } from '../types.ts';

/** Nest size for the breed. */
export const nestSize: Check = ({ build, params, flock }) => {
  const { nests } = build.facts;
  if (!nests || flock.breed !== 'large' || (nests.width >= 14 && nests.depth >= 14)) return [];
  return [
    {
      code: 'nest-size',
      severity: 'tip',
      what: `Nests of ${nests.width} × ${nests.depth}″ are small for a large breed.`,
      why: 'Large hens want 14 × 16″; in a tight nest they turn on the eggs.',
      where: ['nests/floor'],
      ...('nestWidth' in params ? mend('Make them 14 × 16″', { nestWidth: 14, nestDepth: 16 }) : {}),
    },
  ];
};
