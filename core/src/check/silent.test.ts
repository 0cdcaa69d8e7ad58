import type { ParamValue } from '../unit/index.ts';
import type { Flock } from '../flock/index.ts';
import { buildSpec, parseSpec } from '../model/index.ts';
import { checkBuild, defaultFlock } from './checkBuild.ts';
import { CHECK_RULES } from './types.ts';
import type { CheckRules, Finding } from './types.ts';

const findings = (
  family: string,
  params: Record<string, ParamValue>,
  flock: Partial<Flock> = {},
  rules: CheckRules = CHECK_RULES,
): Finding[] => {
  const spec = parseSpec({ family, params });
  return checkBuild(buildSpec(spec), spec, { ...defaultFlock(spec), ...flock }, rules);
};

// Each rule holds its tongue where there is nothing to say: just inside its value.
const QUIET: readonly (readonly [
  string,
  { readonly family: string; readonly params: Record<string, ParamValue>; readonly flock?: Partial<Flock> },
])[] = [
  ['run-space', { family: 'raised-lean-to', params: { run: true, runLength: 141 }, flock: { now: 4, later: 4 } }],
  ['roost-length', { family: 'raised-lean-to', params: { roostBars: 2 }, flock: { now: 10, later: 10 } }],
  ['nest-count', { family: 'raised-lean-to', params: { nestCount: 2 }, flock: { now: 12, later: 12 } }],
  ['house-space', { family: 'raised-lean-to', params: {}, flock: { now: 9, later: 9 } }],
  ['pen-space', { family: 'low-pen', params: {}, flock: { now: 25, later: 25 } }],
  ['roost-above-nests', { family: 'raised-lean-to', params: { roostHeight: 28, nestBottom: 8 } }],
  ['ramp-pitch', { family: 'raised-lean-to', params: {} }],
  ['ventilation', { family: 'raised-lean-to', params: {} }],
  ['inside-release', { family: 'raised-lean-to', params: { insideRelease: true } }],
  ['door-swing', { family: 'raised-lean-to', params: { doorOpens: 'outward' } }],
  ['barrow-width', { family: 'raised-lean-to', params: { doorWidth: 31.5 } }],
  ['litter-threshold', { family: 'raised-lean-to', params: { threshold: 10 } }],
  ['headroom', { family: 'raised-lean-to', params: { doorHeight: 37 } }],
  [
    'nest-shelter',
    { family: 'raised-lean-to', params: { nestWall: 'back', windowWall: 'none', length: 96, overhangBack: 10 } },
  ],
  [
    'nest-size',
    { family: 'raised-lean-to', params: { nestWidth: 14, nestDepth: 16, depth: 60 }, flock: { breed: 'large' } },
  ],
  ['roof-pitch', { family: 'raised-lean-to', params: { roofCover: 'shingle' } }],
  ['span-rafter', { family: 'raised-lean-to', params: {} }],
  ['span-floor-joist', { family: 'raised-lean-to', params: { depth: 72 } }],
  ['rafter-over-stud', { family: 'raised-lean-to', params: { studSpacing: 24, rafterSpacing: 24 } }],
  ['leg-bracing', { family: 'raised-lean-to', params: { legHeight: 30 } }],
  ['underfloor-dark', { family: 'raised-lean-to', params: { legHeight: 24 } }],
  ['mesh-held', { family: 'low-pen', params: { meshSides: 'battens' } }],
  ['mesh-strength', { family: 'low-pen', params: { mesh: 'welded-wire' } }],
  ['mesh-roll', { family: 'low-pen', params: { height: 36 } }],
  ['lift-weight', { family: 'low-pen', params: {} }],
  ['pull-force', { family: 'low-pen', params: {} }],
  ['wheel-size', { family: 'low-pen', params: { wheels: 'wheel-8' } }],
  ['shelter', { family: 'low-pen', params: { roofLength: 32 } }],
  ['lid-weight', { family: 'low-pen', params: { lidLength: 24 } }],
  ['sheet-saving-length', { family: 'raised-lean-to', params: { length: 96 } }],
  ['pop-in-run', { family: 'raised-lean-to', params: { run: true, popWall: 'left' } }],
  ['tipping', { family: 'low-pen', params: {} }],
  ['trailer-fit', { family: 'raised-lean-to', params: {} }],
  ['swing-back-wall-window', { family: 'raised-lean-to', params: { windowStyle: 'top-hung', windowWall: 'front' } }],
  ['stud-spacing', { family: 'walk-in', params: {} }],
  ['span-header', { family: 'walk-in', params: {} }],
  ['roost-near-nests', { family: 'raised-lean-to', params: {} }],
  ['roost-spacing', { family: 'raised-lean-to', params: {} }],
  ['roost-reach', { family: 'walk-in', params: { roostHeight: 44 } }],
  ['clean-out', { family: 'raised-lean-to', params: {} }],
  ['cleaning-reach', { family: 'raised-lean-to', params: { depth: 60 } }],
  ['tarp-snow', { family: 'steep-roof-pen', params: { cover: 'metal' } }],
  ['racking-moved-sides', { family: 'low-pen', params: {} }],
  ['racking-moved-ends', { family: 'low-pen', params: {} }],
  ['racking-moved-sides', { family: 'a-frame-pen', params: {} }],
  ['wall-of-doors-front-wall', { family: 'raised-gable', params: { doorWidth: 56, doorBraces: true } }],
  ['wheel-place', { family: 'low-pen', params: {} }],
  ['chicks-under-frame', { family: 'steep-roof-pen', params: { wheelHow: 'slip-on' }, flock: { kind: 'meat' } }],
  ['pop-sill', { family: 'raised-lean-to', params: {} }],
  ['no-pop-door', { family: 'walk-in', params: {} }],
  ['draught-back-wall-window', { family: 'raised-lean-to', params: {} }],
  ['vent-both-sides', { family: 'raised-lean-to', params: { eaves: 'mesh' } }],
  ['dig-in', { family: 'raised-lean-to', params: { run: true, runLength: 120 } }],
  ['dig-in', { family: 'house-with-run', params: { runDig: 'curb' } }],
  ['panel-weight', { family: 'panel-kit', params: { length: 48, depth: 48 } }],
  ['door-hits-nests', { family: 'raised-lean-to', params: {} }],
  ['gutters', { family: 'walk-in', params: { gutters: true } }],
  ['ground-contact', { family: 'low-pen', params: {} }],
  ['hoop-low', { family: 'hoop-pen', params: {} }],
  ['hoop-spacing', { family: 'hoop-pen', params: { hoopSpacing: 30 } }],
  ['gate-width', { family: 'house-with-run', params: {} }],
  ['bay-fill', { family: 'house-with-run', params: { fall: 48 } }],
  ['tall-blocks', { family: 'walk-in', params: { foundation: 'blocks', blockCourses: 2 } }],
  ['span-ceiling-joist', { family: 'barn-fit-out', params: {} }],
  ['nest-hole-nests', { family: 'raised-lean-to', params: {} }],
  ['sheet-joint-backing', { family: 'walk-in', params: {} }],
];

