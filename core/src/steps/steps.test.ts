import { FAMILIES, buildSpec, parseSpec } from '../model/index.ts';
import { findOrderBreaches } from './orderRules.ts';
import { planOperations, measureLabour } from './planOperations.ts';
import { planSteps } from './planSteps.ts';

const specs = [
  ...FAMILIES.map((f) => [f.key, {}] as const),
  ['low-pen', { construction: 'picket' }] as const,
  ['raised-lean-to', { run: true }] as const,
];

describe.each(specs)('steps of %s %j', (family, params) => {
  const build = buildSpec(parseSpec({ family, params }));
  const steps = planSteps(build);

  it('breaks no rule of the order of work', () => expect(findOrderBreaches(steps)).toEqual([]));
  it('needs only steps that come before', () => {
    const seen = new Set<string>();
    for (const s of steps) {
      for (const n of s.needs) expect(seen.has(n)).toBe(true);
      expect(seen.has(s.id)).toBe(false);
      seen.add(s.id);
    }
  });
  it('uses every part somewhere after cutting', () => {
    const used = new Set(steps.filter((s) => s.verb !== 'cut').flatMap((s) => s.parts));
    expect(build.parts.filter((p) => !used.has(p.id)).map((p) => p.id)).toEqual([]);
  });
  it('carries cautions and tools', () => {
    expect(steps.find((s) => s.verb === 'cut')?.cautions.join(' ')).toMatch(/Saw/);
    expect(steps.every((s) => s.tools.length > 0 && s.minutes > 0)).toBe(true);
  });
  it('groups into operations that hold every step once', () => {
    const operations = planOperations(steps);
    expect(operations.flatMap((o) => o.steps).sort()).toEqual(steps.map((s) => s.id).sort());
  });
});

it('notices mesh that would go on a standing panel', () => {
  const steps = planSteps(buildSpec(parseSpec({ family: 'low-pen', params: {} })));
  const order = steps.map((s) => s.id);
  const from = order.indexOf('front/skin');
  order.splice(from, 1);
  order.splice(order.indexOf('front/stand') + 1, 0, 'front/skin');
  expect(findOrderBreaches(steps, order).map((b) => b.rule)).toContain('skin-before-stand');
});

it('squares a panel by its diagonal: 72 × 60 reads 93.72', () => {
  const steps = planSteps(buildSpec(parseSpec({ family: 'raised-lean-to', params: {} })));
  expect(steps.find((s) => s.id === 'front-wall/square')?.gate?.expected).toBeCloseTo(Math.sqrt(72 ** 2 + 60 ** 2), 9);
});

it('builds a small coop in two to four days of two people, a pen in one (common practice, no source)', () => {
  const hours = (family: string) => measureLabour(planSteps(buildSpec(parseSpec({ family, params: {} })))).bench / 60;
  expect(hours('raised-lean-to')).toBeGreaterThan(8);
  expect(hours('raised-lean-to')).toBeLessThan(40);
  expect(hours('low-pen')).toBeLessThan(8);
});

describe('the drive', () => {
  const steps = (miles: number) => planSteps(buildSpec(parseSpec({ family: 'low-pen', params: {} })), { miles });
  const minutes = (miles: number, id: string) => steps(miles).find((s) => s.id === id)?.minutes ?? 0;
  it('takes 10 minutes and the miles at 35 an hour, out and back', () => {
    for (const id of ['deliver', 'return']) {
      expect(minutes(0, id)).toBe(10);
      expect(minutes(35, id)).toBe(70);
      expect(minutes(70, id)).toBe(130);
    }
  });
  it('takes a crew of two as long as one, once for ten units', () => {
    const deliver = (miles: number, quantity: number) =>
      planOperations(steps(miles), quantity).find((o) => o.key === 'deliver')?.minutes ?? 0;
    const site = measureLabour(steps(35)).site / 2;
    expect(deliver(35, 1)).toBe(Math.round(140 + site));
    expect(deliver(35, 10)).toBe(Math.round(140 + 10 * site));
  });
  it('comes after the unit is set', () => {
    const list = steps(5);
    expect(list.find((s) => s.id === 'return')?.needs).toEqual(['walk-through']);
    expect(list.at(-1)?.id).toBe('return');
  });
});
