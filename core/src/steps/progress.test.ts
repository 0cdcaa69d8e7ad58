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
  sortOpen,
} from './progress.ts';
import { lineUnits } from './units.ts';

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

describe.each(families)('what can be done of a $key', ({ steps }) => {
  const lines = lineUnits(steps, 2);
  it('is each open step once, ready or with what it waits for', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(), { maxLength: 80 }), (lots) => {
        const states = new Map<string, 'open' | 'done'>();
        // By lot one after the other of what is ready, as several people would take them.
        for (const lot of lots) {
          const { ready } = sortOpen(lines, states);
          const next = ready[lot % Math.max(1, ready.length)];
          if (next) states.set(next.id, 'done');
        }
        const { ready, waiting } = sortOpen(lines, states);
        const open = lines.filter((l) => states.get(l.id) !== 'done').map((l) => l.id);
        expect([...ready.map((l) => l.id), ...waiting.map((w) => w.step.id)].sort()).toEqual([...open].sort());
        for (const l of ready) expect(findOpenNeed(lines, l.id, states)).toBeUndefined();
        for (const w of waiting) {
          expect(w.needs.length).toBeGreaterThan(0);
          for (const n of w.needs) {
            expect(w.step.needs).toContain(n.id);
            expect(states.get(n.id)).not.toBe('done');
          }
        }
        if (open.length > 0) expect(ready.length).toBeGreaterThan(0);
      }),
      { numRuns: 12 },
    );
  });
  it('comes to an end by taking any of it, whoever takes what', () => {
    const states = new Map<string, 'open' | 'done'>();
    for (let n = 0; n <= lines.length; n++) {
      const { ready } = sortOpen(lines, states);
      // Now the first, now the last of what is ready.
      const next = n % 2 === 0 ? ready[0] : ready.at(-1);
      if (next) states.set(next.id, 'done');
    }
    expect(states.size).toBe(lines.length);
    expect(isBenchDone(lines, states)).toBe(true);
  });
});

it('nothing is built that has no steps', () => {
  expect(isBenchDone([], new Map())).toBe(false);
  expect(findNextStep([], new Map())).toBeUndefined();
});
