import type { Contact, JointDraft, Role } from '../../unit/index.ts';
import { draft, drivenThrough, thinnerOf } from '../draft.ts';
import { alongLine, chooseFastener, driven } from '../drive.ts';
import { isFrame, layerOf } from '../layers.ts';
import type { JoineryRule } from '../scene.ts';

/**
 * Framing to framing. Counts and sizes follow the fastening schedule of the residential code, IRC table R602.3(1) (values from
 * memory); screws of pens are common practice, no source.
 */
const FASTENED_AT = 16;
/** Thickest piece that is nailed through into the end of another. */
const THROUGH = 1.75;
/** Thinnest piece that a pocket screw holds in. */
const POCKET_LEAST = 1.2;
/** A joist longer than this hangs in hangers and not on its end screws alone. */
const HANGER_FROM = 72;
/** Pieces that stand in place when their foot or head is fixed: they are nailed aslant from their sides. */
const ASLANT: ReadonlySet<Role> = new Set(['gable stud', 'post', 'rafter', 'ridge', 'collar', 'brace']);
/** A contact of rafter and plate longer than this runs along the plate. */
const ALONG_PLATE = 8;
/** A slanting nail or screw starts an inch up: what it passes in its own piece, and what is left for the other. */
const SLANT = { through: 1.15, into: 1.35 } as const;
/** A pocket screw leaves its piece after half its length. */
const POCKET = { through: 1.25, into: 1.25 } as const;
const SLANTING = { nail: { item: 'nail-2-1/2', length: 2.5 }, screw: { item: 'screw-2-1/2', length: 2.5 } } as const;
const CONNECTOR = { item: 'screw-1-1/2', length: 1.5 } as const;

const areWalls = (c: Contact): boolean => layerOf(c.a) === 'wall' && layerOf(c.b) === 'wall';
const perEnd = (width: number): number => (width >= 7 ? 4 : width >= 3 ? 3 : 2);

/** Fastened from the sides of a piece that stands in place. */
const aslant = (c: Contact): JointDraft =>
  areWalls(c)
    ? draft(c, 'toe-nailed', { fasteners: driven(SLANTING.nail, c.long >= 3 ? 4 : 2), bite: SLANT })
    : draft(c, 'toe-screwed', { fasteners: driven(SLANTING.screw, 2), bite: SLANT });

/** A joist against its rim. */
const hangJoist = (c: Contact): JointDraft => {
  const drive = { driver: 'screw', first: 'b', count: perEnd(c.a.width), endGrain: true } as const;
  const screwed = drivenThrough(c, 'end-screwed', drive);
  if (!screwed) return aslant(c);
  if (c.a.length <= HANGER_FROM) return screwed;
  return {
    ...screwed,
    kind: 'hung',
    hardware: [{ item: 'hanger', count: 1 }],
    fasteners: [...screwed.fasteners, ...driven(CONNECTOR, 10)],
  };
};

/** The end of `a` against a side of `b`. */
const butt = (c: Contact): JointDraft | undefined => {
  const { a, b, deepB } = c;
  if (a.role === 'leg' || (b.role === 'leg' && a.role !== 'rail' && a.role !== 'brace'))
    // The rim sits on the leg: a strap let in over both holds it where no screw reaches, on every side that has a rim.
    return draft(c, 'strap', {
      hardware: [{ item: 'post-strap', count: 1 }],
      fasteners: driven(CONNECTOR, 8),
      bite: { through: 1 / 16, into: 1.4375 },
    });
  if (ASLANT.has(a.role)) return aslant(c);
  if (a.role === 'joist' && b.role === 'rim') return hangJoist(c);
  if (areWalls(c)) {
    const screws = a.role === 'rim' || b.role === 'rim';
    const drive = { driver: screws ? 'screw' : 'nail', first: 'b', count: perEnd(c.long), endGrain: true } as const;
    const through = deepB <= THROUGH ? drivenThrough(c, screws ? 'end-screwed' : 'end-nailed', drive) : undefined;
    return through ?? aslant(c);
  }
  if (deepB < POCKET_LEAST) return undefined;
  // A sprung or moved frame pulls at its joints: pocket screws hold in side grain.
  return draft(c, 'pocket', { fasteners: driven({ item: 'pocket-screw', length: 2.5 }, 2), bite: POCKET });
};

/** Two pieces side by side, or crossing. */
const side = (c: Contact): JointDraft | undefined => {
  const rows = c.short >= 3 ? 2 : 1;
  const long = c.long > c.short * 1.2 ? c.long : 0;
  const drive = { first: thinnerOf(c), count: Math.max(2, alongLine(long, FASTENED_AT, 1) * rows) };
  const nailed = areWalls(c) ? drivenThrough(c, 'face-nailed', { ...drive, driver: 'nail' }) : undefined;
  return nailed ?? drivenThrough(c, 'face-screwed', { ...drive, driver: 'screw' });
};

