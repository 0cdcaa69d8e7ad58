import { faultsOf } from '../../testing/testFamily.ts';
import { countOf, measureBounds } from '../unit/index.ts';
import type { Build, Fitting, Part } from '../unit/index.ts';
import { buildSpec, FITTING_STYLES, parseSpec } from '../model/index.ts';

// Every way in which a fitting is made, measured against sizes worked out by hand: gaps of 1/8 in, stiles of 3 1/2, mesh lapped an
// inch round an opening, channels one ply thicker than what slides in them.

type Params = Record<string, number | string | boolean>;
const BARE: Params = {
  length: 144,
  depth: 96,
  wallHeight: 84,
  innerWall: false,
  liner: false,
  doorWall: 'none',
  windowWall: 'none',
  popWall: 'none',
  nestWall: 'none',
  cleanOutWall: 'none',
  roostBars: 0,
};
const build = (params: Params, fittings: readonly Partial<Fitting>[] = [], family = 'walk-in'): Build => {
  const doors = family === 'walk-in' ? { ...BARE, doorWall: 'front' } : {};
  const made = buildSpec(parseSpec({ family, params: { ...doors, ...params }, fittings }));
  expect(faultsOf(made)).toEqual([]);
  return made;
};
const one = (kind: Fitting['kind'], style: Fitting['style'], more: Partial<Fitting> = {}): Partial<Fitting> => ({
  id: 'f',
  kind,
  style,
  wall: 'back',
  left: 40,
  bottom: 40,
  width: 24,
  height: 20,
  ...more,
});
const of = (b: Build, id: RegExp): Part[] => b.parts.filter((p) => id.test(p.id));
const box = (parts: readonly Part[]) => measureBounds(parts);
const near = (got: number | undefined, wanted: number) => expect(got ?? NaN).toBeCloseTo(wanted, 6);
const count = (b: Build, item: string) => countOf(b.joints, item);

describe('windows', () => {
  it('of mesh are an opening with mesh that laps it an inch all round, inside', () => {
    const b = build({}, [one('window', 'mesh')]);
    const [mesh] = of(b, /^f\/mesh$/);
    near(mesh && box([mesh]).size[0], 26);
    near(mesh && box([mesh]).size[2], 22);
    // The back wall's inner face is 3 1/2 in inside of its outer one at 96.
    near(mesh && box([mesh]).high[1], 92.5);
    expect(of(b, /^f\/.*skin/)).toEqual([]);
  });
  it('hung at the top are one sash with 1/8 in all round, hinged and latched', () => {
    const b = build({}, [one('window', 'top-hung')]);
    const sash = box(of(b, /^f\/(skin|stile|rail)/));
    near(sash.size[0], 23.75);
    near(sash.size[2], 19.75);
    expect(of(b, /^f\/mesh$/)).toHaveLength(1);
    expect(count(b, 'hinge')).toBeGreaterThanOrEqual(2);
  });
  it('that slide are two sashes that lap by a stile of 1 1/2', () => {
    const b = build({}, [one('window', 'sliding')]);
    const [left, right] = [box(of(b, /^f\/left-/)), box(of(b, /^f\/right-/))];
    // Half of 23 3/4 and half a stile: each 12 5/8, together 1 1/2 wider than the opening.
    near(left.size[0], 12.625);
    near(right.size[0], 12.625);
    const behind = Math.abs(left.low[1] - right.low[1]);
    expect(behind).toBeGreaterThan(0.5);
  });
});

describe('doors by hand', () => {
  const door = (style: Fitting['style']) => one('people door', style, { bottom: 0, width: 40, height: 70 });
  it.each([
    ['single', 1],
    ['double', 2],
    ['dutch', 2],
  ] as const)('%s have %s skins that fill the opening less its gaps', (style, leaves) => {
    const b = build({}, [door(style)]);
    const skins = of(b, /^f\/.*skin$/);
    expect(skins).toHaveLength(leaves);
    near(box(skins).size[0], 39.75);
    near(box(skins).size[2], 69.75);
  });
  it('double ones meet under an astragal of 2 1/2, each half of what the gaps leave', () => {
    const b = build({}, [door('double')]);
    for (const skin of of(b, /^f\/(left|right)-skin$/)) near(box([skin]).size[0], (39.75 - 0.125) / 2);
    near(of(b, /^f\/astragal$/)[0]?.width, 2.5);
  });
  it('wider than a sheet are made double, and a note says so of the parameters’ own', () => {
    const b = build({ doorWall: 'front', doorStyle: 'single', doorWidth: 48, doorHeight: 74 });
    expect(of(b, /^people-door\/(left|right)-skin$/)).toHaveLength(2);
    expect(b.notes.map((n) => n.code)).toContain('leaf-too-wide');
  });
  it('leave an inch and a half less than the opening between their stops', () => {
    const b = build({ doorWall: 'front', doorWidth: 34, doorHeight: 74 });
    near(b.facts.door?.clearWidth, 32.5);
    near(b.facts.door?.clearHeight, 73.25);
  });
});

