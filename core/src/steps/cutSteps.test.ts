import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import type { Build, ParamValue } from '../unit/index.ts';
import { findItem } from '../stock/index.ts';
import { planMesh } from '../takeoff/index.ts';
import { findOrderBreaches, planSteps } from './index.ts';
import type { Step } from './index.ts';

const build = (family: string, params: Record<string, ParamValue> = {}): Build =>
  buildSpec(parseSpec({ family, params }));
const stepsOf = (family: string, params: Record<string, ParamValue> = {}): Step[] => planSteps(build(family, params));

describe.each(FAMILIES.map((f) => f.key))('what is cut for a %s', (family) => {
  const b = build(family);
  const steps = planSteps(b);
  const cuts = steps.filter((s) => s.verb === 'cut');
  it('is every stick, sheet and face of mesh that is cut to length, once', () => {
    const wanted = b.parts
      .filter((p) => p.fit === 'cut to length')
      .filter((p) => ['lumber', 'sheet', 'mesh'].includes(findItem(p.item).kind))
      .map((p) => p.id);
    expect(cuts.flatMap((s) => s.parts).sort()).toEqual([...wanted].sort());
  });
  it('is cut before anything is built of it', () => {
    const order = steps.map((s) => s.id);
    for (const cut of cuts)
      for (const later of steps.filter((s) => s.verb !== 'cut' && s.parts.some((id) => cut.parts.includes(id))))
        expect([later.id, order.indexOf(later.id) > order.indexOf(cut.id)]).toEqual([later.id, true]);
    expect(findOrderBreaches(steps)).toEqual([]);
  });
});

describe('cutting mesh', () => {
  const step = stepsOf('low-pen').find((s) => s.id === 'cut-mesh');
  it('goes by the roll layouts, with snips and gloves and without a saw', () => {
    expect(step?.text.join(' ')).toMatch(/by the roll layouts/);
    expect(step?.tools).toContain('snips');
    expect(step?.tools.join()).not.toMatch(/saw/);
    expect(step?.cautions.join()).toMatch(/Mesh: long sleeves and gloves/);
    expect(step?.cautions.join()).not.toMatch(/Saw:/);
  });
  it('has a place on a roll for everything in it', () => {
    for (const family of ['low-pen', 'garden-ark', 'house-with-run']) {
      const b = build(family);
      const mine = planSteps(b).find((s) => s.id === 'cut-mesh')?.parts ?? [];
      const laid = new Set(planMesh(b.parts).layout.flatMap((r) => r.strips.map((s) => s.face)));
      for (const id of mine) expect([id, laid.has(id)]).toEqual([id, true]);
    }
  });
  it('is no step where there is none', () => {
    expect(
      stepsOf('raised-gable', { wrap: false, eaves: 'blocked', windowWall: 'none' }).some((s) => s.id === 'cut-mesh'),
    ).toBe(false);
  });
});

describe('the floor of a base', () => {
  it.each(['raised-lean-to', 'raised-gable', 'skid-house', 'panel-kit', 'walk-in'])(
    'of a %s goes down when the base is square, not before',
    (family) => {
      const b = build(family);
      const steps = planSteps(b);
      const order = steps.map((s) => s.id);
      const floors = b.parts.filter((p) => p.role === 'floor').map((p) => p.id);
      expect(floors.length).toBeGreaterThan(0);
      const laid = steps.find((s) => s.id === 'base/floor');
      expect([...(laid?.parts ?? [])].sort()).toEqual([...floors].sort());
      expect(order.indexOf('base/floor')).toBeGreaterThan(order.indexOf('base/square'));
      const framed = steps.find((s) => s.id === 'base/frame');
      expect(framed?.parts.some((id) => floors.includes(id))).toBe(false);
    },
  );
});

describe('stain', () => {
  it('goes on before metal and mesh hide the wood, on what is stained at all', () => {
    const house = stepsOf('raised-lean-to', { run: true });
    expect(house.filter((s) => s.text.join(' ').includes('Stain the wood first')).map((s) => s.verb)).toEqual(
      expect.arrayContaining(['skin', 'roof']),
    );
    // A pen is not coated in the end, so nothing is said of stain.
    expect(JSON.stringify(stepsOf('low-pen'))).not.toMatch(/Stain/);
  });
});
