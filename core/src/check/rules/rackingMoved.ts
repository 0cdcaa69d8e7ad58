import type { Build } from '../../unit/index.ts';
import { findItem } from '../../stock/index.ts';
import { mend } from '../mend.ts';
import type { Check, Finding } from '../types.ts';
import { partsWhere } from '../where.ts';

const WAYS = [
  { name: 'long sides', match: /^(front|back)/ },
  { name: 'ends', match: /^(left|right|end)/ },
] as const;

/** Whether something keeps the corners of these sides square: a diagonal, a gusset, a sheet skin, boards nailed twice, or plated corners. */
const areHeld = (build: Build, match: RegExp): boolean => {
  const here = (id: string): boolean => match.test(id);
  const skinned = build.parts.some(
    (p) =>
      here(p.assembly) &&
      (['brace', 'gusset', 'hoop', 'board'].includes(p.role) ||
        (p.role === 'siding' && findItem(p.item).kind === 'sheet')),
  );
  return (
    skinned ||
    build.joints.some(
      (j) =>
        j.parts.some((id) => here(id)) && j.hardware.some((h) => h.item === 'angle-tie' || h.item === 'brace-strap'),
    )
  );
};

/** Frames that are moved, held square on their sides and on their ends. */
export const rackingMoved: Check = ({ build, params }) => {
  if (!build.facts.movable) return [];
  // Hoops and slopes that lean together stand by their own shape.
  if (build.parts.some((p) => p.role === 'hoop' || p.role === 'gusset')) return [];
  return WAYS.flatMap((way): Finding[] => {
    if (!build.assemblies.some((a) => way.match.test(a.id)) || areHeld(build, way.match)) return [];
    return [
      {
        code: `racking-moved-${way.name === 'ends' ? 'ends' : 'sides'}`,
        severity: 'warn',
        what: `Nothing holds the corners of the ${way.name} square when it is pulled.`,
        why: 'A moved unit that racks leaves every latch out of line: corner plates, diagonals, gussets or a skin of ply stop it.',
        where: partsWhere(
          build,
          (p) => way.match.test(p.assembly) && ['upright', 'rail', 'stud', 'plate'].includes(p.role),
        ),
        ...('cornerPlates' in params ? mend('Plate the corners', { cornerPlates: true }) : {}),
      },
    ];
  });
};
