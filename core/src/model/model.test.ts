import fc from 'fast-check';
import { FAMILIES, findFamily } from './families/index.ts';
import { migrateSpec, MIGRATIONS } from './migrations.ts';
import { defaultsOf } from './params.ts';
import { buildSpec, describeRange, parseSpec, readParams, SpecError } from './spec.ts';

describe.each(FAMILIES.map((f) => [f.key, f] as const))('parameter table of %s', (_key, family) => {
  it('has a default inside each range, on a step', () => {
    for (const p of family.params) {
      if (p.kind === 'length') {
        expect(p.default).toBeGreaterThanOrEqual(p.min);
        expect(p.default).toBeLessThanOrEqual(p.max);
        expect(p.min).toBeLessThan(p.max);
        expect(p.step).toBeGreaterThan(0);
      }
      if (p.kind === 'count') expect(p.default >= p.min && p.default <= p.max).toBe(true);
      if (p.kind === 'choice') expect(p.choices.map((c) => c.value)).toContain(p.default);
    }
  });
  it('names every parameter once, in words that fit a form', () => {
    expect(new Set(family.params.map((p) => p.key)).size).toBe(family.params.length);
    for (const p of family.params) {
      expect(p.label.length).toBeLessThanOrEqual(24);
      expect(p.label[0]).toBe(p.label[0]?.toUpperCase());
      expect(p.group.length).toBeGreaterThan(0);
    }
  });
  it('shows a parameter only while another one, that exists, has a value it can have', () => {
    for (const p of family.params) {
      for (const { key, is } of [p.showWhen ?? []].flat()) {
        expect(family.params.some((q) => q.key === key)).toBe(true);
        for (const value of is) expect(() => readParams(family, { [key]: value })).not.toThrow();
      }
    }
  });
  it('reads its own defaults and either end of every range', () => {
    expect(readParams(family, {})).toEqual(defaultsOf(family.params));
    for (const p of family.params) {
      if (p.kind !== 'length' && p.kind !== 'count') continue;
      for (const value of [p.min, p.max]) expect(readParams(family, { [p.key]: value })[p.key]).toBe(value);
      for (const value of [p.min - 1, p.max + 1])
        expect(() => readParams(family, { [p.key]: value })).toThrow(`it takes ${describeRange(p)}`);
    }
  });
  it('tells every fault at once', () => {
    const faults = (given: Record<string, unknown>): string[] => {
      try {
        readParams(family, given);
      } catch (error) {
        if (error instanceof SpecError) return error.faults.map((f) => f.param);
        throw error;
      }
      return [];
    };
    expect(faults({ hats: 1, length: 'wide', shoes: 2 }).sort()).toEqual(['hats', 'length', 'shoes']);
  });
});

describe('parseSpec', () => {
  it('refuses anything that is no spec, for any JSON', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (json) => {
        try {
          const spec = parseSpec(json);
          expect(findFamily(spec.family)).toBeDefined();
        } catch (error) {
          expect(error).toBeInstanceOf(SpecError);
          expect((error as Error).message.length).toBeGreaterThan(10);
        }
      }),
      { numRuns: 200 },
    );
  });
  it('gives a spec that reads back as itself', () => {
    for (const f of FAMILIES) {
      const spec = parseSpec({ family: f.key });
      expect(parseSpec(JSON.parse(JSON.stringify(spec)))).toEqual(spec);
    }
  });
  it('does not frame a family that is not there', () => {
    expect(() => buildSpec({ family: 'yurt', schema: 1, params: {} })).toThrow('There is no family "yurt".');
  });
});

describe('migrations', () => {
  it.each(MIGRATIONS.map((m) => [m.name, m] as const))('%s: down undoes up', (_name, m) => {
    const old = { legs: 30, length: 72 };
    expect(m.down(m.up(old))).toEqual(old);
    expect(m.up({ length: 72 })).toEqual({ length: 72 });
  });
  it('lead without a hole to the newest schema of each family', () => {
    for (const f of FAMILIES) {
      const steps = MIGRATIONS.filter((m) => m.family === f.key).map((m) => m.to);
      expect(steps).toEqual(Array.from({ length: f.schema - 1 }, (_, i) => i + 2));
    }
  });
  it('go through each named step in turn, up and down', () => {
    const step = (to: number) => ({
      family: 'x',
      name: `to ${to}`,
      to,
      up: (p: Record<string, unknown>) => ({ ...p, path: `${String(p.path ?? '')}+${to}` }),
      down: (p: Record<string, unknown>) => ({ ...p, path: `${String(p.path ?? '')}-${to}` }),
    });
    const list = [step(2), step(3), step(4)];
    expect(migrateSpec('x', 1, 4, {}, list).path).toBe('+2+3+4');
    expect(migrateSpec('x', 4, 2, {}, list).path).toBe('-4-3');
    expect(() => migrateSpec('x', 1, 5, {}, list)).toThrow('No migration of x specs leads to schema 5.');
  });
});
