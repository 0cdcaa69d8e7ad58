import { buildSpec, parseSpec } from '../model/index.ts';
import type { Build } from '../unit/index.ts';
import type { Flock } from '../flock/index.ts';
import { defaultFlock } from './checkBuild.ts';
import { CHECKS } from './rules/index.ts';
import { CHECK_RULES } from './types.ts';
import type { CheckRules, CheckSite } from './types.ts';

// Every rule on both sides of its limit: the figures are those of the trade's handbook, common practice, no source. A build's facts are
// set by hand here, so that nothing but the limit decides.

interface Given {
  readonly family?: string;
  readonly params?: Record<string, number | string | boolean>;
  readonly facts?: Record<string, unknown>;
  readonly capacity?: Build['capacity'];
  readonly flock?: Partial<Flock>;
  readonly rules?: Partial<CheckRules>;
  readonly site?: CheckSite;
}
const builds = new Map<string, Build>();
const buildOf = (family: string, params: Given['params']) => {
  const key = JSON.stringify([family, params]);
  const spec = parseSpec({ family, params });
  const build = builds.get(key) ?? buildSpec(spec);
  builds.set(key, build);
  return { spec, build };
};
const severity = (code: string, { family = 'raised-lean-to', params = {}, ...given }: Given): string => {
  const { spec, build } = buildOf(family, params);
  const context = {
    build: {
      ...build,
      facts: { ...build.facts, ...given.facts } as Build['facts'],
      capacity: { ...build.capacity, ...given.capacity },
    },
    spec,
    params: spec.params,
    flock: { ...defaultFlock(spec), ...given.flock },
    rules: { ...CHECK_RULES, ...given.rules },
    ...(given.site ? { site: given.site } : {}),
  };
  const found = CHECKS.flatMap((check) => check(context)).find((f) => f.code === code);
  return found?.severity ?? 'quiet';
};
const door = { clearWidth: 32, clearHeight: 72, threshold: 8, insideRelease: true, opens: 'outward' };
const nests = { count: 2, bottom: 12, top: 24, width: 12, depth: 12, wall: 'right' };
const roost = { height: 30, length: 60, bars: 2, spacing: 12, toWall: 12 };
const layers = (birds: number, more: Partial<Flock> = {}): Partial<Flock> => ({
  kind: 'layers',
  now: birds,
  later: birds,
  ranging: false,
  ...more,
});

