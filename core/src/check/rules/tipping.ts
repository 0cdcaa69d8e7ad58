import { measureTipSpeed } from '../../structure/index.ts';
import { mend } from '../mend.ts';
import type { Check } from '../types.ts';

/** Wind that tips the unit empty. */
export const tipping: Check = ({ build, params, rules }) => {
  // No wind blows inside another building.
  if (build.facts.indoors) return [];
  const speed = measureTipSpeed(build);
  if (speed >= rules.wind) return [];
  return [
    {
      code: 'tipping',
      severity: 'warn',
      what: `Wind of ${Math.floor(speed)} mph tips it empty.`,
      why: `A storm brings ${rules.wind} mph and more. Stake it down at two corners, or anchor the legs to its pads.`,
      where: build.parts.slice(0, 1).map((p) => p.id),
      ...('legHeight' in params && Number(params.legHeight) >= 20
        ? mend('Shorten the legs 6″', { legHeight: Number(params.legHeight) - 6 })
        : {}),
    },
  ];
};
