import { mend } from '../mend.ts';
import type { Check, Finding } from '../types.ts';
import { partsAt } from '../where.ts';

/** A door that opens against the nests beside it. */
export const doorHitsNests: Check = ({ build, params }) =>
  build.openings.flatMap((door): Finding[] => {
    if (door.kind !== 'people door' || !door.wall) return [];
    const nest = build.openings.find((o) => o.kind === 'nest' && o.assembly === door.assembly);
    if (!nest) return [];
    const gap = Math.max(nest.left - door.left - door.width, door.left - nest.left - nest.width);
    const leaf = door.style === 'double' ? door.width / 2 : door.width;
    if (gap >= leaf) return [];
    return [
      {
        code: 'door-hits-nests',
        severity: 'tip',
        what: 'The door folds back against the nests in the same wall.',
        why: 'Hinge it on the other side, or put the nests elsewhere: an open leaf wants its own width of wall.',
        where: partsAt(build, door.id),
        ...('nestWall' in params && nest.id.endsWith('/nest')
          ? mend('Put the nests in the right wall', { nestWall: 'right' })
          : {}),
      },
    ];
  });
