import type { Pt } from '../../../geometry/index.ts';
import { boxPart, faceOf, polyPart, UNIT_AXES } from '../../../frame/index.ts';
import type { Sketch } from '../../../frame/index.ts';
import { findPiece } from '../../../stock/index.ts';

const T = 1.5;
const RAIL = 3.5;

/** A pipe between two arms along the bottom rails, to lift and pull by; `out` is what lies on the rails' outer faces. */
export const fitHandlebar = (
  sketch: Sketch,
  plan: { readonly length: number; readonly width: number; readonly out: number },
): void => {
  const { length: L, width: W, out: m } = plan;
  const a = UNIT_AXES;
  const pipe = findPiece('pipe-1');
  const r = pipe.thickness / 2;
  for (const [k, y] of [-m - T, W + m].entries())
    sketch.add(
      boxPart(
        a,
        'handle',
        { id: `handle/arm-${k + 1}`, name: 'handle arm', role: 'handle', item: '2x4-pt' },
        [L - 24, y, 0],
        [36, T, RAIL],
        'a',
      ),
    );
  const ring = Array.from({ length: 12 }, (_, i): Pt => [
    L + 10 + r * Math.cos((i * Math.PI) / 6),
    T + r * Math.sin((i * Math.PI) / 6),
  ]);
  sketch.add(
    polyPart(
      a,
      'handle',
      { id: 'handle/pipe', name: 'handlebar', role: 'handle', item: 'pipe-1' },
      'az',
      ring,
      -m,
      W + 2 * m,
      { form: 'section' },
    ),
  );
  sketch.assembly({
    id: 'handle',
    name: 'handlebar',
    kind: 'fittings',
    face: faceOf(a),
    flat: false,
    tapes: [],
    joins: { to: 'front', how: 'arms bolted along the bottom rails, pipe between them' },
  });
  for (const k of [1, 2]) {
    const side = k === 1 ? 'front' : 'back';
    sketch.join({
      kind: 'bolt',
      parts: [`handle/arm-${k}`, `${side}/mesh`, `${side}/bottom-rail`],
      hardware: { 'carriage-bolt': 2 },
      instead: true,
    });
    sketch.join({
      kind: 'strap',
      parts: ['handle/pipe', `handle/arm-${k}`],
      hardware: { 'pipe-flange': 1 },
      fasteners: [{ item: 'screw-1-1/4', length: 1.25, count: 4 }],
    });
  }
};
