import { Ajv2020 } from 'ajv/dist/2020.js';
import Papa from 'papaparse';
import { groupParts } from '../unit/index.ts';
import { drawBuild, drawPads, viewsOf, ViewError } from '../draw/index.ts';
import { FAMILIES, buildSpec, parseSpec, SpecError } from '../model/index.ts';
import { planPads, readSurvey } from '../site/index.ts';
import { specSchema } from './specSchema.ts';
import { writeBuild } from './writeBuild.ts';
import { writeCutList } from './writeCutList.ts';
import { writeSvg } from './writeSvg.ts';

const house = buildSpec(parseSpec({ family: 'raised-lean-to', params: {} }));

describe('cut list', () => {
  it('is read back by an independent reader with every part counted', () => {
    const { data, errors } = Papa.parse<Record<string, string>>(writeCutList(house).trim(), { header: true });
    expect(errors).toEqual([]);
    expect(data.reduce((sum, r) => sum + Number(r.quantity), 0)).toBe(house.parts.length);
  });
});

describe('writeBuild', () => {
  const out = writeBuild(house);
  it('groups every part and puts the long point first', () => {
    expect(out.parts.reduce((sum, p) => sum + p.quantity, 0)).toBe(house.parts.length);
    for (const p of out.parts) expect(p.shortPoint).toBeLessThanOrEqual(p.length + 1e-9);
  });
  it('has a rim of the whole floor with three inches less between the ends: 48 leaves 45 (common practice, no source)', () => {
    const small = writeBuild(buildSpec(parseSpec({ family: 'raised-lean-to', params: { length: 48, depth: 39 } })));
    expect(small.parts.find((p) => p.name === 'long rim')).toMatchObject({ length: 48, quantity: 2 });
    const build = buildSpec(parseSpec({ family: 'raised-lean-to', params: { length: 48, depth: 39 } }));
    const ends = build.parts.filter((p) => p.name === 'end rim').map((p) => p.place.origin[0]);
    expect(Math.max(...ends) - Math.min(...ends) - 1.5).toBe(45);
  });
  it('gives 19 in uprights for 2×3 frames on edge and 24 in netting; a 48 in pen has ends of 45 (common practice, no source)', () => {
    const pen = writeBuild(buildSpec(parseSpec({ family: 'low-pen', params: { height: 24, width: 48 } })));
    expect(pen.parts.find((p) => p.role === 'upright')?.length).toBe(19);
    expect(pen.parts.find((p) => p.name.endsWith('end bottom rail'))?.length).toBe(45);
  });
});

describe('picket pen 3 × 6 ft, worked out by hand', () => {
  // Sides are whole pickets; ends are half pickets, 72 less a kerf of 1/8 over 2; 22 in is four boards of 5 1/2.
  const pen = buildSpec(
    parseSpec({ family: 'low-pen', params: { construction: 'picket', length: 72, width: 35.9375 + 1.25, height: 22 } }),
  );
  const lines = groupParts(pen.parts)
    .filter((g) => g.part.item === 'picket' || g.part.item.startsWith('2x'))
    .map((g) => [g.part.role, g.part.item, g.part.length, g.quantity]);
  it('cuts line by line', () => {
    expect(lines).toContainEqual(['board', 'picket', 72, 8]);
    expect(lines).toContainEqual(['board', 'picket', 35.9375, 8]);
    expect(lines).toContainEqual(['lid', 'picket', 35.9375, 12]);
    expect(lines).toContainEqual(['upright', '2x2', 22, pen.parts.filter((p) => p.role === 'upright').length]);
  });
  it('holds the lid batten 3/4 in from the rail', () => {
    const rail = pen.parts.find((p) => p.id === 'top/centre-rail');
    const batten = pen.parts.find((p) => p.id === 'lid-right/batten-1');
    const railEdge = Math.max(...[0, 3.5].map((q) => (rail?.place.origin[0] ?? 0) + q * (rail?.place.v[0] ?? 0)));
    expect((batten?.place.origin[0] ?? 0) - railEdge).toBeCloseTo(0.75, 6);
  });
});

