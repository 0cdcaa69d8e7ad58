import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { planSteps } from './planSteps.ts';
import { findStanding } from './standing.ts';

describe('what stands', () => {
  it.each(FAMILIES.map((f) => f.key))(
    '%s: it grows step by step, to all of it, and holds what each step puts there',
    (family) => {
      const build = buildSpec(parseSpec({ family }));
      const steps = planSteps(build);
      let before = new Set<string>();
      for (const s of steps) {
        const now = findStanding(build.parts, steps, s.id);
        expect(s.parts.filter((p) => !now.has(p))).toEqual([]);
        // What is only laid out or framed lies on the bench again until it is stood.
        const gone = [...before].filter((p) => !now.has(p));
        const at = steps.indexOf(s);
        for (const p of gone) expect(steps.slice(at + 1).some((l) => l.parts.includes(p))).toBe(true);
        before = now;
      }
      expect(before.size).toBe(build.parts.length);
    },
  );
  it('is the base alone when the first wall is stood, and that wall', () => {
    const build = buildSpec(parseSpec({ family: 'raised-lean-to' }));
    const steps = planSteps(build);
    const now = findStanding(build.parts, steps, 'front-wall/stand');
    expect(new Set(build.parts.filter((p) => now.has(p.id)).map((p) => p.assembly))).toEqual(
      new Set(['base', 'front-wall']),
    );
    expect(findStanding(build.parts, steps, 'roof/frame').size).toBeGreaterThan(now.size);
  });
  it('knows no step that is not there', () => {
    const build = buildSpec(parseSpec({ family: 'low-pen' }));
    expect(() => findStanding(build.parts, planSteps(build), 'nothing')).toThrow(RangeError);
  });
});
