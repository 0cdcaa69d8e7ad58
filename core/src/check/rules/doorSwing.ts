import type { Check } from '../types.ts';

/** Doors over litter swing outward. */
export const doorSwing: Check = ({ build }) => {
  const { door } = build.facts;
  if (!door || door.opens === 'outward') return [];
  return [
    {
      code: 'door-swing',
      severity: door.threshold > 3 ? 'stop' : 'warn',
      what: 'The people door opens inward.',
      why: 'Litter on the floor jams it, and it takes the room that a keeper stands in.',
      where: ['people-door/skin'],
      fix: { label: 'Swing it outward', patch: { doorOpens: 'outward' } },
    },
  ];
};
