import type { Check } from '../types.ts';

/** Rafters stand over studs. */
export const rafterOverStud: Check = ({ build }) => {
  const { fit } = build.facts;
  if (!fit || fit.rafterSpacing % fit.studSpacing === 0) return [];
  return [
    {
      code: 'rafter-over-stud',
      severity: 'tip',
      what: `Rafters at ${fit.rafterSpacing}″ do not stand over studs at ${fit.studSpacing}″.`,
      why: 'A single top plate carries a rafter only over a stud.',
      where: ['roof/rafter-2'],
      fix: { label: `Set rafters at ${fit.studSpacing}″`, patch: { rafterSpacing: fit.studSpacing } },
    },
  ];
};
