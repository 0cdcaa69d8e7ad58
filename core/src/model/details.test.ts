import { faultsOf } from '../../testing/testFamily.ts';
import { countOf, measureBounds } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';
import { buildSpec, parseSpec } from './spec.ts';

const build = (family: string, params: Record<string, number | string | boolean>): Build => {
  const made = buildSpec(parseSpec({ family, params }));
  expect(faultsOf(made)).toEqual([]);
  return made;
};

const having = (b: Build, id: RegExp) => b.parts.filter((p) => id.test(p.id));
const counted = (b: Build, item: string) => countOf(b.joints, item);
const notes = (b: Build) => b.notes.map((n) => n.code);

describe('half-lapped pen sides', () => {
  const butted = build('low-pen', { joint: 'pocket screws' });
  const lapped = build('low-pen', { joint: 'half-lap' });
  it('uprights run the whole height, where butted ones stand between the rails', () => {
    const long = having(lapped, /^front\/upright-1$/)[0];
    const short = having(butted, /^front\/upright-1$/)[0];
    // Two rails of 2×3, 2 1/2 in wide.
    expect((long?.length ?? 0) - (short?.length ?? 0)).toBeCloseTo(5, 9);
    expect(long?.notches).toEqual(['half-lap ¾ in deep, 2.5 in long at both ends']);
  });
  it('nothing stands proud: a side is one 1 1/2 in thick', () => {
    const frame = measureBounds(having(lapped, /^front\/(upright|top-rail|bottom-rail)/));
    expect(frame.high[1] - frame.low[1]).toBeCloseTo(1.5, 9);
  });
});

