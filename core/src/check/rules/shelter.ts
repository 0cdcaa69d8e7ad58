import { mend } from '../mend.ts';
import type { Check } from '../types.ts';

/** Roofed share of a pen. */
export const shelter: Check = ({ build, params, rules }) => {
  const share = build.facts.roof.roofedShare;
  if (!build.facts.movable || share >= rules.roofedShare - 1e-6) return [];
  const wanted = Math.ceil(Number(params.length ?? 0) * rules.roofedShare);
  return [
    {
      code: 'shelter',
      severity: 'warn',
      what: `Only ${Math.round(share * 100)} % of the pen is roofed.`,
      why: 'Birds that cannot leave need a dry, shaded third at least.',
      where: ['roof/sheet-1'],
      ...('roofLength' in params && wanted <= 72 ? mend(`Roof ${wanted}″ of it`, { roofLength: wanted }) : {}),
    },
  ];
};
