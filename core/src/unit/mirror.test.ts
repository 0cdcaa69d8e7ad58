import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { measureBounds } from './measureBounds.ts';
import { mirrorBuild, SWAPPED, swapWords } from './mirrorBuild.ts';

describe('words of sides', () => {
  it.each([
    ['left wall', 'right wall'],
    ['Right gable, left of the door', 'Left gable, right of the door'],
    ['front wall', 'front wall'],
    ['what is left over', 'what is right over'],
    ['upright', 'upright'],
  ])('%s becomes %s', (text, turned) => expect(swapWords(text)).toBe(turned));
  it('come back when they are turned twice', () => {
    const text = 'Nests in the left wall, roost along the right';
    expect(swapWords(swapWords(text))).toBe(text);
    for (const side of ['front', 'back', 'left', 'right'] as const) expect(SWAPPED[SWAPPED[side]]).toBe(side);
  });
});

describe.each(FAMILIES.map((f) => f.key))('a %s turned round', (family) => {
  const build = buildSpec(parseSpec({ family }));
  const turned = mirrorBuild(build);
  const [x0, , x1] = build.facts.base;
  it('has every part as far from the other end', () => {
    turned.parts.forEach((p, i) => {
      const [was, is] = [measureBounds([build.parts[i] as typeof p]), measureBounds([p])];
      expect(is.low[0]).toBeCloseTo(x0 + x1 - was.high[0], 6);
      expect(is.high[0]).toBeCloseTo(x0 + x1 - was.low[0], 6);
      expect([is.low[1], is.low[2]].map((n) => n.toFixed(6))).toEqual(
        [was.low[1], was.low[2]].map((n) => n.toFixed(6)),
      );
    });
  });
  it('is itself again when it is turned twice', () => {
    const again = mirrorBuild(turned);
    again.parts.forEach((p, i) => {
      const [was, is] = [measureBounds([build.parts[i] as typeof p]), measureBounds([p])];
      for (const k of [0, 1, 2] as const) {
        expect(is.low[k]).toBeCloseTo(was.low[k], 6);
        expect(is.high[k]).toBeCloseTo(was.high[k], 6);
      }
      expect(p.name).toBe(build.parts[i]?.name);
    });
    again.openings.forEach((o, i) => {
      expect(o.left).toBeCloseTo(build.openings[i]?.left ?? NaN, 6);
      expect(o.wall).toBe(build.openings[i]?.wall);
    });
  });
  it('is cut from the same parts', () => {
    const lengths = (b: typeof build) => b.parts.map((p) => `${p.item} ${p.length.toFixed(4)}`).sort();
    expect(lengths(turned)).toEqual(lengths(build));
  });
  it('marks its plates from the other end: every tape as long, every mark within it', () => {
    for (const [i, a] of turned.assemblies.entries())
      a.tapes.forEach((tape, k) => {
        const was = build.assemblies[i]?.tapes[k];
        expect(tape.length).toBe(was?.length);
        const back = tape.marks.map((m) => tape.length - m.at).sort((p, q) => p - q);
        (was?.marks ?? [])
          .map((m) => m.at)
          .sort((p, q) => p - q)
          .forEach((at, n) => expect(back[n]).toBeCloseTo(at, 6));
      });
  });
});
