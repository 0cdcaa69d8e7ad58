import fc from 'fast-check';
import {
  findClashes,
  findFloating,
  findGaps,
  findUnbackedJoints,
  hasCut,
  measureBounds,
  measureMass,
  mirrorBuild,
} from '../src/unit/index.ts';
import type { Build, ParamValue } from '../src/unit/index.ts';
import { findPieces, measureSeparation } from '../src/geometry/index.ts';
import type { Placement } from '../src/geometry/index.ts';
import { countFaults, jointFaults } from './jointFaults.ts';
import { buildSpec, findFamily, parseSpec, stylesOf } from '../src/model/index.ts';
import type { ParamDef } from '../src/model/index.ts';
import { findItem } from '../src/stock/index.ts';
import { isSeamOpen, readTicket, takeOff } from '../src/takeoff/index.ts';

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

/** Any parameters in a table's ranges. */
export const paramsOf = (defs: readonly ParamDef[]) =>
  fc.record(Object.fromEntries(defs.map((d) => [d.key, valueOf(d)])));

/** Up to three fittings anywhere on the walls that carry them, whether or not they fit there. */
const fittingsOf = (family: NonNullable<ReturnType<typeof findFamily>>) => {
  const { walls, kinds } = family.carries;
  const one = fc.constantFrom(...kinds).chain((kind) =>
    fc.record({
      kind: fc.constant(kind),
      style: fc.constantFrom(...stylesOf(family.carries, kind)),
      wall: fc.constantFrom(...walls),
      left: fc.integer({ min: 0, max: 140 }),
      bottom: fc.integer({ min: 0, max: 60 }),
      width: fc.integer({ min: 8, max: 60 }),
      height: fc.integer({ min: 6, max: 60 }),
    }),
  );
  return fc
    .array(one, { minLength: 1, maxLength: 3 })
    .map((list) => list.map((f, i) => ({ id: `by-hand-${i}`, ...f })));
};

/** Every tape is as long as the plates it is pulled along, and marks nothing beyond its end. */
const tapeFaults = (build: Build): string[] => {
  const wrong: string[] = [];
  for (const a of build.assemblies)
    for (const tape of a.tapes) {
      // A long plate is in pieces that share a name up to their number.
      const whole = new Map<string, number>();
      for (const id of tape.parts) {
        const part = build.parts.find((p) => p.id === id);
        if (!part || part.cuts.some((c) => c.kind !== 'square')) continue;
        const name = /plate-\d+$|rim-long-\d-\d+$/.test(id) ? id.replace(/-\d+$/, '') : id;
        whole.set(name, (whole.get(name) ?? 0) + part.length);
      }
      for (const [name, length] of whole)
        if (Math.abs(length - tape.length) > 1e-6) wrong.push(`${name} is ${length}, its tape ${tape.length}`);
      for (const mark of tape.marks) {
        if (mark.at < -1e-9 || mark.at > tape.length + 1e-9)
          wrong.push(`${mark.part} is marked at ${mark.at} of ${tape.length}`);
        if (!build.parts.some((p) => p.id === mark.part)) wrong.push(`${mark.part} is marked and is not there`);
      }
    }
  return wrong;
};

/** Studs and plates of every level wall make up its height; every stud stands on a marked place. */
const heightFaults = (build: Build): string[] =>
  build.assemblies.flatMap((a) => {
    if (a.kind !== 'wall' || !a.square) return [];
    const height = a.square.height;
    const plates = build.parts.some((p) => p.assembly === a.id && p.id.includes('/upper-plate')) ? 3 : 2;
    return build.parts
      .filter((p) => p.assembly === a.id && p.role === 'stud')
      .filter(
        (p) =>
          Math.abs(p.length + plates * 1.5 - height) > 1e-6 ||
          !a.tapes.some((t) => t.marks.some((m) => m.part === p.id)),
      )
      .map((p) => `${p.id} is ${p.length} in a wall of ${height}`);
  });

