import fc from 'fast-check';
import { floodEnvelope } from '../../testing/floodEnvelope.ts';
import { paramsOf } from '../../testing/testFamily.ts';
import type { Surroundings } from '../../testing/floodEnvelope.ts';
import { measureBounds } from '../unit/index.ts';
import type { Build, ParamValue } from '../unit/index.ts';
import { FAMILIES } from './families/index.ts';
import { buildSpec, parseSpec } from './spec.ts';

/** Fine enough that no sloping mesh is stepped through; half an inch does where all that slopes is of wood. */
const CELL = 0.375;
const COARSE = 0.5;
const FINE = 0.25;
const WOODEN = new Set(['raised-lean-to', 'raised-gable', 'skid-house', 'panel-kit', 'walk-in', 'barn-fit-out']);

/** Where a bar gets out, to the inch. */
const leak = (
  family: string,
  params: Record<string, ParamValue>,
  seed: readonly [number, number, number],
  around?: Surroundings,
) =>
  floodEnvelope(buildSpec(parseSpec({ family, params })), seed, WOODEN.has(family) ? COARSE : CELL, around)?.map(
    Math.round,
  );

type Case = [string, Record<string, ParamValue>, readonly [number, number, number]];

describe('no ½ in bar comes in, judged by flooding the free space from inside', () => {
  it.each([
    ['low-pen', {}, [30, 30, 12]],
    ['low-pen', { construction: 'picket' }, [30, 30, 8]],
    ['a-frame-pen', {}, [70, 24, 8]],
    ['hoop-pen', {}, [60, 36, 20]],
    ['steep-roof-pen', {}, [30, 20, 12]],
    ['steep-roof-pen', { cover: 'tarp' }, [30, 20, 12]],
    ['garden-ark', {}, [60, 15, 8]],
    ['raised-lean-to', {}, [36, 20, 50]],
    ['raised-gable', {}, [40, 20, 50]],
    ['skid-house', {}, [30, 20, 45]],
    ['panel-kit', {}, [24, 18, 25]],
    ['walk-in', {}, [60, 30, 60]],
    ['house-with-run', { runBays: 1, runLength: 96 }, [-40, 40, 40]],
  ] as Case[])('%s %j', (family, params, seed) => {
    expect(leak(family, params, seed)).toBeUndefined();
  });
  it.each([{}, { ceiling: 'mesh', ownRight: false }] as Record<string, ParamValue>[])(
    'barn-fit-out %j, between the barn’s own walls at its left and back',
    (params) => {
      const b = buildSpec(parseSpec({ family: 'barn-fit-out', params }));
      const [, , right, back] = b.facts.base;
      const own = params.ownRight !== false;
      expect(
        leak('barn-fit-out', params, [40, 40, 40], {
          walled: (x, y) => x < 0 || y > back || (!own && x > right),
        }),
      ).toBeUndefined();
    },
  );
  it.each([
    { runBays: 3, runLength: 144, fall: 18, runDig: 'none' },
    { runBays: 1, runLength: 96, fall: 6, runDig: 'none' },
    { runBays: 2, runLength: 120, fall: 10, runDig: 'skirt' },
  ] as Record<string, number | string>[])('house-with-run %j, over ground that falls under the run', (params) => {
    const b = buildSpec(parseSpec({ family: 'house-with-run', params }));
    const [end] = b.facts.base;
    const from = end + Number(params.runLength);
    const ground = (x: number): number =>
      Math.max(-Number(params.fall), Math.min(0, ((x - from) / Number(params.runLength)) * Number(params.fall)));
    expect(leak('house-with-run', params, [from - 30, 40, 40], { ground })).toBeUndefined();
  });
  it('finds a board that is left out', () => {
    const b = buildSpec(parseSpec({ family: 'low-pen', params: {} }));
    const open = { ...b, parts: b.parts.filter((p) => p.id !== 'front/mesh') };
    expect(floodEnvelope(open, [30, 30, 12], CELL)).toBeDefined();
  });
});

/** Places inside a unit, of which one at least is free of what stands there. */
const placesIn = (b: Build): (readonly [number, number, number])[] => {
  const house = b.parts.filter((p) => ['front-wall', 'back-wall', 'left-wall', 'right-wall'].includes(p.assembly));
  const [x0, y0, x1, y1] = b.facts.base;
  const { low, high } = house.length > 0 ? measureBounds(house) : { low: [x0, y0, 0], high: [x1, y1, 0] };
  const between = (k: 0 | 1, share: number): number =>
    (low[k] as number) + ((high[k] as number) - (low[k] as number)) * share;
  return [9, 5, 14, 20, 3].flatMap((up) =>
    [0.5, 0.35, 0.65, 0.25].flatMap((x) =>
      [0.5, 0.35, 0.65].map((y) => [between(0, x), between(1, y), b.facts.floorHeight + up] as const),
    ),
  );
};

/** Where a bar gets out of a unit, to the inch. */
const leakOf = (family: string, b: Build): readonly number[] | undefined => {
  for (const place of placesIn(b))
    try {
      // A coarse grid may step over a corner: what it finds a finer one must find too.
      const coarse = floodEnvelope(b, place, WOODEN.has(family) ? COARSE : CELL);
      return coarse && floodEnvelope(b, place, FINE)?.map(Math.round);
    } catch (error) {
      if (!(error instanceof Error && error.message.includes('is not free'))) throw error;
    }
  throw new Error('No place inside is free.');
};

// One of each small family, fifty of every one with RUNS=300; a barn's own walls and long runs are left to the tests above.
const APART = new Set(['barn-fit-out', 'house-with-run']);
const SMALL = new Set(['low-pen', 'a-frame-pen', 'hoop-pen', 'steep-roof-pen', 'panel-kit']);
const FLOODED = FAMILIES.map((f) => f.key).filter(
  (key) => !APART.has(key) && (process.env.RUNS !== undefined || SMALL.has(key)),
);
const DESIGNS = Math.max(1, Math.ceil((50 * Number(process.env.RUNS ?? 0)) / 300));
describe('any design is as closed', () => {
  it.each(FLOODED)('%s', (key) => {
    const family = FAMILIES.find((f) => f.key === key);
    if (!family) throw new Error(key);
    const seed = 41 + Number(process.env.SEED ?? 0);
    for (const params of fc.sample(paramsOf(family.params), { numRuns: DESIGNS, seed })) {
      const b = buildSpec(parseSpec({ family: key, params }));
      expect([params, leakOf(key, b)]).toEqual([params, undefined]);
    }
  });
});
