import { mend } from '../mend.ts';
import type { Check } from '../types.ts';

/** The roost is the highest place in the house. */
export const roostAboveNests: Check = ({ build, params, rules }) => {
  const { nests, roosts } = build.facts;
  const roost = roosts[0];
  if (!nests || !roost || roost.height > nests.bottom + rules.roostOverNest) return [];
  const wanted = nests.bottom + rules.roostOverNest + 4;
  const ceiling = Number(params.lowWall ?? 0) - 10;
  return [
    {
      code: 'roost-above-nests',
      severity: 'warn',
      what: `Roosts at ${roost.height}″ are hardly higher than the nest floor at ${nests.bottom}″.`,
      why: 'Hens sleep in the highest place: it must be the roost, or they foul the nests.',
      where: ['roosts/bar-1', 'nests/floor'],
      ...('roostHeight' in params && wanted <= ceiling
        ? mend(`Set roosts at ${wanted}″`, { roostHeight: wanted })
        : 'nestBottom' in params
          ? mend('Set nests at 4″', { nestBottom: 4 })
          : {}),
    },
  ];
};
