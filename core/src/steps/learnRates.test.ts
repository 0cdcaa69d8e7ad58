import fc from 'fast-check';
import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { LABOUR_RATES, learnRates, planSteps, rateOf } from './index.ts';
import type { TimedStep } from './index.ts';

const step = (planned: number, logged: number, rateThen = LABOUR_RATES.framePerPart): TimedStep => ({
  rate: 'framePerPart',
  planned,
  logged,
  rateThen,
});
const learned = (...steps: TimedStep[]) => learnRates(steps, LABOUR_RATES)[0];

describe('learnRates', () => {
  it('draws one slow step only a little away from the rate that is kept', () => {
    // By hand: one step of weight 1 against six: 2.2 × 2^(1/7) = 2.43.
    expect(learned(step(20, 40))?.learned).toBeCloseTo(2.2 * 2 ** (1 / 7), 9);
  });
  it('comes near what is timed when much is timed', () => {
    const many = Array.from({ length: 200 }, () => step(20, 30));
    expect(learned(...many)?.learned).toBeGreaterThan(2.2 * 1.45);
    expect(learned(...many)?.learned).toBeLessThan(2.2 * 1.5);
  });
  it('takes a rate that was changed since at what was meant then', () => {
    // Planned by 4.4 and done in half of that: just the rate that is kept now.
    expect(learned(...Array.from({ length: 50 }, () => step(40, 20, 4.4)))?.learned).toBeCloseTo(2.2, 9);
  });
  it('shows the middle half of what was found, and small work beside large', () => {
    const times = [1, 2, 3, 4, 5].map((k) => step(10 * k, k < 3 ? 20 * k : 10 * k));
    const line = learned(...times);
    expect([line?.low, line?.high]).toEqual([2.2, 4.4]);
    expect(line?.small ?? 0).toBeGreaterThan(line?.large ?? 0);
  });
  it('says nothing of what was not timed, and takes a forgotten clock for a slip', () => {
    expect(learnRates([step(0, 10), step(10, 0)], LABOUR_RATES)).toEqual([]);
    expect(learned(step(10, 10_000))?.learned).toBe(learned(step(10, 40))?.learned);
  });
  it('lies between what is kept and what is timed, whatever is timed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 1, max: 300, noNaN: true }), fc.double({ min: 0.5, max: 2, noNaN: true })), {
          minLength: 1,
          maxLength: 40,
        }),
        (list) => {
          const line = learned(...list.map(([planned, by]) => step(planned, planned * by)));
          const ratios = [1, ...list.map(([, by]) => by)];
          expect(line?.learned).toBeGreaterThanOrEqual(2.2 * Math.min(...ratios) - 1e-9);
          expect(line?.learned).toBeLessThanOrEqual(2.2 * Math.max(...ratios) + 1e-9);
        },
      ),
    );
  });
});

describe.each(FAMILIES.map((f) => f.key))('the steps of a %s', (family) => {
  const build = buildSpec(parseSpec({ family }));
  const mesh = new Set(build.parts.filter((p) => p.role === 'mesh').map((p) => p.id));
  const rated = planSteps(build).map(
    (s) =>
      [
        s,
        rateOf(
          s,
          s.parts.some((id) => mesh.has(id)),
        ),
      ] as const,
  );
  it('are counted by a rate wherever something is cut, framed, covered or coated', () => {
    for (const [s, rate] of rated) {
      const made = s.place === 'shop' && !['check', 'inspect', 'saw out'].includes(s.verb);
      expect([s.id, rate !== undefined]).toEqual([s.id, made]);
    }
  });
  it('take more minutes by the rate that they are counted by', () => {
    const keys = [...new Set(rated.flatMap(([, r]) => r ?? []))];
    for (const key of keys) {
      const more = planSteps(build, { rates: { ...LABOUR_RATES, [key]: LABOUR_RATES[key] * 4 } });
      const mine = rated.filter(([s, r]) => r === key && s.minutes > 3).map(([s]) => s);
      for (const s of mine)
        expect([key, s.id, (more.find((m) => m.id === s.id)?.minutes ?? 0) > s.minutes]).toEqual([key, s.id, true]);
    }
  });
});
