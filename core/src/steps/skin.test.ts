import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { planSteps } from './planSteps.ts';
import { isOver, isSkin } from './skin.ts';

const steps = (family: string, params: Record<string, number | string | boolean> = {}) => {
  const build = buildSpec(parseSpec({ family, params }));
  return { build, steps: planSteps(build), role: (id: string) => build.parts.find((p) => p.id === id)?.role };
};

describe('skinning a panel', () => {
  it('leaves battens out of the frame: they go on over the mesh', () => {
    const { steps: all } = steps('low-pen', { meshSides: 'battens' });
    const frame = all.find((s) => s.id === 'front/frame');
    const skin = all.find((s) => s.id === 'front/skin');
    expect(frame?.parts.some((id) => id.includes('batten'))).toBe(false);
    expect(skin?.parts.filter((id) => id.includes('batten')).length).toBeGreaterThan(2);
    expect(skin?.text.join(' ')).toMatch(
      /staple every 6 in, then a batten over every edge\. Last the battens over joints and edges/,
    );
  });
  it.each([
    ['washers', /staple every 3 in, washers at the corners/],
    ['lap', /lap it 2 in around the edge/],
  ])('says how mesh is held: %s', (meshSides, words) => {
    const { steps: all } = steps('low-pen', { meshSides });
    expect(all.find((s) => s.id === 'front/skin')?.text.join(' ')).toMatch(words);
  });
  it('nails the battens of board and batten over the boards', () => {
    const { steps: all, role } = steps('walk-in', { siding: 'board-batten' });
    const skin = all.find((s) => s.id === 'back-wall/skin');
    expect(skin?.parts.map(role)).toEqual(expect.arrayContaining(['siding', 'batten']));
    expect(all.find((s) => s.id === 'back-wall/frame')?.parts.map(role)).not.toContain('batten');
  });
  it('takes longer with battens than without', () => {
    const minutes = (meshSides: string) =>
      steps('low-pen', { meshSides }).steps.find((s) => s.id === 'front/skin')?.minutes ?? 0;
    expect(minutes('battens')).toBeGreaterThan(minutes('washers'));
  });
});

describe.each(FAMILIES.map((f) => f.key))('the steps of a %s', (family) => {
  const { build, steps: all, role } = steps(family);
  it('use every part that is fitted once, and in no framing step a part of the skin', () => {
    const fitted = all.filter((s) => ['frame', 'skin', 'roof', 'fit'].includes(s.verb)).flatMap((s) => s.parts);
    expect(new Set(fitted).size).toBe(fitted.length);
    for (const s of all.filter((k) => k.verb === 'frame' && k.assembly !== undefined && k.id.endsWith('/frame'))) {
      const panel = build.assemblies.find((a) => a.id === s.assembly);
      if (panel?.flat)
        for (const id of s.parts)
          expect([s.id, role(id), ['siding', 'mesh', 'batten', 'trim'].includes(role(id) ?? '')]).toEqual([
            s.id,
            role(id),
            false,
          ]);
    }
  });
});

it('what goes over the skin is part of skinning', () => {
  const { build } = steps('walk-in', { siding: 'board-batten' });
  const over = build.parts.filter(isOver);
  expect(over.length).toBeGreaterThan(0);
  expect(over.every(isSkin)).toBe(true);
});
