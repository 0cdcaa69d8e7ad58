import { isLumber } from './panelSteps.ts';
import type { StepList } from './stepList.ts';
import type { Step } from './types.ts';

/**
 * Steps that wait for what they are made of rather than for the whole saw: a panel is laid out and framed as soon as its sticks are cut,
 * and is skinned once the sheets are, and its mesh. What is loaded waits for all that is cut.
 */
export const waitForOwnCuts = (list: StepList): void => {
  const cuts = list.steps.filter((s) => s.verb === 'cut' && s.station === 'saw');
  if (cuts.length === 0) return;
  const all = new Set(cuts.map((s) => s.id));
  const lumber = new Set(list.build.parts.filter(isLumber).map((p) => p.id));
  const holding = (parts: readonly string[]): string[] => {
    const wanted = new Set(parts);
    return cuts.filter((c) => c.parts.some((id) => wanted.has(id))).map((c) => c.id);
  };
  const sticks = holding([...lumber]);
  const ownOf = (s: Step): readonly string[] => {
    if (s.verb === 'load' || s.verb === 'pack') return [...all];
    // Openings are cut out on the bench: nothing is skinned before the sheets are.
    if (s.verb === 'skin') return holding(s.parts).concat(all.has('cut-sheets') ? ['cut-sheets'] : []);
    if (s.verb !== 'lay out') return holding(s.parts);
    const mine = list.partsOf(s.assembly ?? '').filter((p) => lumber.has(p.id));
    return mine.length > 0 ? holding(mine.map((p) => p.id)) : sticks;
  };
  /** What is done before a step is, by its needs and theirs. */
  const before = new Map<string, ReadonlySet<string>>();
  list.steps.forEach((s, i) => {
    const whole = cuts.every((c) => s.needs.includes(c.id));
    const own = s.station === 'saw' ? [] : ownOf(s);
    // What has no cut of its own waits for the saw as before.
    const kept = whole && own.length > 0 ? s.needs.filter((n) => !all.has(n)) : s.needs;
    const met = new Set(kept.flatMap((n) => [n, ...(before.get(n) ?? [])]));
    const needs = [...kept, ...[...new Set(own)].filter((id) => !met.has(id))];
    before.set(s.id, new Set(needs.flatMap((n) => [n, ...(before.get(n) ?? [])])));
    list.steps[i] = { ...s, needs };
  });
};
