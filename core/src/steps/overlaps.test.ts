import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { isLumber } from './panelSteps.ts';
import { overlapOf, planOperations, planSteps } from './index.ts';
import type { Step } from './index.ts';

const step = (id: string, minutes: number, needs: readonly string[] = []): Step =>
  ({ id, minutes, needs }) as unknown as Step;

describe('how a block overlaps another', () => {
  it('is by what of it needs only the first of the other', () => {
    const saw = [step('lumber', 100), step('sheets', 60), step('mesh', 40)];
    const frame = [step('frame', 90, ['lumber']), step('skin', 30, ['frame', 'sheets']), step('wire', 30, ['mesh'])];
    // Half of the saw's time is over when the lumber is cut; 90 of 150 minutes need no more.
    expect(overlapOf(saw, frame)).toEqual({ after: 0.5, last: 1 - 90 / 150 });
  });
  it('is none where everything needs the last of it, or it is not worth beginning', () => {
    const saw = [step('lumber', 100), step('sheets', 60)];
    expect(overlapOf(saw, [step('frame', 90, ['sheets']), step('skin', 30, ['frame'])])).toBeUndefined();
    expect(overlapOf(saw, [step('frame', 20, ['lumber']), step('skin', 90, ['frame', 'sheets'])])).toBeUndefined();
    expect(overlapOf([step('lumber', 100)], [step('frame', 90, ['lumber'])])).toBeUndefined();
  });
});

describe.each(FAMILIES.map((f) => f.key))('the steps of a %s', (family) => {
  const build = buildSpec(parseSpec({ family }));
  const steps = planSteps(build);
  const byId = new Map(steps.map((s) => [s.id, s]));
  const before = (s: Step): Set<string> => {
    const out = new Set<string>();
    const visit = (id: string): void => {
      if (out.has(id)) return;
      out.add(id);
      for (const n of byId.get(id)?.needs ?? []) visit(n);
    };
    for (const n of s.needs) visit(n);
    return out;
  };
  it('wait for the cuts of what they are made of, and all of them for the load', () => {
    const cuts = steps.filter((s) => s.verb === 'cut' && s.station === 'saw');
    for (const s of steps) {
      if (s.station === 'saw') continue;
      const done = before(s);
      for (const c of cuts)
        if (s.verb === 'load' || c.parts.some((id) => s.parts.includes(id)))
          expect([s.id, done.has(c.id)]).toEqual([s.id, true]);
    }
  });
  it('that lay out and frame wait for no sheets and no mesh', () => {
    const lumber = new Set(build.parts.filter(isLumber).map((p) => p.id));
    for (const s of steps) {
      if (s.station !== 'bay' || s.verb !== 'lay out' || s.parts.some((id) => !lumber.has(id))) continue;
      expect(before(s)).not.toContain('cut-sheets');
      expect(before(s)).not.toContain('cut-mesh');
    }
  });
  it('overlap only what they need, by shares', () => {
    for (const o of planOperations(steps))
      for (const [need, { after, last }] of Object.entries(o.overlaps)) {
        expect(o.needs).toContain(need);
        expect([o.station, need]).toEqual(['bay', 'saw']);
        expect(after > 0 && after < 1 && last >= 0 && last < 1).toBe(true);
      }
  });
});
