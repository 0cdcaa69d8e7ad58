import fc from 'fast-check';
import { Sketch } from '../../frame/index.ts';
import { buildSpec } from '../index.ts';
import { parseSpec } from '../spec.ts';
import { resolveLowWall, resolveNests, resolveRoosts } from './resolve.ts';
import { USUAL_HOUSE } from './types.ts';

const house = { ...USUAL_HOUSE, length: 144, depth: 60 };
const notesOf = <T>(resolve: (sketch: Sketch) => T): { got: T; codes: string[]; fixes: unknown[] } => {
  const sketch = new Sketch();
  const got = resolve(sketch);
  const build = sketch.finish({
    family: 'walk-in',
    capacity: {},
    facts: {
      movable: false,
      base: [0, 0, 1, 1],
      enclosedHeight: 1,
      floorHeight: 0,
      roof: { pitch: 0, cover: 'metal', roofedShare: 1 },
      roosts: [],
      ventArea: 0,
      spans: [],
      meshHeights: [],
      sheetCourses: [],
    },
  });
  return { got, codes: build.notes.map((n) => n.code), fixes: build.notes.map((n) => n.fix?.patch) };
};

describe('a row of nests', () => {
  it('is no longer than a sheet gives, and says so with what fits', () => {
    // Six of 16 in with five dividers are 98½ in: five are 82.
    const { got, codes, fixes } = notesOf((s) => resolveNests(s, { ...house, nestCount: 6, nestWidth: 16 }));
    expect([got.nestCount, codes, fixes]).toEqual([5, ['nest-row-long'], [{ nestCount: 5 }]]);
  });
  it('is left as it is where it fits, inside, or where there is none', () => {
    for (const p of [
      { nestCount: 6, nestWidth: 14 },
      { nestCount: 6, nestWidth: 16, nestStyle: 'inside' as const },
      { nestCount: 6, nestWidth: 16, nestWall: 'none' as const },
    ])
      expect(notesOf((s) => resolveNests(s, { ...house, ...p })).codes).toEqual([]);
  });
  it('comes out of one sheet for any count and width', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 10, max: 16 }), (nestCount, nestWidth) => {
        const b = buildSpec(
          parseSpec({
            family: 'raised-gable',
            params: { length: 144, depth: 96, nestWall: 'right', nestCount, nestWidth },
          }),
        );
        for (const p of b.parts.filter((x) => x.role === 'nest' || x.role === 'lid'))
          expect(Math.max(p.length, p.width)).toBeLessThanOrEqual(96);
      }),
      { numRuns: 20, seed: 12 },
    );
  });
});

describe('a low wall', () => {
  it('is kept between 1 and 10 in 12, with the height that does', () => {
    const flat = notesOf((s) => resolveLowWall(s, { depth: 51.5, highWall: 60, lowWall: 60 }));
    // 48 in of span falls 4 in at the least.
    expect([flat.got, flat.codes, flat.fixes]).toEqual([56, ['roof-too-flat'], [{ lowWall: 56 }]]);
    const steep = notesOf((s) => resolveLowWall(s, { depth: 51.5, highWall: 100, lowWall: 30 }));
    expect([steep.got, steep.codes]).toEqual([60, ['roof-too-steep']]);
  });
});

describe('roosts', () => {
  it('are as many as the depth has room for', () => {
    const { got, codes } = notesOf((s) => resolveRoosts(s, { ...house, roostBars: 5, depth: 48 }, 60));
    expect([got.roostBars, codes]).toEqual([2, ['roosts-do-not-fit']]);
  });
  it('lie low enough for a bird to stand under the plate, and step down no lower than she jumps to', () => {
    expect(notesOf((s) => resolveRoosts(s, { ...house, roostHeight: 40 }, 40)).got.roostHeight).toBe(30);
    const stepped = notesOf((s) => resolveRoosts(s, { ...house, roostBars: 3, roostHeight: 20, roostStep: 8 }, 72));
    expect([stepped.got.roostStep, stepped.codes]).toEqual([5, ['roosts-step-too-low']]);
  });
});
