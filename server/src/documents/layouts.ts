import type { CutRoll, MeshStrips, SheetCut, SheetLayout } from '@rubbet/core/cut';
import type { Show } from '@rubbet/core/order';
import { esc, FONT } from './pictures.ts';

const SIZE = 13;
/** Width of a sign by its height, as the print fonts set figures. */
const SIGN = 0.6;

/** A piece on a sheet or a roll, in drawn units, with what is written on it. */
interface Piece {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  readonly mark: string;
  readonly size: string;
}

/** Lines that fit on a piece: its mark and size over one another, beside each other, the mark alone, or nothing. */
const linesOf = ({ w, h, mark, size }: Pick<Piece, 'w' | 'h' | 'mark' | 'size'>): readonly string[] => {
  const wide = (text: string): boolean => text.length * SIZE * SIGN < w - 4;
  if (h > 2.6 * SIZE && wide(size) && wide(mark)) return [mark, size];
  if (h > 1.2 * SIZE && wide(`${mark}  ${size}`)) return [`${mark}  ${size}`];
  return h > 1.2 * SIZE && wide(mark) ? [mark] : [];
};

const drawPiece = (piece: Piece, fill: string): string => {
  const { x, y, w, h } = piece;
  const level = linesOf(piece);
  // What is too narrow is read from the side.
  const upright = level.length === 0 && h > w;
  const lines = upright ? linesOf({ ...piece, w: h, h: w }) : level;
  const [cx, cy] = [x + w / 2, y + h / 2];
  const words = lines.map(
    (line, i) =>
      `<text x="${cx}" y="${cy + SIZE * (0.36 + (i - (lines.length - 1) / 2) * 1.15)}" font-size="${SIZE}" text-anchor="middle" ${FONT} fill="#1C2521"${upright ? ` transform="rotate(-90 ${cx} ${cy})"` : ''}>${esc(line)}</text>`,
  );
  return `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${fill}" stroke="#1C2521" stroke-width="1.2"/>${words.join('')}`;
};

/** What is left over: hatched, so that it reads as such in black and white too. */
const HATCH =
  '<defs><pattern id="rest" width="9" height="9" patternUnits="userSpaceOnUse"><path d="M0 9L9 0" stroke="#8A938C" stroke-width="0.8"/></pattern></defs>';

/** A cut in its turn: a line from edge to edge of what lies there then, its number at the end where the saw begins. */
const drawCut = ({ along, at, from, to }: SheetCut, number: number, k: number): string => {
  const [x1, y1, x2, y2] = along === 'length' ? [from * k, at * k, to * k, at * k] : [at * k, from * k, at * k, to * k];
  const [cx, cy] = along === 'length' ? [x1 + 9, y1] : [x1, y1 + 9];
  return `<line x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}" stroke="#1F55A8" stroke-width="1.6"/><circle cx="${cx}" cy="${cy}" r="8" fill="#FFFFFF" stroke="#1F55A8" stroke-width="1"/><text x="${cx}" y="${cy + 3.6}" font-size="10" text-anchor="middle" ${FONT} fill="#1F55A8">${number}</text>`;
};

/** A sheet drawn to scale, every piece with its mark and both dimensions, its cuts numbered in sequence. */
export const sheetSvg = (sheet: SheetLayout, show: Show): string => {
  const W = 500;
  const k = W / sheet.length;
  const H = sheet.width * k;
  const pieces = sheet.places.map((p) =>
    drawPiece(
      {
        x: p.x * k,
        y: p.y * k,
        w: p.length * k,
        h: p.width * k,
        mark: p.id,
        size: `${show.length(p.length)} × ${show.length(p.width)}`,
      },
      '#E1C597',
    ),
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-1 -1 ${W + 2} ${H + 2}">${HATCH}<rect x="0" y="0" width="${W}" height="${H}" fill="#FFFFFF"/><rect x="0" y="0" width="${W}" height="${H}" fill="url(#rest)" stroke="#1C2521" stroke-width="1.6"/>${pieces.join('')}${(sheet.cuts ?? []).map((c, i) => drawCut(c, i + 1, k)).join('')}</svg>`;
};

/** How much of a roll is used. */
export const usedOf = (roll: CutRoll): number => Math.max(0, ...roll.strips.map((s) => s.x + s.length));

/**
 * A roll drawn from its start as far as it is used, its width to the scale of its length or at least to be read: every strip with
 * the mark of its face and both dimensions.
 */
export const rollSvg = (roll: CutRoll, markOf: (face: string) => string, show: Show): string => {
  const W = 1046;
  const k = W / Math.max(12, usedOf(roll));
  const H = Math.min(100, Math.max(90, roll.width * k));
  const pieces = roll.strips.map((s) =>
    drawPiece(
      {
        x: s.x * k,
        y: (s.y / roll.width) * H,
        w: s.length * k,
        h: (s.width / roll.width) * H,
        mark: markOf(s.face),
        size: `${show.length(s.length)} × ${show.length(s.width)}`,
      },
      '#F3F0E8',
    ),
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-1 -1 ${W + 2} ${H + 2}">${HATCH}<rect x="0" y="0" width="${W}" height="${H}" fill="url(#rest)" stroke="#1C2521" stroke-width="1.6"/>${pieces.join('')}</svg>`;
};

/** Strips of a roll in the order in which they are cut, equal ones that follow each other together. */
export const stripLines = (roll: CutRoll, markOf: (face: string) => string, show: Show): string => {
  const out: { text: string; count: number }[] = [];
  for (const s of [...roll.strips].sort((a, b) => a.x - b.x || a.y - b.y)) {
    const text = `${markOf(s.face)} ${show.length(s.length)} × ${show.length(s.width)}${s.bent ? ', bent on from the one before' : ''}`;
    const last = out.at(-1);
    if (last?.text === text) last.count++;
    else out.push({ text, count: 1 });
  }
  return out.map((l) => (l.count > 1 ? `${l.count} of ${l.text}` : l.text)).join('; ');
};

/** Where the strips of a face meet, for every kind of face once. Plans kept from before say nothing of it. */
export const seamLines = (
  strips: readonly Partial<MeshStrips>[],
  markOf: (face: string) => string,
  show: Show,
): string[] => {
  const out = new Map<string, number>();
  for (const s of strips) {
    if (!s.face || !s.seams || s.seams.length === 0) continue;
    const places = s.seams.map(show.length).join(', ');
    const text = `${markOf(s.face)}: ${s.seams.length + 1} strips ${s.run === 'upright' ? 'upright, laps from its left end at' : 'level, laps from its lower edge at'} ${places}${s.onWood ? ', on wood.' : ', not on wood: lace them together.'}`;
    out.set(text, (out.get(text) ?? 0) + 1);
  }
  return [...out].map(([text, n]) => (n > 1 ? `${text} (${n} faces)` : text));
};
