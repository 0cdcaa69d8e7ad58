import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Piers of three courses and more. */
export const tallBlocks: Check = ({ build, params }) => {
  if (params.foundation !== 'blocks' || Number(params.blockCourses ?? 1) < 3) return [];
  return [
    {
      code: 'tall-blocks',
      severity: 'tip',
      what: 'The piers are three courses of block high.',
      why: 'Stacked dry they walk: fill the cores with concrete and set a bar in each.',
      where: partsWhere(build, (p) => p.role === 'block'),
      fix: { label: 'Two courses', patch: { blockCourses: 2 } },
    },
  ];
};