describe('checks are quiet', () => {
  it.each(QUIET)('%s', (code, { family, params, flock }) =>
    expect(findings(family, params, flock).map((f) => f.code)).not.toContain(code),
  );
});

describe('checks follow the values of the business', () => {
  const cases: readonly (readonly [string, { readonly rules: CheckRules; readonly family: string }])[] = [
    ['tipping', { rules: { ...CHECK_RULES, wind: 200 }, family: 'low-pen' }],
    ['span-header', { rules: { ...CHECK_RULES, snow: 400 }, family: 'walk-in' }],
    ['wheel-place', { rules: { ...CHECK_RULES, wheelFrom: 9 }, family: 'low-pen' }],
    ['panel-weight', { rules: { ...CHECK_RULES, panelMost: 20 }, family: 'panel-kit' }],
    ['hoop-low', { rules: { ...CHECK_RULES, hoopLeast: 60 }, family: 'hoop-pen' }],
    ['cleaning-reach', { rules: { ...CHECK_RULES, rakeReach: 20 }, family: 'raised-lean-to' }],
    ['wheel-size', { rules: { ...CHECK_RULES, wheelLeast: 10 }, family: 'low-pen' }],
    ['shelter', { rules: { ...CHECK_RULES, roofedShare: 0.9 }, family: 'low-pen' }],
    ['lid-weight', { rules: { ...CHECK_RULES, lidMost: 5 }, family: 'low-pen' }],
    ['trailer-fit', { rules: { ...CHECK_RULES, loadWidth: 40 }, family: 'raised-lean-to' }],
    ['leg-bracing', { rules: { ...CHECK_RULES, legBrace: 20 }, family: 'raised-lean-to' }],
    ['ramp-pitch', { rules: { ...CHECK_RULES, rampWarn: 30 }, family: 'raised-lean-to' }],
    ['span-rafter', { rules: { ...CHECK_RULES, snow: 2000 }, family: 'raised-lean-to' }],
    [
      'house-space',
      { rules: { ...CHECK_RULES, flock: { ...CHECK_RULES.flock, housePerHen: 4 } }, family: 'raised-lean-to' },
    ],
    [
      'lift-weight',
      {
        rules: {
          ...CHECK_RULES,
          moving: { ...CHECK_RULES.moving, lift: { ...CHECK_RULES.moving.lift, 'two adults': 20 } },
        },
        family: 'low-pen',
      },
    ],
  ];
  it.each(cases)('%s', (code, { rules, family }) =>
    expect(findings(family, {}, {}, rules).map((f) => f.code)).toContain(code),
  );
});

describe('every finding', () => {
  const all = [
    ...findings(
      'raised-lean-to',
      {
        insideRelease: false,
        doorOpens: 'inward',
        legHeight: 40,
        run: true,
        popWall: 'front',
        length: 98,
        studSpacing: 16,
        rafterSpacing: 24,
        eaves: 'blocked',
        windowWall: 'none',
      },
      { later: 20 },
    ),
    ...findings(
      'low-pen',
      { wheels: 'wheel-6', mesh: 'poultry-netting', height: 27, roofLength: 24 },
      { later: 60, mover: 'child' },
    ),
  ];
  it('says what and why in whole sentences, and names its mend by what it does', () => {
    expect(all.length).toBeGreaterThan(12);
    for (const f of all) {
      expect(f.what).toMatch(/^[A-Z0-9].*\.$/);
      expect(f.why).toMatch(/^[A-Z0-9].*\.$/);
      if (f.fix) {
        expect(f.fix.label).not.toMatch(/^Fix/);
        expect(f.fix.label.length).toBeLessThanOrEqual(32);
        expect(Object.keys(f.fix.patch).length).toBeGreaterThan(0);
      }
    }
  });
  it('has a code of its own', () => {
    const house = findings('raised-lean-to', { insideRelease: false, legHeight: 40 });
    expect(new Set(house.map((f) => f.code)).size).toBe(house.length);
  });
  it('points at parts that are there', () => {
    const spec = parseSpec({
      family: 'raised-lean-to',
      params: { run: true, runLength: 100, insideRelease: false, legHeight: 40 },
    });
    const build = buildSpec(spec);
    const ids = new Set(build.parts.map((p) => p.id));
    for (const f of checkBuild(build, spec))
      for (const id of f.where) expect([f.code, ids.has(id)]).toEqual([f.code, true]);
  });
});
