import fc from 'fast-check';
import type { ParamValue } from '../build/index.ts';
import type { Flock } from '../flock/index.ts';
import { FAMILIES, buildSpec, parseSpec } from '../model/index.ts';
import { CHECK_RULES, CHECKS, checkBuild, defaultFlock } from './index.ts';

const findings = (family: string, params: Record<string, ParamValue>, flock?: Partial<Flock>, slope?: number) => {
  const spec = parseSpec({ family, params });
  return checkBuild(
    buildSpec(spec),
    spec,
    { ...defaultFlock(spec), ...flock },
    CHECK_RULES,
    slope === undefined ? undefined : { slope },
  );
};
const codes = (...args: Parameters<typeof findings>) => findings(...args).map((f) => f.code);

// Each rule: a spec that it speaks of, and whether its fix silences it.
const CASES: readonly [
  code: string,
  family: string,
  params: Record<string, ParamValue>,
  flock?: Partial<Flock>,
  slope?: number,
][] = [
  ['run-space', 'raised-lean-to', { run: true, runLength: 100 }, { now: 4, later: 4 }],
  ['roost-length', 'raised-lean-to', { roostBars: 1, length: 72 }, { later: 8 }],
  ['nest-count', 'raised-lean-to', { nestCount: 1 }, { later: 8 }],
  ['house-space', 'raised-lean-to', { length: 60 }, { later: 10 }],
  ['pen-space', 'low-pen', { length: 72 }, { later: 25 }],
  ['roost-above-nests', 'raised-lean-to', { roostHeight: 12, nestBottom: 10 }],
  ['ramp-pitch', 'raised-lean-to', { run: true, runLength: 48, legHeight: 20, threshold: 8 }],
  ['ventilation', 'raised-lean-to', { eaves: 'blocked', windowWall: 'none' }],
  ['inside-release', 'raised-lean-to', { insideRelease: false }],
  ['door-swing', 'raised-lean-to', { doorOpens: 'inward' }],
  ['barrow-width', 'raised-lean-to', { doorWidth: 24 }],
  ['litter-threshold', 'raised-lean-to', { threshold: 1.5 }],
  ['headroom', 'raised-lean-to', { doorHeight: 30 }],
  ['nest-shelter', 'raised-lean-to', { nestWall: 'back', windowWall: 'none', length: 96 }],
  ['nest-size', 'raised-lean-to', {}, { breed: 'large' }],
  ['roof-pitch', 'raised-lean-to', { roofCover: 'shingle', highWall: 60, lowWall: 55 }],
  ['span-rafter', 'raised-lean-to', { depth: 96, rafterSpacing: 24, highWall: 72, lowWall: 56 }],
  ['rafter-over-stud', 'raised-lean-to', { studSpacing: 16, rafterSpacing: 24 }],
  ['leg-bracing', 'raised-lean-to', { legHeight: 40 }],
  ['underfloor-dark', 'raised-lean-to', { legHeight: 14 }],
  ['mesh-strength', 'low-pen', { mesh: 'poultry-netting' }],
  ['mesh-roll', 'low-pen', { height: 27 }],
  ['lift-weight', 'low-pen', { wheels: 'none', length: 120, width: 96 }, { mover: 'one adult' }],
  ['pull-force', 'low-pen', { wheels: 'none' }, { mover: 'one adult' }, 10],
  ['wheel-size', 'low-pen', { wheels: 'wheel-6' }],
  ['shelter', 'low-pen', { roofLength: 24 }],
  ['lid-weight', 'low-pen', { lidLength: 60, roofLength: 36, width: 96 }],
  ['sheet-saving-length', 'raised-lean-to', { length: 98 }],
  ['pop-in-run', 'raised-lean-to', { run: true, popWall: 'front', length: 96 }],
  ['tipping', 'raised-lean-to', { length: 60, depth: 30, highWall: 84, lowWall: 78, legHeight: 30 }],
];

// Jest takes a missing argument for a callback, so the rest of a case travels as one.
const ROWS = CASES.map(([code, ...rest]) => [code, rest] as const);

describe('checks', () => {
  it('are thirty and more, each in its place', () => expect(CHECKS.length).toBeGreaterThanOrEqual(30));
  it.each(ROWS)('%s speaks up', (code, rest) => expect(codes(...rest)).toContain(code));
  it.each(
    ROWS.filter(
      ([code]) =>
        ![
          'lift-weight',
          'lid-weight',
          'ventilation',
          'span-rafter',
          'tipping',
          'pull-force',
          'ramp-pitch',
          'house-space',
        ].includes(code),
    ),
  )('%s is silenced by its fix', (code, rest) => {
    const [family, params, flock, slope] = rest;
    const finding = findings(family, params, flock, slope).find((f) => f.code === code);
    expect(finding?.fix).toBeDefined();
    expect(codes(family, { ...params, ...finding?.fix?.patch }, flock, slope)).not.toContain(code);
  });
  it('says which two inches cost a sheet', () => {
    expect(findings('raised-lean-to', { length: 98 }).find((f) => f.code === 'sheet-saving-length')?.what).toBe(
      '98" costs a sheet of siding more than 96".',
    );
  });
  it('puts stops first and offers no fix outside a range, for any parameters', () => {
    for (const family of FAMILIES) {
      const lengths = family.params.filter((p) => p.kind === 'length');
      fc.assert(
        fc.property(
          fc.record(
            Object.fromEntries(
              lengths.map((d) => [
                d.key,
                fc.integer({ min: Math.ceil(d.min * 2), max: Math.floor(d.max * 2) }).map((n) => n / 2),
              ]),
            ),
          ),
          (params) => {
            const list = findings(family.key, params);
            const order = list.map((f) => ['stop', 'warn', 'tip'].indexOf(f.severity));
            expect(order).toEqual([...order].sort());
            for (const f of list)
              if (f.fix)
                expect(() => parseSpec({ family: family.key, params: { ...params, ...f.fix?.patch } })).not.toThrow();
          },
        ),
        { numRuns: 25, seed: 2 },
      );
    }
  });
});
