import { cross } from '../../geometry/index.ts';
import type { Check } from '../types.ts';

/** Mesh that is stapled alone: a batten or washers keep it on when something pulls. Common practice, no source. */
export const meshHeld: Check = ({ build }) => {
  const lapped = build.parts.filter((p) => p.fixing === 'lap');
  // Level mesh is overhead; all other is on the sides.
  const up = lapped.filter(({ place }) => Math.abs(cross(place.u, place.v)[2]) < 0.9);
  if (lapped.length === 0) return [];
  const sides = up.length > 0;
  return [
    {
      code: 'mesh-held',
      severity: sides ? 'warn' : 'tip',
      what: `Mesh ${sides ? 'on the sides' : 'overhead'} is lapped around its frame and held by staples alone.`,
      why: 'A strong paw draws staples one after the other; washers or a batten over the edge hold it.',
      where: (sides ? up : lapped).slice(0, 4).map((p) => p.id),
      fix: { label: 'Put washers on', patch: { [sides ? 'meshSides' : 'meshOverhead']: 'washers' } },
    },
  ];
};
