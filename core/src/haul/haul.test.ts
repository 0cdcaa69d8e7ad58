import { buildSpec, parseSpec } from '../model/index.ts';
import { planFoundation } from '../site/index.ts';
import { measureMass, measurePartsMass } from '../unit/index.ts';
import { findTravels } from './findTravels.ts';
import { planLoad } from './planLoad.ts';
import type { Trailer } from './planLoad.ts';

const tilt: Trailer = {
  id: 'tilt',
  name: 'tilt trailer',
  bedLength: 192,
  bedWidth: 80,
  bedHeight: 24,
  carries: 5000,
  weight: 1900,
  tilt: true,
};
const pen = buildSpec(parseSpec({ family: 'low-pen', params: {} }));

describe('planLoad', () => {
  it('weighs the load and keeps 10 to 15 % on the tongue', () => {
    const load = planLoad(pen, tilt);
    expect(load.weight).toBeCloseTo(measureMass(pen).weight, 9);
    expect(load.tongue[0]).toBe(Math.round((load.weight + 1900) * 0.1));
    expect(load.whole).toBe(true);
    expect(load.problems).toEqual([]);
  });
  it('stands the load so that it adds an eighth of its weight to the tongue: moments about the axle', () => {
    const load = planLoad(pen, tilt);
    const coupling = 192 / 2 + 48;
    expect((load.weight * load.ahead) / coupling).toBeCloseTo(load.weight / 8, 9);
    expect(load.instructions.join(' ')).toContain('18″ ahead of the axle');
  });
  it('says what does not go, and how many trips the rest takes', () => {
    expect(planLoad(pen, { ...tilt, carries: 100 }).problems.join(' ')).toMatch(/the tilt trailer carries 100 lb/);
    expect(planLoad(buildSpec(parseSpec({ family: 'walk-in', params: {} })), tilt).problems.join(' ')).toMatch(
      /The unit is 123″ wide; the road allows 102″/,
    );
    expect(planLoad(buildSpec(parseSpec({ family: 'walk-in', params: {} })), tilt).whole).toBe(false);
    expect(planLoad(pen, tilt, { quantity: 40 }).trips).toBeGreaterThan(1);
  });

  describe('by method', () => {
    const house = buildSpec(parseSpec({ family: 'house-with-run', params: {} }));
    it('a house goes whole and its run beside it as panels', () => {
      const pack = planLoad(house, tilt, { method: 'whole' }).pack.join('; ');
      expect(pack).toMatch(/the unit: /);
      expect(pack).toMatch(/bay 1 front: /);
      expect(pack).not.toMatch(/front wall: /);
    });
    it('panels are packed one by one, each with its sizes and weight, and add up', () => {
      const travels = findTravels(house, 'panels');
      const load = planLoad(house, tilt, { method: 'panels' });
      expect(load.whole).toBe(false);
      expect(load.weight).toBeCloseTo(
        travels.reduce((n, t) => n + t.weight, 0),
        6,
      );
      for (const t of travels) expect(load.pack.some((l) => l.startsWith(`${t.name}: `))).toBe(true);
      // Every stick and sheet of it travels once; block stays with the foundation.
      const weight = measurePartsMass(
        house.parts.filter((p) => p.role !== 'block' && p.fit !== 'sawn in place'),
      ).weight;
      expect(travels.reduce((n, t) => n + t.weight, 0)).toBeLessThanOrEqual(weight + 1e-6);
      expect(travels.reduce((n, t) => n + t.weight, 0)).toBeGreaterThan(weight * 0.9);
    });
    it('what the foundation takes is weighed and packed with it, once for each unit', () => {
      const coop = buildSpec(parseSpec({ family: 'raised-lean-to', params: {} }));
      const foundation = planFoundation(coop);
      const [bare, one, two] = [{}, { foundation }, { foundation, quantity: 2 }].map((w) => planLoad(coop, tilt, w));
      expect((one?.weight ?? 0) - (bare?.weight ?? 0)).toBeCloseTo(foundation.weight, 6);
      expect(two?.weight).toBeCloseTo(2 * (one?.weight ?? 0), 6);
      expect(one?.pack.join('; ')).toContain('4 × 2 × 8 × 16 in paver');
      expect(two?.pack.join('; ')).toContain('8 × 2 × 8 × 16 in paver');
    });
    it('a curb of block rides along and takes its trips', () => {
      const curbed = buildSpec(
        parseSpec({ family: 'house-with-run', params: { fall: 48, runBays: 3, runLength: 384, runDig: 'curb' } }),
      );
      // 240 blocks of 33 lb.
      const blocks = curbed.parts.filter((p) => p.role === 'block').length;
      const load = planLoad(curbed, tilt, { method: 'panels' });
      expect(load.weight).toBeGreaterThan(blocks * 33);
      expect(load.trips).toBe(Math.ceil(load.weight / tilt.carries));
    });
  });
});
