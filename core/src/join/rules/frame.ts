import type { Contact, JointDraft, Role } from '../../unit/index.ts';
import { alongLine, chooseFastener, driven } from '../drive.ts';
import { isFrame, layerOf } from '../layers.ts';
import type { JoineryRule } from '../scene.ts';

/**
 * Framing to framing. Counts and sizes follow the fastening schedule of the residential code, IRC table R602.3(1) (values from
 * memory); screws of pens are common practice, no source.
 */
const NAIL_AT = 16;
const SCREW_AT = 16;
/** Thickest piece that is nailed through into the end of another. */
const THROUGH = 1.75;
/** A joist longer than this hangs in hangers and not on its end screws alone. */
const HANGER_FROM = 72;
/** Pieces that stand in place when their foot or head is fixed: they are nailed aslant from their sides. */
const ASLANT: ReadonlySet<Role> = new Set(['gable stud', 'post', 'rafter', 'ridge', 'collar', 'brace']);
/** A contact of rafter and plate longer than this runs along the plate. */
const ALONG_PLATE = 8;
/** A slanting nail or screw starts an inch up: what it passes in its own piece, and what is left for the other. */
const SLANT = { through: 1.15, into: 1.35 } as const;
/** A pocket screw leaves its piece after this much. */
const POCKET = { through: 1.25, into: 1.25 } as const;

const make = (c: Contact, draft: Pick<JointDraft, 'kind' | 'fasteners'> & Partial<JointDraft>): JointDraft => ({
  parts: [c.a.id, c.b.id],
  at: c.centre,
  hardware: [],
  ...draft,
});

const perEnd = (width: number): number => (width >= 7 ? 4 : width >= 3 ? 3 : 2);

/** The end of `a` against a side of `b`. */
const butt = (c: Contact): JointDraft | undefined => {
  const { a, b, deepB } = c;
  const walls = layerOf(a) === 'wall' && layerOf(b) === 'wall';
  const aslant = (): JointDraft =>
    walls
      ? make(c, {
          kind: 'toe-nailed',
          fasteners: driven({ item: 'nail-2-1/2', length: 2.5 }, c.long >= 3 ? 4 : 2),
          bite: SLANT,
        })
      : make(c, {
          kind: 'toe-screwed',
          fasteners: driven({ item: 'screw-2-1/2', length: 2.5 }, 2),
          bite: SLANT,
        });
  if (a.role === 'leg' || (b.role === 'leg' && a.role !== 'rail' && a.role !== 'brace'))
    // The rim sits on the leg: a strap let in over both holds it where no screw reaches, on every side that has a rim.
    return make(c, {
      kind: 'strap',
      hardware: [{ item: 'post-strap', count: 1 }],
      fasteners: driven({ item: 'screw-1-1/2', length: 1.5 }, 8),
      bite: { through: 1 / 16, into: 1.4375 },
    });
  if (a.role === 'header' && b.role === 'jack') return undefined;
  if (ASLANT.has(a.role)) return aslant();
  if (a.role === 'joist' && b.role === 'rim') {
    const screw = chooseFastener('screw', deepB, a.length);
    if (!screw) return aslant();
    const hung = a.length > HANGER_FROM;
    return make(c, {
      parts: [b.id, a.id],
      kind: hung ? 'hung' : 'end-screwed',
      hardware: hung ? [{ item: 'hanger', count: 1 }] : [],
      fasteners: [...driven(screw, perEnd(a.width)), ...(hung ? driven({ item: 'screw-1-1/2', length: 1.5 }, 10) : [])],
      bite: { through: deepB, into: screw.length - deepB, endGrain: true },
    });
  }
  if (walls && deepB <= THROUGH) {
    const driver = a.role === 'rim' || b.role === 'rim' ? 'screw' : 'nail';
    const f = chooseFastener(driver, deepB, a.length);
    if (f)
      return make(c, {
        parts: [b.id, a.id],
        kind: driver === 'nail' ? 'end-nailed' : 'end-screwed',
        fasteners: driven(f, perEnd(c.long)),
        bite: { through: deepB, into: f.length - deepB, endGrain: true },
      });
  }
  if (walls) return aslant();
  if (deepB < 1.2) return undefined;
  // A sprung or moved frame pulls at its joints: pocket screws hold in side grain.
  return make(c, {
    kind: 'pocket',
    fasteners: driven({ item: 'pocket-screw', length: 2.5 }, 2),
    bite: POCKET,
  });
};

/** Two pieces side by side, or crossing. */
const side = (c: Contact): JointDraft | undefined => {
  const walls = layerOf(c.a) === 'wall' && layerOf(c.b) === 'wall';
  const [thin, thick, through, into] = c.deepA <= c.deepB ? [c.a, c.b, c.deepA, c.deepB] : [c.b, c.a, c.deepB, c.deepA];
  const rows = c.short >= 3 ? 2 : 1;
  const long = c.long > c.short * 1.2 ? c.long : 0;
  const count = Math.max(2, alongLine(long, walls ? NAIL_AT : SCREW_AT, 1) * rows);
  const nail = walls ? chooseFastener('nail', through, into) : undefined;
  const f = nail ?? chooseFastener('screw', through, into);
  if (!f) return undefined;
  return make(c, {
    parts: [thin.id, thick.id],
    kind: nail ? 'face-nailed' : 'face-screwed',
    fasteners: driven(f, count),
    bite: { through, into: f.length - through },
  });
};

