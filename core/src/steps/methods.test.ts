import fc from 'fast-check';
import { FAMILIES, buildSpec, parseSpec } from '../model/index.ts';
import { countJoints } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';
import { findOrderBreaches } from './orderRules.ts';
import { measureLabour, planOperations } from './planOperations.ts';
import { placeJoints } from './placeJoints.ts';
import { planFoundation } from '../site/index.ts';
import { planSteps } from './planSteps.ts';
import { LABOUR_RATES, METHODS, PLACE_OF } from './types.ts';
import type { Method, Step } from './types.ts';

const specs = [
  ...FAMILIES.map((f) => [f.key, {}] as const),
  ['raised-lean-to', { run: true, secondRun: true }] as const,
  ['walk-in', { foundation: 'blocks' }] as const,
  ['house-with-run', { fall: 24, runDig: 'curb' }] as const,
];
const cases = specs.flatMap(([family, params]) => METHODS.map((method) => [family, params, method] as const));
const made = new Map<string, Build>();
const build = (family: string, params: Record<string, string | number | boolean>): Build => {
  const key = JSON.stringify([family, params]);
  const known = made.get(key);
  if (known) return known;
  const b = buildSpec(parseSpec({ family, params }));
  made.set(key, b);
  return b;
};

/** An order of the steps that their needs allow, drawn by lot. */
const shuffled = (steps: readonly Step[], lots: readonly number[]): string[] => {
  const done = new Set<string>();
  const out: string[] = [];
  let k = 0;
  while (out.length < steps.length) {
    const ready = steps.filter((s) => !done.has(s.id) && s.needs.every((n) => done.has(n)));
    const next = ready[(lots[k++ % lots.length] ?? 0) % ready.length] as Step;
    done.add(next.id);
    out.push(next.id);
  }
  return out;
};

describe.each(cases)('%s %j made %s', (family, params, method) => {
  const b = build(family, params);
  const steps = planSteps(b, { method, miles: 12 });

  it('breaks no rule of the order of work, in whichever order its needs allow', () => {
    expect(findOrderBreaches(steps)).toEqual([]);
    fc.assert(
      fc.property(fc.array(fc.nat(1000), { minLength: 20, maxLength: 20 }), (lots) => {
        expect(findOrderBreaches(steps, shuffled(steps, lots))).toEqual([]);
      }),
      { numRuns: 3 },
    );
  });

  it('puts every part to its place once, and makes every joint once, with all that it takes', () => {
    const joints = steps.flatMap((s) => s.joints);
    expect([...joints].sort()).toEqual(b.joints.map((j) => j.id).sort());
    const all = countJoints(b.joints);
    const total = (list: readonly { readonly item: string; readonly count: number }[]): Record<string, number> => {
      const out: Record<string, number> = {};
      for (const f of list) out[f.item] = (out[f.item] ?? 0) + f.count;
      return out;
    };
    expect(total(steps.flatMap((s) => s.fasteners))).toEqual(total(all.fasteners));
    expect(total(steps.flatMap((s) => s.hardware))).toEqual(total(all.hardware));
    const used = new Set(steps.filter((s) => s.verb !== 'cut').flatMap((s) => s.parts));
    expect(b.parts.filter((p) => !used.has(p.id)).map((p) => p.id)).toEqual([]);
  });

  it('fixes nothing to what is not there yet', () => {
    const first = new Map<string, number>();
    steps.forEach((s, i) => {
      if (!['cut', 'lay out', 'coat'].includes(s.verb)) for (const p of s.parts) if (!first.has(p)) first.set(p, i);
    });
    const at = new Map(steps.map((s, i) => [s.id, i]));
    for (const [step, list] of placeJoints(b, steps))
      for (const j of list)
        for (const p of j.parts) expect([j.id, p, (first.get(p) ?? 0) <= (at.get(step) ?? 0)]).toEqual([j.id, p, true]);
  });

  it('needs only steps that stand before it, at a place that its station has', () => {
    const seen = new Set<string>();
    for (const s of steps) {
      for (const n of s.needs) expect([s.id, n, seen.has(n)]).toEqual([s.id, n, true]);
      expect(seen.has(s.id)).toBe(false);
      seen.add(s.id);
      expect(s.place).toBe(PLACE_OF[s.station]);
      expect(s.tools.length).toBeGreaterThan(0);
      expect(s.people).toBeGreaterThan(0);
    }
  });

  it('groups into blocks that hold every step once, whose needs go round in no circle', () => {
    const operations = planOperations(steps);
    expect(operations.flatMap((o) => o.steps).sort()).toEqual(steps.map((s) => s.id).sort());
    const done = new Set<string>();
    for (let round = 0; round < operations.length; round++)
      for (const o of operations) if (o.needs.every((n) => done.has(n))) done.add(o.key);
    expect([...done].sort()).toEqual(operations.map((o) => o.key).sort());
    for (const o of operations) expect(o.least <= o.crew && o.crew <= o.most).toBe(true);
  });
});

