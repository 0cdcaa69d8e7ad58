import type { Check } from '../types.ts';

/** Wheels large enough for grass. */
export const wheelSize: Check = ({ build, rules }) => {
  const { wheels } = build.facts;
  if (!wheels || wheels.diameter >= rules.wheelLeast) return [];
  return [
    {
      code: 'wheel-size',
      severity: 'warn',
      what: `${wheels.diameter}″ wheels are small for grass.`,
      why: `They drop into every hollow: ${rules.wheelLeast}″ or more rolls over it.`,
      where: ['moving/wheel-front'],
      fix: { label: `Put ${rules.wheelLeast}″ wheels on`, patch: { wheels: `wheel-${rules.wheelLeast}` } },
    },
  ];
};
