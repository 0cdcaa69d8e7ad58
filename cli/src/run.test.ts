import { run } from './run.ts';

const call = (args: string[], input: unknown = undefined) =>
  run(args, {
    readFile: (path) => {
      throw new Error(`no file ${path}`);
    },
    readInput: () => (typeof input === 'string' ? input : JSON.stringify(input ?? '')),
  });
const read = (args: string[], input?: unknown) => {
  const result = call(args, input);
  expect(result.error).toBe('');
  return JSON.parse(result.out);
};
const pen = { family: 'low-pen', schema: 1, params: { width: 48 } };

describe('rubbet', () => {
  it('lists families and gives a spec that builds', () => {
    const families = read(['families']).map((f: { family: string }) => f.family);
    expect(families).toHaveLength(12);
    expect(families).toEqual(expect.arrayContaining(['low-pen', 'hoop-pen', 'walk-in', 'house-with-run']));
    for (const family of families) expect(read(['build'], read(['defaults', family])).weight).toBeGreaterThan(50);
  });
  it('builds with marks, cuts, quantities, bounds and centre', () => {
    const out = read(['build', '-'], pen);
    const rail = out.parts.find((p: { name: string }) => p.name === 'front side bottom rail');
    expect(rail).toMatchObject({
      item: '2x3-pt',
      length: 96,
      quantity: 2,
      fit: 'cut to length',
      cuts: [
        { end: 'start', kind: 'square', angle: 0 },
        { end: 'end', kind: 'square', angle: 0 },
      ],
    });
    expect(out.centre[1]).toBeCloseTo(24, 0);
    expect(out.bounds.size[0]).toBeGreaterThanOrEqual(96);
  });
  it('plans sheets for a saw, with cuts in sequence, a bound and what it cannot cut', () => {
    const out = read(['sheets'], {
      kerf: 0.125,
      saw: 'table',
      stock: [{ item: 'ply', length: 96, width: 48, cost: 3200, quantity: null }],
      pieces: [
        { id: 'a', item: 'ply', length: 47.5, width: 23.5, quantity: 4, grain: true },
        { id: 'b', item: 'ply', length: 100, width: 10, quantity: 1, grain: false },
      ],
    });
    expect(out).toMatchObject({ cost: 3200, bound: 3200, proved: false, unplaced: [{ id: 'b', quantity: 1 }] });
    expect(out.sheets[0].pieces).toHaveLength(4);
    // The table saw rips along the whole sheet first.
    expect(out.sheets[0].cuts[0]).toEqual({ along: 'length', at: 23.5, from: 0, to: 96 });
    expect(call(['sheets'], { stock: [], pieces: [], saw: 'band' })).toMatchObject({
      code: 2,
      error: expect.stringMatching(/it must be "track" or "table"/),
    });
  });
  it('frames and buys from the lengths that a shop carries, at what it pays', () => {
    const files: Record<string, unknown> = {
      'house.json': { family: 'walk-in', params: { length: 192 } },
      'items.json': {
        '2x4': {
          lengths: [
            { length: 120, cost: 700 },
            { length: 144, cost: 800 },
          ],
          gravity: 0.5,
        },
        '2x4-pt': {
          lengths: [
            { length: 96, cost: 600 },
            { length: 144, cost: 900 },
          ],
        },
      },
      'wrong.json': { '2x4': { lengths: [{ length: 6, cost: 1 }] } },
    };
    const call = (...args: string[]) => run(args, { readFile: (p) => JSON.stringify(files[p]), readInput: () => '' });
    const lines = (...args: string[]): { item: string; size: string; each: number }[] =>
      (
        JSON.parse(call('takeoff', 'house.json', ...args).out) as {
          lines: { item: string; size: string; each: number }[];
        }
      ).lines;
    const of = (list: { item: string; size: string }[], item: string) =>
      [...new Set(list.filter((l) => l.item === item).map((l) => l.size))].sort();
    const own = lines('--items', 'items.json');
    expect(of(own, '2x4').every((size) => ['10 ft', '12 ft'].includes(size))).toBe(true);
    expect(own.find((l) => l.item === '2x4' && l.size === '12 ft')?.each).toBe(800);
    // A plate of sixteen feet is one stick where those are carried, and is joined where they are not.
    const longest = (...args: string[]): number =>
      Math.max(
        ...(JSON.parse(call('build', 'house.json', ...args).out) as { parts: { item: string; length: number }[] }).parts
          .filter((p) => p.item === '2x4')
          .map((p) => p.length),
      );
    expect(longest()).toBeGreaterThan(144);
    expect(longest('--items', 'items.json')).toBeLessThanOrEqual(144);
    const weight = (...args: string[]): number =>
      (JSON.parse(call('mass', 'house.json', ...args).out) as { weight: number }).weight;
    expect(weight('--items', 'items.json')).toBeGreaterThan(weight());
    expect(call('takeoff', 'house.json', '--items', 'wrong.json')).toMatchObject({
      code: 2,
      error: '2x4.lengths[0].length is 6; sticks are 24 to 384 in long.',
    });
    expect(call('cut', 'house.json', '--items', 'items.json').error).toMatch(/cut has no option --items/);
  });
  describe('of a shop', () => {
    const trades = ['saw', 'framing', 'paint', 'loading', 'driving', 'site'];
    const works = {
      first: '2026-03-02',
      people: [
        { id: 'Ada', skills: trades },
        { id: 'Bo', skills: trades },
      ],
      places: ['saw', 'bay', 'yard'].map((kind) => ({ id: kind, kind })),
      trailers: ['trailer'],
      orders: [
        { id: 'A', due: '2026-03-03' },
        { id: 'B', due: '2026-03-02' },
      ],
      operations: ['A', 'B'].map((order) => ({
        id: `${order}/frame`,
        order,
        place: 'bay',
        minutes: 480,
        skill: 'framing',
      })),
    };
    const files: Record<string, unknown> = {
      'shop.json': works,
      'house.json': { family: 'raised-lean-to', params: {} },
    };
    const call = (...args: string[]) =>
      run(args, { readFile: (path) => JSON.stringify(files[path]), readInput: () => '' });
    it('gives the plan with what it costs, its bound and what clashes', () => {
      const out = JSON.parse(call('schedule', 'shop.json').out);
      expect(out.plan.map((p: { operation: string; start: string }) => [p.operation, p.start])).toEqual([
        ['B/frame', '2026-03-02T08:00'],
        ['A/frame', '2026-03-03T08:00'],
      ]);
      expect([out.cost.total, out.bound, out.late, out.faults]).toEqual([0, 0, [], []]);
      files['bad.json'] = { ...works, first: 'Monday' };
      expect(call('schedule', 'bad.json')).toMatchObject({
        code: 2,
        error: expect.stringMatching(/a day like 2026-03-02/),
      });
    });
    it('promises a unit for days that are the later the surer they must be', () => {
      // The bay is taken for four weeks, one person in it.
      const operations = works.operations.map((o) => ({ ...o, minutes: 4800 }));
      files['busy.json'] = { ...works, operations };
      const out = JSON.parse(call('promise', 'busy.json', 'house.json', '--miles', '12').out);
      expect(out.planned > '2026-03-27').toBe(true);
      expect(out.days['50'] <= out.days['80'] && out.days['80'] <= out.days['95']).toBe(true);
      expect(out.inTheWay[0]).toMatchObject({ what: 'place', name: 'bay' });
      expect(call('promise', 'shop.json')).toMatchObject({ code: 2, error: expect.stringMatching(/takes two files/) });
    });
  });
  it('plans several specs as one batch, from what lies on the rack', () => {
    const files: Record<string, unknown> = {
      'pen.json': pen,
      'lid.json': { family: 'low-pen', params: { width: 36 } },
      'rack.json': { sticks: [{ item: '2x3-pt', length: 60, quantity: 2 }] },
    };
    const batch = (args: string[]) =>
      run(['batch', ...args], {
        readFile: (path) => {
          if (!(path in files)) throw new Error(path);
          return JSON.stringify(files[path]);
        },
        readInput: () => '',
      });
    const out = JSON.parse(batch(['pen.json:3', 'lid.json']).out);
    expect(out.units).toEqual([
      { file: 'pen.json', family: 'low-pen', quantity: 3 },
      { file: 'lid.json', family: 'low-pen', quantity: 1 },
    ]);
    for (const k of ['sticks', 'sheets', 'mesh']) expect(out.cost[k]).toBeLessThanOrEqual(out.alone[k]);
    expect(
      out.sticks.sticks.flatMap((s: { cuts: { id: string }[] }) => s.cuts.map((c) => c.id.slice(0, 2))).sort()[0],
    ).toBe('1.');
    const fromRack = JSON.parse(batch(['pen.json', '--rack', 'rack.json']).out);
    expect(fromRack.sticks.sticks.filter((s: { cost: number }) => s.cost === 0).length).toBeGreaterThan(0);
    expect(batch(['pen.json:99'])).toMatchObject({ code: 2, error: expect.stringMatching(/from 1 to 50/) });
    expect(batch([])).toMatchObject({ code: 2, error: expect.stringMatching(/at least one spec/) });
    expect(batch(['none.json:2'])).toMatchObject({
      code: 2,
      error: expect.stringMatching(/none\.json cannot be read/),
    });
  });
  it('checks, takes off, steps, weighs', () => {
    expect(Array.isArray(read(['check'], pen).findings)).toBe(true);
    expect(read(['takeoff'], pen).cost).toBeGreaterThan(1000);
    expect(read(['steps'], pen).steps.length).toBeGreaterThan(10);
    expect(read(['mass'], pen)).toMatchObject({
      weight: expect.any(Number),
      lift: expect.any(Number),
      tipsAt: expect.any(Number),
    });
  });
  it('drives out and back by the miles, once for all units', () => {
    const minutes = (args: string[], id: string) =>
      read(['steps', ...args], pen).steps.find((s: { id: string }) => s.id === id).minutes as number;
    expect(minutes([], 'deliver')).toBe(10);
    expect(minutes(['--miles', '35'], 'deliver')).toBe(70);
    expect(minutes(['--miles', '35'], 'return')).toBe(70);
    const block = (args: string[]) =>
      read(['steps', ...args], pen).operations.find((o: { key: string }) => o.key === 'deliver').minutes as number;
    expect(block(['--miles', '35', '--quantity', '3']) - block(['--miles', '35'])).toBeLessThan(140);
    for (const [args, words] of [
      [['--miles', 'far'], /--miles is "far"; it takes a whole number from 0 to 500/],
      [['--quantity', '0'], /--quantity is "0"/],
      [['--miles'], /--miles needs a number of miles/],
    ] as const)
      expect(run(['steps', ...args], { readFile: () => '', readInput: () => JSON.stringify(pen) })).toMatchObject({
        code: 2,
        error: expect.stringMatching(words),
      });
  });
  it('counts several units together, each doubling a little quicker', () => {
    const one = read(['steps'], pen);
    const ten = read(['steps', '--quantity', '10'], pen);
    const saw = (out: { steps: { id: string; text: string[]; batch?: string }[] }) =>
      out.steps.filter((s) => s.batch === 'by unit');
    expect(saw(ten).map((s) => s.id)).toEqual(saw(one).map((s) => s.id));
    expect(saw(ten).find((s) => s.id.startsWith('cut-2x'))?.text[0]).toMatch(/ pieces for all 10 units, /);
    expect(ten.steps.find((s: { id: string }) => s.id === 'pattern')).toMatchObject({ batch: 'whole', place: 'shop' });
    // 10 units at 0.95 take 8.954 times the labour of one: the sum of n^-0.074, worked out by hand.
    const pattern = ten.steps.find((s: { id: string }) => s.id === 'pattern').minutes;
    expect((ten.labour.shop - pattern) / one.labour.shop).toBeCloseTo(8.954, 2);
    expect(ten.labour.road).toBe(one.labour.road);
  });
  it('cuts by the stated format', () => {
    const demand = {
      kerf: 0.125,
      endTrim: 0,
      stock: [{ item: '2x4', length: 96, cost: 420, quantity: null }],
      pieces: [{ id: 'a', item: '2x4', length: 45.5, quantity: 4 }],
    };
    expect(read(['cut'], demand)).toEqual({
      sticks: [0, 1].map(() => ({
        item: '2x4',
        length: 96,
        cost: 420,
        cuts: [
          { id: 'a', length: 45.5 },
          { id: 'a', length: 45.5 },
        ],
        left: 4.75,
      })),
      cost: 840,
      bound: 840,
      proved: true,
      unplaced: [],
    });
  });
  it('levels a site and draws', () => {
    const survey = {
      pads: [
        { id: 'a', x: 0, y: 0, rod: 50 },
        { id: 'b', x: 72, y: 0, rod: 58 },
        { id: 'c', x: 0, y: 48, rod: 50 },
      ],
    };
    expect(read(['site'], survey).pads[1].height).toBe(8);
    expect(call(['draw', '-', '--view', 'plan', '--svg'], pen).out).toMatch(/^<svg/);
    expect(call(['cutlist', '--csv'], pen).out).toMatch(/^mark,name,role,item/);
  });
  it.each([
    [['fly'], '', /no verb "fly"/],
    [[], '', /rubbet VERB/],
    [['build'], '{', /standard input is not JSON/],
    [['build'], '', /empty|not a/],
    [['build', 'gone.json'], '', /gone.json cannot be read/],
    [['build'], { family: 'yurt' }, /"yurt" is not a family/],
    [
      ['build'],
      { family: 'low-pen', params: { height: 99 } },
      /height \(Height\): 99 is out of range; it takes 18" to 42"/,
    ],
    [['defaults', 'yurt'], '', /no family "yurt"/],
    [['draw', '--svg', '--view', 'top'], pen, /no view "top"/],
    [['draw', '--pdf'], pen, /no option --pdf/],
    [['cut'], { stock: [], pieces: [{ id: 'a', item: '2x4', length: 'x' }] }, /pieces\[0\].length is "x"/],
    [['site'], { pads: [] }, /at least 3 pads/],
  ])('%j ends with one sentence and code 2', (args, input, message) => {
    const result = call(args, input);
    expect(result.code).toBe(2);
    expect(result.out).toBe('');
    expect(result.error).toMatch(message);
  });
  it('draws as DXF, in 3D, and compares two files', () => {
    expect(
      run(['draw', '-', '--view', 'section', '--dxf'], { readFile: () => '', readInput: () => JSON.stringify(pen) })
        .out,
    ).toMatch(/LWPOLYLINE/);
    expect(run(['draw', '-'], { readFile: () => '', readInput: () => JSON.stringify(pen) }).error).toMatch(
      /--svg or --dxf/,
    );
    const gltf = JSON.parse(run(['gltf', '-'], { readFile: () => '', readInput: () => JSON.stringify(pen) }).out) as {
      readonly asset: { readonly version: string };
    };
    expect(gltf.asset.version).toBe('2.0');
    const files: Record<string, unknown> = { a: pen, b: { ...pen, params: { width: 60 } } };
    const two = run(['compare', 'a', 'b'], { readFile: (path) => JSON.stringify(files[path]), readInput: () => '' });
    const difference = JSON.parse(two.out) as { readonly changed: readonly { readonly name: string }[] };
    expect(difference.changed.map((c) => c.name)).toContain('left end bottom rail');
    expect(run(['compare', 'a'], { readFile: () => '{}', readInput: () => '' }).error).toMatch(/takes two files/);
  });
});

