import { rectangle } from '../../../geometry/index.ts';
import type { Pt } from '../../../geometry/index.ts';
import { boxPart, faceOf, fitDoor, polyPart, wallAxes } from '../../../frame/index.ts';
import type { Sketch } from '../../../frame/index.ts';
import { findMesh } from '../../../stock/index.ts';

const T = 1.5;
/** Height of the runners. */
export const HIGH = 5.5;
/** Depth of a door frame's post. */
export const POST = 3.5;

/** What the two ends under the hoops are framed from. */
export interface HoopEndsPlan {
  readonly length: number;
  readonly width: number;
  readonly mesh: string;
  /** Outline of an end, seen from the right. */
  readonly ring: readonly Pt[];
  /** Underside of the heads that carry the ridge. */
  readonly head: number;
  readonly door: { readonly left: number; readonly width: number; readonly height: number; readonly stands: boolean };
}

/** Frames both ends: posts, the heads that carry the ridge, mesh, and the door at the left. Gives the way through it. */
export const frameEnds = (
  sketch: Sketch,
  plan: HoopEndsPlan,
): { readonly clearWidth: number; readonly clearHeight: number } | undefined => {
  const { length: L, width: W, door } = plan;
  const m = findMesh(plan.mesh).thickness;
  let gate: { clearWidth: number; clearHeight: number } | undefined;
  for (const side of ['left', 'right'] as const) {
    const axes = side === 'left' ? wallAxes('left', [T, W, 0]) : wallAxes('right', [L - T, 0, 0]);
    const id = `end-${side}`;
    const name = side === 'left' ? 'door end' : 'back end';
    const post = (x: number, n: number) =>
      sketch.add(
        boxPart(
          axes,
          id,
          { id: `${id}/post-${n}`, name: `${name} post`, role: 'post', item: '2x4' },
          [x, 0, HIGH - POST],
          [T, POST, plan.head - HIGH + POST],
          'z',
        ),
      );
    post(door.left - T, 1);
    post(door.left + door.width, 2);
    sketch.add(
      boxPart(
        axes,
        id,
        { id: `${id}/head`, name: `${name} head`, role: 'header', item: '2x4' },
        [door.left - T, 0, plan.head],
        [door.width + 2 * T, POST, T],
        'a',
      ),
    );
    const opening = { left: door.left, bottom: HIGH, width: door.width, height: door.height };
    if (plan.head - HIGH - door.height > 0.25 && side === 'left' && door.stands)
      sketch.add(
        boxPart(
          axes,
          id,
          {
            id: `${id}/rail`,
            name: `${name} rail over the door`,
            role: 'rail',
            item: '2x4',
            fit: 'measure in place',
            tolerance: 0.125,
          },
          [door.left, 0, HIGH + door.height],
          [door.width, POST, Math.min(T, plan.head - HIGH - door.height)],
          'a',
        ),
      );
    const doors = side === 'left' && door.stands;
    sketch.add(
      polyPart(
        axes,
        id,
        { id: `${id}/mesh`, name: `${name} mesh`, role: 'mesh', item: plan.mesh },
        'az',
        // Above the end board, inside of which the posts stand.
        plan.ring.map(([t, z]): Pt => [side === 'right' ? t : W - t, z]),
        -m,
        m,
        doors ? { holes: [rectangle(door.left, HIGH, door.left + door.width, HIGH + door.height)] } : {},
      ),
    );
    sketch.assembly({
      id,
      name,
      kind: 'wall',
      face: faceOf(axes),
      flat: true,
      tapes: [],
      joins: { to: 'base', how: 'posts against the end board, lagged through it' },
    });
    sketch.face({
      id,
      name,
      place: faceOf(axes),
      region: plan.ring.map(([t, z]): Pt => [side === 'right' ? t : W - t, z]),
      within: [-T, 2],
    });
    if (doors) {
      sketch.opening({
        id: `${id}/door`,
        kind: 'gate',
        assembly: id,
        ...opening,
        sillAboveGround: HIGH,
      });
      sketch.join({ kind: 'latch', parts: ['door/stile-2'], hardware: { release: 1 } });
      gate = fitDoor(sketch, {
        id: 'door',
        name: 'door',
        axes,
        opening: { id: 'door', kind: 'gate', leastHeight: 10, ...opening },
        skin: { item: plan.mesh, thickness: m, role: 'mesh' },
        joins: id,
      });
    }
  }

  return gate;
};
