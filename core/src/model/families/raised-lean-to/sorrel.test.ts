import { groupParts } from '../../../unit/index.ts';
import { buildSpec, parseSpec } from '../../spec.ts';

// The 4 × 6 ft house worked out by hand: floor 72 × 48, walls 60 and 52, legs 24, studs and rafters 16 on centre.
const build = buildSpec(parseSpec({ family: 'raised-lean-to', params: {} }));
const lines = (assembly: string) =>
  groupParts(build.parts.filter((p) => p.assembly === assembly)).map(
    (g) => [g.part.role, g.part.item, Math.round(g.part.length * 64) / 64, g.quantity] as const,
  );

describe('base', () => {
  it('has four legs of 24, rims of 72 and 45, joists of 45 at both ends and on the layout', () => {
    expect(lines('base')).toEqual([
      ['leg', '4x4-pt', 24, 4],
      ['rim', '2x6-pt', 72, 2],
      ['rim', '2x6-pt', 45, 2],
      // 1 1/2 and 69 beside the end rims; 15 1/4, 31 1/4, 47 1/4, 63 1/4 between.
      ['joist', '2x4', 45, 6],
      ['floor', 'ply-3/4', 69, 1],
    ]);
  });
});

describe('front wall', () => {
  // Room for studs is 72 less two ends and sides of 3: 63; a door of 31 leaves 16 each side: it starts at 4 1/2 + 16 = 20 1/2.
  it('has its door in the middle', () => {
    expect(build.openings.find((o) => o.kind === 'people door')).toMatchObject({ left: 20.5, width: 31, bottom: 8 });
  });
  it('cuts line by line', () => {
    const front = lines('front-wall').filter(([role]) => role !== 'siding');
    expect(front).toContainEqual(['plate', '2x4', 72, 2]);
    // Both ends, and 63 1/4; the one at 15 1/4 falls to the king at 17 1/2, three quarters of an inch from it.
    expect(front).toContainEqual(['stud', '2x4', 57, 3]);
    expect(front).toContainEqual(['king', '2x4', 57, 2]);
    // 8 + 46 less a plate, cut back to what the header leaves: 60 - 1 1/2 - 3 1/2 = 55 is above it.
    expect(front).toContainEqual(['jack', '2x4', 52.5, 2]);
    expect(front).toContainEqual(['header', '2x4', 34, 2]);
    expect(front).toContainEqual(['sill', '2x4', 31, 1]);
    // Under the sill: 8 less sill and plate.
    expect(front).toContainEqual(['cripple', '2x4', 5, 2]);
  });
});

describe('rake walls', () => {
  const fall = 8 / 44.5;
  it('stand between front and back: plates of 41', () => {
    const plate = build.parts.find((p) => p.id === 'left-wall/bottom-plate');
    expect(plate?.length).toBe(41);
  });
  it('fall 8 in over 44 1/2: a bevel of 10.2 degrees', () => {
    const stud = build.parts.find((p) => p.assembly === 'left-wall' && p.role === 'stud');
    expect(stud?.cuts.find((c) => c.kind === 'bevel')?.angle).toBe(10.2);
  });
  it('have studs to the underside of the sloped plate', () => {
    const end = build.parts.filter((p) => p.assembly === 'right-wall' && p.role === 'stud').map((p) => p.length);
    // Nearest the front: the rafter line at 3 1/2 in is 60 less 3 1/2 falls; less the plate measured plumb and the bottom plate.
    const plumbPlate = 1.5 * Math.sqrt(1 + fall * fall);
    expect(Math.max(...end)).toBeCloseTo(60 - 3.5 * fall - plumbPlate - 1.5, 6);
  });
});

describe('roof', () => {
  it('has rafters over the studs: six, 63 5/8 tip to tip', () => {
    const rafters = build.parts.filter((p) => p.role === 'rafter');
    expect(rafters).toHaveLength(6);
    const c = Math.sqrt(1 + (8 / 44.5) ** 2);
    expect(rafters[0]?.length).toBeCloseTo(62 * c + 3.5 * (8 / 44.5), 6);
    expect(Math.round((rafters[0]?.length ?? 0) * 8) / 8).toBe(63.625);
  });
  it('is covered by ribbed metal in three sheets of 36, 36 and 8', () => {
    expect(build.parts.filter((p) => p.role === 'roofing').map((p) => p.width)).toEqual([36, 36, 8]);
  });
});
