import { one } from '../print.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Reach of a rake from the openings, where nobody walks in. */
export const cleaningReach: Check = ({ build, params, rules }) => {
  const { door, indoors } = build.facts;
  if (indoors || build.capacity.houseArea === undefined || (door && door.clearHeight >= 60)) return [];
  const depth = Number(params.depth ?? params.width ?? 0);
  const sides = new Set(
    build.openings.filter((o) => o.kind === 'people door' || o.kind === 'clean-out').map((o) => o.wall ?? o.assembly),
  );
  if (sides.size === 0 || depth === 0) return [];
  // From both sides a rake has half as far to go; from an end it goes along the house.
  const between = (a: string, b: string, size: number): number =>
    sides.has(a) && sides.has(b) ? size / 2 : sides.has(a) || sides.has(b) ? size : Infinity;
  const far = Math.min(between('front', 'back', depth), between('left', 'right', Number(params.length ?? Infinity)));
  if (!Number.isFinite(far)) return [];
  if (far <= rules.rakeReach) return [];
  return [
    {
      code: 'cleaning-reach',
      severity: 'warn',
      what: `The far side of the floor is ${one(far)}″ from the opening.`,
      why: `A rake reaches ${rules.rakeReach}″ from outside: open the other side too, or make the house shallower.`,
      where: partsWhere(build, (p) => p.role === 'floor'),
      ...('cleanOutWall' in params
        ? {
            fix: {
              label: 'Put a clean-out in the back',
              patch: { cleanOutWall: sides.has('back') ? 'front' : 'back' },
            },
          }
        : {}),
    },
  ];
};
