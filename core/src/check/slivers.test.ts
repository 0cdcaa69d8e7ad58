import { buildSpec, parseSpec } from '../model/index.ts';
import { takeOff } from '../takeoff/index.ts';
import { checkBuild } from './index.ts';

const judged = (params: Record<string, number | string>) => {
  const spec = parseSpec({ family: 'walk-in', params });
  return { spec, found: checkBuild(buildSpec(spec), spec).find((f) => f.code === 'sliver') };
};

describe('a strip that is too narrow', () => {
  it('is a tip that says what one size would save, in inches and money', () => {
    const { found } = judged({ length: 99.5 });
    expect(found?.severity).toBe('tip');
    expect(found?.what).toMatch(/ends in a strip of 3 1\/2"/);
    expect(found?.fix?.patch).toEqual({ length: 96 });
    const cost = (length: number): number =>
      takeOff(buildSpec(parseSpec({ family: 'walk-in', params: { length } })), 'quick').cost;
    expect(found?.why).toContain(`$${((cost(99.5) - cost(96)) / 100).toFixed(2)}`);
  });
  it('is not spoken of where there is none', () => {
    expect(judged({ length: 96 }).found).toBeUndefined();
    expect(judged({ length: 110 }).found).toBeUndefined();
  });
});

describe('cuts of upright boards under a slope', () => {
  it('are listed at the slope of the roof, and both ways under a ridge', () => {
    const lean = buildSpec(
      parseSpec({ family: 'walk-in', params: { roofKind: 'lean', pitch: 3, siding: 'board-batten' } }),
    );
    const raked = lean.parts.filter((p) => p.assembly === 'left-wall' && p.role === 'siding' && p.cuts.length > 0);
    expect(raked.length).toBeGreaterThan(5);
    // 3 in 12 is 14.0°.
    for (const p of raked) expect(p.cuts.find((c) => c.kind === 'mitre')?.angle).toBe(14);
    const gable = buildSpec(
      parseSpec({ family: 'walk-in', params: { roofKind: 'gable', pitch: 4, siding: 'board-batten' } }),
    );
    const notches = gable.parts.filter((p) => p.assembly === 'left-wall').flatMap((p) => p.notches);
    expect(notches).toContain('top sawn to the rafters on both sides of it, 18.4°');
    const front = gable.parts.filter((p) => p.assembly === 'front-wall' && p.role === 'siding');
    expect(front.every((p) => p.cuts.every((c) => c.kind === 'square'))).toBe(true);
  });
});
