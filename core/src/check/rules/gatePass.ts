import { passGate } from '../passGate.ts';
import { one } from '../print.ts';
import type { Check } from '../types.ts';

/** The narrowest way to the site against the unit. */
export const gatePass: Check = ({ build, rules, site }) => {
  if (site?.gate === undefined) return [];
  const way = passGate(build, site.gate, rules.loadWidth);
  if (way.passes) return [];
  return [
    {
      code: 'gate-pass',
      severity: 'stop',
      what: `It is ${one(way.across)}″ across and the way in is ${one(site.gate)}″.`,
      why: 'It does not go through whole, with a hand on each side: take it in as panels, lift it over, or build it narrower.',
      where: build.parts.slice(0, 1).map((p) => p.id),
    },
  ];
};
