import { mend } from '../mend.ts';
import type { Check, Finding } from '../types.ts';
import { partsAt } from '../where.ts';

/** No open mesh beside sleeping birds. */
export const draughtOnRoost: Check = ({ build, params }) => {
  const height = Math.max(0, ...build.facts.roosts.map((r) => r.height));
  if (height === 0 || build.facts.indoors) return [];
  return build.openings.flatMap((o): Finding[] => {
    const open = (o.kind === 'window' || o.kind === 'vent') && o.style === 'mesh';
    if (!open || o.wall !== 'back' || o.bottom > height || o.bottom + o.height < height) return [];
    return [
      {
        code: `draught-${o.id.replace('/', '-')}`,
        severity: 'warn',
        what: 'Open mesh in the back wall is level with the roost.',
        why: 'A draught on sleeping birds costs combs and eggs in winter: air belongs above their heads.',
        where: partsAt(build, o.id),
        ...(o.id.endsWith('/window') && 'windowStyle' in params
          ? mend('Make it sliding', { windowStyle: 'sliding' })
          : {}),
      },
    ];
  });
};
