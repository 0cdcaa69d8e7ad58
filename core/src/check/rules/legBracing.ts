import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { one } from '../print.ts';

/** Long legs want braces. */
export const legBracing: Check = ({ build, params, rules }) => {
  const { underfloor, floorHeight } = build.facts;
  if (!underfloor || underfloor.clear <= rules.legBrace) return [];
  if (build.parts.some((p) => p.role === 'brace' && p.assembly === 'base')) return [];
  return [
    {
      code: 'leg-bracing',
      severity: 'warn',
      what: `Legs of ${one(underfloor.clear)}″ stand without braces.`,
      why: `A floor at ${one(floorHeight)}″ sways: over ${rules.legBrace}″ the legs want diagonal braces, fixed on site.`,
      where: ['base/leg-1'],
      ...('legBraces' in params
        ? mend('Brace the legs', { legBraces: true })
        : 'legHeight' in params
          ? mend(`Make the legs ${rules.legBrace}″`, { legHeight: rules.legBrace })
          : {}),
    },
  ];
};
