import fc from 'fast-check';
import { buildSpec, parseSpec } from '../model/index.ts';
import { checkBuild } from '../check/index.ts';
import { CHECK_RULES } from '../check/index.ts';
import {
  CODE_NAIL,
  countHeelNails,
  FRAMING_NAIL,
  measurePlateStretch,
  measureRailStretch,
  measureThrust,
  roofLoad,
} from './index.ts';

describe('the push of rafters in pairs', () => {
  it('is load × span² ÷ (8 × rise): 30 psf over 12 ft at 4 in 12 is 270 lb a foot', () => {
    expect(measureThrust(30, 144, 24)).toBeCloseTo((30 * 12 * 12) / (8 * 2), 9);
    expect(measureThrust(30, 144, 24)).toBeCloseTo(270, 9);
  });

  // Source: International Residential Code, table R802.5.2, rafter and ceiling joist heel joints under 20 psf (values from memory).
  it.each([
    [3, 12, [4, 6, 8, 10]],
    [3, 16, [5, 8, 10, 13]],
    [3, 24, [7, 11, 15, 19]],
    [4, 12, [3, 5, 6, 8]],
    [4, 16, [4, 6, 8, 10]],
    [4, 24, [5, 8, 12, 15]],
    [5, 12, [3, 4, 5, 6]],
    [5, 16, [3, 5, 6, 8]],
    [5, 24, [4, 7, 9, 12]],
  ] as const)(
    "asks as many nails of a heel as the code's table, %d in 12 at %d in, within one",
    (pitch, spacing, table) => {
      [12, 20, 28, 36].forEach((feet, k) => {
        const span = feet * 12;
        const thrust = measureThrust(roofLoad(20, pitch, 'closed'), span, (span / 2) * (pitch / 12));
        const nails = countHeelNails(thrust, spacing, CODE_NAIL);
        expect([feet, Math.abs(nails - (table[k] as number)) <= 1]).toEqual([feet, true]);
      });
    },
  );

  it('grows with load and span, falls with pitch, and never asks fewer than three nails', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 70 }),
        fc.integer({ min: 36, max: 144 }),
        fc.integer({ min: 3, max: 12 }),
        (snow, span, pitch) => {
          const push = (s: number, w: number, p: number): number =>
            measureThrust(roofLoad(s, p, 'closed'), w, (w / 2) * (p / 12));
          const now = push(snow, span, pitch);
          expect(push(snow + 10, span, pitch)).toBeGreaterThan(now - 1e-9);
          expect(push(snow, span + 12, pitch)).toBeGreaterThan(now);
          expect(push(snow, span, pitch + 1)).toBeLessThan(now);
          expect(countHeelNails(now, 16)).toBeGreaterThanOrEqual(3);
          expect(countHeelNails(now, 16, FRAMING_NAIL)).toBeGreaterThanOrEqual(countHeelNails(now, 16, CODE_NAIL));
        },
      ),
    );
  });

  it('bends a 2×4 plate on its side as the beam formula says', () => {
    // 240 lb a foot, one plate: S = 1.5 × 3.5² ÷ 6 = 3.0625; L = √(8 × 875 × 1.5 × 1.15 × 3.0625 ÷ 20).
    expect(measurePlateStretch(240, '2x4', 1)).toBeCloseTo(Math.sqrt((8 * 875 * 1.5 * 1.15 * 3.0625) / 20), 6);
    expect(measurePlateStretch(240, '2x4', 2)).toBeGreaterThan(measurePlateStretch(240, '2x4', 1));
    expect(measureRailStretch(240, '2x4')).toBeLessThan(measurePlateStretch(240, '2x4', 1));
  });

  it('lies less on a steep roof, and not at all beyond 70°', () => {
    expect(roofLoad(30, 4, 'closed')).toBe(40);
    expect(roofLoad(30, 12, 'closed')).toBeCloseTo(30 * (25 / 40) + 10, 6);
    expect(roofLoad(30, 40, 'closed')).toBe(10);
    expect(roofLoad(30, 4, 'mesh')).toBeLessThan(roofLoad(30, 4, 'closed'));
  });
});

describe('ties of a gable roof', () => {
  const walkIn = (params: Record<string, string | number> = {}) =>
    parseSpec({ family: 'walk-in', params: { roofKind: 'gable', ...params } });
  const codesOf = (spec: ReturnType<typeof walkIn>, snow = CHECK_RULES.snow): string[] =>
    checkBuild(buildSpec(spec), spec, undefined, { ...CHECK_RULES, snow }).map((f) => f.code);

  it('lie on both plates beside rafter pairs, nailed to both rafters with what the wall between them pushes', () => {
    const b = buildSpec(walkIn());
    const ties = b.parts.filter((p) => p.role === 'tie');
    const [roof] = b.facts.thrust ?? [];
    expect(ties.length).toBe(roof?.ties);
    expect(ties.length).toBeGreaterThan(0);
    for (const t of ties) {
      // From inside the eave's closing on one plate to the same on the other.
      expect(t.length).toBe((roof?.span ?? 0) - 3);
      const heels = b.joints.filter((j) => j.kind === 'face-nailed' && j.parts[0] === t.id);
      expect(heels.map((j) => j.parts[1]?.split('/')[0]).sort()).toEqual(['roof-back', 'roof-front']);
      for (const j of heels) expect(j.fasteners).toEqual([expect.objectContaining({ item: 'nail-3', length: 3 })]);
      expect(b.joints.filter((j) => j.kind === 'toe-nailed' && j.parts.includes(t.id)).length).toBe(2);
    }
    const push = measureThrust(40, roof?.span ?? 0, roof?.rise ?? 1);
    expect(roof?.heel?.nails).toBe(countHeelNails(push, roof?.heel?.apart ?? 0));
  });

  it('are not there where plates hold by themselves, such as on a house of four by six feet', () => {
    const b = buildSpec(parseSpec({ family: 'raised-gable', params: {} }));
    expect(b.parts.some((p) => p.role === 'tie')).toBe(false);
    expect(b.facts.thrust?.[0]?.apart).toBeLessThan(measurePlateStretch(measureThrust(40, 48, 12), '2x4', 1));
  });

  it('are judged by the snow of the place: the usual holds, three times that does not', () => {
    expect(codesOf(walkIn()).filter((c) => c.startsWith('thrust'))).toEqual([]);
    expect(codesOf(walkIn(), 90).filter((c) => c.startsWith('thrust')).length).toBeGreaterThan(0);
  });

  it('hold the open end of every bay of a run as well', () => {
    const b = buildSpec(parseSpec({ family: 'house-with-run', params: { runBays: 3 } }));
    for (const n of [1, 2]) {
      const xs = b.parts
        .filter((p) => p.role === 'tie' && p.assembly === `bay-${n}-roof-back`)
        .map((p) => p.place.origin[0]);
      const plate = b.parts.find((p) => p.id === `bay-${n}-front/top-plate`);
      expect(Math.min(...xs) - (plate?.place.origin[0] ?? 0)).toBeLessThan(6);
    }
  });

  it('stand over the ridge with a strap at least every four feet', () => {
    const b = buildSpec(walkIn());
    const straps = b.joints.filter((j) => j.hardware.some((h) => h.item === 'ridge-strap'));
    const long = b.parts.find((p) => p.role === 'ridge')?.length ?? 0;
    expect(straps.length).toBeGreaterThanOrEqual(Math.floor(long / 48));
  });
});
