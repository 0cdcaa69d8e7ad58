import { buildSpec, parseSpec } from '../model/index.ts';
import { hasCut, measureBounds } from '../unit/index.ts';
import type { ParamValue } from '../unit/index.ts';
import { takeOff } from '../takeoff/index.ts';
import { findOrderBreaches } from './orderRules.ts';
import { planSteps } from './planSteps.ts';

const make = (params: Record<string, ParamValue>, family = 'walk-in') => buildSpec(parseSpec({ family, params }));

describe('a plate that is sawn out under a door', () => {
  const build = make({ threshold: 0 });
  const steps = planSteps(build);
  const [plate] = build.parts.filter((p) => p.sawnOut !== undefined);
  const rest = build.parts.find((p) => p.id === plate?.sawnOut?.[0]);

  it('goes to the saw whole, once, and what is beyond the door with it', () => {
    expect(plate?.length).toBe(144);
    const cut = takeOff(build, 'quick').sticks.sticks.flatMap((s) => s.cuts);
    expect(cut.filter((c) => c.id === plate?.mark && c.length === 144).length).toBeGreaterThan(0);
    expect(cut.some((c) => c.id === rest?.mark)).toBe(false);
    const sawn = steps.filter((s) => s.station === 'saw').flatMap((s) => s.parts);
    expect(sawn).toContain(plate?.id);
    expect(sawn).not.toContain(rest?.id);
    expect(rest && hasCut(rest)).toBe(false);
  });
  it('lies on both sides of the door, its gap as wide as the rough opening', () => {
    if (!plate || !rest) throw new Error('no plate');
    const door = build.openings.find((o) => o.id === 'front-wall/door');
    expect(measureBounds([rest]).low[0] - measureBounds([plate]).high[0]).toBeCloseTo(door?.width ?? 0, 9);
  });
  it('is sawn when its wall stands and every wall is up, before its door is hung', () => {
    const at = (id: string): number => steps.findIndex((s) => s.id === id);
    const saw = at('front-wall/saw-out');
    expect(saw).toBeGreaterThan(at('front-wall/stand'));
    expect(saw).toBeGreaterThan(at('right-wall/stand'));
    expect(saw).toBeLessThan(at('people-door/hang'));
    expect(steps[saw]?.tools).toContain('chisel');
    expect(steps[saw]?.cautions.join(' ')).toContain('nails');
    expect(findOrderBreaches(steps)).toEqual([]);
    // Hung first, it would be in the saw's way.
    const ids = steps.map((s) => s.id);
    const early = [...ids.filter((id) => id !== 'front-wall/saw-out'), 'front-wall/saw-out'];
    expect(findOrderBreaches(steps, early).map((b) => b.rule)).toContain('sawn-before-hung');
  });
  it('says the whole of two doors in one wall', () => {
    const two = make({ threshold: 0, cleanOutWall: 'front', cleanOutStyle: 'slot' });
    const text = planSteps(two).find((s) => s.id === 'front-wall/saw-out')?.text[0];
    expect(text).toMatch(
      /^2 stretches, flush with the studs on both sides: of P\d+ 30″ under the clean-out, 34″ under the people door\.$/,
    );
  });
  it('is not sawn over a threshold: then there is no such step', () => {
    expect(planSteps(make({ threshold: 8 })).some((s) => s.verb === 'saw out')).toBe(false);
  });
});