/** A rafter's seat on a plate or rail: tied down, and nailed aslant. */
const seat = (c: Contact, loose: boolean): JointDraft =>
  layerOf(c.b) === 'wall'
    ? make(c, {
        kind: 'tie',
        hardware: [{ item: 'rafter-tie', count: 1 }],
        fasteners: [
          // A roof that comes off again is not nailed.
          ...(loose ? [] : driven({ item: 'nail-2-1/2', length: 2.5 }, 3)),
          ...driven({ item: 'screw-1-1/2', length: 1.5 }, 10),
        ],
        bite: SLANT,
      })
    : make(c, {
        kind: 'notch',
        fasteners: driven({ item: 'screw-2-1/2', length: 2.5 }, 2),
        bite: SLANT,
      });

/** Bolts of panels that come apart: along a seam, and what they pass at most. Common practice, no source. */
const BOLT_AT = 20;
const BOLTS = [
  { item: 'carriage-bolt', passes: 3.25 },
  { item: 'carriage-bolt-6', passes: 5.25 },
] as const;

/** Two panels that come apart again: bolted through where a bolt passes, else lagged. */
const bolt = (c: Contact): JointDraft | undefined => {
  if (c.onA === 'end' || c.onB === 'end') return undefined;
  const [thin, thick, through, into] = c.deepA <= c.deepB ? [c.a, c.b, c.deepA, c.deepB] : [c.b, c.a, c.deepB, c.deepA];
  const count = Math.max(1, Math.ceil(c.long / BOLT_AT));
  const fits = BOLTS.find((b) => through + into <= b.passes);
  if (fits)
    return make(c, { kind: 'bolt', parts: [thin.id, thick.id], hardware: [{ item: fits.item, count }], fasteners: [] });
  const lag = chooseFastener('lag', through, into);
  return lag
    ? make(c, {
        kind: 'lag',
        parts: [thin.id, thick.id],
        fasteners: driven(lag, count),
        bite: { through, into: lag.length - through },
      })
    : undefined;
};

/** How framing meets framing. */
export const frameRule: JoineryRule = (c, scene) => {
  if (!isFrame(c.a) || !isFrame(c.b)) return undefined;
  const seated = (c.a.role === 'rafter' && c.onA === 'notch') || (c.b.role === 'rafter' && c.onB === 'notch');
  const loose = scene.bolted(c.a.assembly, c.b.assembly);
  if (loose && !seated) return bolt(c) ?? 'none';
  const pair = (x: Role, y: Role): boolean => c.a.role === x && c.b.role === y;
  const ends = [c.onA === 'end', c.onB === 'end'] as const;
  if (ends[0] && ends[1]) return 'none';
  // A ridge sits on its post; what holds it is nailed through the sides.
  if (c.a.role === 'post' && c.b.role === 'ridge' && c.onA === 'notch')
    return make(c, { kind: 'rests', fasteners: [] });
  if (c.a.role === 'ridge' && c.b.role === 'post' && c.onB === 'notch') return undefined;
  // Spacers are held between the two halves of their header.
  if (c.a.role === 'spacer' || c.b.role === 'spacer')
    return pair('header', 'spacer') && c.onA === 'face' && c.onB === 'face' ? undefined : 'none';
  if (c.a.role === 'rafter' && c.onA === 'notch')
    return c.onB === 'face' || layerOf(c.b) === 'pen' ? seat(c, loose) : 'none';
  if (c.b.role === 'rafter' && c.onB === 'notch') return undefined;
  // A rafter lies along the plate of a raked wall and crosses those of level ones.
  if (c.a.role === 'rafter' && c.b.role === 'plate' && !ends[0] && c.long < ALONG_PLATE) return seat(c, loose);
  if (c.a.role === 'plate' && c.b.role === 'rafter' && c.long < ALONG_PLATE) return undefined;
  // Both pieces keep half their thickness where they cross.
  const halved = (deep: number, part: Contact['a']): boolean => Math.abs(deep - part.thickness / 2) < 0.02;
  if (c.onA !== 'end' && c.onB !== 'end' && halved(c.deepA, c.a) && halved(c.deepB, c.b)) {
    const f = chooseFastener('screw', Math.min(c.deepA, c.deepB), Math.max(c.deepA, c.deepB));
    return f
      ? make(c, {
          kind: 'half-lap',
          fasteners: driven(f, 4),
          bite: { through: Math.min(c.deepA, c.deepB), into: f.length - Math.min(c.deepA, c.deepB) },
        })
      : 'none';
  }
  if (ends[0]) {
    // A plate's end at a corner is held by the studs that meet there.
    if (c.a.role === 'plate') return 'none';
    if (c.a.role === 'jack' && c.b.role === 'header') return make(c, { kind: 'rests', fasteners: [] });
    return butt(c) ?? 'none';
  }
  if (ends[1]) return undefined;
  return side(c) ?? 'none';
};

/** Both halves of a header with the spacer between them. */
export const headerRule: JoineryRule = (c, scene) => {
  if (c.a.role !== 'header' || c.b.role !== 'spacer' || c.onA !== 'face' || c.onB !== 'face') return undefined;
  const other = scene.contacts.find(
    (d) =>
      (d.a === c.b || d.b === c.b) &&
      d !== c &&
      (d.a === c.b ? d.b : d.a).role === 'header' &&
      (d.a === c.b ? d.b : d.a) !== c.a &&
      (d.a === c.b ? d.onA : d.onB) === 'face',
  );
  const second = other && (other.a === c.b ? other.b : other.a);
  if (!other || !second) return 'none';
  // Seen once for both halves.
  if (c.a.id > second.id) return 'none';
  const through = c.deepA + c.deepB;
  const into = other.a === c.b ? other.deepB : other.deepA;
  const f = chooseFastener('nail', through, into);
  if (!f) return 'none';
  return make(c, {
    parts: [c.a.id, c.b.id, second.id],
    kind: 'face-nailed',
    fasteners: driven(f, 2 * alongLine(c.long, NAIL_AT)),
    bite: { through, into: f.length - through },
  });
};