/** Nothing of the wall stands in a framed opening. */
const openingFaults = (build: Build): string[] =>
  build.openings.flatMap((o) => {
    const wall = build.assemblies.find((a) => a.id === o.assembly);
    if (!wall) return [`${o.id} is in ${o.assembly}, which is not there`];
    const inset = 1 / 16;
    const place: Placement = wall.face;
    const ring = [
      [o.left + inset, o.bottom + inset],
      [o.left + o.width - inset, o.bottom + inset],
      [o.left + o.width - inset, o.bottom + o.height - inset],
      [o.left + inset, o.bottom + o.height - inset],
    ] as const;
    // From just inside the skin to an inch behind it: studs, plates, blocks and skin alike would be met.
    const [hole] = findPieces(
      { outline: ring, holes: [], depth: 1.1 },
      { ...place, origin: placeAt(place, -1), u: place.u, v: place.v },
    );
    return build.parts
      .filter((p) => p.assembly === o.assembly)
      .filter((p) => findPieces(p.shape, p.place).some((q) => hole && measureSeparation(hole, q) < -1 / 16))
      .map((p) => `${p.id} stands in ${o.id}`);
  });

const placeAt = (place: Placement, depth: number) => {
  const { u, v, origin } = place;
  const w = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]] as const;
  return [origin[0] + w[0] * depth, origin[1] + w[1] * depth, origin[2] + w[2] * depth] as const;
};

/** What is bought holds every part: each stick piece, each sheet piece, each face of mesh, each roof sheet once. */
export const takeoffFaults = (build: Build): string[] => {
  const takeoff = takeOff(build, 'quick');
  const wrong: string[] = [];
  // What is sawn off another in place is cut with it.
  const kind = (k: string) => build.parts.filter((p) => findItem(p.item).kind === k && hasCut(p));
  const same = (what: string, got: number, parts: number): void => {
    if (got !== parts) wrong.push(`${what}: ${got} planned, ${parts} in the build`);
  };
  same(
    'sticks',
    takeoff.sticks.sticks.reduce((n, s) => n + s.cuts.reduce((m, c) => m + readTicket(c.id).parts, 0), 0),
    kind('lumber').length,
  );
  same(
    'sheets',
    takeoff.sheets.sheets.reduce((n, s) => n + s.places.length, 0),
    kind('sheet').length,
  );
  same('mesh', takeoff.mesh.strips.length, kind('mesh').length);
  const sticks = new Map<string, number>();
  for (const s of takeoff.sticks.sticks) {
    const used = s.cuts.reduce((sum, c) => sum + c.length, 0);
    if (used > s.length + 1e-6) wrong.push(`a ${s.item} of ${s.length} gives ${used}`);
    const given = s.cuts.reduce((sum, c) => sum + c.length * readTicket(c.id).parts, 0);
    sticks.set(s.item, (sticks.get(s.item) ?? 0) + given);
  }
  for (const [item, length] of sticks) {
    const parts = kind('lumber')
      .filter((p) => p.item === item)
      .reduce((sum, p) => sum + p.length, 0);
    if (Math.abs(length - parts) > parts * 1e-6 + kind('lumber').length / 64)
      wrong.push(`${item}: ${length} of ${parts} in`);
  }
  return wrong;
};

/** How far mesh may hang down beside ground that falls away under its plate and still count as held by what is above. */
const HANGS = 12;

/** Seams of mesh that lie in the air: only a round end may have them, which no post divides, and what hangs far down. */
const seamFaults = (build: Build): string[] =>
  build.family === 'hoop-pen'
    ? []
    : build.parts
        // What fills the height of a steep fall is a wall of its own.
        .filter((p) => isSeamOpen(p, build.parts) && !p.id.endsWith('-fill/mesh'))
        .filter((mesh) => {
          const frame = build.parts.filter(
            (p) => p.assembly === mesh.assembly && p.role !== 'mesh' && p.role !== 'batten',
          );
          return frame.length === 0 || measureBounds(frame).low[2] - measureBounds([mesh]).low[2] < HANGS;
        })
        .map((p) => `${p.id}: its strips meet on nothing`);

/** Everything that must hold for every build, as one list of what does not. */
export const faultsOf = (build: Build): string[] => [
  ...findClashes(build).map((c) => `${c.a} and ${c.b} overlap by ${c.depth.toFixed(3)}`),
  ...findFloating(build).map((id) => `${id} touches nothing`),
  ...findGaps(build).map((g) => `${g.face} is open at ${g.at.join(', ')}`),
  ...findUnbackedJoints(build).map((j) => `${j.parts.join(' and ')} meet on nothing at ${j.at.join(', ')}`),
  ...openingFaults(build),
  ...jointFaults(build),
  ...tapeFaults(build),
  ...heightFaults(build),
];

