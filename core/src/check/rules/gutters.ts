import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Water off a large roof. */
export const gutters: Check = ({ build, params, rules }) => {
  if (!('gutters' in params) || params.gutters === true) return [];
  const area = build.parts.filter((p) => p.role === 'roofing').reduce((sum, p) => sum + (p.length * p.width) / 144, 0);
  if (area < rules.gutterFrom) return [];
  return [
    {
      code: 'gutters',
      severity: 'tip',
      what: `A roof of ${Math.round(area)} sq ft drips where people and birds walk.`,
      why: 'Gutters keep the ground beside it dry and may fill a tank.',
      where: partsWhere(build, (p) => p.role === 'roofing'),
      ...mend('Hang gutters', { gutters: true }),
    },
  ];
};