describe('pop doors', () => {
  it.each(['sliding', 'motor'] as const)(
    '%s slide in channels that keep a quarter inch more than the panel',
    (style) => {
      const b = build({}, [one('pop door', style, { width: 11, height: 13, bottom: 12 })]);
      const [panel] = of(b, /\/panel$/);
      const channels = of(b, /\/channel-\d$/);
      near(panel && box([panel]).size[0], 13);
      near(panel && box([panel]).size[2], 14);
      near(panel?.thickness, 0.5);
      expect(channels.map((p) => p.thickness)).toEqual([0.75, 0.75]);
      // Twice the panel, so that it opens wholly.
      for (const c of channels) near(c.length, 28);
      expect(count(b, style === 'motor' ? 'motor' : 'latch')).toBeGreaterThanOrEqual(1);
      expect(count(b, 'motor')).toBe(style === 'motor' ? 1 : 0);
    },
  );
});

describe('nest rows by hand', () => {
  it.each(['outside lid', 'drop front'] as const)(
    '%s hang on a ledger over an opening with its sill at the floor',
    (style) => {
      const b = build({ overhangBack: 16 }, [one('nest', style, { width: 24.5, height: 12, bottom: 16 })]);
      const [opening] = b.openings.filter((o) => o.kind === 'nest');
      expect(opening).toMatchObject({ left: 40, width: 24.5, height: 12, bottom: 16 });
      const row = b.assemblies.find((a) => a.kind === 'nest');
      const parts = b.parts.filter((p) => p.assembly === row?.id);
      const floor = parts.find((p) => p.name === 'nest floor');
      const ledger = parts.find((p) => p.name === 'nest ledger');
      near(floor && ledger && box([ledger]).high[2], floor ? box([floor]).low[2] : NaN);
      const sill = b.parts.find((p) => p.assembly === 'back-wall' && p.role === 'sill');
      near(sill && box([sill]).high[2], floor ? box([floor]).high[2] : NaN);
    },
  );
});

describe('vents and clean-outs by hand', () => {
  it('a vent is meshed and adds its area', () => {
    const [without, withIt] = [build({}), build({}, [one('vent', 'mesh', { width: 24, height: 6, bottom: 60 })])];
    near(withIt.facts.ventArea - without.facts.ventArea, 1);
  });
  it('a clean-out is a door at the floor', () => {
    const b = build({}, [one('clean-out', 'single', { bottom: 0, height: 9, width: 30 })]);
    const [opening] = b.openings.filter((o) => o.kind === 'clean-out');
    near(opening?.bottom, 0);
    expect(of(b, /^f\/skin$/)).toHaveLength(1);
  });
});

describe('roosts', () => {
  const ROOST: Params = { roostBars: 3, roostHeight: 40, roostStep: 0 };
  it('flat are 2×4 on their wide face, 12 in from the wall and from each other', () => {
    const bars = of(build({ ...ROOST, roostKind: 'flat' }), /^roosts\/bar-/).map((p) => box([p]));
    const back = Math.max(...bars.map((b) => b.high[1]));
    near(92.5 - back, 12);
    const fronts = bars.map((b) => b.low[1]).sort((m, n) => m - n);
    near((fronts[1] ?? 0) - (fronts[0] ?? 0), 15.5);
    for (const b of bars) near(b.size[2], 1.5);
  });
  it('poles are round, 1 3/8 in, as many as flat bars', () => {
    const poles = of(build({ ...ROOST, roostKind: 'pole' }), /^roosts\/bar-/);
    expect(new Set(poles.map((p) => p.item))).toEqual(new Set(['pole-1-3/8']));
    // 137 in of room is more than a pole of 8 ft: each is two, met on a post.
    expect(poles).toHaveLength(6);
    for (const p of poles) near(box([p]).size[2], 1.375);
  });
  it('a shelf is a sheet at the height of the bars', () => {
    const b = build({ ...ROOST, roostKind: 'shelf' });
    const shelf = box(of(b, /^roosts\/shelf/));
    near(shelf.high[2] - b.facts.floorHeight, 40);
    near(shelf.size[2], 0.75);
  });
  it('a droppings board has its underside 8 in under them', () => {
    const b = build({ ...ROOST, roostKind: 'flat', droppingsBoard: true });
    const board = box(b.parts.filter((p) => p.assembly === 'roosts' && p.item.startsWith('ply')));
    near(board.low[2] - b.facts.floorHeight, 40 - 1.5 - 8);
  });
});

describe('wheels', () => {
  const pen = (wheelHow: string) => build({ wheels: 'wheel-10', wheelHow }, [], 'steep-roof-pen');
  it.each([
    ['fixed', 0, 0],
    ['lever', 2, 0],
    ['slip-on', 0, 2],
  ])('%s take %s levers and %s pins', (how, levers, pins) => {
    const b = pen(how);
    expect([count(b, 'wheel-lever'), count(b, 'slip-pin')]).toEqual([levers, pins]);
    expect(count(b, 'axle-bolt')).toBe(2);
    const wheels = of(b, /^moving\/wheel-/).map((p) => box([p]));
    expect(wheels).toHaveLength(2);
    // They stand on the ground, ten inches high.
    for (const w of wheels) {
      near(w.low[2], 0);
      near(w.size[2], 10);
    }
  });
});

it('every style of every kind can be put by hand', () => {
  for (const kind of ['people door', 'window', 'vent', 'pop door', 'nest', 'clean-out'] as const)
    for (const style of FITTING_STYLES[kind]) {
      const low = kind === 'people door' || kind === 'clean-out';
      const b = build({ overhangBack: 16 }, [
        one(kind, style, { bottom: low ? 0 : 20, height: kind === 'people door' ? 60 : 12 }),
      ]);
      expect([kind, style, b.openings.some((o) => o.id === 'back-wall/f')]).toEqual([kind, style, true]);
    }
});
