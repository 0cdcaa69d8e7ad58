import DxfParser from 'dxf-parser';
import validator from 'gltf-validator';
import { measureBounds, measureMass } from '../unit/index.ts';
import { drawBuild } from '../draw/index.ts';
import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { writeDxf } from './writeDxf.ts';
import { writeGltf } from './writeGltf.ts';

const builds = FAMILIES.map((f) => [f.key, buildSpec(parseSpec({ family: f.key, params: {} }))] as const);

interface DxfEntity {
  readonly type: string;
  readonly layer: string;
  readonly vertices?: readonly { readonly x: number; readonly y: number }[];
  readonly text?: string;
  readonly shape?: boolean;
}

// Read back by dxf-parser, which shares no code with the writer.
describe.each(builds)('%s as DXF', (_key, build) => {
  const drawing = drawBuild(build, 'front');
  const read = new DxfParser().parseSync(writeDxf(drawing)) as unknown as {
    readonly entities: readonly DxfEntity[];
    readonly header: Record<string, unknown>;
    readonly tables: { readonly layer: { readonly layers: Record<string, unknown> } };
  };
  it('has an entity for every outline, line and text', () => {
    const rings = drawing.items.reduce((n, i) => n + (i.kind === 'area' ? i.rings.length : 0), 0);
    const count = (type: string) => read.entities.filter((e) => e.type === type).length;
    expect(count('LWPOLYLINE')).toBe(rings);
    expect(count('LINE')).toBe(drawing.items.filter((i) => i.kind === 'line').length);
    expect(count('TEXT')).toBe(drawing.items.filter((i) => i.kind === 'text').length);
  });
  it('is in inches, closed, with every layer named', () => {
    expect(read.header.$INSUNITS).toBe(1);
    const layers = new Set(Object.keys(read.tables.layer.layers));
    for (const e of read.entities) expect(layers.has(e.layer)).toBe(true);
    for (const e of read.entities.filter((q) => q.type === 'LWPOLYLINE')) expect(e.shape).toBe(true);
  });
  it('keeps the outlines where they were', () => {
    const got = read.entities.filter((e) => e.type === 'LWPOLYLINE').flatMap((e) => e.vertices ?? []);
    const want = drawing.items.flatMap((i) => (i.kind === 'area' ? i.rings.flat() : []));
    expect(got.length).toBe(want.length);
    got.forEach((p, i) => {
      expect(p.x).toBeCloseTo((want[i] as readonly number[])[0] as number, 6);
      expect(p.y).toBeCloseTo((want[i] as readonly number[])[1] as number, 6);
    });
  });
});

// Judged by the validator of the format itself.
describe.each(builds)('%s as glTF', (_key, build) => {
  const text = writeGltf(build);
  it('is valid', async () => {
    const report = (await validator.validateBytes(new TextEncoder().encode(text))) as {
      readonly issues: {
        readonly numErrors: number;
        readonly numWarnings: number;
        readonly messages: readonly unknown[];
      };
    };
    expect(report.issues.messages).toEqual([]);
  });
  it('is as large as the unit, in metres with y up', () => {
    const json = JSON.parse(text) as {
      readonly accessors: readonly { readonly min?: readonly number[]; readonly max?: readonly number[] }[];
      readonly nodes: readonly { readonly mesh?: number }[];
    };
    const span = (k: number): number =>
      Math.max(...json.accessors.flatMap((a) => (a.max ? [a.max[k] as number] : []))) -
      Math.min(...json.accessors.flatMap((a) => (a.min ? [a.min[k] as number] : [])));
    const { size } = measureBounds(build.parts);
    expect(span(0) / 0.0254).toBeCloseTo(size[0], 2);
    expect(span(1) / 0.0254).toBeCloseTo(size[2], 2);
    expect(span(2) / 0.0254).toBeCloseTo(size[1], 2);
    expect(json.nodes.filter((n) => n.mesh !== undefined).length).toBe(build.parts.length);
    expect(measureMass(build).weight).toBeGreaterThan(0);
  });
});
