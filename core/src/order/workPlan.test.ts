import { readFileSync } from 'node:fs';
import { countJoints } from '../unit/index.ts';
import type { Step } from '../steps/index.ts';
import { parseSpec } from '../model/index.ts';
import { computeOrder } from './computeOrder.ts';
import { adoptWorkPlan, makeWorkPlan, readWorkPlan, WORK_PLAN_SCHEMA, WorkPlanError } from './workPlan.ts';

const spec = parseSpec({ family: 'low-pen' });
const plan = makeWorkPlan(computeOrder({ spec, miles: 10 }, undefined, 'quick'), { spec, revision: 2, quantity: 3 });

describe('a kept plan', () => {
  it('comes back from the file as it was', () => {
    expect(readWorkPlan(JSON.parse(JSON.stringify(plan)))).toEqual(JSON.parse(JSON.stringify(plan)));
  });
  it('of schema 1 opens part by part and step by step, its hardware and fasteners counted as before', () => {
    const kept = JSON.parse(readFileSync(new URL('../../testing/kept/work-plan-1.json', import.meta.url), 'utf8'));
    const read = readWorkPlan(kept);
    expect(read.build.parts).toEqual(kept.build.parts);
    const bare = (steps: readonly Step[]) =>
      steps.map(({ joints: _j, hardware: _h, place: _p, people: _n, fasteners, ...s }) => ({
        ...s,
        fasteners: fasteners.map((f) => [f.item, f.count]),
      }));
    expect(bare(read.steps)).toEqual(bare(kept.steps));
    const counted = countJoints(read.build.joints).hardware;
    for (const h of kept.build.hardware as { item: string; count: number }[])
      expect(counted.find((c) => c.item === h.item)?.count).toBeGreaterThanOrEqual(h.count);
    expect(read.build).not.toHaveProperty('hardware');
    expect(read.takeoff.mesh.layout).toEqual([]);
    expect(read.takeoff.sticks).toEqual(kept.takeoff.sticks);
    expect(read.schema).toBe(WORK_PLAN_SCHEMA);
    // Before methods everything was built whole, at the place of its station.
    expect(read.method).toBe('whole');
    expect(new Set(read.steps.map((s) => `${s.station} ${s.place}`))).toEqual(
      new Set(['saw shop', 'bay shop', 'yard load', 'road road', 'site site']),
    );
    for (const o of read.operations) expect(o.most).toBe(o.crew);
  });
  it.each([
    [null, /must be an object/],
    [{ ...plan, schema: 'x' }, /schema is "x"/],
    [{ ...plan, schema: WORK_PLAN_SCHEMA + 1 }, /made by a newer Rubbet/],
    [{ ...plan, steps: undefined }, /has no steps/],
  ])('%# that is none is refused in words', (json, words) => {
    expect(() => readWorkPlan(json)).toThrow(WorkPlanError);
    expect(() => readWorkPlan(json)).toThrow(words);
  });
});

describe('a plan for a work order that was made before plans were kept', () => {
  const steps = plan.steps.slice(0, 6).map((s) => s.id);
  const adopted = adoptWorkPlan(plan, {
    steps: [...steps, 'old-step/of-before'],
    parts: plan.build.parts.slice(1).map((p) => p.id),
  });
  it('has just the steps and parts that stand on it', () => {
    expect(adopted.steps.map((s) => s.id)).toEqual([...steps, 'old-step/of-before']);
    expect(adopted.build.parts).toEqual(plan.build.parts.slice(1));
    for (const s of adopted.steps) for (const n of s.needs) expect(adopted.steps.map((x) => x.id)).toContain(n);
  });
  it('keeps the place and name of a step that is computed no more', () =>
    expect(adopted.steps.at(-1)).toMatchObject({ title: 'old step of before', station: 'bay' }));
});
