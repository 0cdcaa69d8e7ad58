import { buildSpec, parseSpec } from '../model/index.ts';
import { measureMass } from '../unit/index.ts';
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
  it('says what does not go', () => {
    expect(planLoad(pen, { ...tilt, carries: 100 }).problems.join(' ')).toMatch(/more than the tilt trailer carries/);
    expect(
      planLoad(buildSpec(parseSpec({ family: 'raised-lean-to', params: { depth: 96, run: true } })), tilt).whole,
    ).toBe(false);
    expect(planLoad(pen, tilt, 40).problems.join(' ')).toMatch(/one trip/);
  });
});
