import { buildSpec, parseSpec } from '../index.ts';
import { CHECK_RULES, checkBuild } from '../../check/index.ts';
import { measureBearing, measureLongestSpan, measurePointLoad, snowLoad } from '../../strength/index.ts';
import { planSteps } from '../../steps/index.ts';
import { findPieces } from '../../geometry/index.ts';
import { findClashes, findFloating } from '../../unit/index.ts';
import type { Part } from '../../unit/index.ts';

const build = (params: Record<string, string | number | boolean>, family = 'walk-in') => {
  const spec = parseSpec({ family, params: { ...(family === 'walk-in' ? { roofKind: 'gable' } : {}), ...params } });
  return { spec, b: buildSpec(spec) };
};
const codes = (params: Record<string, string | number | boolean>, snow = CHECK_RULES.snow): string[] => {
  const { spec, b } = build(params);
  return checkBuild(b, spec, undefined, { ...CHECK_RULES, snow }).map((f) => f.code);
};
const extent = (p: Part, axis: 0 | 1 | 2): readonly [number, number] => {
  const pieces = findPieces(p.shape, p.place);
  return [Math.min(...pieces.map((q) => q.low[axis])), Math.max(...pieces.map((q) => q.high[axis]))];
};
const low = (p: Part): number => extent(p, 2)[0];
const middle = (p: Part): number => (extent(p, 1)[0] + extent(p, 1)[1]) / 2;
/** A low walk-in whose door in its end is higher than its plates let it be. */
const LOW = { wallHeight: 70, doorWall: 'right', length: 96, depth: 96, pitch: 6, innerWall: false } as const;

describe('the strength of a beam', () => {
  it('is that of a member alone: a 2×8 over 8 ft under half of an 8 ft house, 40 psf', () => {
    // w = 40 × 4 ft = 160 lb/ft; S = 1.5 × 7.25² ÷ 6 = 13.14; F'b = 875 × 1.2 × 1.15 = 1207.5; L = √(8 × 1207.5 × 13.14 × 12 ÷ 160).
    const bending = Math.sqrt((8 * 1207.5 * ((1.5 * 7.25 ** 2) / 6) * 12) / 160);
    expect(measureLongestSpan('2x8', 48, snowLoad(30), 'beam')).toBeCloseTo(bending, 6);
    expect(bending).toBeCloseTo(97.6, 1);
    expect(measureLongestSpan('2x8', 48, snowLoad(30), 'row')).toBeGreaterThan(bending);
  });

  it('is P·L÷4 for a header with a post on its middle: two 2×6 over 34 in', () => {
    // S = 2 × 1.5 × 5.5² ÷ 6 = 15.125; F'b = 875 × 1.3 × 1.15.
    expect(measurePointLoad('2x6', 2, 34, 1.15)).toBeCloseTo((4 * 875 * 1.3 * 1.15 * 15.125) / 34, 6);
  });

  it('ends where the wood of its post is crushed: 425 psi on 1½ by 3½ in', () => {
    expect(measureBearing(1.5, 3.5)).toBeCloseTo(2231.25, 6);
  });
});