describe('drawings', () => {
  it.each(viewsOf(house))('%s is drawn, with its sizes', (view) => {
    const svg = writeSvg(drawBuild(house, view));
    expect(svg.startsWith('<svg')).toBe(true);
    expect(svg).not.toMatch(/NaN|undefined/);
    if (view === 'front') expect(svg).toContain('72&quot;');
  });
  it('names the views there are', () => expect(() => drawBuild(house, 'top')).toThrow(ViewError));
  it('draws pads with their heights', () => {
    const plan = planPads(
      readSurvey({
        pads: [
          { id: 'a', x: 0, y: 0, rod: 50 },
          { id: 'b', x: 72, y: 0, rod: 60 },
          { id: 'c', x: 72, y: 48, rod: 60 },
        ],
      }),
    );
    expect(writeSvg(drawPads(plan))).toContain('10&quot; up');
  });
});

describe('spec schema', () => {
  const validate = new Ajv2020({ strict: false }).compile(specSchema());
  it('accepts what the reader accepts and refuses what it refuses', () => {
    const cases: unknown[] = [
      ...FAMILIES.map((f) => ({ family: f.key, schema: f.schema, params: {} })),
      { family: 'raised-lean-to', mirrored: true },
      { family: 'raised-lean-to', mirrored: 'yes' },
      {
        family: 'walk-in',
        fittings: [
          { id: 'w', kind: 'window', style: 'mesh', wall: 'back', left: 20, bottom: 20, width: 20, height: 12 },
        ],
      },
      {
        family: 'walk-in',
        fittings: [{ id: 'w', kind: 'window', wall: 'top', left: 20, bottom: 20, width: 20, height: 12 }],
      },
      {
        family: 'walk-in',
        fittings: [{ id: 'w', kind: 'window', wall: 'back', left: 20, bottom: 20, width: 200, height: 12 }],
      },
      { family: 'walk-in', fittings: [{ id: 'w' }] },
      {
        family: 'low-pen',
        fittings: [{ id: 'w', kind: 'window', wall: 'back', left: 20, bottom: 20, width: 20, height: 12 }],
      },
      { family: 'low-pen', params: { height: 12 } },
      { family: 'low-pen', params: { hight: 24 } },
      { family: 'low-pen', params: { ropes: 'yes' } },
      { family: 'yurt', params: {} },
      { family: 'raised-lean-to', schema: 9, params: {} },
      { family: 'raised-lean-to', params: { nestCount: 2.5 } },
      { family: 'raised-lean-to', params: { studSpacing: 20 } },
    ];
    for (const c of cases) {
      let reads = true;
      try {
        parseSpec(c);
      } catch (error) {
        if (!(error instanceof SpecError)) throw error;
        reads = false;
      }
      expect([c, validate(c)]).toEqual([c, reads]);
    }
  });
});

describe('parseSpec', () => {
  const why = (json: unknown): string => {
    try {
      parseSpec(json);
    } catch (error) {
      return (error as Error).message;
    }
    return '';
  };
  it('names the parameter, the value and the range', () => {
    expect(why({ family: 'low-pen', params: { height: 60 } })).toBe(
      'height (Height): 60 is out of range; it takes 18" to 42".',
    );
    expect(why({ family: 'low-pen', params: { height: '24 kg' } })).toMatch(
      /height \(Height\): "24 kg" is not a length in inches, feet or millimetres; it takes 18" to 42"/,
    );
    expect(why({ family: 'low-pen', params: { hight: 24 } })).toMatch(
      /hight: 24 is set, but low-pen has no such parameter/,
    );
  });
  it('reads lengths with their unit', () =>
    expect(parseSpec({ family: 'low-pen', params: { height: '609.6 mm' } }).params.height).toBeCloseTo(24, 9));
  it('brings an older schema up and refuses a newer one', () => {
    expect(parseSpec({ family: 'raised-lean-to', schema: 1, params: { legs: 30 } }).params.legHeight).toBe(30);
    expect(parseSpec({ family: 'raised-lean-to', schema: 2, params: { runSkirt: false } }).params.runDig).toBe('none');
    expect(parseSpec({ family: 'raised-lean-to', schema: 2, params: { runSkirt: true } }).params.runDig).toBe('skirt');
    expect(why({ family: 'raised-lean-to', schema: 4, params: {} })).toMatch(/made by a newer Rubbet/);
  });
});
