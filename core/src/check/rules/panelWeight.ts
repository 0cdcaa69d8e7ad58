import { measurePartsMass } from '../../unit/index.ts';
import type { Check, Finding } from '../types.ts';

/** Panels of a kit that two people carry. */
export const panelWeight: Check = ({ build, rules }) => {
  if (!build.facts.knockDown) return [];
  return build.assemblies
    .map((a) => ({ a, weight: measurePartsMass(build.parts.filter((p) => p.assembly === a.id)).weight }))
    .filter(({ weight }) => weight > rules.panelMost)
    .slice(0, 1)
    .map(({ a, weight }): Finding => ({
      code: 'panel-weight',
      severity: 'warn',
      what: `The ${a.name} weighs ${Math.round(weight)} lb.`,
      why: `Two adults carry ${rules.panelMost} lb in all; a kit that needs four is not taken down.`,
      where: build.parts
        .filter((p) => p.assembly === a.id)
        .slice(0, 1)
        .map((p) => p.id),
    }));
};
