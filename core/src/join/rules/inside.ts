import { findItem } from '../../stock/index.ts';
import type { Contact, JointDraft } from '../../unit/index.ts';
import { alongLine, chooseFastener, driven } from '../drive.ts';
import { isFrame, layerOf } from '../layers.ts';
import type { JoineryRule } from '../scene.ts';

/** Screws along the edge of a box's board, and along a cleat. Common practice, no source. */
const BOX_AT = 6;
const CLEAT_AT = 12;

const through = (c: Contact, first: 'a' | 'b', spacing: number): JointDraft | 'none' => {
  const [outer, inner, pass, hold] = first === 'a' ? [c.a, c.b, c.deepA, c.deepB] : [c.b, c.a, c.deepB, c.deepA];
  const f = chooseFastener('screw', pass, hold);
  if (!f) return 'none';
  return {
    kind: 'face-screwed',
    parts: [outer.id, inner.id],
    at: c.centre,
    fasteners: driven(f, alongLine(c.long, spacing)),
    hardware: [],
    bite: { through: pass, into: f.length - pass },
  };
};

/** Two screws through one part into the end of the other: they carry and draw nothing. */
const intoEnd = (c: Contact, first: 'a' | 'b'): JointDraft | 'none' => {
  const [outer, inner, pass] = first === 'a' ? [c.a, c.b, c.deepA] : [c.b, c.a, c.deepB];
  const f = chooseFastener('screw', pass, inner.length);
  return f
    ? {
        kind: 'end-screwed',
        parts: [outer.id, inner.id],
        at: c.centre,
        fasteners: driven(f, 2),
        hardware: [],
        bite: { through: pass, into: f.length - pass, endGrain: true },
      }
    : 'none';
};

/** Boards of a nest box to each other and to the wall that it hangs on. */
export const boxRule: JoineryRule = (c) => {
  if (c.a.role !== 'nest') return undefined;
  if (c.b.role === 'nest') {
    // Through the face of one board into the edge of the other.
    if (c.onA === 'face' && c.onB !== 'face') return through(c, 'a', BOX_AT);
    if (c.onA !== 'face' && c.onB === 'face') return undefined;
    if (c.onA === 'face') return through(c, 'a', BOX_AT);
    return 'none';
  }
  if (layerOf(c.b) === 'sheet') return c.onA === 'face' ? through(c, 'a', BOX_AT) : through(c, 'b', BOX_AT);
  if (c.b.role === 'cleat') return c.onA === 'face' ? through(c, 'a', CLEAT_AT) : undefined;
  if (isFrame(c.b)) return c.onA === 'face' ? through(c, 'a', CLEAT_AT) : 'none';
  return undefined;
};

/** Lookouts stand on the siding and are screwed from inside, through the end rafter and the siding. `a` is the block. */
export const lookoutRule: JoineryRule = (c, scene) => {
  if (c.a.role !== 'blocking' || c.onA !== 'end' || c.b.role !== 'siding' || c.onB !== 'face') return undefined;
  const behind = scene.behind(c.b, c).find((b) => b.part.role === 'rafter');
  if (!behind) return undefined;
  const f = chooseFastener('screw', behind.deep + c.deepB, c.a.length);
  return f
    ? {
        kind: 'end-screwed',
        parts: [behind.part.id, c.b.id, c.a.id],
        at: c.centre,
        fasteners: driven(f, 2),
        hardware: [],
        bite: { through: behind.deep + c.deepB, into: f.length - behind.deep - c.deepB, endGrain: true },
      }
    : 'none';
};

/** Cleats, roosts, ramps and channels on what they stand or hang on. */
export const fixedRule: JoineryRule = (c) => {
  const { a, b } = c;
  if (a.role === 'roost') {
    if (b.role === 'cleat' || b.role === 'roost' || b.role === 'collar') {
      if (c.onA === 'end') return 'none';
      const f = chooseFastener('screw', c.deepA, c.deepB);
      if (!f) return { kind: 'rests', parts: [a.id, b.id], at: c.centre, fasteners: [], hardware: [] };
      return {
        kind: 'cleat',
        parts: [a.id, b.id],
        at: c.centre,
        fasteners: driven(f, 2),
        hardware: [],
        bite: { through: c.deepA, into: f.length - c.deepA },
      };
    }
    // A bar between two rails is held at its ends in their side grain.
    if (c.onA === 'end' && layerOf(b) === 'pen')
      return {
        kind: 'pocket',
        parts: [a.id, b.id],
        at: c.centre,
        fasteners: driven({ item: 'pocket-screw', length: 2.5 }, 2),
        hardware: [],
        bite: { through: 1.25, into: 1.25 },
      };
    // Over a post a bar is screwed down into its end: it carries there and draws nothing.
    if (isFrame(b) && c.onB === 'end' && c.onA === 'face') return intoEnd(c, 'a');
    return isFrame(b) || layerOf(b) === 'sheet' ? 'none' : undefined;
  }
  // Posts of roosts and the like on a floor.
  if (isFrame(a) && c.onA === 'end' && b.role === 'floor')
    return {
      kind: 'toe-screwed',
      parts: [a.id, b.id],
      at: c.centre,
      fasteners: driven({ item: 'screw-1-1/2', length: 1.5 }, 2),
      hardware: [],
    };
  if (isFrame(a) && c.onA === 'end' && b.role === 'liner')
    return { kind: 'rests', parts: [a.id, b.id], at: c.centre, fasteners: [], hardware: [] };
  // Treads between the rails of a ladder.
  if (a.role === 'cleat' && c.onA === 'end' && b.role === 'rail') return intoEnd(c, 'b');
  // A cleat on the heads of posts.
  if (a.role === 'cleat' && isFrame(b) && c.onB === 'end' && c.onA !== 'end') return intoEnd(c, 'a');
  if (a.role === 'cleat' && b.role === 'ramp') return through(c, 'a', CLEAT_AT);
  if (a.role === 'cleat' && b.role === 'cleat') return through(c, 'a', CLEAT_AT);
  if (a.role === 'ramp' && layerOf(b) === 'sheet')
    return {
      kind: 'hook',
      parts: [a.id, b.id],
      at: c.centre,
      fasteners: [],
      hardware: [{ item: 'ramp-hook', count: 2 }],
    };
  if (layerOf(a) === 'on' && a.role !== 'ramp' && isFrame(b) && c.onA !== 'end' && c.onB !== 'end')
    return through(c, 'a', CLEAT_AT);
  if (a.role === 'channel' && b.role === 'channel') return through(c, c.deepA <= c.deepB ? 'a' : 'b', CLEAT_AT);
  if (a.role === 'gusset' && isFrame(b) && c.onA === 'face') {
    const f = chooseFastener('screw', c.deepA, c.deepB);
    return f
      ? {
          kind: 'gusset',
          parts: [a.id, b.id],
          at: c.centre,
          fasteners: driven(f, Math.max(4, alongLine(c.long, 3))),
          hardware: [],
          bite: { through: c.deepA, into: f.length - c.deepA },
        }
      : 'none';
  }
  return undefined;
};

/** What stands on block, or block on block, rests there by its weight. */
export const groundRule: JoineryRule = (c) => {
  if (c.a.role !== 'block') return undefined;
  if (findItem(c.b.item).kind === 'mesh') return 'none';
  return { kind: 'rests', parts: [c.b.id, c.a.id], at: c.centre, fasteners: [], hardware: [] };
};
