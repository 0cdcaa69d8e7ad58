import { MESH_LAP, MESHES } from '../stock/index.ts';
import { suitMesh } from './suitMesh.ts';

const WIDTHS = [...new Set(MESHES.flatMap((m) => m.rolls.map((r) => r.width)))];

describe('studs that suit a roll of mesh', () => {
  it.each([
    // Two bays and a lap of 2 in are a roll of 48: (48 - 2) / 2.
    [24, 23],
    [23, 23],
    // One bay and a lap are a roll of 36.
    [36, 34],
    [34, 34],
    // Two bays and a lap are a roll of 36: (36 - 2) / 2.
    [18, 17],
    // 32 of a roll of 36 are used already: 15 in apart would use little more of one of 48.
    [16, 16],
    // No roll comes out within 2 in.
    [30, 30],
    [28, 28],
  ])('at most %d in apart stand %d in apart', (most, spacing) => {
    expect(suitMesh(most)).toBe(spacing);
  });
  it('never stand farther apart than asked, nor more than 2 in closer, and on marks of a tape', () => {
    for (let most = 12; most <= 48; most += 0.5) {
      const s = suitMesh(most);
      expect(s).toBeLessThanOrEqual(most);
      expect(s).toBeGreaterThanOrEqual(most - 2);
      expect(Number.isInteger(s * 2)).toBe(true);
      if (s < most) expect(WIDTHS.some((w) => Math.floor((w - MESH_LAP) / s) * s > w - MESH_LAP - 1.01)).toBe(true);
    }
  });
});
