import type { Pt } from '../geometry/index.ts';
import { findPiece } from '../stock/index.ts';
import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import { polyPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

/** Distance of the straps along a pipe. Common practice, no source. */
const STRAP_AT = 30;

const ring = (x: number, y: number, r: number): Pt[] =>
  Array.from({ length: 12 }, (_, i) => [x + r * Math.cos((i * Math.PI) / 6), y + r * Math.sin((i * Math.PI) / 6)]);

/** Upright feed tubes against a wall's face, their ports through it; `out` is the face, places along the wall. */
export const fitFeedTubes = (
  sketch: Sketch,
  axes: Axes,
  plan: { readonly places: readonly number[]; readonly out: number; readonly from: number; readonly joins: string },
): void => {
  const tube = findPiece('pvc-4');
  plan.places.forEach((a, i) =>
    sketch.add(
      polyPart(
        axes,
        'feed',
        { id: `feed/tube-${i + 1}`, name: 'feed tube', role: 'pipe', item: tube.key },
        'at',
        ring(a, -plan.out - tube.thickness / 2, tube.thickness / 2),
        plan.from,
        60,
        { form: 'section' },
      ),
    ),
  );
  plan.places.forEach((_, i) =>
    sketch.join({
      kind: 'strap',
      parts: [`feed/tube-${i + 1}`],
      nearest: plan.joins,
      onSheets: true,
      hardware: { 'pipe-strap': 3, 'feed-port': 1 },
      fasteners: [{ item: 'screw-pan-1/2', length: 0.5, count: 6 }],
    }),
  );
  if (plan.places.length > 0)
    sketch.assembly({
      id: 'feed',
      name: 'feed tubes',
      kind: 'fittings',
      face: faceOf(axes, 0, -plan.out, plan.from),
      flat: false,
      tapes: [],
      joins: { to: plan.joins, how: 'strapped to the inner wall, elbow and port through it into the bird room' },
    });
};

/** A bar of drinking nipples strapped along a wall's inner face, which is where the axes start; `a` along it. */
export const fitWaterBar = (
  sketch: Sketch,
  axes: Axes,
  plan: { readonly from: number; readonly length: number; readonly height: number; readonly joins: string },
): void => {
  const pipe = findPiece('pvc-3/4');
  const r = pipe.thickness / 2;
  // Whole lengths of pipe, coupled.
  const pieces = Math.ceil(plan.length / pipe.length - 1e-6);
  const each = plan.length / pieces;
  for (let i = 0; i < pieces; i++) {
    sketch.add(
      polyPart(
        axes,
        'water',
        { id: `water/bar-${i + 1}`, name: 'water bar', role: 'pipe', item: pipe.key },
        'tz',
        ring(r, plan.height, r),
        plan.from + i * each,
        each,
        { form: 'section' },
      ),
    );
    const straps = Math.max(2, Math.ceil(each / STRAP_AT) + 1);
    sketch.join({
      kind: 'strap',
      parts: [`water/bar-${i + 1}`],
      nearest: plan.joins,
      hardware: { 'pipe-strap': straps },
      fasteners: [{ item: 'screw-1-1/4', length: 1.25, count: 2 * straps }],
    });
  }
  sketch.assembly({
    id: 'water',
    name: 'water bar',
    kind: 'fittings',
    face: faceOf(axes, plan.from, 0, plan.height),
    flat: false,
    tapes: [],
    joins: {
      to: plan.joins,
      how: 'strapped level to the studs, filter and regulator outside where they can be reached',
    },
  });
};
