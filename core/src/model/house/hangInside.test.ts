import { faultsOf } from '../../../testing/testFamily.ts';
import { countOf, measureBounds } from '../../unit/index.ts';
import type { Build } from '../../unit/index.ts';
import { checkBuild } from '../../check/index.ts';
import { buildSpec, parseSpec } from '../index.ts';

type Params = Record<string, number | string | boolean>;
const build = (family: string, params: Params): Build => {
  const made = buildSpec(parseSpec({ family, params }));
  expect(faultsOf(made)).toEqual([]);
  return made;
};
const of = (b: Build, assembly: string) => b.parts.filter((p) => p.assembly === assembly);
const codes = (b: Build) => b.notes.map((n) => n.code);
const near = (a: number | undefined, b: number) => expect(a ?? NaN).toBeCloseTo(b, 6);

// A room with nothing in its left wall: 96 in deep, the roost along the back.
const ROOM: Params = {
  length: 144,
  depth: 96,
  wallHeight: 84,
  innerWall: false,
  doorWall: 'front',
  windowWall: 'none',
  popWall: 'none',
  cleanOutWall: 'none',
  liner: false,
  roostBars: 2,
  roostStep: 0,
  roostHeight: 40,
  nestWall: 'left',
  nestStyle: 'inside',
  nestCount: 3,
  nestWidth: 12,
  nestDepth: 12,
  nestBottom: 18,
};

describe('nests inside a house', () => {
  const made = build('walk-in', ROOM);
  const box = measureBounds(of(made, 'nests'));
  it('are a row of three on the inside of the left wall, their ledger on its studs', () => {
    // Three boxes of 12 in and four dividers of 1/2 in.
    near(box.high[1] - box.low[1], 38);
    near(box.low[0], 3.5);
    expect(made.openings.some((o) => o.kind === 'nest')).toBe(false);
    const ledger = made.parts.find((p) => p.id === 'nests/ledger');
    near(ledger?.length, 38);
  });
  it('are counted, and no hole in the wall is missed', () => {
    expect(made.capacity.nests).toBe(3);
    expect(made.facts.nests).toMatchObject({ count: 3, bottom: 18, top: 30, wall: 'inside' });
    const spec = parseSpec({ family: 'walk-in', params: ROOM });
    expect(checkBuild(made, spec).some((f) => f.code.startsWith('nest-hole'))).toBe(false);
  });
  it('keep out from under the roost', () => {
    const roost = measureBounds(of(made, 'roosts'));
    expect(box.high[1]).toBeLessThan(roost.low[1]);
  });
  it('keep clear of a door that opens inward beside them', () => {
    const swing = build('walk-in', { ...ROOM, doorOpens: 'inward', doorWall: 'back', nestWall: 'back', roostBars: 0 });
    const door = swing.openings.find((o) => o.kind === 'people door');
    const row = measureBounds(of(swing, 'nests'));
    // Seen from behind, the wall starts at the right end of the house.
    const to = 144 - (door?.left ?? 0);
    const from = to - (door?.width ?? 0);
    expect(row.high[0]).toBeGreaterThan(row.low[0]);
    expect(row.high[0] <= from || row.low[0] >= to).toBe(true);
  });
  it('are fewer where the wall is short, and a note says how many', () => {
    const short = build('walk-in', { ...ROOM, nestCount: 6, nestWidth: 16 });
    expect(short.capacity.nests).toBeLessThan(6);
    const note = short.notes.find((n) => n.code === 'nests-inside');
    expect(note?.severity).toBe('stop');
    const mended = build('walk-in', { ...ROOM, nestCount: 6, nestWidth: 16, ...note?.fix?.patch });
    expect(codes(mended)).not.toContain('nests-inside');
    expect(mended.capacity.nests).toBe(short.capacity.nests);
  });
  it('that find no room at all are offered the outside', () => {
    const low = build('skid-house', { nestStyle: 'inside' });
    const note = low.notes.find((n) => n.code === 'nests-inside');
    expect(low.capacity.nests).toBe(0);
    expect(note?.fix?.patch).toEqual({ nestStyle: 'outside lid' });
  });
  it('hang on the liner where there is one', () => {
    const lined = build('walk-in', { ...ROOM, liner: true });
    near(measureBounds(of(lined, 'nests')).low[0], 3.75);
  });
});

describe('a water bar', () => {
  const made = build('walk-in', { ...ROOM, nestWall: 'none', nipples: 6 });
  const bar = of(made, 'water');
  it('is a pipe with room for its nipples, 14 in over the floor, on the studs', () => {
    const { low, high } = measureBounds(bar);
    const long = bar.reduce((sum, p) => sum + p.length, 0);
    // Six at 8 in and the ends.
    near(long, 52);
    near((low[2] + high[2]) / 2 - made.facts.floorHeight, 14);
    expect(countOf(made.joints, 'nipple')).toBe(6);
  });
  it('hangs nowhere over an opening', () => {
    const { low, high } = measureBounds(bar);
    for (const o of made.openings.filter((k) => k.assembly === 'front-wall' && k.bottom < 14))
      expect(high[0] <= o.left || low[0] >= o.left + o.width || low[1] > 20).toBe(true);
  });
  it('is none without nipples', () => {
    expect(of(build('walk-in', { ...ROOM, nipples: 0 }), 'water')).toEqual([]);
  });
  it('that finds too little wall carries fewer, says so, and counts what is there', () => {
    const small = build('skid-house', { nipples: 12 });
    const note = small.notes.find((n) => n.code === 'water-bar-short');
    const left = countOf(small.joints, 'nipple');
    expect(left).toBeLessThan(12);
    expect(note?.fix?.patch).toEqual({ nipples: left });
    expect(codes(build('skid-house', { nipples: left }))).not.toContain('water-bar-short');
  });
});

describe('a row of nests longer than a sheet', () => {
  const params = {
    length: 120,
    depth: 72,
    wallHeight: 60,
    roostBars: 0,
    nestWall: 'back',
    nestStyle: 'inside',
    nestCount: 6,
    nestWidth: 16,
  } as const;
  const long = (more: Params = {}) =>
    buildSpec(
      parseSpec({
        family: 'raised-gable',
        params: { ...params, doorWall: 'front', windowWall: 'none', cleanOutWall: 'none', popWall: 'left', ...more },
      }),
    );
  it('is cut short to what one sheet gives, and says so: five of 16 in with their dividers are 83 in', () => {
    const b = long();
    const [note] = b.notes.filter((n) => n.code === 'nests-inside');
    expect(note).toMatchObject({
      what: 'Only 5 of 6 nests find room inside the back wall.',
      why: 'Floor and back of the row are one piece each, and sheets end at 96″.',
      fix: { patch: { nestCount: 5 } },
    });
    expect(b.parts.find((p) => p.id === 'nests/floor')?.length).toBe(5 * 16 + 6 * 0.5);
    expect(Math.max(...b.parts.filter((p) => p.assembly === 'nests').map((p) => p.length))).toBeLessThanOrEqual(96);
    expect(long({ nestCount: 5 }).notes.filter((n) => n.code === 'nests-inside')).toEqual([]);
  });
});
