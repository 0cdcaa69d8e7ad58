import fc from 'fast-check';
import type { ParamValue } from '../unit/index.ts';
import type { Flock } from '../flock/index.ts';
import { FAMILIES, buildSpec, parseSpec } from '../model/index.ts';
import { paramsOf } from '../../testing/testFamily.ts';
import { CHECK_RULES, CHECKS, checkBuild, defaultFlock, titleCodeOf } from './index.ts';

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
  ['door-raked', 'walk-in', { roofKind: 'lean', doorWall: 'right', wallHeight: 76, pitch: 2, doorHeight: 80 }],
  ['lid-weight', 'low-pen', { lidLength: 60, roofLength: 36, width: 96 }],
  ['sheet-saving-length', 'raised-lean-to', { length: 98 }],
  ['pop-in-run', 'raised-lean-to', { run: true, popWall: 'front', length: 96 }],
  [
    'swing-back-wall-window',
    'raised-gable',
    { windowWall: 'back', windowStyle: 'top-hung', cleanOutWall: 'none', pitch: 12 },
  ],
  ['stud-spacing', 'walk-in', { studSpacing: 24 }],
  ['mesh-held', 'low-pen', { meshSides: 'lap' }],
  ['mesh-held', 'garden-ark', { meshOverhead: 'lap' }],
  ['roost-near-nests', 'raised-lean-to', { nestWall: 'back', length: 96, windowWall: 'none' }],
  ['roost-spacing', 'a-frame-pen', { width: 42 }],
  ['roost-reach', 'walk-in', { roostHeight: 56 }],
  ['clean-out', 'raised-lean-to', { length: 96, depth: 60 }],
  ['cleaning-reach', 'raised-lean-to', { depth: 80, highWall: 70 }],
  ['tarp-snow', 'steep-roof-pen', {}],
  ['racking-moved-sides', 'low-pen', { cornerPlates: false }],
  ['racking-moved-ends', 'low-pen', { cornerPlates: false }],
  ['wall-of-doors-front-wall', 'raised-gable', { doorWidth: 56, doorBraces: false }],
  ['chicks-under-frame', 'steep-roof-pen', { wheelHow: 'fixed' }, { kind: 'meat' }],
  ['pop-sill', 'raised-lean-to', { threshold: 1.5 }],
  ['no-pop-door', 'walk-in', { popWall: 'none' }],
  ['draught-back-wall-window', 'raised-lean-to', { roostHeight: 34 }],
  ['vent-both-sides', 'raised-lean-to', { eaves: 'blocked' }],
  ['dig-in', 'raised-lean-to', { run: true, runLength: 120, runDig: 'none' }],
  ['dig-in', 'house-with-run', { runDig: 'none' }],
  ['door-hits-nests', 'raised-lean-to', { doorWall: 'back', nestWall: 'back', windowWall: 'none', length: 120 }],
  ['gutters', 'walk-in', {}],
  ['ground-contact', 'low-pen', { construction: 'picket', width: 36 }],
  ['hoop-low', 'hoop-pen', { width: 110 }],
  ['hoop-spacing', 'hoop-pen', { hoopSpacing: 36 }],
  ['gate-width', 'house-with-run', { runGate: 30 }],
  ['bay-fill', 'house-with-run', { fall: 60 }],
  ['tall-blocks', 'walk-in', { foundation: 'blocks', blockCourses: 3 }],
  ['span-ceiling-joist', 'barn-fit-out', { length: 192 }],
  ['tipping', 'raised-lean-to', { length: 60, depth: 30, highWall: 84, lowWall: 78, legHeight: 30 }],
];

// Jest takes a missing argument for a callback, so the rest of a case travels as one.
const ROWS = CASES.map(([code, ...rest]) => [code, rest] as const);

describe('checks', () => {
  it('are fifty and more, each in its place', () => expect(CHECKS.length).toBeGreaterThanOrEqual(50));
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
          'roost-spacing',
          'ground-contact',
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
  it('see a joint that lost its stud, and a nest row that lost its hole', () => {
    const spec = parseSpec({ family: 'raised-lean-to', params: { length: 96 } });
    const whole = buildSpec(spec);
    const judge = (build: typeof whole) => checkBuild(build, spec).map((f) => f.code);
    expect(judge(whole)).not.toContain('sheet-joint-backing');
    const bare = { ...whole, parts: whole.parts.filter((p) => !['stud', 'king', 'jack'].includes(p.role)) };
    expect(judge(bare)).toContain('sheet-joint-backing');
    expect(judge(whole).some((c) => c.startsWith('nest-hole'))).toBe(false);
    const shut = { ...whole, openings: whole.openings.filter((o) => o.kind !== 'nest') };
    expect(judge(shut)).toContain('nest-hole-nests');
  });
  it('know the way in: a unit wider than the gate is stopped, a kit is not', () => {
    const at = (family: string, gate: number) => {
      const spec = parseSpec({ family, params: {} });
      return checkBuild(buildSpec(spec), spec, defaultFlock(spec), CHECK_RULES, { slope: 0, gate }).map((f) => f.code);
    };
    expect(at('low-pen', 60)).toContain('gate-pass');
    expect(at('low-pen', 96)).not.toContain('gate-pass');
    expect(at('panel-kit', 36)).not.toContain('gate-pass');
  });
  it('take a finding as seriously as the business does', () => {
    const spec = parseSpec({ family: 'raised-lean-to', params: { insideRelease: false, legHeight: 40 } });
    const with_ = (severities: (typeof CHECK_RULES)['severities']) =>
      checkBuild(buildSpec(spec), spec, defaultFlock(spec), { ...CHECK_RULES, severities });
    expect(with_({ 'inside-release': 'off' }).some((f) => f.code === 'inside-release')).toBe(false);
    expect(with_({ 'leg-bracing': 'stop' }).find((f) => f.code === 'leg-bracing')?.severity).toBe('stop');
    expect(with_({ 'leg-bracing': 'stop' })[0]?.severity).toBe('stop');
  });
  it('have a title each, under which a business finds them', () => {
    for (const [code] of CASES) expect([code, titleCodeOf(code)]).toEqual([code, expect.any(String)]);
    expect(titleCodeOf('swing-back-wall-window')).toBe('swing');
    expect(titleCodeOf('span-ceiling-joist')).toBe('span');
    expect(titleCodeOf('sheet-saving-length')).toBe('sheet-saving');
    expect(titleCodeOf('unheard-of')).toBeUndefined();
  });
  it('point at parts that are there, in every family and for any parameters', () => {
    for (const family of FAMILIES)
      fc.assert(
        fc.property(paramsOf(family.params), (params) => {
          const spec = parseSpec({ family: family.key, params });
          const build = buildSpec(spec);
          const ids = new Set(build.parts.map((p) => p.id));
          for (const f of checkBuild(build, spec))
            for (const id of f.where) expect([f.code, id, ids.has(id)]).toEqual([f.code, id, true]);
        }),
        { numRuns: 8, seed: 4 },
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
        { numRuns: 16, seed: 2 },
      );
    }
  });
});
