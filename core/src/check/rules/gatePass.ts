import { measureTravelling } from '../../build/index.ts';
import { one } from '../print.ts';
import type { Check } from '../types.ts';

/** The narrowest way to the site against the unit. */
export const gatePass: Check = ({ build, rules, site }) => {
  if (site?.gate === undefined || build.facts.knockDown || build.facts.indoors) return [];
  const [x, y] = measureTravelling(build.parts).size;
  const least = Math.min(x, y);
  // What does not travel whole comes as panels.
  if (least > rules.loadWidth || least + 2 <= site.gate) return [];
  return [
    {
      code: 'gate-pass',
      severity: 'stop',
      what: `It is ${one(least)}″ across and the way in is ${one(site.gate)}″.`,
      why: 'It does not go through whole, with a hand on each side: take it in as panels, lift it over, or build it narrower.',
      where: build.parts.slice(0, 1).map((p) => p.id),
    },
  ];
};
