import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Frames that are moved, held square. */
export const rackingMoved: Check = ({ build, params }) => {
  if (!build.facts.movable) return [];
  const held = build.parts.some((p) => ['brace', 'gusset', 'siding', 'hoop', 'board'].includes(p.role));
  const plated = build.joints.some((j) => j.hardware.some((h) => h.item === 'angle-tie'));
  if (held || plated) return [];
  return [
    {
      code: 'racking-moved',
      severity: 'warn',
      what: 'Nothing holds the corners of this frame square when it is pulled.',
      why: 'A moved unit that racks leaves every latch out of line: corner plates, gussets or a skin of ply stop it.',
      where: partsWhere(build, (p) => p.role === 'upright' || p.role === 'rail'),
      ...('cornerPlates' in params ? mend('Plate the corners', { cornerPlates: true }) : {}),
    },
  ];
};