describe('rubbet rolls', () => {
  interface Strip {
    readonly face: string;
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly length: number;
    readonly bent?: true;
  }
  interface Rolls {
    readonly rolls: readonly {
      readonly width: number;
      readonly length: number;
      readonly cost: number;
      readonly strips: readonly Strip[];
    }[];
    readonly cost: number;
    readonly faces: readonly {
      readonly face: string;
      readonly run: 'level' | 'upright';
      readonly strips: number;
      readonly seams: readonly number[];
      readonly onWood: boolean;
    }[];
  }
  const rollsOf = (family: string, params: object = {}): Rolls => read(['rolls', '-'], { family, schema: 1, params });
  it.each(['low-pen', 'raised-lean-to', 'house-with-run', 'barn-fit-out', 'raised-gable', 'hoop-pen'])(
    'of a %s lays every strip on its roll and names every face that it covers',
    (family) => {
      const out = rollsOf(family);
      const strips = out.rolls.flatMap((r) => r.strips);
      for (const r of out.rolls)
        for (const s of r.strips) {
          expect(s.x + s.length).toBeLessThanOrEqual(r.length + 1e-6);
          expect(s.y + s.width).toBeLessThanOrEqual(r.width + 1e-6);
        }
      expect(out.cost).toBe(out.rolls.reduce((sum, r) => sum + r.cost, 0));
      for (const f of out.faces) {
        expect([f.face, strips.filter((s) => s.face === f.face).length]).toEqual([f.face, f.strips]);
        expect(f.seams).toHaveLength(f.strips - 1);
      }
      const mesh = read(['build', '-'], { family, schema: 1, params: {} }).parts.filter(
        (p: { role: string }) => p.role === 'mesh',
      );
      expect(out.faces).toHaveLength(mesh.reduce((sum: number, p: { quantity: number }) => sum + p.quantity, 0));
    },
  );
  it('says where strips meet, and that wood lies behind', () => {
    const run = rollsOf('house-with-run').faces.filter((f) => f.face.endsWith('-front/mesh'));
    for (const f of run) expect(f).toMatchObject({ run: 'upright', onWood: true });
  });
  it('says which strip runs on round a corner', () => {
    const strips = rollsOf('raised-gable', { wrap: true }).rolls.flatMap((r) => r.strips);
    expect(strips.filter((s) => s.bent).map((s) => s.face)).toEqual([
      'under-right/mesh',
      'under-back/mesh',
      'under-left/mesh',
    ]);
  });
});

