import { splitConvex, toWorld } from '../geometry/index.ts';
import type { Pt, Vec3 } from '../geometry/index.ts';
import type { Build, Part } from '../unit/index.ts';
import { toneOf } from '../draw/index.ts';
import type { Tone } from '../draw/index.ts';

/** Metres in an inch: glTF is in metres, y up. */
const INCH = 0.0254;

const COLOURS: Partial<Record<Tone, readonly [number, number, number]>> = {
  wood: [0.76, 0.58, 0.33],
  'wood-dark': [0.64, 0.45, 0.2],
  treated: [0.5, 0.52, 0.28],
  ply: [0.83, 0.72, 0.49],
  siding: [0.72, 0.63, 0.45],
  mesh: [0.3, 0.33, 0.31],
  metal: [0.45, 0.49, 0.47],
  glass: [0.6, 0.7, 0.68],
  cloth: [0.22, 0.28, 0.17],
  concrete: [0.57, 0.56, 0.52],
  fitting: [0.13, 0.16, 0.14],
};

const base64 = (bytes: Uint8Array): string => {
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
};

/** Triangles of a part with flat normals, in glTF's directions: x right, y up, z toward the viewer of the front. */
const trianglesOf = (part: Part): { readonly positions: number[]; readonly normals: number[] } => {
  const { shape, place } = part;
  const positions: number[] = [];
  const normals: number[] = [];
  const turn = ([x, y, z]: Vec3): Vec3 => [x * INCH, z * INCH, -y * INCH];
  const face = (a: Vec3, b: Vec3, c: Vec3): void => {
    const [p, q, r] = [turn(a), turn(b), turn(c)];
    const u = [q[0] - p[0], q[1] - p[1], q[2] - p[2]] as const;
    const v = [r[0] - p[0], r[1] - p[1], r[2] - p[2]] as const;
    const n: Vec3 = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const size = Math.hypot(...n);
    if (size < 1e-12) return;
    for (const s of [p, q, r]) {
      positions.push(...s);
      normals.push(n[0] / size, n[1] / size, n[2] / size);
    }
  };
  const at = (p: Pt, r: number): Vec3 => toWorld(place, p[0], p[1], r);
  const turnsLeft = (ring: readonly Pt[]): boolean =>
    ring.reduce((sum, p, i) => {
      const q = ring[(i + 1) % ring.length] as Pt;
      return sum + p[0] * q[1] - q[0] * p[1];
    }, 0) > 0;
  for (const piece of splitConvex(shape)) {
    const ring = turnsLeft(piece) ? piece : [...piece].reverse();
    for (let i = 1; i + 1 < ring.length; i++) {
      const [a, b, c] = [ring[0] as Pt, ring[i] as Pt, ring[i + 1] as Pt];
      face(at(a, shape.depth), at(b, shape.depth), at(c, shape.depth));
      face(at(a, 0), at(c, 0), at(b, 0));
    }
  }
  for (const [k, loop] of [shape.outline, ...shape.holes].entries()) {
    const outward = turnsLeft(loop) === (k === 0);
    const ring = outward ? loop : [...loop].reverse();
    ring.forEach((p, i) => {
      const q = ring[(i + 1) % ring.length] as Pt;
      face(at(p, 0), at(q, 0), at(q, shape.depth));
      face(at(p, 0), at(q, shape.depth), at(p, shape.depth));
    });
  }
  return { positions, normals };
};

/** Writes a build as glTF 2.0 with its geometry embedded: a node for every assembly, under it one for every part. */
export const writeGltf = (build: Build, title = 'Rubbet unit'): string => {
  const tones = [...new Set(build.parts.map(toneOf))];
  const materials = tones.map((tone) => ({
    name: tone,
    doubleSided: tone === 'mesh',
    pbrMetallicRoughness: {
      baseColorFactor: [...(COLOURS[tone] ?? [0.6, 0.6, 0.6]), tone === 'mesh' ? 0.35 : tone === 'glass' ? 0.5 : 1],
      metallicFactor: tone === 'metal' ? 0.4 : 0,
      roughnessFactor: 0.85,
    },
    ...(tone === 'mesh' || tone === 'glass' ? { alphaMode: 'BLEND' } : {}),
  }));
  const floats: number[] = [];
  const views: { buffer: number; byteOffset: number; byteLength: number; target: number }[] = [];
  const accessors: Record<string, unknown>[] = [];
  const meshes: Record<string, unknown>[] = [];
  const nodes: Record<string, unknown>[] = [];
  const push = (values: readonly number[], bounds: boolean): number => {
    const byteOffset = floats.length * 4;
    for (const v of values) floats.push(v);
    views.push({ buffer: 0, byteOffset, byteLength: values.length * 4, target: 34962 });
    const low = [Infinity, Infinity, Infinity];
    const high = [-Infinity, -Infinity, -Infinity];
    values.forEach((v, i) => {
      const f = Math.fround(v);
      low[i % 3] = Math.min(low[i % 3] as number, f);
      high[i % 3] = Math.max(high[i % 3] as number, f);
    });
    accessors.push({
      bufferView: views.length - 1,
      componentType: 5126,
      count: values.length / 3,
      type: 'VEC3',
      ...(bounds ? { min: low, max: high } : {}),
    });
    return accessors.length - 1;
  };
  const roots: number[] = [];
  for (const assembly of build.assemblies) {
    const children: number[] = [];
    for (const part of build.parts.filter((p) => p.assembly === assembly.id)) {
      const { positions, normals } = trianglesOf(part);
      meshes.push({
        name: part.id,
        primitives: [
          {
            attributes: { POSITION: push(positions, true), NORMAL: push(normals, false) },
            material: tones.indexOf(toneOf(part)),
            mode: 4,
          },
        ],
      });
      nodes.push({
        name: `${part.mark} ${part.name}`,
        mesh: meshes.length - 1,
        extras: { id: part.id, item: part.item, length: part.length },
      });
      children.push(nodes.length - 1);
    }
    if (children.length === 0) continue;
    nodes.push({ name: assembly.name, children });
    roots.push(nodes.length - 1);
  }
  const bytes = new Uint8Array(new Float32Array(floats).buffer);
  return JSON.stringify({
    asset: { version: '2.0', generator: 'Rubbet' },
    scene: 0,
    scenes: [{ name: title, nodes: roots }],
    nodes,
    meshes,
    materials,
    accessors,
    bufferViews: views,
    buffers: [{ byteLength: bytes.length, uri: `data:application/octet-stream;base64,${base64(bytes)}` }],
  });
};
