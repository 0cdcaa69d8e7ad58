import { defaultsOf, FAMILIES, parseSpec } from '../model/index.ts';
import { planLoad } from '../haul/index.ts';
import { planPads } from '../site/index.ts';
import { drawBuild } from '../draw/index.ts';
import { STOCK } from '../stock/index.ts';
import { adviseMoving } from '../flock/index.ts';
import { BUSINESS_RULES } from './businessRules.ts';
import { computeOrder } from './computeOrder.ts';
import { makeShow, printCents } from './show.ts';

const mm = makeShow({ style: 'mm', denominator: 16 }, 'EUR');
const feet = makeShow({ style: 'feet-inches', denominator: 32 });
const inches = makeShow(BUSINESS_RULES.units);

/** Whatever still counts in inches, feet, pounds, miles and the like once names of stock and slopes are taken out. */
const names = STOCK.map((i) => i.name).sort((a, b) => b.length - a.length);
const leftOver = (text: string): string | undefined => {
  const plain = names
    .reduce((t, n) => t.replaceAll(n, ''), text)
    .replace(/[\d.½¼¾]+ in 12\b/g, '')
    .replace(/\b4 × 8 ft\b/g, '');
  return /[″′]|\d ?["']|[\d½¼¾⅛⅜⅝⅞] (?:in|ft|sq ft|lb|mph|psf|miles?)\b/.exec(plain) ? text : undefined;
};

/** Every sentence of a thing, wherever it stands. Ids, marks and kinds are no sentences. */
const SILENT = new Set([
  'id',
  'mark',
  'assembly',
  'parts',
  'needs',
  'view',
  'item',
  'where',
  'code',
  'part',
  'key',
  'role',
]);
const sentences = (value: unknown, out: string[] = []): string[] => {
  if (typeof value === 'string') out.push(value);
  else if (Array.isArray(value)) value.forEach((v) => sentences(v, out));
  else if (typeof value === 'object' && value !== null)
    for (const [k, v] of Object.entries(value)) if (!SILENT.has(k)) sentences(v, out);
  return out;
};

/** Ends of every range at once, so that as many rules as possible have something to say. */
const extremes = (family: (typeof FAMILIES)[number], end: 'min' | 'max') =>
  Object.fromEntries(
    family.params.map((p) => [
      p.key,
      p.kind === 'length' || p.kind === 'count'
        ? p[end]
        : p.kind === 'choice'
          ? (p.choices.at(end === 'min' ? 0 : -1)?.value ?? defaultsOf(family.params)[p.key])
          : end === 'max',
    ]),
  );

describe('everything that is said, read out in millimetres', () => {
  it.each(
    FAMILIES.flatMap((f) =>
      ([undefined, 'min', 'max'] as const).map((end) => [f.key, end ?? 'usual', f, end] as const),
    ),
  )('has no inch, foot, pound or mile left: %s, %s', (_key, _end, family, end) => {
    const params = { ...defaultsOf(family.params), ...(end ? extremes(family, end) : {}) };
    const spec = parseSpec({ family: family.key, params });
    const flock = {
      kind: 'layers',
      now: 9,
      later: 14,
      breed: 'large',
      ranging: false,
      mover: 'one adult',
      moves: 'daily',
    } as const;
    const { build, findings, steps, takeoff } = computeOrder({ spec, flock }, BUSINESS_RULES, 'quick');
    const trailer = {
      id: 't',
      name: 'trailer',
      bedLength: 120,
      bedWidth: 60,
      bedHeight: 30,
      carries: 300,
      weight: 900,
      tilt: true,
    };
    const said = sentences([
      family.params.map((p) => [p.label, p.help, p.kind === 'choice' ? p.choices.map((c) => c.label) : []]),
      family.purpose,
      findings.map((f) => [f.what, f.why, f.fix?.label]),
      steps.map((s) => [s.title, s.text, s.cautions, s.gate?.what, s.tools]),
      build.notes.map((n) => n),
      build.assemblies.map((a) => [a.name, a.joins?.how, a.tapes.map((t) => t.title)]),
      build.parts.map((p) => [p.name, p.notches]),
      takeoff.lines.map((l) => l.name),
      planLoad(build, trailer, { quantity: 3 }),
      adviseMoving(flock, 15),
    ]);
    expect(said.length).toBeGreaterThan(60);
    expect(said.map((t) => mm.text(t)).flatMap((t) => leftOver(t) ?? [])).toEqual([]);
    const texts = ['three', 'front', 'section'].flatMap((view) =>
      drawBuild(build, view).items.flatMap((i) =>
        i.kind === 'text' ? [i.length === undefined ? mm.text(i.text) : mm.length(i.length)] : [],
      ),
    );
    expect(texts.flatMap((t) => leftOver(t) ?? [])).toEqual([]);
  });
  it('of the ground as well', () => {
    const pads = planPads({
      lift: 3,
      pads: [0, 9, 31, 22].map((rod, i) => ({
        id: `${i}`,
        name: `pad ${i}`,
        x: i % 2 ? 96 : 0,
        y: i > 1 ? 72 : 0,
        rod: 40 + rod,
      })),
    });
    expect(pads.warnings.length).toBeGreaterThan(0);
    expect(pads.warnings.map((w) => mm.text(w)).flatMap((t) => leftOver(t) ?? [])).toEqual([]);
  });
});

describe('figures for a reader', () => {
  // By hand from the exact factors: 25.4 mm, 0.45359237 kg, 0.09290304 m², 1.609344 km, 0.04788026 kPa.
  it.each([
    [mm.length(64.5), '1638 mm'],
    [mm.size(97.5), '2477 mm'],
    [mm.weight(412), '187 kg'],
    [mm.area(28), '2.6 m²'],
    [mm.speed(45), '72 km/h'],
    [mm.load(30), '1.44 kPa'],
    [mm.distance(12), '19 km'],
    [mm.money(123456), '€1,234.56'],
    [feet.length(64.53125), `5' 4 17/32"`],
    [inches.length(64.53), '64 1/2"'],
    [inches.size(97.5), `8' 1 1/2"`],
    [inches.weight(1412), '1,412 lb'],
    [inches.area(28.44), '28.4 sq ft'],
    [inches.distance(12), '12 miles'],
    [inches.money(undefined), ''],
  ])('%s', (shown, expected) => expect(shown).toBe(expected));
  it('are read back in the unit that they are shown in', () => {
    expect(mm.read('1638')).toBeCloseTo(1638 / 25.4, 9);
    expect(mm.read('1.638 m')).toBeCloseTo(1638 / 25.4, 9);
    expect(mm.read('64 1/2"')).toBe(64.5);
    expect(inches.read('64 1/2')).toBe(64.5);
    for (const q of ['length', 'area', 'weight', 'speed', 'load', 'distance'] as const)
      expect(mm.back(q, mm.out(q, 17.3))).toBeCloseTo(17.3, 9);
    expect([mm.unit('area'), inches.unit('area'), mm.unit('distance')]).toEqual(['m²', 'sq ft', 'km']);
  });
  it('is money of the business, with as many places as it has', () => {
    expect(printCents(123450, 'USD')).toBe('$1,234.50');
    expect(printCents(123450, 'CAD', true)).toBe('CA$1,235');
    expect(printCents(123450, 'JPY')).toBe('¥1,235');
  });
});
