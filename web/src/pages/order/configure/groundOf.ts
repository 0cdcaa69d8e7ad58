import type { Color } from 'three';
import {
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  EdgesGeometry,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
} from 'three';
import type { LaidFoundation } from '@rubbet/core/site';

const COLOURS: Readonly<Record<LaidFoundation['solids'][number]['kind'], string>> = {
  block: '#B9B7AE',
  paver: '#CBB49B',
  shim: '#E1C597',
  slab: '#C4C3BB',
  ring: '#C4C3BB',
};

/** The net of the ground as triangles. */
const netOf = ({ x, y, z }: LaidFoundation['ground']): BufferGeometry => {
  const points = y.flatMap((b, j) => x.flatMap((a, i) => [a, b, z[j]?.[i] ?? 0]));
  const wide = x.length;
  const corners: number[] = [];
  for (let j = 0; j + 1 < y.length; j++)
    for (let i = 0; i + 1 < wide; i++) {
      const k = j * wide + i;
      corners.push(k, k + 1, k + wide, k + 1, k + wide + 1, k + wide);
    }
  const g = new BufferGeometry();
  g.setAttribute('position', new BufferAttribute(new Float32Array(points), 3));
  g.setIndex(corners);
  return g;
};

/** The ground, see-through so that what is let into it shows, with block, pavers, shims and concrete. */
export const groundOf = (laid: LaidFoundation, ink: Color, dark: boolean): Group => {
  const group = new Group();
  group.add(
    new Mesh(
      netOf(laid.ground),
      // Unlit, and from above alone: it is drawn by the shader that lines have already.
      new MeshBasicMaterial({
        color: dark ? '#4B5A44' : '#A7B58E',
        transparent: true,
        opacity: 0.45,
        depthWrite: false,
      }),
    ),
  );
  for (const { kind, low, high } of laid.solids) {
    const geometry = new BoxGeometry(high[0] - low[0], high[1] - low[1], high[2] - low[2]);
    geometry.translate((low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2);
    group.add(new Mesh(geometry, new MeshLambertMaterial({ color: COLOURS[kind] })));
    group.add(
      new LineSegments(
        new EdgesGeometry(geometry),
        new LineBasicMaterial({ color: ink, transparent: true, opacity: 0.75 }),
      ),
    );
  }
  return group;
};
