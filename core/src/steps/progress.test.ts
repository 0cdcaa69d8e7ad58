import fc from 'fast-check';
import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { planOperations } from './planOperations.ts';
import { planSteps } from './planSteps.ts';
import {
  findDoneFollower,
  findDoneOperations,
  findNextStep,
  findOpenNeed,
  isBenchDone,
  isBenchStep,
} from './progress.ts';

const families = FAMILIES.map((f) => ({ key: f.key, steps: planSteps(buildSpec(parseSpec({ family: f.key }))) }));

describe.each(families)('a $key at the bench', ({ steps }) => {
  it('comes to its end by always doing the next step, and is built before it is loaded', () => {
    const states = new Map<string, 'open' | 'done'>();
    for (let step = findNextStep(steps, states); step; step = findNextStep(steps, states)) {
      expect(findOpenNeed(steps, step.id, states)).toBeUndefined();
      expect(isBenchDone(steps, states)).toBe(
        !isBenchStep(step) && steps.filter(isBenchStep).every((s) => states.has(s.id)),
      );
      states.set(step.id, 'done');
    }
    expect(states.size).toBe(steps.length);
    expect(findDoneOperations(planOperations(steps), states)).toEqual(planOperations(steps).map((o) => o.key));
  });
  it('keeps what is done consistent, whatever is tried', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: steps.length - 1 }), fc.boolean()), { maxLength: 120 }),
        (tries) => {
          const states = new Map<string, 'open' | 'done'>();
          for (const [i, doIt] of tries) {
            const id = steps[i]?.id as string;
            if (doIt ? findOpenNeed(steps, id, states) : findDoneFollower(steps, id, states)) continue;
            states.set(id, doIt ? 'done' : 'open');
          }
          for (const s of steps)
            if (states.get(s.id) === 'done') for (const n of s.needs) expect(states.get(n)).toBe('done');
        },
      ),
      { numRuns: 20 },
    );
  });
});

it('nothing is built that has no steps', () => {
  expect(isBenchDone([], new Map())).toBe(false);
  expect(findNextStep([], new Map())).toBeUndefined();
});
