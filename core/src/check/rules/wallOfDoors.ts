import { mend } from '../mend.ts';
import type { Check, Finding } from '../types.ts';
import { partsWhere } from '../where.ts';

/** A wall that is mostly doors has no shear of its own. */
export const wallOfDoors: Check = ({ build, params, rules }) => {
  if (build.parts.some((p) => p.role === 'brace')) return [];
  return build.assemblies.flatMap((wall): Finding[] => {
    const { square } = wall;
    if (wall.kind !== 'wall' || !square) return [];
    const open = build.openings
      .filter((o) => o.assembly === wall.id && o.kind !== 'window' && o.kind !== 'vent' && o.height > square.height / 2)
      .reduce((sum, o) => sum + o.width, 0);
    if (open / square.width <= rules.doorShare) return [];
    return [
      {
        code: `wall-of-doors-${wall.id}`,
        severity: 'warn',
        what: `Doors take ${Math.round((open / square.width) * 100)} % of the ${wall.name}.`,
        why: 'A wall made of doors does not keep the house square: brace its corners at 45°.',
        where: partsWhere(build, (p) => p.assembly === wall.id && p.role === 'king'),
        ...('legBraces' in params ? mend('Brace the corners', { legBraces: true }) : {}),
      },
    ];
  });
};