const LIMITS: readonly (readonly [string, string, Given, string])[] = [
  // Ramp: over 40° is noted, since 45° is where hens stop using it.
  ['a ramp of 40°', 'ramp-pitch', { facts: { ramp: { rise: 24, angle: 40, length: 37 } } }, 'quiet'],
  ['a ramp of 41°', 'ramp-pitch', { facts: { ramp: { rise: 24, angle: 41, length: 36 } } }, 'warn'],
  // A wheelbarrow wants about 30 in.
  ['30 in clear', 'barrow-width', { facts: { door: { ...door, clearWidth: 30 } } }, 'quiet'],
  ['29 3/4 in clear', 'barrow-width', { facts: { door: { ...door, clearWidth: 29.75 } } }, 'tip'],
  [
    '29 3/4 in clear, floor too high for a barrow',
    'barrow-width',
    { facts: { door: { ...door, clearWidth: 29.75 }, floorHeight: 40 } },
    'quiet',
  ],
  ['36 in under the header', 'headroom', { facts: { door: { ...door, clearHeight: 36 } } }, 'quiet'],
  ['35 in under the header', 'headroom', { facts: { door: { ...door, clearHeight: 35 } } }, 'warn'],
  // Any latch that can shut someone in needs a release.
  [
    'a child-high door without release',
    'inside-release',
    { facts: { door: { ...door, clearHeight: 30, insideRelease: false } } },
    'stop',
  ],
  [
    'a hatch lower than a child',
    'inside-release',
    { facts: { door: { ...door, clearHeight: 29, insideRelease: false } } },
    'quiet',
  ],
  ['an outward door', 'door-swing', { facts: { door } }, 'quiet'],
  [
    'an inward door over a flush floor',
    'door-swing',
    { facts: { door: { ...door, opens: 'inward', threshold: 3 } } },
    'warn',
  ],
  [
    'an inward door over deep litter',
    'door-swing',
    { facts: { door: { ...door, opens: 'inward', threshold: 8 } } },
    'stop',
  ],
  // Eight to ten inches hold deep litter.
  ['a threshold of 8', 'litter-threshold', { facts: { door } }, 'quiet'],
  ['a threshold of 10', 'litter-threshold', { facts: { door: { ...door, threshold: 10 } } }, 'quiet'],
  ['a threshold of 7 1/2', 'litter-threshold', { facts: { door: { ...door, threshold: 7.5 } } }, 'tip'],
  ['a threshold of 11', 'litter-threshold', { facts: { door: { ...door, threshold: 11 } } }, 'tip'],
  // A tenth of the floor, high up.
  ['2 sq ft of vent for 20', 'ventilation', { capacity: { houseArea: 20 }, facts: { ventArea: 2 } }, 'quiet'],
  ['1.9 sq ft of vent for 20', 'ventilation', { capacity: { houseArea: 20 }, facts: { ventArea: 1.9 } }, 'warn'],
  [
    'half a square foot of vent for 20',
    'ventilation',
    { capacity: { houseArea: 20 }, facts: { ventArea: 0.5 } },
    'stop',
  ],
  // Roosts over nests, 12 in apart, 44 in at most without a ladder.
  [
    'a roost 7 in over the nest floor',
    'roost-above-nests',
    { facts: { nests, roosts: [{ ...roost, height: 19 }] } },
    'quiet',
  ],
  [
    'a roost 6 in over the nest floor',
    'roost-above-nests',
    { facts: { nests, roosts: [{ ...roost, height: 18 }] } },
    'warn',
  ],
  ['bars 12 in apart', 'roost-spacing', { facts: { roosts: [roost] } }, 'quiet'],
  ['bars 11 in apart', 'roost-spacing', { facts: { roosts: [{ ...roost, spacing: 11 }] } }, 'warn'],
  ['one bar 11 in from the wall', 'roost-spacing', { facts: { roosts: [{ ...roost, bars: 1, toWall: 11 }] } }, 'warn'],
  [
    'one bar, whatever the spacing',
    'roost-spacing',
    { facts: { roosts: [{ ...roost, bars: 1, spacing: 3 }] } },
    'quiet',
  ],
  ['a roost 44 in up', 'roost-reach', { facts: { roosts: [{ ...roost, height: 44 }] } }, 'quiet'],
  ['a roost 45 in up', 'roost-reach', { facts: { roosts: [{ ...roost, height: 45 }] } }, 'tip'],
  [
    'a roost 27 in up for a heavy breed',
    'roost-reach',
    { facts: { roosts: [{ ...roost, height: 27 }] }, flock: { breed: 'large' } },
    'tip',
  ],
  [
    'nests in the wall of the roost',
    'roost-near-nests',
    { facts: { nests: { ...nests, wall: 'back' }, roosts: [roost] } },
    'warn',
  ],
  ['nests in another wall', 'roost-near-nests', { facts: { nests, roosts: [roost] } }, 'quiet'],
  // A lid in the drip: 10 in of eave shelter it.
  [
    'a nest at the back under 10 in of eave',
    'nest-shelter',
    { facts: { nests: { ...nests, wall: 'back' }, eaves: { front: 4, back: 10 } } },
    'quiet',
  ],
  [
    'a nest at the back under 9 in of eave',
    'nest-shelter',
    { facts: { nests: { ...nests, wall: 'back' }, eaves: { front: 14, back: 9 } } },
    'tip',
  ],
  [
    'a nest in front under 9 in of eave',
    'nest-shelter',
    { facts: { nests: { ...nests, wall: 'front' }, eaves: { front: 9, back: 14 } } },
    'tip',
  ],
  ['a nest at the side', 'nest-shelter', { facts: { nests, eaves: { front: 2, back: 2 } } }, 'quiet'],
  // Large breeds want 14 × 14 at the least.
  ['nests of 12 for a large breed', 'nest-size', { facts: { nests }, flock: { breed: 'large' } }, 'tip'],
  [
    'nests of 14 for a large breed',
    'nest-size',
    { facts: { nests: { ...nests, width: 14, depth: 14 } }, flock: { breed: 'large' } },
    'quiet',
  ],
  ['nests of 12 for a usual breed', 'nest-size', { facts: { nests } }, 'quiet'],
  // Space, by the handbook's table: run 20 sq ft a hen that never leaves it and 10 as the bare floor, roost 12 in and 8 at the
  // tightest, a nest for 5 hens with 6 accepted, 25 meat birds in 6 × 8 ft.
  ['2 sq ft a hen in the house', 'house-space', { capacity: { houseArea: 12 }, flock: layers(6) }, 'quiet'],
  ['a little less', 'house-space', { capacity: { houseArea: 11.9 }, flock: layers(6) }, 'warn'],
  ['less than half of it', 'house-space', { capacity: { houseArea: 5.9 }, flock: layers(6) }, 'stop'],
  [
    'bantams in six tenths of it',
    'house-space',
    { capacity: { houseArea: 7.2 }, flock: layers(6, { breed: 'bantam' }) },
    'quiet',
  ],
  ['no nest', 'nest-count', { capacity: { nests: 0 }, flock: layers(4) }, 'stop'],
  ['a nest for 6 hens', 'nest-count', { capacity: { nests: 1 }, flock: layers(6) }, 'quiet'],
  ['a nest for 7 hens', 'nest-count', { capacity: { nests: 1 }, flock: layers(7) }, 'warn'],
  ['four nests for 24 hens', 'nest-count', { capacity: { nests: 4 }, flock: layers(24) }, 'quiet'],
  ['three bars of 8 ft for 24 hens', 'roost-length', { capacity: { roostLength: 288 }, flock: layers(24) }, 'quiet'],
  ['three bars of 8 ft for 25 hens', 'roost-length', { capacity: { roostLength: 288 }, flock: layers(25) }, 'warn'],
  ['8 in of roost a hen', 'roost-length', { capacity: { roostLength: 48 }, flock: layers(6) }, 'warn'],
  ['less than 8 in of roost a hen', 'roost-length', { capacity: { roostLength: 47 }, flock: layers(6) }, 'stop'],
  ['20 sq ft of run a hen', 'run-space', { capacity: { runArea: 120, houseArea: 20 }, flock: layers(6) }, 'quiet'],
  ['19 sq ft of run a hen', 'run-space', { capacity: { runArea: 114, houseArea: 20 }, flock: layers(6) }, 'warn'],
  [
    '9 sq ft of run a hen that never leaves it',
    'run-space',
    { capacity: { runArea: 54, houseArea: 20 }, flock: layers(6) },
    'stop',
  ],
  [
    '10 sq ft of run a hen that ranges',
    'run-space',
    { capacity: { runArea: 60, houseArea: 20 }, flock: layers(6, { ranging: true }) },
    'quiet',
  ],
  [
    '25 meat birds in 48 sq ft',
    'pen-space',
    { family: 'low-pen', capacity: { runArea: 48 }, flock: { kind: 'meat', now: 25, later: 25 } },
    'quiet',
  ],
  [
    '26 meat birds in 48 sq ft',
    'pen-space',
    { family: 'low-pen', capacity: { runArea: 48 }, flock: { kind: 'meat', now: 26, later: 26 } },
    'warn',
  ],
  [
    '40 meat birds in 48 sq ft',
    'pen-space',
    { family: 'low-pen', capacity: { runArea: 48 }, flock: { kind: 'meat', now: 40, later: 40 } },
    'stop',
  ],
  [
    'flocks grow: the larger counts',
    'nest-count',
    { capacity: { nests: 1 }, flock: { ...layers(4), later: 9 } },
    'warn',
  ],
  // Loads and lids.
  ['legs of 30', 'leg-bracing', { facts: { underfloor: { open: true, clear: 30 } } }, 'quiet'],
  ['legs of 31', 'leg-bracing', { facts: { underfloor: { open: true, clear: 31 } } }, 'warn'],
  [
    'legs of 31 with braces',
    'leg-bracing',
    { params: { legBraces: true }, facts: { underfloor: { open: true, clear: 31 } } },
    'quiet',
  ],
  [
    '20 in of open dark under the floor',
    'underfloor-dark',
    { facts: { underfloor: { open: true, clear: 20 } } },
    'tip',
  ],
  ['21 in under the floor', 'underfloor-dark', { facts: { underfloor: { open: true, clear: 21 } } }, 'quiet'],
  ['closed under the floor', 'underfloor-dark', { facts: { underfloor: { open: false, clear: 12 } } }, 'quiet'],
  ['wheels of 8', 'wheel-size', { family: 'low-pen', facts: { wheels: { diameter: 8, fromEnd: 8 } } }, 'quiet'],
  ['wheels of 6', 'wheel-size', { family: 'low-pen', facts: { wheels: { diameter: 6, fromEnd: 8 } } }, 'warn'],
  [
    'wheels 6 in from the end',
    'wheel-place',
    { family: 'low-pen', facts: { wheels: { diameter: 8, fromEnd: 6 } } },
    'quiet',
  ],
  [
    'wheels 5 in from the end',
    'wheel-place',
    { family: 'low-pen', facts: { wheels: { diameter: 8, fromEnd: 5 } } },
    'tip',
  ],
  [
    'wheels 13 in from the end',
    'wheel-place',
    { family: 'low-pen', facts: { wheels: { diameter: 8, fromEnd: 13 } } },
    'tip',
  ],
  [
    'a third roofed',
    'shelter',
    { family: 'low-pen', facts: { roof: { pitch: 0, cover: 'metal', roofedShare: 1 / 3 } } },
    'quiet',
  ],
  [
    '30 % roofed',
    'shelter',
    { family: 'low-pen', facts: { roof: { pitch: 0, cover: 'metal', roofedShare: 0.3 } } },
    'warn',
  ],
  ['a hoop that rises 24', 'hoop-low', { family: 'hoop-pen', facts: { hoop: { rise: 24 } } }, 'quiet'],
  ['a hoop that rises 23', 'hoop-low', { family: 'hoop-pen', facts: { hoop: { rise: 23 } } }, 'tip'],
  ['hoops 30 in apart', 'hoop-spacing', { family: 'hoop-pen', params: { hoops: 'pvc', hoopSpacing: 30 } }, 'quiet'],
  ['hoops 31 in apart', 'hoop-spacing', { family: 'hoop-pen', params: { hoops: 'pvc', hoopSpacing: 31 } }, 'tip'],
  [
    '16 in to fill under a bay',
    'bay-fill',
    { family: 'house-with-run', facts: { bays: { count: 3, fill: 16 } } },
    'quiet',
  ],
  [
    '17 in to fill under a bay',
    'bay-fill',
    { family: 'house-with-run', facts: { bays: { count: 3, fill: 17 } } },
    'warn',
  ],
  [
    'two courses of block',
    'tall-blocks',
    { family: 'walk-in', params: { foundation: 'blocks', blockCourses: 2 } },
    'quiet',
  ],
  [
    'three courses of block',
    'tall-blocks',
    { family: 'walk-in', params: { foundation: 'blocks', blockCourses: 3 } },
    'tip',
  ],
  [
    'rafters at 16 over studs at 16',
    'rafter-over-stud',
    { facts: { fit: { studSpacing: 16, rafterSpacing: 16 } } },
    'quiet',
  ],
  [
    'rafters at 24 over studs at 16',
    'rafter-over-stud',
    { facts: { fit: { studSpacing: 16, rafterSpacing: 24 } } },
    'tip',
  ],
  [
    'rafters at 24 over studs at 24',
    'rafter-over-stud',
    { facts: { fit: { studSpacing: 24, rafterSpacing: 24 } } },
    'quiet',
  ],
  // Mesh from a whole roll of 24, 36 or 48 in.
  [
    'a frame of 24',
    'mesh-roll',
    { family: 'low-pen', facts: { meshHeights: [{ height: 24, assembly: 'front' }] } },
    'quiet',
  ],
  [
    'a frame of 26',
    'mesh-roll',
    { family: 'low-pen', facts: { meshHeights: [{ height: 26, assembly: 'front' }] } },
    'tip',
  ],
  [
    'a wall over 48, which laps anyway',
    'mesh-roll',
    { family: 'low-pen', facts: { meshHeights: [{ height: 60, assembly: 'front' }] } },
    'quiet',
  ],
  // A tarp where it snows.
  [
    'a tarp under 19 psf of snow',
    'tarp-snow',
    { family: 'steep-roof-pen', params: { cover: 'tarp' }, rules: { snow: 19 } },
    'quiet',
  ],
  [
    'a tarp under 20 psf of snow',
    'tarp-snow',
    { family: 'steep-roof-pen', params: { cover: 'tarp' }, rules: { snow: 20 } },
    'tip',
  ],
  // Spans: a 2×4 at 16 in under 30 psf of snow carries well over 4 ft and never 20 ft.
  [
    'a rafter over 4 ft',
    'span-rafter',
    { facts: { spans: [{ what: 'rafter', item: '2x4', span: 48, spacing: 16, part: 'roof/rafter-1' }] } },
    'quiet',
  ],
  [
    'a rafter over 20 ft',
    'span-rafter',
    { facts: { spans: [{ what: 'rafter', item: '2x4', span: 240, spacing: 16, part: 'roof/rafter-1' }] } },
    'stop',
  ],
  [
    'a floor joist over 10 ft',
    'span-floor-joist',
    { facts: { spans: [{ what: 'floor joist', item: '2x4', span: 120, spacing: 16, part: 'base/joist-1' }] } },
    'stop',
  ],
  // Gate of a run that takes loads of chips.
  [
    'a run of 119 sq ft, whatever its gate',
    'gate-width',
    { family: 'house-with-run', params: { runGate: 28 }, capacity: { runArea: 119 } },
    'quiet',
  ],
  [
    'a run of 120 sq ft with a gate of 28',
    'gate-width',
    { family: 'house-with-run', params: { runGate: 28 }, capacity: { runArea: 120 } },
    'tip',
  ],
  [
    'a run of 120 sq ft with a gate of 34',
    'gate-width',
    { family: 'house-with-run', params: { runGate: 34 }, capacity: { runArea: 120 } },
    'quiet',
  ],
  // A raised floor that nobody stands on.
  [
    '19 sq ft without clean-out',
    'clean-out',
    { params: { cleanOutWall: 'none' }, capacity: { houseArea: 19 }, facts: { door: { ...door, clearHeight: 40 } } },
    'quiet',
  ],
  [
    '20 sq ft without clean-out',
    'clean-out',
    { params: { cleanOutWall: 'none' }, capacity: { houseArea: 20 }, facts: { door: { ...door, clearHeight: 40 } } },
    'tip',
  ],
  [
    '20 sq ft that one walks in to',
    'clean-out',
    { params: { cleanOutWall: 'none' }, capacity: { houseArea: 20 }, facts: { door: { ...door, clearHeight: 60 } } },
    'quiet',
  ],
  // The way in.
  [
    'a gate as wide as the pen and two hands',
    'gate-pass',
    { family: 'low-pen', params: { width: 60, wheels: 'none' }, site: { slope: 0, gate: 63 } },
    'quiet',
  ],
  [
    'a gate as wide as the pen',
    'gate-pass',
    { family: 'low-pen', params: { width: 60, wheels: 'none' }, site: { slope: 0, gate: 60 } },
    'stop',
  ],
  ['no gate measured', 'gate-pass', { family: 'low-pen', params: { width: 60 }, site: { slope: 0 } }, 'quiet'],
];

