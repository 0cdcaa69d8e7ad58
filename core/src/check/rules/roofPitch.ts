import { findRoofing } from '../../stock/index.ts';
import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { one } from '../print.ts';

/** Least pitch of the covering. */
export const roofPitch: Check = ({ build, params }) => {
  const { roof } = build.facts;
  const item = roof.cover === 'metal' || roof.cover === 'shingle' ? findRoofing(roof.cover) : undefined;
  if (!item || build.facts.movable || roof.pitch >= item.leastPitch - 1e-6) return [];
  const fall = item.leastPitch / 12;
  const lower = Math.floor((Number(params.highWall ?? 0) - (Number(params.depth ?? 0) - 3.5) * fall) * 2) / 2;
  return [
    {
      code: 'roof-pitch',
      severity: 'warn',
      what: `${item.name[0]?.toUpperCase() ?? ''}${item.name.slice(1)} at ${one(roof.pitch)} in 12 is flatter than ${item.leastPitch} in 12.`,
      why: 'Rain driven up under the laps finds the deck.',
      where: ['roof/rafter-1'],
      ...('lowWall' in params && lower >= 30 ? mend(`Make the low wall ${lower}″`, { lowWall: lower }) : {}),
    },
  ];
};
