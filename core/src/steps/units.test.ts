import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { priceOrder } from '../price/index.ts';
import { takeOff } from '../takeoff/index.ts';
import {
  findOrderBreaches,
  lineUnits,
  measureLabour,
  measureRepeat,
  METHODS,
  planSteps,
  readUnitKey,
  unitKey,
} from './index.ts';
import type { Step } from './index.ts';

const stepsOf = (family: string, quantity: number, method: (typeof METHODS)[number] = 'whole'): Step[] =>
  planSteps(buildSpec(parseSpec({ family })), { quantity, method });

describe('measureRepeat', () => {
  it.each([
    // By hand: 1 + 0.9 + 3^log2(0.9) + 0.81, where 3^-0.152 = 0.8462.
    [4, 0.9, 1 + 0.9 + 0.8462 + 0.81],
    [2, 0.95, 1.95],
    // Table of the 80 % curve for single units, value from memory: ten units take 6.315 times the first.
    [10, 0.8, 6.315],
    [10, 1, 10],
    [1, 0.8, 1],
  ])('%d units at %d take %d times the first', (quantity, learning, times) =>
    expect(measureRepeat(quantity, learning)).toBeCloseTo(times, 3),
  );
});

describe('names of steps and parts of a unit', () => {
  it('are read as they were written', () => {
    expect(unitKey('front-wall/frame', 0)).toBe('front-wall/frame');
    for (const unit of [1, 10]) expect(readUnitKey(unitKey('roof/pair-1', unit))).toEqual({ id: 'roof/pair-1', unit });
    expect(readUnitKey('sort')).toEqual({ id: 'sort', unit: 0 });
  });
});

describe.each(FAMILIES.flatMap((f) => METHODS.map((m) => [f.key, m] as const)))(
  '%s, %s, of three units',
  (family, method) => {
    const steps = stepsOf(family, 3, method);
    const lines = lineUnits(steps, 3);
    const at = new Map(lines.map((l, i) => [l.id, i]));
    it('has every step of every unit once, each after what it needs', () => {
      expect(new Set(lines.map((l) => l.id)).size).toBe(lines.length);
      for (const l of lines)
        for (const n of l.needs)
          expect([l.id, n, (at.get(n) ?? Infinity) < (at.get(l.id) as number)]).toEqual([l.id, n, true]);
      for (const s of steps)
        expect(lines.filter((l) => l.stepId === s.id).length).toBe(s.place === 'shop' && !s.batch ? 3 : 1);
    });
    it('keeps one unit out of another, and loads when all of them are there', () => {
      for (const l of lines.filter((x) => x.unit > 0))
        for (const n of l.needs) expect([0, l.unit]).toContain(readUnitKey(n).unit);
      const ends = steps.filter(
        (s) => s.place === 'shop' && !s.batch && steps.some((x) => x.place !== 'shop' && x.needs.includes(s.id)),
      );
      for (const end of ends) {
        const after = lines.find((l) => l.unit === 0 && l.needs.some((n) => readUnitKey(n).id === end.id));
        expect(after?.needs).toEqual(expect.arrayContaining([1, 2, 3].map((u) => unitKey(end.id, u))));
      }
    });
    it('is one list as before where there is one', () => {
      const one = stepsOf(family, 1, method);
      expect(lineUnits(one, 1).map((l) => [l.id, l.needs])).toEqual(one.map((s) => [s.id, s.needs]));
    });
    it('breaks no rule of the order of work', () => expect(findOrderBreaches(steps)).toEqual([]));
  },
);

describe('several equal units', () => {
  it('are marked from a pattern and framed in a jig, which are made once, after the saw and before any marking', () => {
    const steps = stepsOf('raised-lean-to', 4);
    const pattern = steps.find((s) => s.id === 'pattern') as Step;
    expect(pattern.text[0]).toMatch(/Mark the plates of the .* of unit 1 .* the other 3 are laid against it/);
    expect(pattern.batch).toBe('whole');
    for (const s of steps.filter((x) => x.verb === 'lay out' && x.id !== 'pattern'))
      expect(s.needs).toContain('pattern');
    // Two are not worth it.
    expect(stepsOf('raised-lean-to', 2).some((s) => s.id === 'pattern')).toBe(false);
  });
  it('need none where nothing is framed in the shop', () =>
    expect(stepsOf('barn-fit-out', 4, 'on-site').some((s) => s.id === 'pattern')).toBe(false));
  it('are counted at the saw all together', () => {
    const text = (q: number): string => stepsOf('low-pen', q).find((s) => s.verb === 'cut')?.text[0] ?? '';
    const count = Number(/^(\d+) pieces/.exec(text(1))?.[1]);
    expect(text(10)).toMatch(new RegExp(`^${count * 10} pieces for all 10 units, `));
  });
  it('take less labour each, but the pattern and the drive once', () => {
    const steps = stepsOf('low-pen', 10);
    const sum = (f: (s: Step) => boolean): number => steps.filter(f).reduce((n, s) => n + s.minutes, 0);
    const repeat = measureRepeat(10, 0.95);
    const shop = (s: Step): boolean => s.place === 'shop' || s.place === 'load';
    expect(measureLabour(steps, repeat).bench).toBeCloseTo(
      sum((s) => shop(s) && s.batch !== 'whole') * repeat + sum((s) => s.batch === 'whole'),
      6,
    );
    expect(measureLabour(steps, repeat).road).toBe(measureLabour(steps).road);
    const takeoff = takeOff(buildSpec(parseSpec({ family: 'low-pen' })), 'quick');
    const apart = priceOrder(takeoff, stepsOf('low-pen', 1), { miles: 5, quantity: 10 });
    const together = priceOrder(takeoff, steps, { miles: 5, quantity: 10, repeat });
    expect(together.labour).toBeLessThan(apart.labour * 0.92);
    expect(together.materials).toBe(apart.materials);
  });
});
