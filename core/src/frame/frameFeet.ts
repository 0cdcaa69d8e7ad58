import type { Pt } from '../geometry/index.ts';
import { findPiece } from '../stock/index.ts';
import type { Axes } from './axes.ts';
import { longestPiece, splitMember } from './chooseJoints.ts';
import { boxPart, polyPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

/** Skids are pairs of these. */
const SKID = '2x6-pt';
const T = 1.5;
const LEG = 3.5;

/** What carries a floor: the ground under its rim, legs, legs on long runners, sistered skids, or courses of block. */
export type Foundation =
  | {
      readonly kind: 'legs';
      readonly height: number;
      readonly braced?: boolean;
      /** Posts stand midway between legs. */ readonly posts?: boolean;
    }
  | { readonly kind: 'runners'; readonly height: number; readonly beyond: number; readonly braced?: boolean }
  | { readonly kind: 'ground' }
  | { readonly kind: 'skids' }
  | { readonly kind: 'blocks'; readonly courses: number };

/** Where legs or blocks stand along a rim: both ends and no more than `most` apart, to the sixteenth. */
const standsAlong = (length: number, wide: number, most: number): number[] => {
  const bays = Math.max(1, Math.ceil((length - wide) / most));
  return Array.from({ length: bays + 1 }, (_, i) => Math.round(((length - wide) * i * 16) / bays) / 16);
};

/** A runner's outline in its length and height, both ends rockered: half an inch off the ground, full over the middle. */
export const rockeredRing = (from: number, to: number, high: number): Pt[] => {
  const rise = 0.5;
  const taper = Math.min(18, (to - from) / 4);
  return [
    [from, rise],
    [from + taper, 0],
    [to - taper, 0],
    [to, rise],
    [to, high],
    [from, high],
  ];
};

/** A 45° brace in a wall's plane from an inside corner (a, z), reaching `reach` along both ways. */
export const frameKneeBrace = (
  sketch: Sketch,
  axes: Axes,
  assembly: string,
  id: string,
  corner: Pt,
  way: 1 | -1,
  reach: number,
  t: number,
): void => {
  const w = 3.5 * Math.SQRT2;
  const [a, z] = corner;
  const ring: Pt[] = [
    [a + way * reach, z],
    [a + way * (reach - w), z],
    [a, z - (reach - w)],
    [a, z - reach],
  ];
  sketch.add(
    polyPart(
      axes,
      assembly,
      {
        id,
        name: 'corner brace',
        role: 'brace',
        item: '2x4',
        cuts: [
          { end: 'start', kind: 'mitre', angle: 45 },
          { end: 'end', kind: 'mitre', angle: 45 },
        ],
      },
      'az',
      ring,
      t,
      T,
      { turn: way === 1 ? 45 : 135 },
    ),
  );
};

/** Places what a floor stands on and gives the height of its rim's underside over the ground. */
export const frameFeet = (
  sketch: Sketch,
  axes: Axes,
  id: string,
  length: number,
  depth: number,
  plan: Foundation,
): number => {
  if (plan.kind === 'ground') return 0;
  if (plan.kind === 'skids') {
    const high = 5.5;
    const rows = Math.max(2, Math.ceil((depth - 3) / 48) + 1);
    for (let r = 0; r < rows; r++) {
      const y = Math.round((((depth - 3) * r) / (rows - 1)) * 16) / 16;
      for (const k of [0, 1]) {
        // The second of a pair is joined away from the first.
        const pieces = splitMember(0, length, [length * (k === 0 ? 0.4 : 0.6)], longestPiece(SKID));
        pieces.forEach(([a, b], i) => {
          const ring: Pt[] = [
            ...(i === 0
              ? ([
                  [0, 3],
                  [2.5, 0],
                ] as Pt[])
              : ([[a, 0]] as Pt[])),
            ...(i === pieces.length - 1
              ? ([
                  [length - 2.5, 0],
                  [length, 3],
                ] as Pt[])
              : ([[b, 0]] as Pt[])),
            [b, high],
            [a, high],
          ];
          sketch.add(
            polyPart(
              axes,
              id,
              {
                id: `${id}/skid-${r + 1}-${k + 1}${pieces.length > 1 ? `-${i + 1}` : ''}`,
                name: 'skid, one of a pair',
                role: 'runner',
                item: SKID,
                notches: ['outer ends cut back 2½ × 3 in below'],
              },
              'az',
              ring,
              y + k * T,
              T,
            ),
          );
        });
      }
    }
    return high;
  }
  if (plan.kind === 'blocks') {
    const block = findPiece('block-8');
    const places = standsAlong(length, block.length, 72);
    places.forEach((a, i) => {
      for (const [k, t] of [0, depth - block.width].entries())
        for (let c = 0; c < plan.courses; c++)
          sketch.add(
            boxPart(
              axes,
              'blocks',
              { id: `blocks/block-${i + 1}-${k + 1}-${c + 1}`, name: 'block', role: 'block', item: 'block-8' },
              [a, t, c * block.thickness],
              [block.length, block.width, block.thickness],
              'a',
            ),
          );
    });
    sketch.assembly({
      id: 'blocks',
      name: 'blocks',
      kind: 'fittings',
      face: { origin: axes.origin, u: axes.a, v: axes.t },
      flat: false,
      tapes: [],
      joins: { to: id, how: 'set level on gravel, first course bedded' },
      site: true,
    });
    return plan.courses * block.thickness;
  }
  const foot = plan.kind === 'runners' ? LEG : 0;
  const top = plan.height;
  const places = standsAlong(length, LEG, 72);
  let legs = 0;
  for (const a of places)
    for (const t of [0, depth - LEG])
      sketch.add(
        boxPart(
          axes,
          id,
          { id: `${id}/leg-${++legs}`, name: 'leg', role: 'leg', item: '4x4-pt' },
          [a, t, foot],
          [LEG, LEG, top - foot],
          'z',
        ),
      );
  if (plan.kind === 'runners') {
    const beyond = Math.min(plan.beyond, (144 - depth) / 2);
    for (const [i, a] of places.entries())
      sketch.add(
        polyPart(
          axes,
          id,
          {
            id: `${id}/runner-${i + 1}`,
            name: 'runner',
            role: 'runner',
            item: '4x4-pt',
            notches: ['both ends rockered: ½ in up at the end, full from 18 in'],
          },
          'tz',
          rockeredRing(-beyond, depth + beyond, LEG),
          a,
          LEG,
        ),
      );
  }
  if (plan.braced) {
    const clear = plan.kind === 'legs' && plan.posts ? LEG / 2 + 0.25 : 1;
    const bay = ((places[1] as number) - (places[0] as number) + LEG) / 2;
    const long = clear > 1 ? Math.min(bay, length / 2) : length / 2;
    const reach = Math.min(20, top - foot - 4, long - LEG - clear, depth / 2 - LEG - clear);
    if (reach > 8) {
      const last = places[places.length - 1] as number;
      for (const [k, t] of [0, depth - T].entries()) {
        frameKneeBrace(sketch, axes, id, `${id}/brace-long-${k}-1`, [LEG, top], 1, reach, t);
        frameKneeBrace(sketch, axes, id, `${id}/brace-long-${k}-2`, [last, top], -1, reach, t);
      }
      for (const [k, a] of [0, length - T].entries()) {
        // In the end walls' planes: their first direction is t.
        const ends: Axes = { origin: axes.origin, a: axes.t, t: axes.a, z: axes.z };
        frameKneeBrace(sketch, ends, id, `${id}/brace-end-${k}-1`, [LEG, top], 1, reach, a);
        frameKneeBrace(sketch, ends, id, `${id}/brace-end-${k}-2`, [depth - LEG, top], -1, reach, a);
      }
    }
  }
  return top;
};
