import type { Check } from '../types.ts';

/** Eave over a nest lid. */
export const nestShelter: Check = ({ build, rules }) => {
  const { nests, eaves } = build.facts;
  if (!nests || !eaves || (nests.wall !== 'back' && nests.wall !== 'front')) return [];
  const side = nests.wall;
  if (eaves[side] >= rules.nestEave) return [];
  return [
    {
      code: 'nest-shelter',
      severity: 'tip',
      what: `The ${side} eave of ${eaves[side]}″ does not shelter the nest lid.`,
      why: 'Whoever gathers eggs stands in the drip, and the lid rots first.',
      where: ['nests/lid'],
      fix: {
        label: `Make the ${side} overhang ${rules.nestEave}″`,
        patch: { [side === 'back' ? 'overhangBack' : 'overhangFront']: rules.nestEave },
      },
    },
  ];
};
