import type { Tape } from '../unit/index.ts';
import { printLength } from '../measure/index.ts';

/** How a tape is laid on a sheet: `width` of the sheet, `pad` left free at both ends, `text` height of the figures, `cross` how far a cross stands from its mark. Units of the sheet. */
export interface TapeSheet {
  readonly width: number;
  readonly pad: number;
  readonly text: number;
  readonly cross: number;
  /** Shortest tape that fills the sheet, inches: a short one is not blown up. */
  readonly least?: number;
}

/** A mark on the sheet: `x` of its line, `cross` the middle of its cross on the side where the piece lies, `row` under the tape that its figure stands in. */
export interface LaidMark {
  readonly x: number;
  readonly cross: number;
  readonly row: number;
  readonly text: string;
  readonly side: 'right' | 'left';
  readonly part: string;
  readonly at: number;
}

/** A tape laid on a sheet: units per inch, its marks, and how many rows of figures they take. */
export interface LaidTape {
  readonly scale: number;
  readonly marks: readonly LaidMark[];
  readonly rows: number;
}

/**
 * Lays one pull of the tape on a sheet, hook at the left. Every cross stands on the side of its mark where the piece lies;
 * figures go in as many rows as keep them apart.
 * @param print how a figure is written
 */
export const layTape = (tape: Tape, sheet: TapeSheet, print: (inches: number) => string = printLength): LaidTape => {
  const scale = (sheet.width - 2 * sheet.pad) / Math.max(tape.length, sheet.least ?? 0);
  const ends: number[] = [];
  const marks = tape.marks.map((m): LaidMark => {
    const x = sheet.pad + m.at * scale;
    const text = print(m.at);
    const half = text.length * sheet.text * 0.27 + 3;
    const free = ends.findIndex((e) => e <= x - half);
    const row = free < 0 ? ends.length : free;
    ends[row] = x + half;
    return {
      x,
      cross: m.side === 'right' ? x + sheet.cross : x - sheet.cross,
      row,
      text,
      side: m.side,
      part: m.part,
      at: m.at,
    };
  });
  return { scale, marks, rows: Math.max(1, ends.length) };
};
