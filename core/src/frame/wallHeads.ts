import { boxPart } from './makePart.ts';
import { headerHeight, openingSide } from './layoutOpenings.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import type { WallPlan } from './frameWall.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;

/** The header over an opening: a flat block, or a pair on edge with a spacer between. */
export const headerParts = (sketch: Sketch, plan: WallPlan, o: PlacedOpening, depth: number): void => {
  const { axes, id, name } = plan;
  const z = o.bottom + o.height;
  const reach = openingSide(o) - T;
  const length = o.width + 2 * reach;
  const a = o.left - reach;
  const h = headerHeight(o);
  const text = { name: `${name} header, ${o.kind}`, role: 'header' as const };
  if (h === T) {
    const item = plan.studItem ?? '2x4';
    sketch.add(boxPart(axes, id, { ...text, id: `${id}/${o.id}/header`, item }, [a, 0, z], [length, depth, T], 'a'));
    return;
  }
  const item = h === 3.5 ? '2x4' : '2x6';
  // A wall of 2×4 takes a pair with a spacer between; a thinner one a single piece.
  const paired = depth >= 2 * T;
  for (const [k, t] of (paired ? [0, depth - T] : [0]).entries())
    sketch.add(
      boxPart(axes, id, { ...text, id: `${id}/${o.id}/header-${k + 1}`, item }, [a, t, z], [length, T, h], 'a'),
    );
  if (depth - 2 * T >= 0.5)
    sketch.add(
      boxPart(
        axes,
        id,
        { id: `${id}/${o.id}/spacer`, name: `${name} header spacer, ${o.kind}`, role: 'spacer', item: 'ply-1/2' },
        [a, T, z],
        [length, 0.5, h],
        'a',
      ),
    );
};

/** A gap over a header or under a sill that is too low for cripples, from what is too little to fill. Common practice, no source. */
const PACKED = [0.5, 2.5] as const;

/** Rips that fill a gap along an opening, where cripples would be slivers: one behind each face of the wall. */
export const packers = (
  sketch: Sketch,
  plan: WallPlan,
  o: PlacedOpening,
  gap: {
    readonly what: 'over' | 'under';
    readonly from: number;
    readonly length: number;
    readonly low: number;
    readonly high: number;
  },
  depth: number,
): boolean => {
  const high = gap.high - gap.low;
  if (high <= PACKED[0] || high >= PACKED[1]) return false;
  const { axes, id, name } = plan;
  for (const [k, t] of (depth >= 2 * T ? [0, depth - T] : [0]).entries())
    sketch.add(
      boxPart(
        axes,
        id,
        {
          id: `${id}/${o.id}/packer-${gap.what === 'over' ? '' : 'under-'}${k + 1}`,
          name: `${name} packer ${gap.what} ${o.kind}`,
          role: 'blocking',
          item: plan.studItem ?? '2x4',
          rip: high,
        },
        [gap.from, t, gap.low],
        [gap.length, T, high],
        'a',
      ),
    );
  return true;
};
