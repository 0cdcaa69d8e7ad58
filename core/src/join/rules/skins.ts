import { cross, dot, measurePtBounds, sub } from '../../geometry/index.ts';
import { findItem } from '../../stock/index.ts';
import type { Contact, Driven, JointDraft, PartDraft } from '../../unit/index.ts';
import { alongLine, chooseFastener, driven } from '../drive.ts';
import { isFrame, layerOf } from '../layers.ts';
import { isOnFace, runsAlong } from '../scene.ts';
import type { JoineryRule } from '../scene.ts';

/** Screws of a sheet: every 6 in at its edges, every 12 in over what lies under its field. IRC table R602.3(1), from memory. */
const AT_EDGE = 6;
const IN_FIELD = 12;
/** A sheet's contact this near its edge is its edge's. */
const NEAR_EDGE = 2;
/** A board along a stud, and its screws where it crosses one. Common practice, no source. */
const BOARD_AT = 12;
/** Staples of mesh: along every member, and where a batten or a washer holds it as well. Common practice, no source. */
const STAPLE_AT = 3;
const STAPLE_UNDER = 6;
const WASHER_AT = 18;
/** Ties of a tarp. Common practice, no source. */
const TIE_AT = 48;
/** Gasketed screws: across the ribs, and rows down a slope on a deck. */
const RIB = 9;
const STITCH_AT = 24;
/** Nails to a square foot of shingles: four to each of some eighty in a hundred square feet. Common practice, no source. */
const SHINGLE_NAILS = 3.2;
/** Sheet steel and clear sheet: what a screw passes in the flat between the ribs. */
const FLAT = 1 / 32;

const base = (c: Contact, kind: JointDraft['kind'], fasteners: readonly Driven[], more: Partial<JointDraft> = {}) => ({
  kind,
  parts: [c.a.id, c.b.id],
  at: c.centre,
  fasteners,
  hardware: [],
  ...more,
});

/** True where a contact runs along an edge of a sheet. */
const isAtEdge = (sheet: PartDraft, c: Contact): boolean => {
  const { u, v, origin } = sheet.place;
  const [x0, y0, x1, y1] = measurePtBounds(sheet.shape.outline);
  const d = sub(c.centre, origin);
  const across = cross(c.normal, c.along);
  const flat = Math.abs(dot(across, u)) > Math.abs(dot(across, v));
  const at = flat ? dot(d, u) : dot(d, v);
  const [from, to] = flat ? [x0, x1] : [y0, y1];
  return at - from < NEAR_EDGE || to - at < NEAR_EDGE;
};

/** How many screws hold a sheet or a board along a contact. */
const holdsOf = (skin: PartDraft, c: Contact): number => {
  if (findItem(skin.item).kind === 'lumber') {
    if (runsAlong(skin, c)) return alongLine(c.long, BOARD_AT);
    // One nail in the middle lets a green board shrink.
    return skin.item === 'rough-1x8' || Math.max(c.long, c.short) < 2.5 ? 1 : 2;
  }
  return alongLine(c.long, isAtEdge(skin, c) ? AT_EDGE : IN_FIELD);
};

/** Sheets and boards on framing. `a` is the skin. */
export const sheetRule: JoineryRule = (c, scene) => {
  if (layerOf(c.a) !== 'sheet' || !isOnFace(c.a, c)) return undefined;
  const onLeaf = c.a.role === 'glazing' && layerOf(c.b) === 'leaf';
  const onBox = c.b.role === 'nest' && c.a.role === 'deck';
  if (!isFrame(c.b) && !onLeaf && !onBox) return undefined;
  if (c.onB === 'end') return 'none';
  // A skin over the corner of another panel is not screwed to it where the panels come apart.
  if (scene.bolted(c.a.assembly, c.b.assembly)) return 'none';
  const f = chooseFastener('screw', c.deepA, c.deepB);
  if (!f) return 'none';
  return base(c, 'face-screwed', driven(f, holdsOf(c.a, c)), { bite: { through: c.deepA, into: f.length - c.deepA } });
};

