import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Studs of a house that carries snow. */
export const studSpacing: Check = ({ build, params, rules }) => {
  const { fit, indoors, enclosedHeight } = build.facts;
  if (!fit || indoors || fit.studSpacing <= 16 || rules.snow < 20 || enclosedHeight < 84) return [];
  return [
    {
      code: 'stud-spacing',
      severity: 'tip',
      what: `Studs of a tall wall stand ${fit.studSpacing}″ apart.`,
      why: 'Sixteen is usual for coop walls: siding lies flatter and carries snow without bulging.',
      where: partsWhere(build, (p) => p.role === 'stud'),
      ...('studSpacing' in params ? mend('Set studs at 16″', { studSpacing: 16, rafterSpacing: 16 }) : {}),
    },
  ];
};