describe('where the work is', () => {
  const labour = (family: string, method: Method) => measureLabour(planSteps(build(family, {}), { method }));
  it.each(['raised-lean-to', 'walk-in', 'house-with-run'])(
    '%s: moves out of the shop from whole to on site',
    (family) => {
      const [whole, panels, there] = (['whole', 'panels', 'on-site'] as const).map((m) => labour(family, m));
      expect(panels?.bench).toBeLessThan(whole?.bench ?? 0);
      expect(there?.bench).toBeLessThan(panels?.bench ?? 0);
      expect(panels?.site).toBeGreaterThan(whole?.site ?? 0);
      expect(there?.site).toBeGreaterThan(panels?.site ?? 0);
      // The same work takes longer away from the bench.
      expect((there?.bench ?? 0) + (there?.site ?? 0)).toBeGreaterThan((whole?.bench ?? 0) + (whole?.site ?? 0));
    },
  );

  it('a kit costs no hours of ours on site but to unload it', () => {
    const steps = planSteps(build('panel-kit', {}), { method: 'kit' });
    expect(steps.filter((s) => s.place === 'site' && s.by === undefined).map((s) => s.id)).toEqual(['unload']);
    expect(measureLabour(steps).customer).toBeGreaterThan(60);
    expect(steps.some((s) => s.id === 'pack')).toBe(true);
  });

  it("a fixed house's run is joined on site even where the house goes whole", () => {
    const steps = planSteps(build('house-with-run', {}), { method: 'whole' });
    const at = (id: string) => steps.find((s) => s.id === id)?.place;
    expect([at('front-wall/stand'), at('bay-1-front/skin'), at('bay-1-front/stand')]).toEqual(['shop', 'shop', 'site']);
  });

  it('what is too heavy to carry is framed on site among panels', () => {
    const steps = planSteps(build('walk-in', {}), { method: 'panels', there: new Set(['base']) });
    expect(steps.find((s) => s.id === 'base/frame')?.place).toBe('site');
    expect(steps.find((s) => s.id === 'front-wall/skin')?.place).toBe('shop');
    const slow = steps.find((s) => s.id === 'base/frame')?.minutes ?? 0;
    const dry = planSteps(build('walk-in', {}), { method: 'panels' }).find((s) => s.id === 'base/frame')?.minutes ?? 0;
    expect(slow).toBeCloseTo(dry * LABOUR_RATES.siteShare, -1);
  });

  it('nothing is set on pads inside a barn, and nothing is dug for a pen', () => {
    for (const family of ['low-pen', 'skid-house']) {
      const ids = planSteps(build(family, {})).map((s) => s.id);
      expect(ids).not.toContain('foundation');
    }
    const barn = planSteps(build('barn-fit-out', {}), { method: 'on-site' });
    expect(barn.find((s) => s.id === 'set')?.text.join(' ')).toContain('Lines on the floor');
    expect(barn.flatMap((s) => s.text).join(' ')).not.toMatch(/pads/);
  });

  it('walls that take more than two to lift say how many', () => {
    const steps = planSteps(build('walk-in', {}), { method: 'panels' });
    // The front wall weighs some 260 lb: four people at 70 lb each.
    expect(steps.find((s) => s.id === 'front-wall/stand')?.people).toBe(4);
  });

  it('rain and wind stop what is raised on site, frost what is coated there', () => {
    const of = (key: string, method: Method) =>
      planOperations(planSteps(build('walk-in', {}), { method })).find((o) => o.key === key);
    expect(of('site', 'panels')?.stops).toEqual(['rain', 'wind']);
    expect(of('site-coat-1', 'on-site')?.stops).toEqual(['rain', 'frost']);
    expect(of('coat-1', 'panels')?.stops).toEqual([]);
    const barn = planOperations(planSteps(build('barn-fit-out', {}), { method: 'on-site' }), 1, true);
    expect(barn.flatMap((o) => o.stops).filter((w) => w !== 'frost')).toEqual([]);
    expect(of('site', 'panels')?.station).toBe('site');
  });
});

describe.each(FAMILIES.flatMap((f) => METHODS.map((m) => [f.key, m] as const)))('%s, %s', (family, method) => {
  it('has no step that builds nothing and says nothing', () => {
    for (const s of planSteps(build(family, {}), { method }))
      expect([s.id, s.parts.length + s.joints.length + s.text.length > 0]).toEqual([s.id, true]);
  });
});

describe('frost', () => {
  const stopsOf = (drop: number): readonly string[] => {
    const b = build('raised-lean-to', {});
    const [x0, y0, x1, y1] = b.facts.base;
    const places = [
      [0, 0],
      [x1 - x0, 0],
      [x1 - x0, y1 - y0],
      [0, y1 - y0],
    ] as const;
    const survey = {
      lift: 1,
      pads: places.map(([x, y], i) => ({ id: `p${i}`, name: `place ${i}`, x, y, rod: i < 2 ? 50 : 50 + drop })),
    };
    const foundation = planFoundation(b, survey);
    const steps = planSteps(b, { foundation });
    expect(steps.some((s) => s.pours)).toBe(foundation.supports.some((s) => s.fill));
    return planOperations(steps).flatMap((o) => o.stops);
  };
  it('stops the block in which cores are filled with concrete, and no other', () => {
    expect(stopsOf(0)).not.toContain('frost');
    expect(stopsOf(30)).toContain('frost');
  });
});