/** Mesh on framing or on a leaf. `a` is the mesh. */
export const meshRule: JoineryRule = (c) => {
  if (c.a.role !== 'mesh') return undefined;
  if (!isOnFace(c.a, c)) return layerOf(c.b) === 'over' ? undefined : 'none';
  const held = isFrame(c.b) || layerOf(c.b) === 'leaf' || layerOf(c.b) === 'sheet' || c.b.role === 'nest';
  if (!held) return undefined;
  const staple = chooseFastener('staple', c.deepA, c.deepB, 0.2);
  if (!staple) return 'none';
  const bite = { through: c.deepA, into: staple.length - c.deepA };
  if (c.a.fixing === 'battens') return base(c, 'staple', driven(staple, alongLine(c.long, STAPLE_UNDER)), { bite });
  const staples = driven(staple, alongLine(c.long, STAPLE_AT));
  const washers = Math.floor(c.long / WASHER_AT);
  const screw = chooseFastener('screw', c.deepA + 1 / 16, c.deepB);
  if (c.a.fixing === 'lap' || washers === 0 || !screw) return base(c, 'staple', staples, { bite });
  return base(c, 'washer', [...staples, ...driven(screw, washers)], {
    hardware: [{ item: 'washer', count: washers }],
    bite,
  });
};

/** A tarp is tied over the framing that it lies on. `a` is the tarp. */
export const coverRule: JoineryRule = (c) => {
  if (c.a.role !== 'cover' || c.a.bent !== undefined || !isFrame(c.b)) return undefined;
  return base(c, 'tie', [], { hardware: [{ item: 'bungee', count: Math.max(1, Math.ceil(c.long / TIE_AT)) }] });
};

/** Roofing, over a deck or straight on framing. `a` is the roofing. */
export const roofingRule: JoineryRule = (c, scene) => {
  // Neighbouring sheets are stitched rib to rib along their side laps.
  if (c.a.role === 'roofing' && c.b.role === 'roofing' && c.a.item === 'metal' && c.onA === 'edge' && c.onB === 'edge')
    return base(c, 'gasketed screw', driven({ item: 'roof-screw-3/4', length: 0.75 }, alongLine(c.long, STITCH_AT)));
  if (c.a.role !== 'roofing' || !isOnFace(c.a, c)) return undefined;
  if (c.a.item === 'shingle') {
    if (c.b.role !== 'deck') return undefined;
    const nail = chooseFastener('roof nail', c.deepA, c.deepB);
    if (!nail) return 'none';
    return base(c, 'roofing nail', driven(nail, Math.max(4, Math.ceil((c.area / 144) * SHINGLE_NAILS))), {
      bite: { through: c.deepA, into: nail.length - c.deepA },
    });
  }
  if (c.b.role === 'deck') {
    // Screws go where there is wood under the deck, so that none comes out below.
    const rows = scene.behind(c.b, c).filter((b) => !b.onEnd && b.deep >= 1 && b.long >= RIB / 2);
    if (rows.length === 0) {
      // A small roof of thick ply holds its covering by itself.
      const f = chooseFastener('roof screw', FLAT, c.deepB);
      return f && c.deepB > 0.7
        ? base(c, 'gasketed screw', driven(f, 2 * alongLine(c.long, RIB)), {
            bite: { through: FLAT, into: f.length - FLAT },
          })
        : 'none';
    }
    const through = FLAT + c.deepB;
    return rows.flatMap((row) => {
      const f = chooseFastener('roof screw', through, row.deep);
      if (!f) return [];
      return base(c, 'gasketed screw', driven(f, alongLine(row.long, 2 * RIB)), {
        parts: [c.a.id, c.b.id, row.part.id],
        at: row.at,
        bite: { through, into: f.length - through },
      });
    });
  }
  if (!isFrame(c.b) && layerOf(c.b) !== 'sheet') return undefined;
  if (c.onB === 'end') return 'none';
  const f = chooseFastener('roof screw', FLAT, c.deepB);
  if (!f) return 'none';
  return base(c, 'gasketed screw', driven(f, alongLine(c.long, RIB)), {
    bite: { through: FLAT, into: f.length - FLAT },
  });
};

