import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { one } from '../print.ts';

/** A barrow passes the people door. */
export const barrowWidth: Check = ({ build, params, rules }) => {
  const { door } = build.facts;
  // A pen without a floor is moved off its droppings; where there is a clean-out, litter leaves by that.
  if (build.capacity.houseArea === undefined || build.openings.some((o) => o.kind === 'clean-out')) return [];
  if (!door || door.clearWidth >= rules.barrow - 1e-6) return [];
  const wanted = rules.barrow + 1.5;
  if (build.facts.floorHeight > 36) return [];
  return [
    {
      code: 'barrow-width',
      severity: 'tip',
      what: `The door is ${one(door.clearWidth)}″ clear; a barrow wants ${rules.barrow}″.`,
      why: 'Litter leaves by this door: from a raised floor it is raked straight into the barrow.',
      where: ['people-door/skin'],
      ...(wanted <= 40 && Number(params.length ?? 0) >= wanted + 9
        ? mend(`Make the opening ${wanted}″`, { doorWidth: wanted })
        : {}),
    },
  ];
};
