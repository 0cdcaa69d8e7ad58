import { buildSpec, parseSpec } from '../model/index.ts';
import { countJoints } from '../unit/index.ts';
import type { ParamValue } from '../unit/index.ts';
import { drivingText, drivingTools } from './driving.ts';
import { placeJoints } from './placeJoints.ts';
import { planSteps } from './planSteps.ts';

const build = (family: string, params: Record<string, ParamValue> = {}) => buildSpec(parseSpec({ family, params }));
const house = build('raised-lean-to');
const steps = planSteps(house);
const stepOf = (id: string) => steps.find((s) => s.id === id);

describe('joints in their steps', () => {
  it('are made when their last part goes on: studs while the wall lies flat, the wall to the floor when it stands', () => {
    const at = placeJoints(house, steps);
    const where = (a: string, b: string) =>
      [...at].find(([, list]) =>
        list.some((j) => j.parts.length === 2 && j.parts.includes(a) && j.parts.includes(b)),
      )?.[0];
    expect(where('front-wall/bottom-plate', 'front-wall/stud-1')).toBe('front-wall/frame');
    expect(where('front-wall/skin-1', 'front-wall/stud-1')).toBe('front-wall/skin');
    expect(where('front-wall/bottom-plate', 'base/rim-long-1')).toBe('front-wall/stand');
    expect(where('roof/rafter-1', 'front-wall/top-plate')).toBe('roof/frame');
    expect(where('people-door/stile-1', 'people-door/rail-1')).toBe('people-door/frame');
    expect([...at.values()].flat()).toHaveLength(house.joints.length);
  });
  it.each(['low-pen', 'hoop-pen', 'steep-roof-pen', 'walk-in', 'barn-fit-out'])(
    '%s: every hinge, latch, wheel, bolt, handle and rope is in a step, and its text names it',
    (family) => {
      const b = build(family);
      const list = planSteps(b);
      for (const { item, count } of countJoints(b.joints).hardware) {
        const mine = list.filter((s) => s.hardware.some((h) => h.item === item));
        expect([item, mine.reduce((n, s) => n + (s.hardware.find((h) => h.item === item)?.count ?? 0), 0)]).toEqual([
          item,
          count,
        ]);
        for (const s of mine) expect(s.text.join(' ')).toMatch(/\d+ × /);
      }
    },
  );
});

describe('what a step says to drive', () => {
  it('names how, how many and what, and the tool and bit for it', () => {
    const frame = stepOf('front-wall/frame');
    expect(frame?.text.join(' ')).toMatch(/Nail through into the ends: \d+ × 3 in framing nail/);
    expect(frame?.tools).toContain('framing nailer');
    const door = stepOf('people-door/frame');
    expect(door?.tools).toEqual(expect.arrayContaining(['pocket-hole jig', 'driver with long square bit']));
  });
  it('names no tool that nothing is driven with', () => {
    for (const s of steps)
      if (s.tools.includes('framing nailer')) expect(s.fasteners.some((f) => f.item.startsWith('nail-'))).toBe(true);
    expect(drivingText([])).toEqual([]);
    expect(drivingTools([])).toEqual([]);
  });
});

describe('what a step says is of what is in it', () => {
  const texts = (family: string, params: Record<string, ParamValue> = {}) =>
    planSteps(build(family, params))
      .map((s) => `${s.title}: ${s.text.join(' ')}`)
      .join('\n');
  it('nests are spoken of where a wall has some', () => {
    const skins = steps.filter((s) => s.verb === 'skin' && /wall/.test(s.title));
    const nest = house.openings.find((o) => o.kind === 'nest');
    for (const s of skins) expect(/Nest blocking/.test(s.text.join(' '))).toBe(s.assembly === nest?.assembly);
  });
  it('metal and gaskets where there is metal, felt where there are shingles, the tarp after the mesh', () => {
    expect(texts('raised-gable', { roofCover: 'shingle' })).not.toMatch(/gasket|metal that covers/);
    expect(texts('raised-gable', { roofCover: 'shingle' })).toMatch(/Felt from the eave up/);
    expect(texts('a-frame-pen')).not.toMatch(/gasket|metal/);
    expect(texts('hoop-pen')).toMatch(/tarp goes on after the mesh/);
  });
  it('a gable says ridge and plate, a lean-to both plates', () => {
    expect(texts('raised-gable')).toMatch(
      /each with its opposite one against the ridge; both slopes stand before either is covered/,
    );
    expect(texts('raised-lean-to')).toMatch(/each tied to both plates/);
    expect(texts('raised-gable')).not.toMatch(/tied to both plates/);
  });
  it('ends past 50° off square get a jig and a caution, others none', () => {
    const cuts = (family: string) => planSteps(build(family)).filter((s) => s.verb === 'cut');
    const sharp = build('a-frame-pen').parts.filter((p) => p.cuts.some((c) => c.angle > 50));
    const jigs = cuts('a-frame-pen').filter((s) => s.text.some((t) => /Make a jig first/.test(t)));
    expect(jigs.length > 0).toBe(sharp.length > 0);
    for (const s of jigs) expect(s.cautions.join(' ')).toMatch(/clamped in the jig/);
    for (const p of sharp) expect(jigs.some((s) => s.text.join(' ').includes(p.mark))).toBe(true);
    expect(cuts('low-pen').some((s) => /jig/.test(s.text.join(' ')))).toBe(false);
  });
  it('never counts one piece of one length', () => {
    for (const family of ['low-pen', 'a-frame-pen', 'panel-kit', 'walk-in'])
      expect(texts(family)).not.toMatch(/\b1 pieces|1 lengths/);
  });
});