/** Houses: each of their designs is hundreds of parts. The usual run tries three tenths of what it tries of pens; RUNS=300 tries all. */
const LARGE = new Set(['house-with-run', 'walk-in', 'raised-lean-to', 'raised-gable', 'skid-house', 'garden-ark']);

/** The rules that hold for every design of a family, tried on random ones; a counterexample is shrunk to its least parameters. */
export const testFamily = (key: string): void => {
  const family = findFamily(key);
  if (!family) throw new Error(`There is no family "${key}".`);
  const build = (params: Record<string, ParamValue>, fittings: readonly unknown[] = []) =>
    buildSpec(parseSpec({ family: key, params, fittings }));
  const options = (runs: number, seed: number) => ({
    numRuns: process.env.RUNS
      ? Math.ceil((Number(process.env.RUNS) * runs) / 300)
      : Math.ceil(runs * (LARGE.has(key) ? 0.3 : 1)),
    // Other designs than the usual ones, when asked for.
    seed: seed + Number(process.env.SEED ?? 0),
    endOnFailure: Boolean(process.env.QUICK),
  });

  describe(key, () => {
    it('is true with its defaults', () => {
      expect(faultsOf(build({}))).toEqual([]);
      expect(takeoffFaults(build({}))).toEqual([]);
      expect(build({}).notes).toEqual([]);
    });

    it('is true for any parameters: nothing overlaps or floats, no face is open, joints lie on framing', () => {
      fc.assert(
        fc.property(paramsOf(family.params), (params) => {
          const b = build(params);
          expect(faultsOf(b)).toEqual([]);
          expect(b.parts.filter((part) => !(part.length > 0)).map((part) => part.id)).toEqual([]);
        }),
        options(300, 7),
      );
    });

    if (family.carries.walls.length > 0)
      it('is true with any fittings on its walls: they stand clear, or a note says why they do not', () => {
        fc.assert(
          fc.property(paramsOf(family.params), fittingsOf(family), (params, fittings) => {
            const b = build(params, fittings);
            expect(faultsOf(b)).toEqual([]);
            for (const f of fittings) {
              const stands = b.openings.some((o) => o.id.endsWith(`/${f.id}`));
              const said = b.notes.some((n) => n.code.startsWith(f.id) || n.code === 'nest-under-eave');
              expect([f.id, stands || said]).toEqual([f.id, true]);
            }
          }),
          options(100, 13),
        );
      });

    it('buys what its parts need', () => {
      fc.assert(
        fc.property(paramsOf(family.params), (params) => {
          const b = build(params);
          expect(takeoffFaults(b)).toEqual([]);
          expect(countFaults(b)).toEqual([]);
          expect(seamFaults(b)).toEqual([]);
        }),
        options(25, 17),
      );
    });

    it('is as true mirrored, with the same parts and weight', () => {
      fc.assert(
        fc.property(paramsOf(family.params), (params) => {
          const b = build(params);
          const m = mirrorBuild(b);
          expect(faultsOf(m)).toEqual([]);
          expect(m.parts.map((p) => [p.id, p.length])).toEqual(b.parts.map((p) => [p.id, p.length]));
          const [x0, , x1] = b.facts.base;
          expect(measureMass(m).weight).toBeCloseTo(measureMass(b).weight, 6);
          expect(measureMass(m).centre[0]).toBeCloseTo(x0 + x1 - measureMass(b).centre[0], 6);
        }),
        options(20, 19),
      );
    });

    it('gives the same build for the same spec, and a part id once', () => {
      fc.assert(
        fc.property(paramsOf(family.params), (params) => {
          const b = build(params);
          expect(build(params)).toEqual(b);
          expect(new Set(b.parts.map((p) => p.id)).size).toBe(b.parts.length);
          expect(measureMass(b).weight).toBeGreaterThan(20);
        }),
        options(10, 11),
      );
    });
  });
};
