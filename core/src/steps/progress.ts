import type { Operation } from './planOperations.ts';
import type { Station, Step } from './types.ts';

/** What of a step decides whether it can be done or undone: enough to tick one off without the whole plan. */
export type StepLine = Pick<Step, 'id' | 'title' | 'needs' | 'station'>;

/** How far each step has come, by its id; one that is not listed is open. */
export type StepStates = ReadonlyMap<string, 'open' | 'done'>;

const isDone = (states: StepStates, id: string): boolean => states.get(id) === 'done';

/** Stations that are not the shop's: what is done there is told by the driver, not ticked at the bench. */
export const OUTSIDE: readonly Station[] = ['yard', 'road', 'site'];

/** Whether a step is done in the shop, at the saw, in a bay or at the paint place. */
export const isBenchStep = (step: Pick<Step, 'station'>): boolean => !OUTSIDE.includes(step.station);

/** The first step that has to be done before one can be; undefined when nothing is in its way. */
export const findOpenNeed = <S extends StepLine>(
  steps: readonly S[],
  id: string,
  states: StepStates,
): S | undefined => {
  const step = steps.find((s) => s.id === id);
  return steps.find((s) => step?.needs.includes(s.id) === true && !isDone(states, s.id));
};

/** A step that is done and needs this one, so that this one may not be undone. */
export const findDoneFollower = <S extends StepLine>(
  steps: readonly S[],
  id: string,
  states: StepStates,
): S | undefined => steps.find((s) => s.needs.includes(id) && isDone(states, s.id));

/** Whether all that is done in the shop is done. A work order without any such step is never done by itself. */
export const isBenchDone = (steps: readonly StepLine[], states: StepStates): boolean => {
  const mine = steps.filter(isBenchStep);
  return mine.length > 0 && mine.every((s) => isDone(states, s.id));
};

/** The step to do next: the first open one whose needs are all done. */
export const findNextStep = <S extends StepLine>(steps: readonly S[], states: StepStates): S | undefined =>
  steps.find((s) => !isDone(states, s.id) && findOpenNeed(steps, s.id, states) === undefined);

/** Keys of the operations whose every step is done. */
export const findDoneOperations = (
  operations: readonly Pick<Operation, 'key' | 'steps'>[],
  states: StepStates,
): string[] =>
  operations.filter((o) => o.steps.length > 0 && o.steps.every((id) => isDone(states, id))).map((o) => o.key);

/** What can be done now, in working order, and what cannot, with what each waits for. */
export interface WorkNow<S> {
  readonly ready: readonly S[];
  readonly waiting: readonly { readonly step: S; readonly needs: readonly S[] }[];
}

/** Sorts the open ones among some steps by whether they can be done now. */
export const sortOpen = <S extends StepLine>(steps: readonly S[], states: StepStates): WorkNow<S> => {
  const open = steps.filter((s) => !isDone(states, s.id));
  const byId = new Map(open.map((s) => [s.id, s]));
  const needsOf = (s: S): S[] => s.needs.flatMap((n) => byId.get(n) ?? []);
  return {
    ready: open.filter((s) => needsOf(s).length === 0),
    waiting: open.flatMap((step) => {
      const needs = needsOf(step);
      return needs.length > 0 ? [{ step, needs }] : [];
    }),
  };
};
