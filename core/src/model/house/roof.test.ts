import fc from 'fast-check';
import { faultsOf } from '../../../testing/testFamily.ts';
import { countOf, measureBounds } from '../../unit/index.ts';
import type { Build, Part } from '../../unit/index.ts';
import { takeOff } from '../../takeoff/index.ts';
import { buildSpec, parseSpec } from '../index.ts';

type Params = Record<string, number | string | boolean>;
const build = (params: Params, family = 'walk-in'): Build => buildSpec(parseSpec({ family, params }));
const of = (b: Build, id: RegExp): Part[] => b.parts.filter((p) => id.test(p.id));
const rise = (pitch: number) => pitch / 12;
const bought = (b: Build, item: string) =>
  takeOff(b, 'quick')
    .lines.filter((l) => l.item === item)
    .reduce((n, l) => n + l.quantity, 0);
const inches = (low: number, high: number) => fc.integer({ min: low * 2, max: high * 2 }).map((n) => n / 2);

describe('a gable roof, whatever its sizes', () => {
  const sizes = fc.record({
    length: inches(96, 180),
    depth: inches(72, 120),
    pitch: fc.constantFrom(2, 3, 4, 5, 6, 8),
    overhangFront: inches(4, 16),
    overhangBack: inches(4, 16),
    overhangSide: inches(3, 10),
  });
  it('falls as it is asked to from a ridge over the middle, and stands out as far as it is asked to', () => {
    fc.assert(
      fc.property(sizes, (p) => {
        const b = build({ ...p, roofKind: 'gable', gutters: false, innerWall: false });
        const rafter = of(b, /^roof-front\/rafter-1$/)[0];
        const back = of(b, /^roof-back\/rafter-1$/)[0];
        const cover = measureBounds(of(b, /^roof-(front|back)\/roofing/));
        const ridge = measureBounds(of(b, /\/ridge-/));
        expect(rafter && back).toBeDefined();
        if (!rafter || !back) return;
        // Common rafter by the framing square: run from the ridge's face to the tail over the cosine of the slope.
        const run = p.depth / 2 - 0.75 + p.overhangFront;
        expect(rafter.shortPoint).toBeCloseTo(run * Math.hypot(1, rise(p.pitch)), 4);
        expect(back.shortPoint).toBeCloseTo((p.depth / 2 - 0.75 + p.overhangBack) * Math.hypot(1, rise(p.pitch)), 4);
        expect(rafter.cuts[0]?.angle).toBeCloseTo((Math.atan(rise(p.pitch)) * 180) / Math.PI, 1);
        expect((ridge.low[1] + ridge.high[1]) / 2).toBeCloseTo(p.depth / 2, 6);
        // Covering runs an inch past the tails, measured along the slope, and as far past the end walls as asked.
        expect(-cover.low[1]).toBeGreaterThan(p.overhangFront - 0.1);
        expect(cover.high[1] - p.depth).toBeGreaterThan(p.overhangBack - 0.1);
        expect(-cover.low[0]).toBeGreaterThanOrEqual(p.overhangSide - 1e-6);
        expect(-cover.low[0]).toBeLessThan(p.overhangSide + 3);
      }),
      { numRuns: 40, seed: 12 },
    );
  });
  it('has as many rafters on one slope as on the other, each over a stud or an end', () => {
    fc.assert(
      fc.property(sizes, fc.constantFrom(16, 24), (p, rafterSpacing) => {
        const b = build({ ...p, roofKind: 'gable', rafterSpacing, studSpacing: 16, innerWall: false });
        const [front, back] = [of(b, /^roof-front\/rafter-/), of(b, /^roof-back\/rafter-/)];
        expect(front).toHaveLength(back.length);
        const x = (parts: readonly Part[]) => parts.map((r) => measureBounds([r]).low[0]).sort((m, n) => m - n);
        x(front).forEach((at, i) => expect(at).toBeCloseTo(x(back)[i] ?? NaN, 6));
        const apart = x(front)
          .slice(1)
          .map((at, i) => at - (x(front)[i] as number));
        // One of the layout that leaves no room to nail beside the end one is left out: the last bay may be wider by two rafters.
        expect(Math.max(...apart.slice(0, -1))).toBeLessThanOrEqual(rafterSpacing + 1e-6);
        expect(apart.at(-1)).toBeLessThan(rafterSpacing + 3);
      }),
      { numRuns: 25, seed: 13 },
    );
  });
});

