import { findItem } from '../../stock/index.ts';
import type { Contact, JointDraft } from '../../unit/index.ts';
import { draft, drivenThrough, thinnerOf } from '../draft.ts';
import { alongLine, driven } from '../drive.ts';
import { isFrame, layerOf } from '../layers.ts';
import type { JoineryRule } from '../scene.ts';

/** Screws along the edge of a box's board, along a cleat, and of a gusset. Common practice, no source. */
const BOX_AT = 6;
const CLEAT_AT = 12;
const GUSSET_AT = 3;

const screwed = (c: Contact, first: 'a' | 'b', spacing: number): JointDraft | 'none' =>
  drivenThrough(c, 'face-screwed', { driver: 'screw', first, count: alongLine(c.long, spacing) }) ?? 'none';

/** Two screws through one part into the end of the other: they carry and draw nothing. */
const intoEnd = (c: Contact, first: 'a' | 'b'): JointDraft | 'none' =>
  drivenThrough(c, 'end-screwed', { driver: 'screw', first, count: 2, endGrain: true }) ?? 'none';

/** Boards of a nest box to each other and to the wall that it hangs on. */
export const boxRule: JoineryRule = (c) => {
  if (c.a.role !== 'nest') return undefined;
  if (c.b.role === 'nest') {
    // Through the face of one board into the edge of the other.
    if (c.onA === 'face') return screwed(c, 'a', BOX_AT);
    return c.onB === 'face' ? undefined : 'none';
  }
  if (layerOf(c.b) === 'sheet') return screwed(c, c.onA === 'face' ? 'a' : 'b', BOX_AT);
  if (c.b.role === 'cleat') return c.onA === 'face' ? screwed(c, 'a', CLEAT_AT) : undefined;
  if (isFrame(c.b)) return c.onA === 'face' ? screwed(c, 'a', CLEAT_AT) : 'none';
  return undefined;
};

/** Lookouts stand on the siding and are screwed from inside, through the end rafter and the siding. `a` is the block. */
export const lookoutRule: JoineryRule = (c, scene) => {
  if (c.a.role !== 'blocking' || c.onA !== 'end' || c.b.role !== 'siding' || c.onB !== 'face') return undefined;
  const behind = scene.behind(c.b, c).find((b) => b.part.role === 'rafter');
  if (!behind) return undefined;
  const through = behind.deep + c.deepB;
  const parts = [behind.part.id, c.b.id, c.a.id];
  const drive = { driver: 'screw', first: 'b', through, count: 2, endGrain: true } as const;
  return drivenThrough(c, 'end-screwed', drive, { parts }) ?? 'none';
};

/** A roost on what carries it. `a` is the roost. */
const roostRule: JoineryRule = (c) => {
  const { a, b } = c;
  if (a.role !== 'roost') return undefined;
  if (b.role === 'cleat' || b.role === 'roost' || b.role === 'collar') {
    if (c.onA === 'end') return 'none';
    return drivenThrough(c, 'cleat', { driver: 'screw', count: 2 }) ?? draft(c, 'rests');
  }
  // A bar between two rails is held at its ends in their side grain.
  if (c.onA === 'end' && layerOf(b) === 'pen')
    return draft(c, 'pocket', {
      fasteners: driven({ item: 'pocket-screw', length: 2.5 }, 2),
      bite: { through: 1.25, into: 1.25 },
    });
  // Over a post a bar is screwed down into its end.
  if (isFrame(b) && c.onB === 'end' && c.onA === 'face') return intoEnd(c, 'a');
  return isFrame(b) || layerOf(b) === 'sheet' ? 'none' : undefined;
};

/** Cleats, roosts, ramps, channels and gussets on what they stand or hang on. */
export const fixedRule: JoineryRule = (c, scene) => {
  const { a, b } = c;
  if (a.role === 'roost') return roostRule(c, scene);
  // Posts of roosts and the like on a floor, or on a droppings board.
  if (isFrame(a) && c.onA === 'end' && b.role === 'floor')
    return draft(c, 'toe-screwed', { fasteners: driven({ item: 'screw-1-1/2', length: 1.5 }, 2) });
  if (isFrame(a) && c.onA === 'end' && b.role === 'liner') return draft(c, 'rests');
  if (a.role === 'cleat') {
    // Treads between the rails of a ladder; cleats on the heads of posts.
    if (c.onA === 'end' && b.role === 'rail') return intoEnd(c, 'b');
    if (isFrame(b) && c.onB === 'end' && c.onA !== 'end') return intoEnd(c, 'a');
    if (b.role === 'ramp' || b.role === 'cleat') return screwed(c, 'a', CLEAT_AT);
  }
  if (a.role === 'ramp' && layerOf(b) === 'sheet')
    return draft(c, 'hook', { hardware: [{ item: 'ramp-hook', count: 2 }] });
  if (layerOf(a) === 'on' && a.role !== 'ramp' && isFrame(b) && c.onA !== 'end' && c.onB !== 'end')
    return screwed(c, 'a', CLEAT_AT);
  if (a.role === 'channel' && b.role === 'channel') return screwed(c, thinnerOf(c), CLEAT_AT);
  if (a.role === 'gusset' && isFrame(b) && c.onA === 'face') {
    const count = Math.max(4, alongLine(c.long, GUSSET_AT));
    return drivenThrough(c, 'gusset', { driver: 'screw', count }) ?? 'none';
  }
  return undefined;
};

/** What stands on block, or block on block, rests there by its weight. */
export const groundRule: JoineryRule = (c) => {
  if (c.a.role !== 'block') return undefined;
  return findItem(c.b.item).kind === 'mesh' ? 'none' : draft(c, 'rests', { parts: [c.b.id, c.a.id] });
};
