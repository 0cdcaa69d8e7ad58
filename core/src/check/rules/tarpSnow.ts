import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Tarp where it snows. */
export const tarpSnow: Check = ({ build, params, rules }) => {
  if (build.facts.roof.cover !== 'tarp' || rules.snow < rules.tarpSnow) return [];
  return [
    {
      code: 'tarp-snow',
      severity: 'tip',
      what: `A tarp is laid over this pen, and the ground snow load here is ${rules.snow} psf.`,
      why: 'Wet snow hangs in it and breaks hoops and rafters: take it off for the winter, or knock the snow down.',
      where: partsWhere(build, (p) => p.role === 'cover'),
      ...('cover' in params ? mend('Cover it with metal', { cover: 'metal' }) : {}),
    },
  ];
};
