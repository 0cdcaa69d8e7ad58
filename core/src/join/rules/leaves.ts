import { findItem } from '../../stock/index.ts';
import type { PartDraft } from '../../unit/index.ts';
import { draft, drivenThrough } from '../draft.ts';
import { alongLine, driven } from '../drive.ts';
import { layerOf } from '../layers.ts';
import { runsAlong } from '../scene.ts';
import type { JoineryRule } from '../scene.ts';

/** Screws of a leaf's skin into its frame, and of stops. Common practice, no source. */
const SKIN_AT = 8;
const STOP_AT = 16;
/** Frames thinner than this take the short pocket screw. */
const THIN = 1.2;

const isSheet = (p: PartDraft): boolean => findItem(p.item).kind !== 'lumber';

/** The pieces of a door or lid to each other: what they close on, and what they hang by, is no joint of theirs. */
export const leafRule: JoineryRule = (c) => {
  if (layerOf(c.a) !== 'leaf' || layerOf(c.b) !== 'leaf') return undefined;
  if (c.a.assembly !== c.b.assembly) return 'none';
  if (isSheet(c.a) && isSheet(c.b)) return 'none';
  if (c.onA === 'end' && c.onB === 'end') return 'none';
  if (c.onA === 'end' || c.onB === 'end') {
    const [end, other] = c.onA === 'end' ? [c.a, c.b] : [c.b, c.a];
    if (isSheet(end) || isSheet(other)) return 'none';
    const thin = Math.min(end.thickness, other.thickness) < THIN;
    const screw = thin ? { item: 'pocket-screw-1-1/4', length: 1.25 } : { item: 'pocket-screw', length: 2.5 };
    // Angled, the screw leaves its piece halfway along.
    const half = screw.length / 2;
    return draft(c, 'pocket', {
      parts: [end.id, other.id],
      fasteners: driven(screw, 2),
      bite: { through: half, into: half },
    });
  }
  if (c.onA === 'edge' && c.onB === 'edge') return 'none';
  // A skin is screwed into the frame behind it, a board through the thinner of the two.
  const first = isSheet(c.a) || (!isSheet(c.b) && c.deepA <= c.deepB) ? 'a' : 'b';
  const outer = first === 'a' ? c.a : c.b;
  const count = !isSheet(outer) && !runsAlong(outer, c) ? 2 : alongLine(c.long, SKIN_AT);
  return drivenThrough(c, 'face-screwed', { driver: 'screw', first, count }) ?? 'none';
};

/** Stops on what frames an opening. `a` is the stop. */
export const stopRule: JoineryRule = (c) => {
  if (c.a.role !== 'stop') return undefined;
  // Stops hold each other where they meet, so that a thin head carries none of them alone.
  if (c.b.role === 'stop' && (c.onA === 'end') !== (c.onB === 'end'))
    return draft(c, 'toe-screwed', {
      parts: c.onA === 'end' ? [c.a.id, c.b.id] : [c.b.id, c.a.id],
      fasteners: driven({ item: 'screw-1-1/4', length: 1.25 }, 1),
    });
  const on = layerOf(c.b);
  if (on !== 'wall' && on !== 'pen') return 'none';
  if (c.onA === 'end' || c.onB === 'end') return 'none';
  return drivenThrough(c, 'face-screwed', { driver: 'screw', count: alongLine(c.long, STOP_AT) }) ?? 'none';
};
