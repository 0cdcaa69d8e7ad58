import fc from 'fast-check';
import { PAD_RULES, planPads } from './planPads.ts';
import { readSurvey, SurveyError } from './readSurvey.ts';

const corners = (rods: readonly number[], lift = 0) =>
  readSurvey({
    lift,
    pads: ['front-left', 'front-right', 'back-right', 'back-left'].map((id, i) => ({
      id,
      x: i === 1 || i === 2 ? 72 : 0,
      y: i > 1 ? 48 : 0,
      rod: rods[i],
    })),
  });

describe('planPads', () => {
  it('takes the highest ground as datum and stacks the rest by the difference', () => {
    const plan = planPads(corners([50, 52.5, 60, 57]));
    expect(plan.datum).toBe('front-left');
    expect(plan.pads.map((p) => p.height)).toEqual([0, 2.5, 10, 7]);
    // 10 in over ground with 2 in let in: 12 in of masonry is a course of 7 5/8, two pavers of 2 and 3/8 of shims.
    expect(plan.pads[2]).toMatchObject({ blocks: 1, pavers: 2, shims: 0.375, dig: 2 });
    expect(plan.fall).toBe(10);
  });
  it('asks to fill pads of three courses (common practice, no source)', () => {
    const plan = planPads(corners([40, 40, 63, 40]));
    expect(plan.pads[2]).toMatchObject({ blocks: 3, fill: true });
    expect(plan.warnings.join(' ')).toMatch(/Fill the cores/);
  });
  it('finds the slope of a plane and its direction', () => {
    // Falls 1 in 12 along x: 6 in over 72 in is 10 in over 10 ft.
    const plan = planPads(corners([40, 46, 46, 40]));
    expect(plan.slope).toBeCloseTo(10, 6);
    expect(Math.abs(plan.direction)).toBeCloseTo(0, 6);
  });
  it('stacks to the height asked for, for any readings', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.integer({ min: 0, max: 60 * 16 }).map((n) => 20 + n / 16),
          { minLength: 4, maxLength: 4 },
        ),
        fc.integer({ min: 0, max: 16 }),
        (rods, lift) => {
          for (const p of planPads(corners(rods, lift)).pads) {
            expect(
              p.blocks * (PAD_RULES.block + PAD_RULES.joint) + p.pavers * PAD_RULES.paver + p.shims - p.dig,
            ).toBeCloseTo(p.height, 6);
            expect(p.shims).toBeLessThanOrEqual(PAD_RULES.shim);
            expect(p.shims).toBeGreaterThanOrEqual(0);
          }
        },
      ),
    );
  });
  it('names the pad, the value and the rule of a bad reading', () => {
    expect(() =>
      readSurvey({
        pads: [
          { id: 'a', x: 0, y: 0, rod: 'x' },
          { id: 'b', x: 0, y: 0, rod: 1 },
          { id: 'c', x: 0, y: 0, rod: 1 },
        ],
      }),
    ).toThrow(SurveyError);
    expect(() => corners([50, 900, 50, 50])).toThrow('pads[1].rod is 900 in; it must be from 0 to 300.');
    expect(() => readSurvey({ pads: [] })).toThrow(/at least 3 pads/);
  });
});

describe('the narrowest way in', () => {
  const pads = ['a', 'b', 'c'].map((id, i) => ({ id, x: i * 10, y: i === 1 ? 10 : 0, rod: 50 }));
  it('is kept where it was measured, and left out where it was not', () => {
    expect(readSurvey({ pads, gate: 41.5 }).gate).toBe(41.5);
    expect('gate' in readSurvey({ pads })).toBe(false);
  });
  it.each([
    [4, /gate is 4 in; it must be from 12 to 600/],
    ['wide', /gate is "wide"; it must be a number of inches/],
    [Number.NaN, /gate is null; it must be a number of inches/],
  ])('%s is turned down', (gate, message) => expect(() => readSurvey({ pads, gate })).toThrow(message));
});

describe('surveys out of bounds', () => {
  const pad = (i: number, more = {}) => ({ id: `p${i}`, x: i, y: 0, rod: 50, ...more });
  it.each([
    [Array.from({ length: 61 }, (_, i) => pad(i)), /61 pads.*at most 60/],
    [[pad(1), pad(2), pad(3, { name: 'n'.repeat(61) })], /at most 60 letters/],
    [[pad(1), pad(2), pad(3, { id: '  ' })], /must be a name/],
    [[pad(1), pad(2), pad(3, { name: 7 })], /name is 7/],
    [[pad(1), pad(2), pad(3, { hat: 1 })], /"hat", which does not belong there/],
    [[pad(1), pad(2), pad(3, { rod: Infinity })], /number of inches/],
  ])('%# are refused by name', (pads, words) => expect(() => readSurvey({ pads })).toThrow(words));
});
