import fc from 'fast-check';
import { findClashes, findFloating, findGaps, measureMass } from '../../build/index.ts';
import type { Build, ParamValue } from '../../build/index.ts';
import type { ParamDef } from '../params.ts';
import { buildSpec, parseSpec } from '../spec.ts';
import { FAMILIES } from './index.ts';

const valueOf = (def: ParamDef): fc.Arbitrary<ParamValue> => {
  switch (def.kind) {
    case 'length':
      return fc.integer({ min: Math.ceil(def.min * 16), max: Math.floor(def.max * 16) }).map((n) => n / 16);
    case 'count':
      return fc.integer({ min: def.min, max: def.max });
    case 'choice':
      return fc.constantFrom(...def.choices.map((c) => c.value));
    case 'flag':
      return fc.boolean();
  }
};

const paramsOf = (defs: readonly ParamDef[]) => fc.record(Object.fromEntries(defs.map((d) => [d.key, valueOf(d)])));

const wallSums = (build: Build): string[] => {
  const wrong: string[] = [];
  for (const a of build.assemblies) {
    for (const tape of a.tapes) {
      for (const id of tape.parts) {
        const plate = build.parts.find((p) => p.id === id);
        if (plate && Math.abs(plate.length - tape.length) > 1e-6 && plate.cuts.every((c) => c.kind === 'square'))
          wrong.push(`${id} is ${plate.length}, its tape ${tape.length}`);
      }
      for (const mark of tape.marks)
        if (mark.at < -1e-9 || mark.at > tape.length)
          wrong.push(`${mark.part} is marked at ${mark.at} of ${tape.length}`);
    }
  }
  return wrong;
};

/** Plates and studs of every level wall make up its height; every stud stands on a marked place. */
const heightSums = (build: Build): string[] =>
  build.assemblies.flatMap((a) => {
    if (a.kind !== 'wall' || !a.square) return [];
    const height = a.square.height;
    return build.parts
      .filter((p) => p.assembly === a.id && p.role === 'stud')
      .filter(
        (p) => Math.abs(p.length + 3 - height) > 1e-6 || !a.tapes.some((t) => t.marks.some((m) => m.part === p.id)),
      )
      .map((p) => `${p.id} is ${p.length} in a wall of ${height}`);
  });

describe.each(FAMILIES.map((f) => [f.key, f] as const))('%s', (key, family) => {
  const check = (params: Record<string, ParamValue>): void => {
    const build = buildSpec(parseSpec({ family: key, params }));
    expect(findClashes(build)).toEqual([]);
    expect(findFloating(build)).toEqual([]);
    expect(findGaps(build)).toEqual([]);
    expect(wallSums(build)).toEqual([]);
    expect(heightSums(build)).toEqual([]);
    for (const part of build.parts) expect(part.length).toBeGreaterThan(0);
  };

  it('is true with its defaults', () => check({}));

  it('is true for any parameters: nothing overlaps, nothing floats, no face is open', () => {
    fc.assert(fc.property(paramsOf(family.params), check), {
      numRuns: Number(process.env.RUNS ?? 120),
      seed: 7,
      endOnFailure: Boolean(process.env.QUICK),
    });
  });

  it('gives the same build for the same spec, and a part id once', () => {
    fc.assert(
      fc.property(paramsOf(family.params), (params) => {
        const spec = parseSpec({ family: key, params });
        const build = buildSpec(spec);
        expect(buildSpec(spec)).toEqual(build);
        expect(new Set(build.parts.map((p) => p.id)).size).toBe(build.parts.length);
        expect(measureMass(build).weight).toBeGreaterThan(20);
      }),
      { numRuns: 15, seed: 11 },
    );
  });
});