describe('on both sides of every limit', () => {
  it.each(LIMITS)('%s: %s', (_what, code, given, expected) => expect(severity(code, given)).toBe(expected));
});

describe('the values of the business move the limits', () => {
  const moved: readonly (readonly [string, Given, Partial<CheckRules>])[] = [
    ['ramp-pitch', { facts: { ramp: { rise: 24, angle: 38, length: 37 } } }, { rampWarn: 35 }],
    ['barrow-width', { facts: { door: { ...door, clearWidth: 32 } } }, { barrow: 34 }],
    ['headroom', { facts: { door: { ...door, clearHeight: 40 } } }, { reachIn: 44 }],
    ['inside-release', { facts: { door: { ...door, clearHeight: 26, insideRelease: false } } }, { personFits: 24 }],
    ['litter-threshold', { facts: { door } }, { litterLow: 9 }],
    ['ventilation', { capacity: { houseArea: 20 }, facts: { ventArea: 2 } }, { ventShare: 0.12 }],
    ['roost-above-nests', { facts: { nests, roosts: [{ ...roost, height: 20 }] } }, { roostOverNest: 10 }],
    ['roost-reach', { facts: { roosts: [roost] } }, { roostJump: 28 }],
    ['roost-spacing', { facts: { roosts: [roost] } }, { roostClear: 14 }],
    ['wheel-size', { family: 'low-pen', facts: { wheels: { diameter: 8, fromEnd: 8 } } }, { wheelLeast: 10 }],
    ['wheel-place', { family: 'low-pen', facts: { wheels: { diameter: 8, fromEnd: 8 } } }, { wheelTo: 7 }],
    [
      'shelter',
      { family: 'low-pen', facts: { roof: { pitch: 0, cover: 'metal', roofedShare: 0.4 } } },
      { roofedShare: 0.5 },
    ],
    ['bay-fill', { family: 'house-with-run', facts: { bays: { count: 3, fill: 12 } } }, { fillMost: 10 }],
    ['lid-weight', { family: 'low-pen', params: { lidLength: 36 } }, { lidMost: 3 }],
    ['gutters', { family: 'walk-in', params: { gutters: false, length: 72, depth: 60 } }, { gutterFrom: 10 }],
    ['pop-sill', { params: { threshold: 8 } }, { popSill: 12 }],
  ];
  it.each(moved)('%s', (code, given, rules) => {
    expect(severity(code, given)).toBe('quiet');
    expect(severity(code, { ...given, rules })).not.toBe('quiet');
  });
});