describe('what holds a gable', () => {
  it('is ties where that will do, and a beam where the roof is flatter than three in twelve', () => {
    expect(build({}).b.parts.some((p) => p.name === 'ridge beam')).toBe(false);
    const { b } = build({ pitch: 2, length: 96 });
    expect(b.parts.filter((p) => p.role === 'ridge').map((p) => [p.name, p.item])).toEqual([['ridge beam', '2x8']]);
    expect(b.parts.some((p) => p.role === 'tie')).toBe(false);
    expect(b.facts.thrust).toBeUndefined();
  });

  it('is said where the ridge should be a beam and no stick is one', () => {
    const found = codes({ pitch: 2, length: 240, depth: 120 });
    expect(found).toContain('ridge-no-beam');
    const { spec, b } = build({ roofHeld: 'beam', length: 240, depth: 120 });
    const [note] = checkBuild(b, spec).filter((f) => f.code === 'ridge-no-beam');
    expect(note?.why).toContain('No single stick up to a 2x12');
    expect(note?.fix?.patch).toEqual({ roofHeld: 'ties' });
    expect(b.parts.some((p) => p.role === 'tie')).toBe(true);
  });

  it('a beam stands on a post the depth of the wall, over a stud, with every pair of rafters strapped', () => {
    const { b } = build({ roofHeld: 'beam', length: 96, depth: 72, innerWall: false });
    const beam = b.parts.find((p) => p.role === 'ridge') as Part;
    for (const side of ['left', 'right']) {
      const post = b.parts.find((p) => p.assembly === `${side}-wall` && p.role === 'post') as Part;
      expect([post.thickness, post.width]).toEqual([1.5, 3.5]);
      expect(low(post) + post.length).toBeCloseTo(low(beam), 6);
      // Under it is a stud, or the header of the pop door.
      const studs = b.parts.filter(
        (p) => p.assembly === `${side}-wall` && (p.role === 'stud' || (p.role === 'header' && p.item === '2x6')),
      );
      const [from, to] = extent(post, 1);
      expect(studs.some((s) => extent(s, 1)[0] < to && extent(s, 1)[1] > from)).toBe(true);
    }
    const rafters = b.parts.filter((p) => p.role === 'rafter').length;
    expect(b.joints.filter((j) => j.hardware.some((h) => h.item === 'ridge-strap'))).toHaveLength(rafters / 2);
  });

  it('brings its load down to the header of what is under it', () => {
    const { b } = build({ roofHeld: 'beam' }, 'raised-gable');
    const header = b.parts.find((p) => p.id === 'right-wall/nest/header-1') as Part;
    const post = b.parts.find((p) => p.assembly === 'right-wall' && p.role === 'post') as Part;
    const short = b.parts.filter((p) => p.assembly === 'right-wall' && p.role === 'cripple' && low(p) > low(header));
    expect(short.map((p) => low(p) - low(header) - 5.5)).toContain(0);
    expect(Math.min(...short.map((p) => Math.abs(middle(p) - middle(post))))).toBeLessThan(1.5);
  });

  it('a beam is judged by the snow of the place, with ties as what mends it', () => {
    expect(codes({ roofHeld: 'beam', length: 96 }).filter((c) => /^span-ridge/.test(c))).toEqual([]);
    const { spec, b } = build({ roofHeld: 'beam', length: 96 });
    const found = checkBuild(b, spec, undefined, { ...CHECK_RULES, snow: 70 }).find(
      (f) => f.code === 'span-ridge-beam',
    );
    expect(found?.severity).toBe('stop');
  });

  it('a step says that the beam goes up first', () => {
    const text = (params: Record<string, string | number | boolean>): string =>
      planSteps(build(params).b)
        .filter((s) => s.id.startsWith('roof'))
        .flatMap((s) => s.text)
        .join(' ');
    expect(text({ roofHeld: 'beam', length: 96 })).toContain('ridge beam first');
    expect(text({})).not.toContain('ridge beam');
  });
});

describe('a door that rises past the plates of a gable end', () => {
  const { b } = build(LOW);
  const wall = (role: string): Part[] => b.parts.filter((p) => p.assembly === 'right-wall' && p.role === role);
  const plate = 70 + low(b.parts.find((p) => p.id === 'right-wall/bottom-plate') as Part);

  it('stands as high as it was asked for, its head over the plates', () => {
    const [door] = b.openings.filter((o) => o.kind === 'people door');
    expect(door?.height).toBe(74);
    expect((door?.sillAboveGround ?? 0) + (door?.height ?? 0)).toBeGreaterThan(plate);
    expect(codes(LOW)).not.toContain('door-lowered');
  });

  it('has king studs from sole to rafters, and plates that end at them', () => {
    for (const k of wall('king')) expect(low(k) + k.length).toBeGreaterThan(plate + 5);
    const kings = wall('king').flatMap((k) => extent(k, 1));
    const plates = wall('plate').filter((p) => /top-plate/.test(p.id));
    expect(plates).toHaveLength(2);
    for (const p of plates) {
      expect(p.length).toBeCloseTo((96 - 7 - 34 - 6) / 2, 6);
      const ends = extent(p, 1);
      expect(Math.min(...kings.flatMap((k) => ends.map((e) => Math.abs(e - k))))).toBeCloseTo(0, 6);
    }
  });

  it('carries the beam on a post on its header', () => {
    const [post] = wall('post');
    const [header] = wall('header');
    expect(low(post as Part)).toBeCloseTo(low(header as Part) + 5.5, 6);
    expect(header?.item).toBe('2x6');
  });

  it('is not there where the ends are held by ties: the door is lowered, with a higher wall as what mends it', () => {
    const { spec, b: tied } = build({ ...LOW, roofHeld: 'ties' });
    const [note] = checkBuild(tied, spec).filter((f) => f.code === 'door-lowered');
    expect(note?.fix?.label).toMatch(/^Raise the wall/);
  });

  it('never runs into the beam or the rafters, however high it is asked', () => {
    for (const doorHeight of [60, 66, 70, 72, 74, 76, 78, 80])
      for (const pitch of [3, 4, 6, 8])
        for (const wallHeight of [66, 68, 72]) {
          const made = build({ ...LOW, doorHeight, pitch, wallHeight }).b;
          const told = JSON.stringify([doorHeight, pitch, wallHeight]);
          expect([told, findClashes(made).map((c) => [c.a, c.b])]).toEqual([told, []]);
          expect([told, findFloating(made)]).toEqual([told, []]);
        }
  });
});
