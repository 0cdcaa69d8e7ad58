import Papa from 'papaparse';
import { clean, printLength } from '../measure/index.ts';
import { groupParts } from '../unit/index.ts';
import type { Build, Part } from '../unit/index.ts';

/** End cuts in words: `square`, or `start mitre 12.5°, end bevel 9.4°`. */
export const describeCuts = (part: Part): string => {
  const angled = part.cuts.filter((c) => c.kind !== 'square' && c.angle > 0);
  return angled.length === 0 ? 'square' : angled.map((c) => `${c.end} ${c.kind} ${c.angle}°`).join(', ');
};

/** One row of a cut list, lengths in decimal inches, long point first. */
export interface CutRow {
  readonly mark: string;
  readonly name: string;
  readonly role: string;
  readonly item: string;
  readonly quantity: number;
  readonly length: number;
  readonly shortPoint: number;
  readonly width: number;
  readonly thickness: number;
  readonly cuts: string;
  readonly notches: string;
  readonly fit: string;
  readonly printed: string;
}

/** Rows of a build's cut list, equal parts together. */
export const cutRows = (build: Build): CutRow[] =>
  groupParts(build.parts).map(({ mark, part, quantity }) => ({
    mark,
    name: part.name,
    role: part.role,
    item: part.item,
    quantity,
    length: clean(part.length),
    shortPoint: clean(part.shortPoint),
    width: clean(part.width),
    thickness: clean(part.thickness),
    cuts: describeCuts(part),
    notches: part.notches.join('; '),
    fit: part.fit,
    printed: printLength(part.length),
  }));

/** Writes the cut list as CSV with a header row, comma separated, CRLF, as RFC 4180 has it. */
export const writeCutList = (build: Build): string => `${Papa.unparse(cutRows(build))}\r\n`;
