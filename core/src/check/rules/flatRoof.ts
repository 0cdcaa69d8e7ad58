import { findRoofing } from '../../stock/index.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** The roof of a moved pen that lies level: it sheds only where the pen stands on a fall. */
export const flatRoof: Check = ({ build }) => {
  const { roof, movable } = build.facts;
  if (!movable || roof.cover !== 'metal' || roof.roofedShare <= 0 || roof.pitch >= findRoofing('metal').leastPitch)
    return [];
  return [
    {
      code: 'flat-roof',
      severity: 'tip',
      what: 'The roof of this pen lies level.',
      why: 'Ribs across the pen shed where it stands an inch lower on one side; on level ground water stands in the flats and finds the screws. Set it down on a fall, or put a block under one rail.',
      where: partsWhere(build, (p) => p.role === 'roofing'),
    },
  ];
};
