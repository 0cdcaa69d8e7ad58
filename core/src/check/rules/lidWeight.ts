import { measurePartsMass } from '../../unit/index.ts';
import { mend } from '../mend.ts';
import type { Check } from '../types.ts';

/** Weight of the lifting lid. */
export const lidWeight: Check = ({ build, params, rules }) => {
  const lid = build.facts.lidWeightParts;
  if (lid === undefined) return [];
  const weight = measurePartsMass(build.parts.filter((p) => p.assembly === lid)).weight;
  if (weight <= rules.lidMost) return [];
  return [
    {
      code: 'lid-weight',
      severity: 'warn',
      what: `The lid weighs ${Math.round(weight)} lb.`,
      why: `Over ${rules.lidMost} lb it is let fall, on fingers and birds. Fit a prop that holds it open.`,
      where: build.parts
        .filter((p) => p.assembly === lid)
        .slice(0, 1)
        .map((p) => p.id),
      ...('lidLength' in params && Number(params.lidLength) > 24 ? mend('Make the lid 24″', { lidLength: 24 }) : {}),
    },
  ];
};
