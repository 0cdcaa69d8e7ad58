import { isFrame, layerOf, makeJoints } from '../join/index.ts';
import type { Joinery } from '../join/index.ts';
import { findPieces, measureSeparation } from '../geometry/index.ts';
import { assignMarks } from '../unit/index.ts';
import type {
  Assembly,
  Bite,
  Build,
  ClosedFace,
  Driven,
  FrameNote,
  Joint,
  JointDraft,
  JointKind,
  Opening,
  PartDraft,
} from '../unit/index.ts';

/** A joint that whoever frames the parts asks for: what does not follow from how they meet. */
export interface Ask {
  readonly kind: JointKind;
  /** Ids of the parts; those that are not drawn in the end are left out. */
  readonly parts: readonly string[];
  /** Joined to the framing nearest to its first part as well: of this assembly, or of any other than its own. */
  readonly nearest?: string | true;
  /** The nearest sheet or mesh will do as well as framing. */
  readonly onSheets?: true;
  /** Hardware by item. */
  readonly hardware?: Readonly<Record<string, number>>;
  readonly fasteners?: readonly Driven[];
  readonly bite?: Bite;
  /** Takes the place of the joint that would follow from how its parts meet. */
  readonly instead?: true;
}

/** What was asked for when a build was framed, for whoever takes it in. */
const asksOf = new WeakMap<Build, readonly Ask[]>();

/** How its panels join, likewise. */
const joineryOf = new WeakMap<Build, Joinery>();

/** The same from a build's joints: one that was mirrored has nothing else to tell by. */
const askedOf = (build: Build): Ask[] =>
  build.joints
    .filter((j) => j.asked)
    .map((j) => ({ ...j, hardware: Object.fromEntries(j.hardware.map((h) => [h.item, h.count])) }));

/** What was asked for when a build was framed. */
export const asksFor = (build: Build): readonly Ask[] => asksOf.get(build) ?? askedOf(build);

/** The sheet of paper a family draws on: it collects parts and turns them into a Build. */
export class Sketch {
  readonly #parts: PartDraft[] = [];
  readonly #assemblies: Assembly[] = [];
  readonly #openings: Opening[] = [];
  readonly #faces: ClosedFace[] = [];
  readonly #asks: Ask[] = [];
  readonly #notes: FrameNote[] = [];

  add(...parts: readonly PartDraft[]): void {
    this.#parts.push(...parts);
  }

  /** While set, what is assembled travels by itself and is joined on site: a run. */
  apart = false;

  assembly(assembly: Assembly): void {
    this.#assemblies.push(this.apart ? { ...assembly, apart: true } : assembly);
  }

  opening(opening: Opening): void {
    this.#openings.push(opening);
  }

  face(face: ClosedFace): void {
    this.#faces.push(face);
  }

  /** Asks for a joint that does not follow from how its parts meet: hinges, wheels, straps, what is bolted. */
  join(ask: Ask): void {
    const counts = Object.values(ask.hardware ?? {});
    // Nothing is asked for where all of it is counted and there is none.
    if (counts.length > 0 && counts.every((n) => n <= 0) && !ask.fasteners) return;
    this.#asks.push(ask);
  }

  note(note: FrameNote): void {
    this.#notes.push(note);
  }

  /** Parts so far, for families that need to look back at what a helper placed. */
  get parts(): readonly PartDraft[] {
    return this.#parts;
  }

  /** Openings so far. */
  get openings(): readonly Opening[] {
    return this.#openings;
  }

  /** Assemblies so far. */
  get assemblies(): readonly Assembly[] {
    return this.#assemblies;
  }

  /** Says more of a part that is drawn already. */
  revise(id: string, more: Pick<PartDraft, 'fixing'>): void {
    const k = this.#parts.findIndex((p) => p.id === id);
    const part = this.#parts[k];
    if (part) this.#parts[k] = { ...part, ...more };
  }

