import { findItem } from '../../stock/index.ts';
import { measureBounds } from '../../unit/index.ts';
import type { Check } from '../types.ts';

const CARRIES = new Set(['rail', 'plate', 'runner', 'leg', 'sill', 'post', 'rim', 'upright']);

/** Wood on the ground is treated. */
export const groundContact: Check = ({ build }) => {
  const bare = build.parts.filter((p) => {
    if (!CARRIES.has(p.role)) return false;
    const item = findItem(p.item);
    return item.kind === 'lumber' && !item.treated && measureBounds([p]).low[2] < 0.25;
  });
  if (bare.length === 0) return [];
  return [
    {
      code: 'ground-contact',
      severity: 'tip',
      what: `${bare.length} pieces of untreated wood stand on the ground.`,
      why: 'They rot from the foot up in a few years: treat them, set them on runners, or plan to replace them.',
      where: bare.slice(0, 4).map((p) => p.id),
    },
  ];
};
