import { cross, dot, measurePtBounds, sub } from '../../geometry/index.ts';
import { findItem } from '../../stock/index.ts';
import type { Contact, JointDraft, PartDraft } from '../../unit/index.ts';
import { draft, drivenThrough } from '../draft.ts';
import { alongLine, chooseFastener, driven } from '../drive.ts';
import { isFrame, layerOf } from '../layers.ts';
import { isOnFace, runsAlong } from '../scene.ts';
import type { JoineryRule, Scene } from '../scene.ts';

/** Screws of a sheet: every 6 in at its edges, every 12 in over what lies under its field. IRC table R602.3(1), from memory. */
const AT_EDGE = 6;
const IN_FIELD = 12;
/** A sheet's contact this near its edge is its edge's. */
const NEAR_EDGE = 2;
/** A board along a stud, and strips over a skin, over mesh and on what is fixed outside. Common practice, no source. */
const BOARD_AT = 12;
const STRIP_AT = 16;
const BATTEN_AT = 8;
/** Staples of mesh: along every member, and where a batten or a washer holds it as well. Common practice, no source. */
const STAPLE_AT = 3;
const STAPLE_UNDER = 6;
const WASHER_AT = 18;
const WASHER = 1 / 16;
/** A thin strip on a thin skin is held by little. */
const THIN_HOLD = 0.2;

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
  // A skin over the corner of another panel is not screwed to it where the panels come apart.
  if (c.onB === 'end' || scene.bolted(c.a.assembly, c.b.assembly)) return 'none';
  return drivenThrough(c, 'face-screwed', { driver: 'screw', count: holdsOf(c.a, c) }) ?? 'none';
};

/** Mesh on framing or on a leaf. `a` is the mesh. */
export const meshRule: JoineryRule = (c) => {
  if (c.a.role !== 'mesh') return undefined;
  if (!isOnFace(c.a, c)) return layerOf(c.b) === 'over' ? undefined : 'none';
  const held = isFrame(c.b) || layerOf(c.b) === 'leaf' || layerOf(c.b) === 'sheet' || c.b.role === 'nest';
  if (!held) return undefined;
  const spacing = c.a.fixing === 'battens' ? STAPLE_UNDER : STAPLE_AT;
  const stapled = drivenThrough(c, 'staple', { driver: 'staple', count: alongLine(c.long, spacing), least: THIN_HOLD });
  if (!stapled) return 'none';
  const washers = Math.floor(c.long / WASHER_AT);
  const screw = chooseFastener('screw', c.deepA + WASHER, c.deepB);
  if (c.a.fixing !== undefined || washers === 0 || !screw) return stapled;
  return {
    ...stapled,
    kind: 'washer',
    fasteners: [...stapled.fasteners, ...driven(screw, washers)],
    hardware: [{ item: 'washer', count: washers }],
  };
};

/** What is laid over a skin with framing behind: through both, into each piece of it that runs along or is crossed. */
const intoBacking = (c: Contact, scene: Scene, plate: boolean): JointDraft[] => {
  const onMesh = c.b.role === 'mesh';
  const all = scene.behind(c.b, c).filter((b) => !b.onEnd && !scene.bolted(c.b.assembly, b.part.assembly));
  // What runs along under the strip holds it all the way; else it is held wherever it crosses something.
  const along = all.filter((b) => b.long >= c.long / 2);
  const backing = along.length > 0 && c.long > 2 * c.short ? along.slice(0, 1) : all;
  const kind = onMesh ? 'batten clamp' : plate ? 'face-nailed' : 'face-screwed';
  return backing.flatMap((b): JointDraft[] => {
    const made = drivenThrough(
      c,
      kind,
      {
        driver: plate ? 'nail' : 'screw',
        through: c.deepA + c.deepB,
        into: b.deep,
        count: alongLine(b.long > b.short * 1.2 ? b.long : 0, spacingOf(c), 1),
      },
      { parts: [c.a.id, c.b.id, b.part.id], at: b.at },
    );
    return made ? [made] : [];
  });
};

const spacingOf = (c: Contact): number =>
  c.b.role === 'mesh' ? BATTEN_AT : layerOf(c.a) === 'on' ? BOARD_AT : STRIP_AT;

/**
 * What is laid over a skin: through it into the framing behind, or into the skin where there is none. `a` is the strip, `b` the skin.
 */
export const overRule: JoineryRule = (c, scene) => {
  const strip = layerOf(c.a);
  const onMesh = c.b.role === 'mesh';
  const plateOnFloor = c.a.role === 'plate' && c.b.role === 'floor';
  if (strip !== 'over' && strip !== 'on' && !plateOnFloor) return undefined;
  if (c.a.role === 'roost' || c.a.role === 'ramp') return undefined;
  // A pop door's channels on the skin of a leaf go through it into the leaf's members.
  const onLeaf = c.a.role === 'channel' && layerOf(c.b) === 'leaf' && findItem(c.b.item).kind !== 'lumber';
  if ((layerOf(c.b) !== 'sheet' && !onMesh && !onLeaf) || !isOnFace(c.b, c)) return undefined;
  // A droppings board lies loose on its cleats, to be lifted out and scraped.
  if (c.a.role === 'cleat' && c.b.role === 'liner' && Math.abs(c.normal[2]) > 0.7)
    return draft(c, 'rests', { parts: [c.b.id, c.a.id] });
  if (plateOnFloor && scene.bolted(c.a.assembly, c.b.assembly)) return 'none';
  const made = intoBacking(c, scene, plateOnFloor);
  if (made.length > 0) return made;
  // A batten with no wood behind clamps the mesh's edge: the mesh is stapled to it.
  if (onMesh && c.a.role === 'batten')
    return (
      drivenThrough(c, 'staple', { driver: 'staple', first: 'b', count: alongLine(c.long, STAPLE_UNDER) }) ?? 'none'
    );
  if (onMesh) return 'none';
  // Into a thin skin it is screwed from inside.
  const drive = { driver: 'screw', count: alongLine(c.long, spacingOf(c)), least: THIN_HOLD } as const;
  return (
    drivenThrough(c, 'face-screwed', drive) ?? drivenThrough(c, 'face-screwed', { ...drive, first: 'b' }) ?? 'none'
  );
};

/** Battens and trim that lie on framing with nothing between. */
export const stripRule: JoineryRule = (c) => {
  const on = isFrame(c.b) || layerOf(c.b) === 'leaf' || c.b.role === 'cleat';
  if (layerOf(c.a) !== 'over' || !on || c.onA === 'end' || c.onB === 'end') return undefined;
  return drivenThrough(c, 'face-screwed', { driver: 'screw', count: alongLine(c.long, STRIP_AT) }) ?? 'none';
};
