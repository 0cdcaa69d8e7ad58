import type { Check, Finding } from '../types.ts';

/** Every nest row outside has its hole in the wall: the most forgotten of all. */
export const nestHole: Check = ({ build }) =>
  build.assemblies.flatMap((a): Finding[] => {
    if (a.kind !== 'nest') return [];
    const holes = build.openings.filter((o) => o.kind === 'nest').length;
    const rows = build.assemblies.filter((b) => b.kind === 'nest').length;
    if (holes >= rows) return [];
    return [
      {
        code: `nest-hole-${a.id}`,
        severity: 'stop',
        what: `The ${a.name} has no hole in the wall.`,
        why: 'The holes from house to nest are cut on the bench, before the siding goes on.',
        where: build.parts
          .filter((p) => p.assembly === a.id)
          .slice(0, 1)
          .map((p) => p.id),
      },
    ];
  });