describe('grip blocks', () => {
  it('two at the right end, high and apart, clear of the ground', () => {
    const pen = build('low-pen', { grips: true });
    const blocks = having(pen, /^grips\//);
    expect(blocks).toHaveLength(2);
    const [low, top] = [measureBounds(blocks), measureBounds(pen.parts.filter((p) => p.assembly === 'right'))];
    expect(low.high[2]).toBeLessThan(top.high[2]);
    expect(low.low[2]).toBeGreaterThan((top.low[2] + top.high[2]) / 2);
    expect(having(build('low-pen', { grips: false }), /^grips\//)).toEqual([]);
  });
});

describe('what stands in the bird room', () => {
  const house = { length: 144, depth: 96, roostBars: 3, roostKind: 'flat', roostHeight: 48, windowWall: 'none' };
  it('stepped bars fall by the step, each in front of the one above', () => {
    const bars = having(build('walk-in', { ...house, roostStep: 10 }), /^roosts\/bar-/).map((p) => measureBounds([p]));
    expect(bars).toHaveLength(3);
    const tops = bars.map((b) => b.high[2]).sort((a, b) => b - a);
    expect((tops[0] ?? 0) - (tops[1] ?? 0)).toBeCloseTo(10, 6);
    expect((tops[1] ?? 0) - (tops[2] ?? 0)).toBeCloseTo(10, 6);
    const level = having(build('walk-in', { ...house, roostStep: 0 }), /^roosts\/bar-/).map((p) => measureBounds([p]));
    expect(new Set(level.map((b) => b.high[2].toFixed(4))).size).toBe(1);
  });
  it('a ladder leans at 60° from the floor to the bar', () => {
    const made = build('walk-in', { ...house, roostStep: 0, ladder: true });
    const [rail] = having(made, /^ladder\/rail-1$/);
    expect(rail).toBeDefined();
    if (!rail) return;
    const { low, high } = measureBounds([rail]);
    // Cut plumb at the bar and level at the floor, the foot spreads by the rail's level cut: rise over run of the upper edge is tan 60°.
    expect((high[2] - low[2]) / (high[1] - low[1])).toBeCloseTo(Math.tan(Math.PI / 3), 6);
    const [bar] = having(made, /^roosts\/bar-1$/);
    expect(bar && measureBounds([bar]).high[2] - high[2]).toBeCloseTo(0, 6);
    expect(having(made, /^ladder\/tread-/).length).toBeGreaterThan(3);
  });
  it('a ladder without room is left out and said', () => {
    const made = build('skid-house', {
      depth: 36,
      windowWall: 'none',
      roostBars: 2,
      roostHeight: 30,
      roostStep: 0,
      ladder: true,
    });
    expect(having(made, /^ladder\//)).toEqual([]);
    expect(notes(made)).toContain('ladder-has-no-room');
  });
  it('nipples bring a filter and regulator with them', () => {
    expect(counted(build('walk-in', { nipples: 4 }), 'regulator')).toBe(1);
    expect(counted(build('walk-in', { nipples: 0 }), 'regulator')).toBe(0);
  });
});

describe('corner trim of offcut rips', () => {
  it('is 1/2 in thick and of ply, and the house is 1/2 in narrower for it', () => {
    const boards = build('skid-house', { trim: 'boards' });
    const rips = build('skid-house', { trim: 'ply rips' });
    const trim = having(rips, /^corners\//);
    expect(trim.length).toBe(8);
    expect(trim.every((p) => p.item === 'ply-1/2' && p.thickness === 0.5)).toBe(true);
    const wide = (b: Build) => {
      const { low, high } = measureBounds(having(b, /^corners\//));
      return high[0] - low[0];
    };
    expect(wide(boards) - wide(rips)).toBeCloseTo(0.5, 9);
  });
});

describe('foundations of a walk-in', () => {
  it('a sill lies under all four walls, flush with the studs', () => {
    const made = build('walk-in', { foundation: 'perimeter', length: 144, depth: 96 });
    const { low, high } = measureBounds(having(made, /^base\/sill-/));
    expect([low[0], low[1], high[0], high[1]].map((v) => Math.round(v * 1e6) / 1e6)).toEqual([0, 0, 144, 96]);
    expect(high[2] - low[2]).toBeCloseTo(1.5, 9);
    expect(counted(made, 'anchor-bolt')).toBe(Math.ceil((2 * (144 + 96)) / 48));
  });
  it('a gravel pad is counted in whole cubic yards', () => {
    // 14 ft by 10 ft by 5 in is 58.3 cubic feet: 2.16 yards, bought as 3.
    expect(counted(build('walk-in', { foundation: 'gravel', length: 144, depth: 96 }), 'stone')).toBe(3);
    expect(counted(build('walk-in', { foundation: 'skids', length: 144, depth: 96 }), 'stone')).toBe(0);
  });
  it('feed tubes stand at the inner wall in the store, as many as find room', () => {
    const room = { length: 192, depth: 108, innerWall: true, storeLength: 60, wallHeight: 90, nestCount: 1 };
    const made = build('walk-in', { ...room, feedTubes: 2 });
    expect(having(made, /^feed\/tube-/)).toHaveLength(2);
    expect(counted(made, 'feed-port')).toBe(2);
    expect(notes(made)).not.toContain('feed-tubes-fewer');
    const crowded = build('walk-in', { ...room, nestCount: 3, feedTubes: 4 });
    const drawn = having(crowded, /^feed\/tube-/).length;
    expect(drawn).toBeLessThan(4);
    expect(counted(crowded, 'feed-port')).toBe(drawn);
    expect(crowded.notes.find((n) => n.code === 'feed-tubes-fewer')?.fix?.patch).toEqual({ feedTubes: drawn });
  });
});

describe('a cupola', () => {
  it.each([3, 6, 12])('stands astride a ridge of %i in 12 and lets air out', (pitch) => {
    const bare = build('raised-gable', { pitch });
    const made = build('raised-gable', { pitch, cupola: true });
    const parts = having(made, /^cupola\//);
    expect(parts).toHaveLength(12);
    const all = measureBounds(parts);
    const ends = measureBounds(having(made, /^cupola\/end-/));
    const mid = (b: { low: readonly number[]; high: readonly number[] }, k: 0 | 1) =>
      ((b.low[k] ?? 0) + (b.high[k] ?? 0)) / 2;
    const house = measureBounds(made.parts.filter((p) => p.role === 'ridge'));
    expect(mid(all, 0)).toBeCloseTo(mid(house, 0), 6);
    expect(mid(all, 1)).toBeCloseTo(mid(house, 1), 6);
    // Its ends reach down the slope by pitch/12 over half their width of 16 in, from 10 in over the ridge to their eave and 4 in more to the peak.
    expect(ends.high[2] - ends.low[2]).toBeCloseTo((8 * pitch) / 12 + 10 + 4, 6);
    // Mesh on both sides between 4 in of foot and 2 in of head; no more than passes the hole of 12 by 12 in.
    const open = Math.min(144, 2 * 15 * (4 + (7.5 * pitch) / 12));
    expect((made.facts.ventArea - bare.facts.ventArea) * 144).toBeCloseTo(open, 6);
  });
  it('is not offered on a lean-to', () => {
    expect(having(build('walk-in', { roofKind: 'lean', cupola: true }), /^cupola\//)).toEqual([]);
  });
});

describe('a Dutch door', () => {
  const door = { doorWall: 'front', doorStyle: 'dutch', doorWidth: 30, windowWall: 'none', popWall: 'none' };
  it('has two leaves that fill the opening with ⅛″ all round and between them', () => {
    const made = build('walk-in', { ...door, wallHeight: 84, doorHeight: 72 });
    const skins = having(made, /^people-door\/(lower|upper)-skin$/).map((p) => measureBounds([p]));
    const [opening] = made.openings.filter((o) => o.kind === 'people door');
    expect(skins).toHaveLength(2);
    const [lower, upper] = [...skins].sort((a, b) => a.low[2] - b.low[2]);
    expect((upper?.low[2] ?? 0) - (lower?.high[2] ?? 0)).toBeCloseTo(1 / 8, 9);
    expect((upper?.high[2] ?? 0) - (lower?.low[2] ?? 0)).toBeCloseTo((opening?.height ?? 0) - 1 / 4, 9);
    expect(counted(made, 'hinge')).toBe(
      counted(build('walk-in', { ...door, wallHeight: 84, doorHeight: 72, doorStyle: 'single' }), 'hinge') + 1,
    );
  });
  it('too low to be parted is one leaf, and a note says so', () => {
    const low = { id: 'by-hand-0', kind: 'people door', style: 'dutch', wall: 'front', left: 5, bottom: 0 };
    const made = buildSpec(
      parseSpec({ family: 'walk-in', params: { doorWall: 'back' }, fittings: [{ ...low, width: 24, height: 20 }] }),
    );
    expect(faultsOf(made)).toEqual([]);
    expect(having(made, /^by-hand-0\/skin$/)).toHaveLength(1);
    expect(notes(made)).toContain('by-hand-0-one-leaf');
  });
});
