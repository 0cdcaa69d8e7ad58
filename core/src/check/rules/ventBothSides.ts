import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Air in on one side and out on the other. */
export const ventBothSides: Check = ({ build, params }) => {
  if (params.eaves !== 'blocked' || build.capacity.houseArea === undefined || build.facts.indoors) return [];
  const sides = new Set(
    build.openings.filter((o) => o.kind === 'window' || o.kind === 'vent').map((o) => o.wall ?? o.assembly),
  );
  if (sides.size > 1) return [];
  return [
    {
      code: 'vent-both-sides',
      severity: 'warn',
      what: sides.size === 0 ? 'Nothing lets the air through.' : 'All openings for air are in one wall.',
      why: 'Damp air leaves only where fresh air comes in on the other side.',
      where: partsWhere(build, (p) => p.role === 'rafter'),
      ...mend('Mesh the eave gaps', { eaves: 'mesh' }),
    },
  ];
};
