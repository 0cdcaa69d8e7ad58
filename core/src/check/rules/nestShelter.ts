import type { Check } from '../types.ts';

/** Eave over a nest lid. */
export const nestShelter: Check = ({ build, rules }) => {
  const { nests, eaves } = build.facts;
  if (!nests || !eaves || nests.wall !== 'back' || eaves.back >= rules.nestEave) return [];
  return [
    {
      code: 'nest-shelter',
      severity: 'tip',
      what: `The back eave of ${eaves.back}″ does not shelter the nest lid.`,
      why: 'Whoever gathers eggs stands in the drip, and the lid rots first.',
      where: ['nests/lid'],
      fix: { label: `Make the back overhang ${rules.nestEave}″`, patch: { overhangBack: rules.nestEave } },
    },
  ];
};
