import {
  Box3,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  EdgesGeometry,
  ExtrudeGeometry,
  Group,
  HemisphereLight,
  LineBasicMaterial,
  LineSegments,
  Matrix4,
  Mesh,
  MeshLambertMaterial,
  OrthographicCamera,
  Path,
  Scene,
  Shape,
  Vector3,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { toCreasedNormals } from 'three/examples/jsm/utils/BufferGeometryUtils.js';
import { isPadBlock, measureBounds } from '@rubbet/core/unit';
import type { Build, Part } from '@rubbet/core/unit';
import { cross, toWorld } from '@rubbet/core/geometry';
import { facesUp, OVER_FRAME, surfaceLines, toneOf } from '@rubbet/core/draw';
import type { LaidFoundation } from '@rubbet/core/site';
import { groundOf } from './groundOf.ts';
import type { Show } from './ShowTabs.tsx';

/** Where a note's pin stands on the picture. */
export interface Pin {
  readonly index: number;
  readonly x: number;
  readonly y: number;
}

export interface Stage {
  readonly show: (
    build: Build,
    show: Show,
    marked: readonly string[],
    places: readonly (string | undefined)[],
    laid: LaidFoundation | undefined,
  ) => void;
  readonly turn: (x: number, y: number) => void;
  readonly zoom: (by: number) => void;
  readonly dispose: () => void;
}

const COLOURS: Readonly<Record<string, string>> = {
  wood: '#E1C597',
  'wood-dark': '#D2AC74',
  treated: '#BDBE92',
  ply: '#EBDCBD',
  siding: '#DDD2B8',
  mesh: '#8C948D',
  metal: '#AEB7B4',
  shingle: '#8F8A80',
  fitting: '#5B6760',
  glass: '#C9DAD6',
  cloth: '#7C8C6E',
  concrete: '#C4C3BB',
};

/** Angle over which two faces of a bent part are an edge. */
const CREASE = (35 * Math.PI) / 180;

const shapeOf = (part: Part): ExtrudeGeometry => {
  const shape = new Shape();
  part.shape.outline.forEach(([p, q], i) => (i === 0 ? shape.moveTo(p, q) : shape.lineTo(p, q)));
  for (const hole of part.shape.holes) {
    const path = new Path();
    hole.forEach(([p, q], i) => (i === 0 ? path.moveTo(p, q) : path.lineTo(p, q)));
    shape.holes.push(path);
  }
  const geometry = new ExtrudeGeometry(shape, { depth: part.shape.depth, bevelEnabled: false });
  const { u, v, origin } = part.place;
  const w = cross(u, v);
  geometry.applyMatrix4(
    new Matrix4().set(
      u[0],
      v[0],
      w[0],
      origin[0],
      u[1],
      v[1],
      w[1],
      origin[1],
      u[2],
      v[2],
      w[2],
      origin[2],
      0,
      0,
      0,
      1,
    ),
  );
  // What is bent is smooth: only edges sharper than its flats are creases.
  return part.bent === undefined ? geometry : (toCreasedNormals(geometry, CREASE) as ExtrudeGeometry);
};

/** Courses of shingles and ribs of metal, just over the face. */
const coverOf = (part: Part): BufferGeometry | undefined => {
  const lines = surfaceLines(part);
  if (lines.length === 0) return undefined;
  const level = facesUp(part) ? part.shape.depth + 0.04 : -0.04;
  const g = new BufferGeometry();
  const points = lines.flatMap((line) => line.flatMap(([p, q]) => [...toWorld(part.place, p, q, level)]));
  g.setAttribute('position', new BufferAttribute(new Float32Array(points), 3));
  return g;
};

/** Lines of a mesh panel, so that it reads as wire and not as glass. */
const wires = (part: Part): BufferGeometry => {
  const points: number[] = [];
  const { u, v, origin } = part.place;
  const xs = part.shape.outline.map((p) => p[0]);
  const ys = part.shape.outline.map((p) => p[1]);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const at = (p: number, q: number): void =>
    void points.push(origin[0] + p * u[0] + q * v[0], origin[1] + p * u[1] + q * v[1], origin[2] + p * u[2] + q * v[2]);
  // Each wire is cut where it meets the panel's edge.
  const across = (k: 0 | 1, value: number): number[] => {
    const ring = part.shape.outline;
    const hits: number[] = [];
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length] ?? a;
      if (a[k] < value === b[k] < value) return;
      const t = (value - a[k]) / (b[k] - a[k]);
      hits.push(a[(1 - k) as 0 | 1] + t * (b[(1 - k) as 0 | 1] - a[(1 - k) as 0 | 1]));
    });
    return hits.sort((m, n) => m - n);
  };
  const step = 3;
  for (let p = x0 + step; p < x1; p += step) for (const q of across(0, p)) at(p, q);
  for (let q = y0 + step; q < y1; q += step) for (const p of across(1, q)) at(p, q);
  const g = new BufferGeometry();
  g.setAttribute('position', new BufferAttribute(new Float32Array(points), 3));
  return g;
};

