import { groupParts } from '../../unit/index.ts';
import type { Build } from '../../unit/index.ts';
import { buildSpec, parseSpec } from '../spec.ts';

// Cut lists worked out by hand from the sizes a unit is ordered in, as a framer would on paper. Rules of thumb that they rest on are
// common practice, no source: plates are 1 1/2 in, end walls stand between the long ones, a rafter ends at the ridge's face.

type Params = Record<string, number | string | boolean>;
const made = (family: string, params: Params): Build => {
  const build = buildSpec(parseSpec({ family, params }));
  expect(build.notes.map((n) => n.what)).toEqual([]);
  return build;
};
/** How many pieces of an item of a length there are, by role. */
const list = (b: Build) => {
  const lines = groupParts(b.parts).map((g) => ({
    key: `${g.part.role} ${g.part.item}`,
    length: g.part.length,
    quantity: g.quantity,
  }));
  return (role: string, item: string, length: number): number =>
    lines
      .filter((l) => l.key === `${role} ${item}` && Math.abs(l.length - length) < 1e-3)
      .reduce((n, l) => n + l.quantity, 0);
};
/** Lengths of a common rafter: along its short edge, and over all with the plumb cut's slant. */
const rafter = (run: number, pitch: number, deep: number): readonly [number, number] => {
  const short = run * Math.hypot(1, pitch / 12);
  return [short, short + (deep * pitch) / 12];
};
const lengths = (b: Build, id: RegExp): number[] =>
  b.parts.filter((p) => id.test(p.id)).map((p) => Math.round(p.length * 1e4) / 1e4);

describe('A-frame pen, 8 ft long on a 60 in base, sides as long as the base is wide', () => {
  const b = made('a-frame-pen', { length: 96, width: 60, closedLength: 36, rafterSpacing: 30, roost: true });
  const n = list(b);
  it('stands on two whole rails and two ends between them', () => {
    expect(n('rail', '2x3-pt', 96)).toBe(2);
    expect(n('rail', '2x3-pt', 57)).toBe(2);
  });
  it('has five pairs of rafters of 60, cut at 30° at the peak and 60° at the foot', () => {
    // At most 30 apart over the closed 36 and the open 60: two bays each, five pairs.
    expect(n('rafter', '2x4', 60)).toBe(10);
    expect(
      b.parts
        .find((p) => p.role === 'rafter')
        ?.cuts.map((c) => c.angle)
        .sort(),
    ).toEqual([30, 60]);
  });
  it('has gussets that fit the equilateral peak: 16 wide, 16·sin 60° high', () => {
    const gussets = b.parts.filter((p) => p.role === 'gusset');
    expect(gussets[0]?.width).toBeCloseTo(16 * Math.sin(Math.PI / 3), 3);
    expect(gussets[0]?.length).toBeCloseTo(16, 6);
  });
  it('has uprights beside its hatch up to the underside of the rafter', () => {
    // Inner edge 22 in from the corner: tan 60°·22 less the rafter's 1 11/16 measured plumb, 1 11/16 / cos 60°.
    const at = Math.tan(Math.PI / 3) * 22 - 1.6875 / Math.cos(Math.PI / 3);
    expect(n('upright', '2x2', at)).toBe(2);
  });
  it('is closed by half sheets with a slit of 1 1/2 left at the ridge, and mesh over the rest', () => {
    const sides = b.parts.filter((p) => p.id.startsWith('side-') && p.role === 'siding');
    expect(sides).toHaveLength(2);
    for (const p of sides) expect(p.length).toBeCloseTo(58.5, 9);
    // The sheet ends on the middle of the rafter at 36: 35 1/4 and 60 3/4 make 96.
    expect(sides[0]?.width).toBeCloseTo(35.25, 6);
    const mesh = b.parts.filter((p) => /^mesh-(front|back)\/mesh/.test(p.id));
    expect(mesh.map((p) => p.width)).toEqual([60.75, 60.75]);
  });
  it('has its roost between the end rafters and the next frame', () => expect(n('roost', '2x4', 33)).toBe(1));
});

