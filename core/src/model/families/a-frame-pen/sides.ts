import { rectangle } from '../../../geometry/index.ts';
import type { Pt } from '../../../geometry/index.ts';
import { coverSlope, polyPart, wallAxes } from '../../../frame/index.ts';
import type { LeanRoofPlan, Sketch } from '../../../frame/index.ts';
import { findMesh, findSheet } from '../../../stock/index.ts';
import { RAIL } from './slope.ts';
import type { AFrame } from './slope.ts';

const T = 1.5;
/** It reaches down into wet grass. */
const SKIN = 'ply-1/2-pt';
/** Hot air leaves under the ridge cap through a slit this far down each side, meshed. */
export const SLIT = 1.5;
const CAP = { item: '1x6', wide: 5.5, thick: 0.75, lift: 0.75 };
/** The cap stands out over the vent in the peak. */
const PEAK_OUT = 5;

/** Covers both sides: ply over the sleeping end with a meshed slit at the ridge, mesh over the run, cap boards over the slit. */
export const coverSides = (
  sketch: Sketch,
  s: AFrame,
  cover: {
    readonly length: number;
    readonly closed: number;
    readonly places: readonly number[];
    readonly mesh: string;
  },
): void => {
  const { length: L, closed, places } = cover;
  const W = s.width;
  const m = findMesh(cover.mesh).thickness;
  const skin = findSheet(SKIN);
  const deg = (s.angle * 180) / Math.PI;
  let n = 0;
  for (const side of ['front', 'back'] as const) {
    // Each side is seen from across the pen: it falls from the ridge to its rail.
    const axes = side === 'front' ? wallAxes('back', [L, W, 0]) : wallAxes('front', [0, 0, 0]);
    const along = (x0: number, x1: number): readonly [number, number] =>
      side === 'front' ? [L - x1, L - x0] : [x0, x1];
    const plan: LeanRoofPlan = {
      id: `side-${side}`,
      name: `${side} side`,
      axes,
      slope: s.slope,
      from: 0,
      to: L,
      spacing: 24,
      rafterItem: '2x4',
      front: -W / 2,
      back: 0,
      joins: 'base',
    };
    const common = { candidates: [], course: 1000, beyond: 0 };
    const [c0, c1] = along(0, closed - T / 2);
    const [r0, r1] = along(closed - T / 2, L);
    coverSlope(sketch, plan, {
      ...common,
      id: plan.id,
      name: 'closed side',
      role: 'siding',
      item: SKIN,
      thickness: skin.thickness,
      from: c0,
      to: c1,
      lift: 0,
      // Wider than a sheet it is joined on the middle pair.
      width: 48,
      candidates: [along(places[1] as number, (places[1] as number) + T)[0] + T / 2],
      start: SLIT,
      course: 96,
    });
    coverSlope(
      sketch,
      { ...plan, id: `slit-${side}` },
      {
        ...common,
        id: `slit-${side}`,
        name: 'ridge mesh',
        role: 'mesh',
        item: 'hardware-cloth',
        thickness: 1 / 32,
        from: c0,
        to: c1,
        lift: 0,
        width: 1000,
        start: 0,
        end: SLIT,
      },
    );
    coverSlope(
      sketch,
      { ...plan, id: `mesh-${side}` },
      {
        ...common,
        id: `mesh-${side}`,
        name: 'run mesh',
        role: 'mesh',
        item: cover.mesh,
        thickness: m,
        from: r0,
        to: r1,
        lift: 0,
        width: 1000,
      },
    );
    // Cap boards on spacers over the slit; they meet over the ridge.
    const lift = skin.thickness + CAP.lift;
    const [p0, p1] = along(-PEAK_OUT, closed - T / 2);
    coverSlope(
      sketch,
      { ...plan, id: `cap-${side}` },
      {
        ...common,
        id: `cap-${side}`,
        name: 'ridge cap board',
        role: 'trim',
        item: CAP.item,
        thickness: CAP.thick,
        from: p0,
        to: p1,
        lift,
        width: 1000,
        start: -lift * s.tan,
        end: CAP.wide - lift * s.tan,
      },
    );
    const spacerStart = Math.max(SLIT, 0.25);
    for (const x of places.slice(0, 3)) {
      const [b0] = along(x, x + T);
      const spacer = { id: `cap-${side}` };
      const cap = CAP.wide - lift * s.tan;
      if (cap - spacerStart < 1) continue;
      const c = Math.cos(s.angle);
      const at = (d: number, q: number): Pt => [
        W / 2 + d * c + q * Math.sin(s.angle),
        s.apex - d * Math.sin(s.angle) + q * c,
      ];
      sketch.add(
        polyPart(
          axes,
          spacer.id,
          { id: `cap-${side}/spacer-${++n}`, name: 'cap spacer', role: 'cleat', item: '1x2' },
          'tz',
          [at(spacerStart, skin.thickness), at(cap, skin.thickness), at(cap, lift), at(spacerStart, lift)],
          b0,
          T,
          { turn: -deg },
        ),
      );
    }
    for (const [tag, name] of [
      ['side', 'closed side'],
      ['slit', 'ridge mesh'],
      ['mesh', 'run mesh'],
    ] as const)
      sketch.assembly({
        id: `${tag}-${side}`,
        name: `${side} ${name}`,
        kind: tag === 'slit' ? 'fittings' : 'cover',
        face:
          side === 'front'
            ? { origin: [0, 0, RAIL], u: [1, 0, 0], v: [0, Math.cos(s.angle), Math.sin(s.angle)] }
            : { origin: [L, W, RAIL], u: [-1, 0, 0], v: [0, -Math.cos(s.angle), Math.sin(s.angle)] },
        flat: false,
        tapes: [],
        joins: {
          to: 'pair-1',
          how:
            tag === 'side'
              ? 'screwed to the rafters, low edge on the rail'
              : 'stretched over the rafters, stapled every 3″',
        },
      });
    const c = Math.cos(s.angle);
    const { origin, a: u, t } = axes;
    sketch.face({
      id: `side-${side}`,
      name: `${side} side`,
      place: {
        origin: [origin[0] + (t[0] * W) / 2, origin[1] + (t[1] * W) / 2, s.apex],
        u,
        v: [t[0] * c, t[1] * c, -Math.sin(s.angle)],
      },
      region: rectangle(0, 0, L, W / 2 / c),
      within: [-1, 2],
    });
  }
  for (const side of ['front', 'back'] as const)
    sketch.assembly({
      id: `cap-${side}`,
      name: `${side} ridge cap`,
      kind: 'fittings',
      face: { origin: [0, W / 2, s.apex], u: [1, 0, 0], v: [0, 1, 0] },
      flat: false,
      tapes: [],
      joins: {
        to: `side-${side}`,
        how: 'boards on spacers over the meshed slit, so that hot air leaves and rain does not come in',
      },
    });
};