describe('a lean-to roof, whatever its sizes', () => {
  it('is one plane from the high plate to the low one, cut plumb at both ends', () => {
    fc.assert(
      fc.property(
        inches(60, 84),
        inches(50, 58),
        inches(48, 84),
        inches(36, 60),
        (highWall, lowWall, length, depth) => {
          // Steeper than that the seats are shortened, so that two thirds of the rafter stay.
          fc.pre(highWall - lowWall <= 0.3 * (depth - 3.5));
          const b = build({ highWall, lowWall, length, depth, windowWall: 'none' }, 'raised-lean-to');
          // One that is too flat to frame is drawn steeper, and a note says so.
          fc.pre(!b.notes.some((n) => n.code === 'roof-too-flat'));
          const rafters = of(b, /^roof\/rafter-/);
          // From the outer edge of the high plate to the inner edge of the low one.
          const fall = (highWall - lowWall) / (depth - 3.5);
          for (const r of rafters)
            for (const cut of r.cuts) expect(cut.angle).toBeCloseTo((Math.atan(fall) * 180) / Math.PI, 1);
          expect(new Set(rafters.map((r) => r.length.toFixed(4))).size).toBe(1);
          expect(b.facts.roof.pitch).toBeCloseTo(fall * 12, 6);
        },
      ),
      { numRuns: 40, seed: 14 },
    );
  });
});

describe('what a roof is covered with', () => {
  const house = { length: 144, depth: 96, roofKind: 'gable', pitch: 4, overhangSide: 6, innerWall: false } as const;
  it('ribbed metal: sheets of 36 in cover over the whole length, a narrower one at the end', () => {
    const b = build({ ...house, roofCover: 'metal' });
    const sheets = of(b, /^roof-front\/roofing/);
    const across = measureBounds(sheets).size[0];
    expect(sheets).toHaveLength(Math.ceil(across / 36 - 1e-6));
    expect(sheets.reduce((sum, s) => sum + measureBounds([s]).size[0], 0)).toBeCloseTo(across, 4);
    expect(bought(b, 'ridge-cap')).toBeGreaterThan(0);
  });
  it('shingles: on felt, by the bundle of a third of a square, with nails and drip edge and no metal', () => {
    const b = build({ ...house, roofCover: 'shingle' });
    const area = of(b, /\/roofing/).reduce((sum, p) => sum + (p.length * p.width) / 144, 0);
    // 144 + 2 × 6 in by two slopes of more than 5 ft: some 130 sq ft, four and a half bundles with waste.
    expect(bought(b, 'shingle')).toBe(Math.ceil((area * 1.1) / (100 / 3)));
    expect(bought(b, 'felt')).toBe(1);
    expect(bought(b, 'drip-edge')).toBeGreaterThan(4);
    expect(bought(b, 'nail-roof-3/4')).toBeGreaterThanOrEqual(area * 3);
    expect([bought(b, 'roof-screw'), bought(b, 'ridge-cap'), bought(b, 'closure'), bought(b, 'metal')]).toEqual([
      0, 0, 0, 0,
    ]);
  });
  it('gutters: as long as both eaves', () => {
    const dry = build({ ...house, gutters: true });
    const [with_, without] = [dry, build({ ...house, gutters: false })].map((b) => countOf(b.joints, 'gutter'));
    expect(with_).toBeGreaterThan(0);
    expect(without).toBe(0);
    expect(faultsOf(dry)).toEqual([]);
  });
  it('eaves: meshed ones let air in, blocked ones do not', () => {
    const area = (eaves: string) => build({ ...house, eaves, windowWall: 'none' }).facts.ventArea;
    expect(area('blocked')).toBe(0);
    expect(area('mesh')).toBeGreaterThan(1);
  });
});
