import type { Part } from '../unit/index.ts';
import type { Step } from './types.ts';

/**
 * What stands where it goes once a step is done: the parts that no later step puts anywhere. A panel's parts lie on the bench
 * until it is stood; what is coated later stands already.
 * @throws RangeError where the step is none of the steps
 */
export const findStanding = (
  parts: readonly Pick<Part, 'id'>[],
  steps: readonly Pick<Step, 'id' | 'parts' | 'verb'>[],
  step: string,
): Set<string> => {
  const at = steps.findIndex((s) => s.id === step);
  if (at < 0) throw new RangeError(`There is no step "${step}".`);
  const later = new Set(steps.slice(at + 1).flatMap((s) => (s.verb === 'coat' ? [] : s.parts)));
  return new Set([...parts.filter((p) => !later.has(p.id)).map((p) => p.id), ...(steps[at]?.parts ?? [])]);
};