describe('hoop pen, 10 ft of runners 7 ft apart under hoops of 10 ft pipe', () => {
  const b = made('hoop-pen', { length: 120, width: 84, hoops: 'pvc', hoopLength: 120, hoopSpacing: 24 });
  const n = list(b);
  it('has two runners of 10 ft and end boards between them', () => {
    expect(n('runner', '2x6-pt', 120)).toBe(2);
    expect(n('rail', '2x4-pt', 81)).toBe(2);
  });
  it('has hoops every 24 in or less: 117 between the end boards in five bays', () => {
    expect(n('hoop', 'pvc-3/4', 120)).toBe(6);
    expect(n('ridge', '2x4', 117)).toBe(1);
  });
  it('rises as an arc of 120 over a chord of 81 does', () => {
    // chord/arc = sin θ / θ, solved here by halving; sagitta = chord/2 · tan(θ/2).
    let [low, high] = [0.1, 3];
    for (let i = 0; i < 80; i++) {
      const mid = (low + high) / 2;
      if (Math.sin(mid) / mid > (84 - 3 - 1.05) / 120) low = mid;
      else high = mid;
    }
    const sagitta = ((84 - 3 - 1.05) / 2) * Math.tan(low / 2);
    const hoops = b.parts.filter((p) => p.role === 'hoop');
    const tall = Math.max(...hoops.flatMap((p) => p.shape.outline.map((q) => q[1]))) - 1.05 / 2;
    expect(Math.abs(tall - sagitta)).toBeLessThan(1.5);
  });
});

describe('garden ark, 7 ft by 3 with a house of 3 ft over the end', () => {
  const b = made('garden-ark', { length: 84, width: 36, runHeight: 24, deckLength: 36, wallHeight: 26 });
  const n = list(b);
  it('has rails the length of the run, ends between them, uprights of 24 less two rails', () => {
    expect(n('rail', '2x3-pt', 84) + n('rail', '2x3', 84)).toBe(4);
    expect(n('rail', '2x3-pt', 33) + n('rail', '2x3', 33)).toBe(4);
    // 84 in bays of at most 36: three, four uprights a side; two at each end.
    expect(n('upright', '2x3', 19)).toBe(12);
  });
  it('has walls of 2×2: studs 26 less two plates, the end walls’ plates between the long ones', () => {
    expect(n('stud', '2x2', 23)).toBeGreaterThanOrEqual(8);
    expect(n('plate', '2x2', 36)).toBe(4);
    expect(n('plate', '2x2', 33)).toBe(4);
  });
  it('has a ramp down from its deck of 3/4 in at 33°', () => {
    expect(lengths(b, /^ramp\/plank/)[0]).toBeCloseTo(24.75 / Math.sin((33 * Math.PI) / 180), 0);
  });
});

describe('skid house, 5 ft by 3 on legs over rockered runners', () => {
  const b = made('skid-house', {
    length: 60,
    depth: 36,
    wallHeight: 36,
    legHeight: 18,
    beyond: 30,
    overhangFront: 5,
    overhangBack: 5,
  });
  const n = list(b);
  it('has runners that stand out 30 in front and back, and legs between them and the floor', () => {
    expect(n('runner', '4x4-pt', 36 + 2 * 30)).toBe(2);
    expect(n('leg', '4x4-pt', 18 - 3.5)).toBe(4);
  });
  it('has rims and joists with the floor sheet let in', () => {
    expect(n('rim', '2x6-pt', 60)).toBe(2);
    expect(n('rim', '2x6-pt', 33)).toBe(2);
    // On 16 centres from the end, and one at each end rim to catch the sheet.
    expect(n('joist', '2x4', 33)).toBe(5);
    expect(n('floor', 'ply-3/4', 57)).toBe(1);
  });
  it('has walls of 2×2 with studs of 36 less two plates', () => {
    expect(n('plate', '2x2', 60)).toBe(4);
    expect(n('plate', '2x2', 33)).toBe(4);
    // In both ends the layout's last stud would stand a quarter inch from the end stud: that serves for it.
    expect(n('stud', '2x2', 33) + n('king', '2x2', 33)).toBe(18);
  });
  it('has five pairs of 2×3 rafters at 5 in 12', () => {
    const [short, long] = rafter(18 - 0.75 + 5, 5, 2.5);
    expect(n('rafter', '2x3', long)).toBe(10);
    expect(b.parts.find((p) => p.role === 'rafter')?.shortPoint).toBeCloseTo(short, 4);
    // Out to the barge rafters: an overhang on both sides.
    expect(b.parts.filter((p) => p.role === 'ridge').map((p) => p.length)).toEqual([60 + 2 * 3]);
  });
});