/**
 * What is laid over a skin: through it into the framing behind, or into the skin where there is none. `a` is the strip, `b` the skin.
 */
export const overRule: JoineryRule = (c, scene) => {
  const strip = layerOf(c.a);
  const onMesh = c.b.role === 'mesh';
  const plateOnFloor = c.a.role === 'plate' && c.b.role === 'floor';
  if (strip !== 'over' && strip !== 'on' && !plateOnFloor) return undefined;
  if (c.a.role === 'roost' || c.a.role === 'ramp') return undefined;
  if (layerOf(c.b) !== 'sheet' && !onMesh) return undefined;
  if (!isOnFace(c.b, c)) return undefined;
  // A droppings board lies loose on its cleats, to be lifted out and scraped.
  if (c.a.role === 'cleat' && c.b.role === 'liner' && Math.abs(c.normal[2]) > 0.7)
    return base(c, 'rests', [], { parts: [c.b.id, c.a.id] });
  if (plateOnFloor && scene.bolted(c.a.assembly, c.b.assembly)) return 'none';
  const all = scene.behind(c.b, c).filter((b) => !b.onEnd && !scene.bolted(c.b.assembly, b.part.assembly));
  // What runs along under the strip holds it all the way; else it is held wherever it crosses something.
  const along = all.filter((b) => b.long >= c.long / 2);
  const backing = along.length > 0 && c.long > 2 * c.short ? along.slice(0, 1) : all;
  const spacing = onMesh ? 8 : strip === 'on' ? 12 : 16;
  const kind = onMesh ? 'batten clamp' : plateOnFloor ? 'face-nailed' : 'face-screwed';
  const through = c.deepA + c.deepB;
  const made = backing.flatMap((b): JointDraft[] => {
    const f = chooseFastener(plateOnFloor ? 'nail' : 'screw', through, b.deep);
    if (!f) return [];
    const n = alongLine(b.long > b.short * 1.2 ? b.long : 0, spacing, 1);
    return [
      base(c, kind, driven(f, n), {
        parts: [c.a.id, c.b.id, b.part.id],
        at: b.at,
        bite: { through, into: f.length - through },
      }),
    ];
  });
  if (made.length > 0) return made;
  // A batten with no wood behind clamps the mesh's edge: the mesh is stapled to it.
  if (onMesh && c.a.role === 'batten')
    return base(c, 'staple', driven({ item: 'staple', length: 0.5 }, alongLine(c.long, STAPLE_UNDER)), {
      parts: [c.b.id, c.a.id],
      bite: { through: c.deepB, into: 0.5 - c.deepB },
    });
  if (onMesh) return 'none';
  const f = chooseFastener('screw', c.deepA, c.deepB, 0.2);
  if (f)
    return base(c, 'face-screwed', driven(f, alongLine(c.long, spacing)), {
      bite: { through: c.deepA, into: f.length - c.deepA },
    });
  // Into a thin skin it is screwed from inside.
  const inside = chooseFastener('screw', c.deepB, c.deepA, 0.2);
  return inside
    ? base(c, 'face-screwed', driven(inside, alongLine(c.long, spacing)), {
        parts: [c.b.id, c.a.id],
        bite: { through: c.deepB, into: inside.length - c.deepB },
      })
    : 'none';
};

/** Battens and trim that lie on framing with nothing between. */
export const stripRule: JoineryRule = (c) => {
  if (
    layerOf(c.a) !== 'over' ||
    !(isFrame(c.b) || layerOf(c.b) === 'leaf' || c.b.role === 'cleat') ||
    c.onA === 'end' ||
    c.onB === 'end'
  )
    return undefined;
  const f = chooseFastener('screw', c.deepA, c.deepB);
  return f
    ? base(c, 'face-screwed', driven(f, alongLine(c.long, 16)), {
        bite: { through: c.deepA, into: f.length - c.deepA },
      })
    : 'none';
};
