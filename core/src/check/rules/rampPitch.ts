import { mend } from '../mend.ts';
import type { Check } from '../types.ts';

/** Ramps near 45°. */
export const rampPitch: Check = ({ build, params, rules }) => {
  const { ramp } = build.facts;
  if (!ramp || ramp.angle <= rules.rampWarn) return [];
  const angle = Math.round(ramp.angle);
  return [
    {
      code: 'ramp-pitch',
      severity: 'warn',
      what: `The ramp climbs at ${angle}°.`,
      why: 'It is cut on site: a little fall at its foot and it passes 45°, where hens stop using it.',
      where: ['ramp/plank'],
      ...('legHeight' in params && Number(params.legHeight) > 12
        ? mend('Shorten the legs 4″', { legHeight: Math.max(12, Number(params.legHeight) - 4) })
        : {}),
    },
  ];
};
