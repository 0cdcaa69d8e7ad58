import type { Assembly, Build, Joint } from '../unit/index.ts';
import type { Step, Verb } from './types.ts';

/** Verbs of the steps in which a part comes to its place. */
const PLACES: ReadonlySet<Verb> = new Set<Verb>(['frame', 'skin', 'stand', 'fit', 'roof', 'hang', 'found', 'set']);
/** Verbs of the steps in which a panel comes to the unit. */
const JOINS: ReadonlySet<Verb> = new Set<Verb>(['stand', 'hang', 'fit', 'set']);

/**
 * Which step each joint is made at: within a panel when its last part goes on, between panels when the last of them is put to the
 * others. Every joint has one.
 */
export const placeJoints = (
  build: Pick<Build, 'parts' | 'assemblies' | 'joints'>,
  steps: readonly Pick<Step, 'id' | 'verb' | 'parts' | 'assembly'>[],
): ReadonlyMap<string, readonly Joint[]> => {
  const placed = new Map<string, number>();
  const joined = new Map<string, number>();
  steps.forEach((step, i) => {
    if (JOINS.has(step.verb) && step.assembly !== undefined) joined.set(step.assembly, i);
    if (PLACES.has(step.verb)) for (const p of step.parts) if (!placed.has(p)) placed.set(p, i);
  });
  const assemblyOf = new Map(build.parts.map((p) => [p.id, p.assembly]));
  const kinds = new Map<string, Assembly>(build.assemblies.map((a) => [a.id, a]));
  const last = steps.length - 1;
  const out = new Map<string, Joint[]>();
  for (const joint of build.joints) {
    const panels = new Set(joint.parts.map((p) => assemblyOf.get(p)));
    const alone = panels.size === 1 && joint.parts.length > 1;
    let at = 0;
    for (const p of joint.parts) {
      const assembly = assemblyOf.get(p) ?? '';
      const own = placed.get(p) ?? last;
      const whole = kinds.get(assembly)?.flat === true ? joined.get(assembly) : undefined;
      at = Math.max(at, alone ? own : (whole ?? own));
    }
    const id = steps[at]?.id ?? '';
    const list = out.get(id);
    if (list) list.push(joint);
    else out.set(id, [joint]);
  }
  return out;
};
