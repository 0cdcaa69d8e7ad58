import { mend } from '../mend.ts';
import type { Check, Finding } from '../types.ts';
import { partsWhere } from '../where.ts';

/** A wall that is mostly doors has no shear of its own. */
export const wallOfDoors: Check = ({ build, params, rules }) => {
  const assemblyOf = new Map(build.parts.map((p) => [p.id, p.assembly]));
  return build.assemblies.flatMap((wall): Finding[] => {
    const { square } = wall;
    if (wall.kind !== 'wall' || !square) return [];
    // Braces under the floor do nothing for a wall that stands on it.
    const held = build.joints.some(
      (j) =>
        j.hardware.some((h) => h.item === 'angle-tie' || h.item === 'brace-strap') &&
        j.parts.every((id) => assemblyOf.get(id) === wall.id),
    );
    if (held) return [];
    const open = build.openings
      .filter((o) => o.assembly === wall.id && o.kind !== 'window' && o.kind !== 'vent' && o.height > square.height / 2)
      .reduce((sum, o) => sum + o.width, 0);
    if (open / square.width <= rules.doorShare) return [];
    return [
      {
        code: `wall-of-doors-${wall.id}`,
        severity: 'warn',
        what: `Doors take ${Math.round((open / square.width) * 100)} % of the ${wall.name}.`,
        why: 'A wall made of doors does not keep the house square: angles in the corners of its door frames do.',
        where: partsWhere(build, (p) => p.assembly === wall.id && p.role === 'king'),
        ...('doorBraces' in params ? mend('Put angles in the door frames', { doorBraces: true }) : {}),
      },
    ];
  });
};
