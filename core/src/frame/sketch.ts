import { assignMarks } from '../build/index.ts';
import type { Assembly, Build, ClosedFace, FrameNote, HardwareUse, Opening, PartDraft } from '../build/index.ts';

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
