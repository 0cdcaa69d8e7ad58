import { floodEnvelope } from '../../testing/floodEnvelope.ts';
import type { Surroundings } from '../../testing/floodEnvelope.ts';
import type { ParamValue } from '../unit/index.ts';
import { buildSpec, parseSpec } from './spec.ts';

/** Fine enough that no sloping mesh is stepped through; half an inch does where all that slopes is of wood. */
const CELL = 0.375;
const COARSE = 0.5;
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