describe('raised gable house, 6 ft by 4 on legs of 3 ft', () => {
  const b = made('raised-gable', {
    length: 72,
    depth: 48,
    wallHeight: 42,
    pitch: 6,
    legHeight: 36,
    overhangFront: 8,
    overhangBack: 8,
  });
  const n = list(b);
  it('stands on four legs, rails between them 7 in shorter than the floor', () => {
    expect(n('leg', '4x4-pt', 36)).toBe(4);
    expect(n('rail', '2x4-pt', 65)).toBe(2);
    expect(n('rail', '2x4-pt', 41)).toBe(2);
  });
  it('has plates the length of the long walls and 7 in less in the gables', () => {
    expect(n('plate', '2x4', 72)).toBe(4);
    expect(n('plate', '2x4', 41)).toBe(4);
    // In front and back one of the layout falls to a king a quarter inch away.
    expect(n('stud', '2x4', 39)).toBe(9);
  });
  it('has doors of 48 in under a pair of 2×4, and a rip of 1 in up to the plate', () => {
    // Opening from 4 to 36, header to 39 1/2, underside of the plate 40 1/2.
    expect(n('jack', '2x4', 34.5)).toBe(2);
    expect(n('header', '2x4', 51)).toBeGreaterThanOrEqual(2);
    const packers = (id: RegExp) => b.parts.filter((p) => id.test(p.id)).map((p) => [p.length, p.rip]);
    expect(packers(/door\/packer-\d$/)).toEqual([
      [51, 1],
      [51, 1],
    ]);
    // Its sill is 4 in up: another inch between that and the plate.
    expect(packers(/door\/packer-under/)).toEqual([
      [48, 1],
      [48, 1],
    ]);
  });
  it('has six pairs of rafters at 6 in 12 with an 8 in overhang', () => {
    const [short, long] = rafter(24 - 0.75 + 8, 6, 3.5);
    expect(short).toBeCloseTo(34.9386, 3);
    expect(n('rafter', '2x4', long)).toBe(12);
  });
});

describe('panel kit, 6 ft by 4, 54 in front and 46 in back', () => {
  const b = made('panel-kit', { length: 72, depth: 48, highWall: 54, lowWall: 46, overhangFront: 5, overhangBack: 4 });
  const n = list(b);
  // The roof falls 8 in from plate to plate: from the outer edge of the front plate to the inner edge of the back one, 44 1/2 in.
  const fall = 8 / 44.5;
  const slant = Math.hypot(1, fall);
  it('has studs of each wall less two plates', () => {
    expect(n('stud', '2x4', 51)).toBe(2);
    expect(n('stud', '2x4', 43)).toBeGreaterThanOrEqual(4);
  });
  it('has raked plates of 41 in of run, bevelled at both ends', () => {
    expect(n('plate', '2x4', 41 * slant + 1.5 * fall)).toBe(2);
    expect(b.parts.find((p) => p.id === 'left-wall/top-plate')?.cuts.map((c) => c.angle)).toEqual([10.2, 10.2]);
  });
  it('has end studs of the rake from 43 1/4 to 50 11/32, bevelled', () => {
    // Long point at the stud's high edge: the top of the wall there, less a raked and a level plate.
    const at = (a: number): number => 46 + (a - 3.5) * fall - 1.5 * slant - 1.5;
    expect(n('stud', '2x4', at(5))).toBe(2);
    expect(n('stud', '2x4', at(44.5))).toBe(2);
  });
  it('has four rafters over 57 in of run', () => {
    expect(n('rafter', '2x4', 57 * slant + 3.5 * fall)).toBe(4);
  });
});