  /** Takes in what was drawn elsewhere, under names of its own. `joins` says what its panels join instead. */
  include(build: Build, prefix: string, name: string, joins: Readonly<Record<string, string>> = {}): void {
    const own = new Set(build.assemblies.map((a) => a.id));
    const idOf = (id: string): string => joins[id] ?? (own.has(id.split('/')[0] ?? id) ? `${prefix}${id}` : id);
    for (const { mark: _mark, ...p } of build.parts)
      this.#parts.push({
        ...p,
        id: idOf(p.id),
        assembly: idOf(p.assembly),
        name: `${name} ${p.name}`,
        ...(p.sawnOut ? { sawnOut: p.sawnOut.map(idOf) } : {}),
      });
    for (const a of build.assemblies)
      this.#assemblies.push({
        ...a,
        id: idOf(a.id),
        name: `${name} ${a.name}`,
        tapes: a.tapes.map((t) => ({
          ...t,
          parts: t.parts.map(idOf),
          marks: t.marks.map((m) => ({ ...m, part: idOf(m.part) })),
        })),
        ...(a.joins ? { joins: { ...a.joins, to: idOf(a.joins.to) } } : {}),
      });
    for (const o of build.openings) this.#openings.push({ ...o, id: idOf(o.id), assembly: idOf(o.assembly) });
    for (const f of build.faces) this.#faces.push({ ...f, id: `${prefix}${f.id}`, name: `${name} ${f.name}` });
    for (const ask of asksOf.get(build) ?? askedOf(build))
      this.#asks.push({
        ...ask,
        parts: ask.parts.map(idOf),
        ...(typeof ask.nearest === 'string' ? { nearest: idOf(ask.nearest) } : {}),
      });
    this.#notes.push(...build.notes);
  }

  /** A build with other parts, panels and asks in the place of its own. */
  static remake(
    build: Build,
    made: {
      readonly parts: readonly PartDraft[];
      readonly assemblies: readonly Assembly[];
      readonly openings: readonly Opening[];
      readonly asks: readonly Ask[];
    },
  ): Build {
    const sketch = new Sketch();
    sketch.#parts.push(...made.parts);
    sketch.#assemblies.push(...made.assemblies);
    sketch.#openings.push(...made.openings);
    sketch.#faces.push(...build.faces);
    sketch.#notes.push(...build.notes);
    sketch.#asks.push(...made.asks);
    const { family, capacity, facts } = build;
    return sketch.finish({ family, capacity, facts }, joineryOf.get(build) ?? {});
  }

  /**
   * Closes the sketch: marks are given, joints made, and assemblies without parts dropped.
   * @param joinery which panels are bolted so that they come apart again
   */
  finish(rest: Pick<Build, 'family' | 'capacity' | 'facts'>, joinery: Joinery = {}): Build {
    const used = new Set(this.#parts.map((p) => p.assembly));
    const asked = (): JointDraft[] => this.#asked();
    const parts = this.#parts;
    let joints: readonly Joint[] | undefined;
    const build: Build = {
      ...rest,
      parts: assignMarks(parts),
      // Made when they are first asked for: a drawing needs none.
      get joints() {
        return (joints ??= makeJoints(parts, asked(), joinery));
      },
      assemblies: this.#assemblies.filter((a) => used.has(a.id)),
      openings: this.#openings,
      faces: this.#faces,
      notes: this.#notes,
    };
    asksOf.set(build, this.#asks);
    joineryOf.set(build, joinery);
    return build;
  }

  #asked(): JointDraft[] {
    const byId = new Map(this.#parts.map((p) => [p.id, p]));
    // Sorted once: many joints ask for what is nearest.
    const frames = this.#parts.filter(isFrame);
    const sheets = this.#parts.filter((p) => isFrame(p) || layerOf(p) === 'sheet' || layerOf(p) === 'mesh');
    return this.#asks.flatMap(
      ({ kind, parts, nearest, onSheets, hardware, fasteners, bite, instead }): JointDraft[] => {
        const known = parts.filter((id) => byId.has(id));
        // What found no room takes its fittings with it.
        if (known.length === 0) return [];
        const first = byId.get(known[0] ?? '');
        const other =
          nearest !== undefined && first ? nearestOf(onSheets ? sheets : frames, first, nearest, known) : undefined;
        return [
          {
            kind,
            parts: other ? [...known, other.id] : known,
            fasteners: (fasteners ?? []).filter((f) => f.count > 0),
            hardware: Object.entries(hardware ?? {}).flatMap(([item, count]) => (count > 0 ? [{ item, count }] : [])),
            ...(bite ? { bite } : {}),
            asked: true,
            ...(instead ? { instead } : {}),
          },
        ];
      },
    );
  }
}

/** The candidate nearest to a part, of an assembly or of any but its own; uprights before what lies across where both are as near. */
const nearestOf = (
  candidates: readonly PartDraft[],
  part: PartDraft,
  where: string | true,
  but: readonly string[],
): PartDraft | undefined => {
  const box = boundsOf(part);
  let best: { readonly part: PartDraft; readonly far: number } | undefined;
  for (const p of candidates) {
    if (where === true ? p.assembly === part.assembly : p.assembly !== where) continue;
    if (but.includes(p.id)) continue;
    const other = boundsOf(p);
    let square = 0;
    let beside = 0;
    for (const k of [0, 1, 2] as const) {
      const from = Math.max(box.low[k], other.low[k]);
      const to = Math.min(box.high[k], other.high[k]);
      if (from > to) square += (from - to) ** 2;
      else beside += to - from;
    }
    // The longer it runs beside, the better it carries a hinge.
    const longer = Math.min(1, beside / 200);
    if (best && Math.sqrt(square) - longer >= best.far) continue;
    // Boxes of slanting pieces reach farther than they do.
    const far = gapBetween(part, p) - longer;
    if (!best || far < best.far - 1e-9) best = { part: p, far };
  }
  return best?.part;
};

const gapBetween = (a: PartDraft, b: PartDraft): number => {
  let least = Infinity;
  for (const p of findPieces(a.shape, a.place))
    for (const q of findPieces(b.shape, b.place)) least = Math.min(least, measureSeparation(p, q, Infinity));
  return least;
};

type Corner = [number, number, number];

interface Box {
  readonly low: Corner;
  readonly high: Corner;
}

const boxes = new WeakMap<PartDraft, Box>();

const boundsOf = (part: PartDraft): Box => {
  const before = boxes.get(part);
  if (before) return before;
  const low: Corner = [Infinity, Infinity, Infinity];
  const high: Corner = [-Infinity, -Infinity, -Infinity];
  for (const piece of findPieces(part.shape, part.place))
    for (const k of [0, 1, 2] as const) {
      low[k] = Math.min(low[k], piece.low[k]);
      high[k] = Math.max(high[k], piece.high[k]);
    }
  const box = { low, high };
  boxes.set(part, box);
  return box;
};
