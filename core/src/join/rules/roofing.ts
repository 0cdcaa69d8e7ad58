import type { JointDraft } from '../../unit/index.ts';
import { draft, drivenThrough } from '../draft.ts';
import { alongLine, driven } from '../drive.ts';
import { isFrame, layerOf } from '../layers.ts';
import { isOnFace } from '../scene.ts';
import type { JoineryRule } from '../scene.ts';

/** Gasketed screws: across the ribs, rows down a slope on a deck, and along side laps. Common practice, no source. */
const RIB = 9;
const STITCH_AT = 24;
/** Ties of a tarp. Common practice, no source. */
const TIE_AT = 48;
/** Nails to a square foot of shingles: four to each of some eighty in a hundred square feet. Common practice, no source. */
const SHINGLE_NAILS = 3.2;
/** Sheet steel: what a screw passes in the flat between the ribs. */
const FLAT = 1 / 32;
/** Ply that holds the screws of a small roof by itself. */
const THICK_DECK = 0.7;

/** Neighbouring metal sheets are stitched rib to rib along their side laps. */
export const stitchRule: JoineryRule = (c) =>
  c.a.role === 'roofing' && c.b.role === 'roofing' && c.a.item === 'metal' && c.onA === 'edge' && c.onB === 'edge'
    ? draft(c, 'gasketed screw', {
        fasteners: driven({ item: 'roof-screw-3/4', length: 0.75 }, alongLine(c.long, STITCH_AT)),
      })
    : undefined;

/** Roofing, over a deck or straight on framing. `a` is the roofing. */
export const roofingRule: JoineryRule = (c, scene) => {
  if (c.a.role !== 'roofing' || !isOnFace(c.a, c)) return undefined;
  if (c.a.item === 'shingle') {
    if (c.b.role !== 'deck') return undefined;
    const count = Math.max(4, Math.ceil((c.area / 144) * SHINGLE_NAILS));
    return drivenThrough(c, 'roofing nail', { driver: 'roof nail', count }) ?? 'none';
  }
  const screw = { driver: 'roof screw', through: FLAT } as const;
  if (c.b.role === 'deck') {
    // Screws go where there is wood under the deck, so that none comes out below.
    const rows = scene.behind(c.b, c).filter((b) => !b.onEnd && b.deep >= 1 && b.long >= RIB / 2);
    if (rows.length === 0) {
      if (c.deepB < THICK_DECK) return 'none';
      return drivenThrough(c, 'gasketed screw', { ...screw, count: 2 * alongLine(c.long, RIB) }) ?? 'none';
    }
    return rows.flatMap((row): JointDraft[] => {
      const drive = { ...screw, through: FLAT + c.deepB, into: row.deep, count: alongLine(row.long, 2 * RIB) };
      const made = drivenThrough(c, 'gasketed screw', drive, { parts: [c.a.id, c.b.id, row.part.id], at: row.at });
      return made ? [made] : [];
    });
  }
  if (!isFrame(c.b) && layerOf(c.b) !== 'sheet') return undefined;
  if (c.onB === 'end') return 'none';
  return drivenThrough(c, 'gasketed screw', { ...screw, count: alongLine(c.long, RIB) }) ?? 'none';
};

/** A tarp is tied over the framing that it lies on. `a` is the tarp. */
export const coverRule: JoineryRule = (c) =>
  c.a.role === 'cover' && c.a.bent === undefined && isFrame(c.b)
    ? draft(c, 'tie', { hardware: [{ item: 'bungee', count: Math.max(1, Math.ceil(c.long / TIE_AT)) }] })
    : undefined;