/** A rafter's seat on a plate or rail: tied down, and nailed aslant. */
const seat = (c: Contact, loose: boolean): JointDraft =>
  layerOf(c.b) === 'wall'
    ? draft(c, 'tie', {
        hardware: [{ item: 'rafter-tie', count: 1 }],
        // A roof that comes off again is not nailed.
        fasteners: [...(loose ? [] : driven(SLANTING.nail, 3)), ...driven(CONNECTOR, 10)],
        bite: SLANT,
      })
    : draft(c, 'notch', { fasteners: driven(SLANTING.screw, 2), bite: SLANT });

/** Bolts of panels that come apart: along a seam, and what they pass at most. Common practice, no source. */
const BOLT_AT = 20;
const BOLTS = [
  { item: 'carriage-bolt', passes: 3.25 },
  { item: 'carriage-bolt-6', passes: 5.25 },
] as const;

/** Two panels that come apart again: bolted through where a bolt passes, else lagged. */
const bolt = (c: Contact): JointDraft | undefined => {
  if (c.onA === 'end' || c.onB === 'end') return undefined;
  const first = thinnerOf(c);
  const count = Math.max(1, Math.ceil(c.long / BOLT_AT));
  const fits = BOLTS.find((b) => c.deepA + c.deepB <= b.passes);
  if (!fits) return drivenThrough(c, 'lag', { driver: 'lag', first, count });
  const parts = first === 'a' ? [c.a.id, c.b.id] : [c.b.id, c.a.id];
  return draft(c, 'bolt', { parts, hardware: [{ item: fits.item, count }] });
};

/** True where a piece keeps half its thickness. */
const isHalved = (deep: number, part: Contact['a']): boolean => Math.abs(deep - part.thickness / 2) < 0.02;

/** How framing meets framing, `a` against `b`; what is seen from the other part is left to that view. */
export const frameRule: JoineryRule = (c, scene) => {
  if (!isFrame(c.a) || !isFrame(c.b)) return undefined;
  const [endA, endB] = [c.onA === 'end', c.onB === 'end'];
  const seated = (c.a.role === 'rafter' && c.onA === 'notch') || (c.b.role === 'rafter' && c.onB === 'notch');
  const loose = scene.bolted(c.a.assembly, c.b.assembly);
  if (loose && !seated) return bolt(c) ?? 'none';
  if (endA && endB) return 'none';
  // A tie stands on the plates; its hold on the rafters is counted where it is framed.
  if (c.a.role === 'tie')
    return c.b.role === 'plate' && !endA
      ? draft(c, 'toe-nailed', { fasteners: driven(SLANTING.nail, 2), bite: SLANT })
      : 'none';
  if (c.b.role === 'tie') return undefined;
  // A ridge sits on its post; what holds it is nailed through the sides.
  if (c.a.role === 'post' && c.b.role === 'ridge' && c.onA === 'notch') return draft(c, 'rests');
  if (c.a.role === 'ridge' && c.b.role === 'post' && c.onB === 'notch') return undefined;
  // Spacers are held between the two halves of their header.
  if (c.a.role === 'spacer' || c.b.role === 'spacer') return 'none';
  if (c.a.role === 'rafter' && c.onA === 'notch')
    return c.onB === 'face' || layerOf(c.b) === 'pen' ? seat(c, loose) : 'none';
  if (c.b.role === 'rafter' && c.onB === 'notch') return undefined;
  // A rafter lies along the plate of a raked wall and crosses those of level ones.
  if (c.a.role === 'rafter' && c.b.role === 'plate' && !endA && c.long < ALONG_PLATE) return seat(c, loose);
  if (c.a.role === 'plate' && c.b.role === 'rafter' && c.long < ALONG_PLATE) return undefined;
  if (!endA && !endB && isHalved(c.deepA, c.a) && isHalved(c.deepB, c.b))
    return drivenThrough(c, 'half-lap', { driver: 'screw', first: thinnerOf(c), count: 4 }) ?? 'none';
  if (endB) return endA ? 'none' : undefined;
  if (!endA) return side(c) ?? 'none';
  // A plate's end at a corner is held by the studs that meet there.
  if (c.a.role === 'plate') return 'none';
  if (c.a.role === 'jack' && c.b.role === 'header') return draft(c, 'rests');
  return butt(c) ?? 'none';
};

/** Both halves of a header with the spacer between them. */
export const headerRule: JoineryRule = (c, scene) => {
  if (c.a.role !== 'header' || c.b.role !== 'spacer' || c.onA !== 'face' || c.onB !== 'face') return undefined;
  for (const d of scene.contacts) {
    if (d === c || (d.a !== c.b && d.b !== c.b)) continue;
    const [second, on, into] = d.a === c.b ? [d.b, d.onB, d.deepB] : [d.a, d.onA, d.deepA];
    if (second.role !== 'header' || second === c.a || on !== 'face') continue;
    // Seen once for both halves.
    if (c.a.id > second.id) return 'none';
    const through = c.deepA + c.deepB;
    const f = chooseFastener('nail', through, into);
    if (!f) return 'none';
    return draft(c, 'face-nailed', {
      parts: [c.a.id, c.b.id, second.id],
      fasteners: driven(f, 2 * alongLine(c.long, FASTENED_AT)),
      bite: { through, into: f.length - through },
    });
  }
  return 'none';
};
