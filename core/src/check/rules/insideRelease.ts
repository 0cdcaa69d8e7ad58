import type { Check } from '../types.ts';

/** A door that a person fits through opens from inside. */
export const insideRelease: Check = ({ build, rules }) => {
  const { door } = build.facts;
  if (!door || door.insideRelease || door.clearHeight < rules.personFits) return [];
  return [
    {
      code: 'inside-release',
      severity: 'stop',
      what: 'The people door shuts people in.',
      why: 'Its latch has no release on the inside, and a person, or a child, fits through.',
      where: ['people-door/skin'],
      fix: { label: 'Add a release', patch: { insideRelease: true } },
    },
  ];
};
