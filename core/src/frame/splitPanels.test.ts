import fc from 'fast-check';
import { faultsOf, paramsOf, takeoffFaults } from '../../testing/testFamily.ts';
import { findUnheld } from '../join/index.ts';
import { buildSpec, findFamily, parseSpec } from '../model/index.ts';
import { findOrderBreaches, planSteps } from '../steps/index.ts';
import { measurePartsMass } from '../unit/index.ts';

const SEED = Number(process.env.SEED ?? 0);
const RUNS = Number(process.env.RUNS ?? 24);

describe.each(['walk-in', 'house-with-run', 'panel-kit'])('any %s in panels', (key) => {
  const family = findFamily(key);
  if (!family) throw new Error(`There is no family ${key}.`);

  it('is as true as whole, weighs no less, and is made in an order that holds', () => {
    fc.assert(
      fc.property(
        paramsOf(family.params),
        fc.integer({ min: 60, max: 300 }),
        fc.integer({ min: 84, max: 240 }),
        (params, weight, long) => {
          const spec = parseSpec({ family: key, params });
          const [whole, split] = [buildSpec(spec), buildSpec(spec, { weight, long })];
          expect(faultsOf(split)).toEqual(faultsOf(whole));
          expect(findUnheld(split)).toEqual(findUnheld(whole));
          expect(takeoffFaults(split)).toEqual(takeoffFaults(whole));
          const heavy = (b: typeof whole): number => measurePartsMass(b.parts).weight;
          expect(heavy(split)).toBeGreaterThanOrEqual(heavy(whole) - 1e-6);
          const steps = planSteps(split, { method: 'panels' });
          expect(findOrderBreaches(steps)).toEqual([]);
          expect(steps.flatMap((s) => s.joints).sort()).toEqual(split.joints.map((j) => j.id).sort());
          // A panel that was split is within what was asked, where its wall had a place for a seam.
          for (const a of split.assemblies.filter((q) => /-wall-\d+$/.test(q.id)))
            expect(a.square?.width ?? 0).toBeLessThanOrEqual(long + 1e-6);
        },
      ),
      { numRuns: RUNS, seed: 31 + SEED },
    );
  });
});