describe('rubbet method, foundation and steps by method', () => {
  const spec = (family: string, params: object = {}) => ({ family, schema: 1, params });
  const two = (verb: string, first: object, second: object) =>
    JSON.parse(
      run([verb, 'a.json', 'b.json'], {
        readFile: (path) => JSON.stringify(path === 'a.json' ? first : second),
        readInput: () => '',
      }).out,
    );

  it('gives each method with hours, days, trips, costs and reasons', () => {
    const out = two('method', spec('walk-in'), { miles: 40, gate: 48 });
    expect(out.method).toBe('panels');
    expect(out.proposals.map((p: { method: string }) => p.method)).toEqual(['whole', 'panels', 'on-site', 'kit']);
    for (const p of out.proposals) {
      expect(p.reasons.length).toBeGreaterThan(0);
      expect(p.price).toBeGreaterThan(p.cost);
      expect(p.travels.length).toBeGreaterThan(0);
    }
    expect(out.proposals[0]).toMatchObject({ method: 'whole', possible: false });
  });

  it.each(['whole', 'panels', 'on-site', 'kit'])(
    'steps made %s add up to joints and take-off of the same',
    (method) => {
      const unit = spec('walk-in', { length: 240, depth: 120 });
      const { steps, labour } = read(['steps', '-', '--method', method], unit);
      const { joints } = read(['joints', '-', '--method', method], unit);
      const { lines } = read(['takeoff', '-', '--method', method], unit);
      expect(steps.flatMap((s: { joints: string[] }) => s.joints).sort()).toEqual(
        joints.map((j: { id: string }) => j.id).sort(),
      );
      const count = (list: { item: string; count: number }[], item: string): number =>
        list.filter((f) => f.item === item).reduce((n, f) => n + f.count, 0);
      for (const line of lines as { kind: string; item: string; quantity: number }[])
        if (line.kind === 'hardware')
          expect([
            line.item,
            count(
              steps.flatMap((s: { fasteners: object[]; hardware: object[] }) => [...s.fasteners, ...s.hardware]),
              line.item,
            ),
          ]).toEqual([line.item, line.quantity]);
      const sum = (places: string[]): number =>
        steps
          .filter((s: { place: string; by?: string }) => places.includes(s.place) && s.by === undefined)
          .reduce((n: number, s: { minutes: number }) => n + s.minutes, 0);
      expect([labour.shop, labour.site]).toEqual([sum(['shop', 'load']), sum(['site'])]);
    },
  );

  it('gives what carries a unit, with what to buy, for a survey and without one', () => {
    const level = read(['foundation', '-'], spec('raised-lean-to'));
    expect(level).toMatchObject({ kind: 'pads', surveyed: false });
    expect(level.supports).toHaveLength(4);
    const pads = [0, 72, 72, 0].map((x, i) => ({ id: `p${i}`, x, y: i > 1 ? 48 : 0, rod: [50, 53, 60, 57][i] }));
    const falling = two('foundation', spec('raised-lean-to'), { pads });
    expect(falling.surveyed).toBe(true);
    expect(falling.buy.map((l: { item: string }) => l.item)).toContain('block-8');
  });

  it.each([
    [['steps', '-', '--method', 'crane'], /--method is "crane"; it takes one of whole, panels, on-site, kit/],
    [['steps', '-', '--method'], /--method needs one of whole/],
    [['method', 'a', 'b', 'c'], /at most one file more/],
  ])('%j is refused in a sentence', (args, words) => {
    const out = run(args, { readFile: () => '', readInput: () => JSON.stringify(spec('low-pen')) });
    expect(out.code).toBe(2);
    expect(out.error).toMatch(words);
  });

  it('a site that makes no sense is refused by name', () => {
    const out = run(['method', 'a.json', 'b.json'], {
      readFile: (path) => JSON.stringify(path === 'a.json' ? spec('low-pen') : { miles: 9000 }),
      readInput: () => '',
    });
    expect([out.code, out.error]).toEqual([2, 'miles is 9000; it must be a number from 0 to 500.']);
  });
});
