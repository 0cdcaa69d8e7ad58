import { assignMarks } from '../unit/index.ts';
import type { Assembly, Build, ClosedFace, FrameNote, HardwareUse, Opening, PartDraft } from '../unit/index.ts';

/** The sheet of paper a family draws on: it collects parts and turns them into a Build. */
export class Sketch {
  readonly #parts: PartDraft[] = [];
  readonly #assemblies: Assembly[] = [];
  readonly #openings: Opening[] = [];
  readonly #faces: ClosedFace[] = [];
  readonly #hardware: HardwareUse[] = [];
  readonly #notes: FrameNote[] = [];

  add(...parts: readonly PartDraft[]): void {
    this.#parts.push(...parts);
  }

  assembly(assembly: Assembly): void {
    this.#assemblies.push(assembly);
  }

  opening(opening: Opening): void {
    this.#openings.push(opening);
  }

  face(face: ClosedFace): void {
    this.#faces.push(face);
  }

  hardware(item: string, count: number, where: string): void {
    if (count > 0) this.#hardware.push({ item, count, where });
  }

  note(note: FrameNote): void {
    this.#notes.push(note);
  }

  /** Parts so far, for families that need to look back at what a helper placed. */
  get parts(): readonly PartDraft[] {
    return this.#parts;
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
      this.#parts.push({ ...p, id: idOf(p.id), assembly: idOf(p.assembly), name: `${name} ${p.name}` });
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
    for (const h of build.hardware) this.#hardware.push({ ...h, where: `${name} ${h.where}` });
    this.#notes.push(...build.notes);
  }

  /** Closes the sketch: marks are given and assemblies without parts dropped. */
  finish(rest: Pick<Build, 'family' | 'capacity' | 'facts'>): Build {
    const used = new Set(this.#parts.map((p) => p.assembly));
    return {
      ...rest,
      parts: assignMarks(this.#parts),
      assemblies: this.#assemblies.filter((a) => used.has(a.id)),
      openings: this.#openings,
      faces: this.#faces,
      hardware: this.#hardware,
      notes: this.#notes,
    };
  }
}
