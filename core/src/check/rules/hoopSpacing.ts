import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Pipe hoops close enough for wind and snow. */
export const hoopSpacing: Check = ({ build, params, rules }) => {
  if (params.hoops !== 'pvc' || Number(params.hoopSpacing) <= rules.hoopApart) return [];
  return [
    {
      code: 'hoop-spacing',
      severity: 'tip',
      what: `Pipe hoops stand up to ${Number(params.hoopSpacing)}″ apart.`,
      why: `Over ${rules.hoopApart}″ the mesh sags between them and a wet tarp folds them.`,
      where: partsWhere(build, (p) => p.role === 'hoop'),
      ...mend(`Set them at ${rules.hoopApart}″`, { hoopSpacing: rules.hoopApart }),
    },
  ];
};
