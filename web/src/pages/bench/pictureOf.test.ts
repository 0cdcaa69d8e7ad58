import { buildSpec, parseSpec } from '@rubbet/core/model';
import { planSteps } from '@rubbet/core/steps';
import { pictureOf } from './pictureOf.ts';

const build = buildSpec(parseSpec({ family: 'raised-lean-to' }));
const steps = planSteps(build);
const step = (id: string) => steps.find((s) => s.id === id) as (typeof steps)[number];
const lit = (id: string): Set<string> =>
  new Set(
    pictureOf(build, steps, step(id)).drawing.items.flatMap((i) =>
      i.kind === 'area' && i.fill === 'tape' && i.part !== undefined ? [i.part] : [],
    ),
  );

describe('the picture of a step', () => {
  it('shows a panel that is framed flat, with where the tape is hooked', () => {
    const { drawing, seen } = pictureOf(build, steps, step('front-wall/frame'));
    expect(drawing.title).toBe('front wall');
    expect(seen).toMatch(/hook the tape at the left end/);
  });
  it('lifts off what goes on it, and lights that alone', () => {
    const { drawing, seen } = pictureOf(build, steps, step('front-wall/skin'));
    expect(drawing.title).toBe('front wall, apart');
    expect(seen).toMatch(/lifted off/);
    expect(lit('front-wall/skin')).toEqual(new Set(step('front-wall/skin').parts));
  });
  it('lights what is put in its place', () => {
    const stand = steps.find((s) => s.verb === 'stand' && s.assembly === 'back-wall') as (typeof steps)[number];
    expect(pictureOf(build, steps, stand).seen).toMatch(/where it goes/);
    expect(lit(stand.id).size).toBeGreaterThan(0);
    for (const part of lit(stand.id)) expect(stand.parts).toContain(part);
  });
  it('shows what stands by then, and no roof before there is one', () => {
    const stand = steps.find((s) => s.verb === 'stand') as (typeof steps)[number];
    const seen = new Set(
      pictureOf(build, steps, stand).drawing.items.flatMap((i) => (i.kind === 'area' ? [i.part] : [])),
    );
    const role = (r: string) => build.parts.filter((p) => p.role === r);
    expect(role('joist').some((p) => seen.has(p.id))).toBe(true);
    expect(role('rafter').some((p) => seen.has(p.id))).toBe(false);
  });
  it('is there for every step', () => {
    for (const s of steps) expect(pictureOf(build, steps, s).drawing.items.length).toBeGreaterThan(0);
  });
});