/** Sets up a drawing in the round in an element; draws only when something changed. */
export const makeStage = (host: HTMLElement, onPins: (pins: readonly Pin[]) => void): Stage => {
  const renderer = new WebGLRenderer({ antialias: true, alpha: true, preserveDrawingBuffer: true });
  renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
  host.appendChild(renderer.domElement);
  const scene = new Scene();
  scene.add(new HemisphereLight('#ffffff', '#b9ab8c', 2.1));
  const sun = new DirectionalLight('#fff6e0', 1.5);
  sun.position.set(-0.7, -1.2, 1.5);
  scene.add(sun);
  const camera = new OrthographicCamera(-1, 1, 1, -1, 0.1, 4000);
  camera.up.set(0, 0, 1);
  const controls = new OrbitControls(camera, renderer.domElement);
  controls.enablePan = false;
  let body = new Group();
  scene.add(body);
  let reach = [60, 60] as readonly [number, number];
  const target = new Vector3();
  let anchors: { index: number; at: Vector3 }[] = [];
  let framed = '';
  let queued = 0;

  const render = (): void => {
    queued = 0;
    renderer.render(scene, camera);
    const { clientWidth: w, clientHeight: h } = host;
    const taken: { x: number; y: number }[] = [];
    onPins(
      anchors.map(({ index, at }) => {
        const p = at.clone().project(camera);
        let x = ((p.x + 1) / 2) * w;
        const y = ((1 - p.y) / 2) * h;
        while (taken.some((t) => Math.abs(t.x - x) < 24 && Math.abs(t.y - y) < 24)) x += 25;
        taken.push({ x, y });
        return { index, x, y };
      }),
    );
  };
  const queue = (): void => {
    if (queued === 0) queued = requestAnimationFrame(render);
  };
  const resize = (): void => {
    const { clientWidth: w, clientHeight: h } = host;
    if (w === 0 || h === 0) return;
    renderer.setSize(w, h);
    const aspect = w / h;
    const k = Math.max(reach[0] / aspect, reach[1]);
    const [hx, hy] = [k * aspect, k];
    camera.left = -hx;
    camera.right = hx;
    camera.top = hy;
    camera.bottom = -hy;
    camera.updateProjectionMatrix();
    queue();
  };
  const observer = new ResizeObserver(resize);
  observer.observe(host);
  controls.addEventListener('change', queue);

  const show: Stage['show'] = (build, how, marked, places, laid) => {
    scene.remove(body);
    body.traverse((o) => {
      if (o instanceof Mesh || o instanceof LineSegments) {
        o.geometry.dispose();
        (o.material as MeshLambertMaterial | LineBasicMaterial).dispose();
      }
    });
    body = new Group();
    const bounds = measureBounds(build.parts);
    const centre = new Vector3(
      (bounds.low[0] + bounds.high[0]) / 2,
      (bounds.low[1] + bounds.high[1]) / 2,
      (bounds.low[2] + bounds.high[2]) / 2,
    );
    const dark = document.documentElement.classList.contains('dark');
    const ink = new Color(dark ? '#0d120f' : '#3a3226');
    const at = new Map<string, Vector3>();
    const shifts = new Map<string, Vector3>();
    if (how === 'apart')
      for (const a of build.assemblies) {
        const b = measureBounds(build.parts.filter((p) => p.assembly === a.id));
        const c = new Vector3((b.low[0] + b.high[0]) / 2, (b.low[1] + b.high[1]) / 2, (b.low[2] + b.high[2]) / 2).sub(
          centre,
        );
        shifts.set(a.id, c.multiplyScalar(0.65));
      }
    for (const part of build.parts) {
      if (how === 'frame' && OVER_FRAME.has(part.role)) continue;
      // Block under a floor is drawn as its ground wants it.
      if (laid && isPadBlock(part)) continue;
      const geometry = shapeOf(part);
      const shift = shifts.get(part.assembly);
      if (shift) geometry.translate(shift.x, shift.y, shift.z);
      geometry.computeBoundingBox();
      at.set(part.id, geometry.boundingBox?.getCenter(new Vector3()) ?? new Vector3());
      const picked = marked.includes(part.id);
      const isMesh = part.role === 'mesh';
      const material = new MeshLambertMaterial({
        color: picked ? '#F2C230' : (COLOURS[toneOf(part)] ?? '#E1C597'),
        transparent: isMesh,
        opacity: isMesh ? (picked ? 0.6 : 0.1) : 1,
        depthWrite: !isMesh,
        side: isMesh ? DoubleSide : 0,
        polygonOffset: true,
        polygonOffsetFactor: 1,
        polygonOffsetUnits: 1,
      });
      body.add(new Mesh(geometry, material));
      body.add(
        new LineSegments(
          new EdgesGeometry(geometry, part.bent === undefined ? 20 : 35),
          new LineBasicMaterial({ color: picked ? '#8a6a00' : ink, transparent: true, opacity: isMesh ? 0.35 : 0.75 }),
        ),
      );
      const lines = isMesh ? wires(part) : coverOf(part);
      if (lines) {
        if (shift) lines.translate(shift.x, shift.y, shift.z);
        const colour = isMesh ? (dark ? '#A6B0A8' : '#6c746e') : ink;
        body.add(new LineSegments(lines, new LineBasicMaterial({ color: colour, transparent: true, opacity: 0.32 })));
      }
    }
    if (laid && how !== 'apart') body.add(groundOf(laid, ink, dark));
    scene.add(body);
    anchors = places.flatMap((id, index) => {
      const spot = id === undefined ? undefined : at.get(id);
      return spot ? [{ index, at: spot }] : [];
    });
    target.copy(centre);
    controls.target.copy(target);
    const key = build.family + how;
    if (framed !== key) {
      framed = key;
      const far = 900;
      camera.position.set(centre.x - far * 0.52, centre.y - far * 0.74, centre.z + far * 0.48);
      camera.zoom = 1;
    }
    controls.update();
    camera.updateMatrixWorld();
    // Fits the picture to the corners of what is shown, as the eye first sees them.
    const box = new Box3().setFromObject(body);
    const inverse = camera.matrixWorldInverse;
    const corners = [0, 1, 2, 3, 4, 5, 6, 7].map((i) =>
      new Vector3(
        i & 1 ? box.max.x : box.min.x,
        i & 2 ? box.max.y : box.min.y,
        i & 4 ? box.max.z : box.min.z,
      ).applyMatrix4(inverse),
    );
    reach = [
      1.08 * Math.max(...corners.map((c) => Math.abs(c.x))),
      1.1 * Math.max(...corners.map((c) => Math.abs(c.y))),
    ];
    resize();
  };

  return {
    show,
    turn: (x, y) => {
      const from = camera.position.clone().sub(target);
      from.applyAxisAngle(new Vector3(0, 0, 1), (-x * Math.PI) / 12);
      const side = new Vector3().crossVectors(camera.up, from).normalize();
      const tilted = from.clone().applyAxisAngle(side, (y * Math.PI) / 18);
      if (Math.abs(tilted.clone().normalize().z) < 0.98) from.copy(tilted);
      camera.position.copy(target).add(from);
      controls.update();
      queue();
    },
    zoom: (by) => {
      camera.zoom *= by;
      camera.updateProjectionMatrix();
      queue();
    },
    dispose: () => {
      observer.disconnect();
      controls.dispose();
      if (queued !== 0) cancelAnimationFrame(queued);
      renderer.dispose();
      renderer.domElement.remove();
    },
  };
};