describe('walk-in coop, 12 ft by 8 with a gable of 4 in 12 and a store', () => {
  const b = made('walk-in', {
    length: 144,
    depth: 96,
    wallHeight: 84,
    roofKind: 'gable',
    pitch: 4,
    foundation: 'skids',
    innerWall: true,
    storeLength: 48,
    overhangFront: 12,
    overhangBack: 12,
  });
  const n = list(b);
  it('stands on three pairs of skids under rims of 2×8', () => {
    expect(n('runner', '2x6-pt', 144)).toBe(6);
    expect(n('rim', '2x8-pt', 144)).toBe(2);
    expect(n('rim', '2x8-pt', 93)).toBe(2);
    // Ten joists on 16 centres: 144/16 + 1.
    expect(n('joist', '2x6', 93)).toBe(10);
  });
  it('has studs of 84 less three plates, two of them on top', () => {
    expect(n('stud', '2x4', 79.5)).toBeGreaterThan(25);
    // Long walls: one below and two above each; end walls and the inner wall 7 in shorter.
    expect(n('plate', '2x4', 144)).toBe(6);
    expect(n('plate', '2x4', 89)).toBe(9);
  });
  it('has ten pairs of rafters', () => {
    const [short, long] = rafter(48 - 0.75 + 12, 4, 3.5);
    expect(short).toBeCloseTo(62.455, 3);
    expect(n('rafter', '2x4', long)).toBe(20);
    expect(b.parts.filter((p) => p.role === 'ridge').map((p) => p.length)).toEqual([144 + 2 * 8]);
  });
  it('has gable studs that grow by a third of what they stand further in', () => {
    const studs = lengths(b, /^left-wall\/gable-stud/).sort((x, y) => x - y);
    // On 16 centres the step is 16·4/12 = 5 1/3 in.
    expect((studs[2] ?? 0) - (studs[0] ?? 0)).toBeCloseTo(16 / 3, 3);
  });
});

describe('fit-out in a barn, 12 ft by 8 on a curb', () => {
  const b = made('barn-fit-out', {
    length: 144,
    depth: 96,
    ceilingHeight: 90,
    kneeHeight: 36,
    curb: true,
    studSpacing: 24,
    doorWidth: 36,
    doorHeight: 74,
  });
  const n = list(b);
  it('has a treated plate, and studs up to the ceiling from a curb that stands 3 5/8 in out of the floor', () => {
    expect(n('plate', '2x4-pt', 144)).toBe(1);
    expect(n('plate', '2x4', 144)).toBe(1);
    // A block is 7 5/8 high, 4 of it in its trench: 90 − 3 5/8 − 3.
    expect(n('stud', '2x4', 83.375) + n('king', '2x4', 83.375)).toBe(13);
  });
  it('has its own right wall between the front and the barn', () => {
    expect(n('plate', '2x4-pt', 92.5)).toBe(1);
  });
  it('has a curb of 15 5/8 in block under both walls', () => {
    const curb = lengths(b, /^curb\//);
    // 144 = 9 × 15 5/8 + 3 3/8; 96 − 7 5/8 = 5 × 15 5/8 + 10 1/4.
    expect(curb.filter((l) => l === 15.625)).toHaveLength(14);
    expect(curb).toContain(3.375);
    expect(curb).toContain(10.25);
  });
});

describe('house with a run of three bays', () => {
  const b = made('house-with-run', {
    length: 96,
    depth: 96,
    runLength: 384,
    runBays: 3,
    runEave: 72,
    runPitch: 6,
    fall: 0,
    runStuds: 24,
    runGate: 36,
  });
  const n = list(b);
  it('has bays of 128 in, plates and mesh as long', () => {
    // Plates longer than 12 ft are joined; 128 in is one piece: a treated sill and a top plate on each side of three bays.
    expect(n('plate', '2x4-pt', 128)).toBe(6);
    expect(n('plate', '2x4', 128)).toBe(6);
    expect(lengths(b, /^bay-\d-(front|back)\/mesh$/)).toEqual([128, 128, 128, 128, 128, 128]);
  });
  it('has studs of 69 on 24 centres, kept for the last ones at the ends', () => {
    // 128/24: layout at 24, 48, 72, 96 and 120, and both ends: seven a side, six sides.
    const sides = b.parts.filter(
      (p) => p.role === 'stud' && /^bay-/.test(p.assembly) && Math.abs(p.length - 69) < 1e-6,
    );
    expect(sides).toHaveLength(42);
  });
  it('has pairs of rafters at most 32 apart under each bay', () => {
    const [, long] = rafter(48 - 0.75 + 2, 6, 3.5);
    // 126 1/2 between the end ones in four bays: five pairs a bay.
    expect(n('rafter', '2x4', long)).toBe(30);
  });
  it('has a gate that leaves king and jack studs on both sides, as wide as asked for', () => {
    const gate = b.openings.find((o) => o.kind === 'gate');
    expect(gate?.width).toBe(36);
    expect(gate?.left).toBe(30);
  });
});
