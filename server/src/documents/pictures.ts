import type { Tape } from '@rubbet/core/unit';
import type { StickCut } from '@rubbet/core/cut';
import { layRuler, layTape } from '@rubbet/core/draw';
import { isMetric, MM_PER_INCH } from '@rubbet/core/measure';
import type { Show } from '@rubbet/core/order';
import { findItem } from '@rubbet/core/stock';

/** Text that may stand in a drawing. */
export const esc = (t: string): string => t.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/"/g, '&quot;');
/** The print font of figures in drawings. */
export const FONT = 'font-family="Archivo" font-weight="600"';

/** Largest and least height of letters on a stick, drawn units, and a letter's width by its height. */
const LARGE = 19;
const LEAST = 12;
const SMALL = 8;
const LETTER = 0.56;

/** What is written on a piece of a stick: its mark and length as large as they go, else the mark alone; undefined where neither does. */
export const labelPiece = (
  mark: string,
  length: string,
  width: number,
): { readonly text: string; readonly size: number } | undefined => {
  const sizeOf = (text: string): number => Math.min(LARGE, (width - 4) / (text.length * LETTER));
  const both = `${mark} ${length}`;
  if (sizeOf(both) >= LEAST) return { text: both, size: sizeOf(both) };
  return sizeOf(mark) >= SMALL ? { text: mark, size: sizeOf(mark) } : undefined;
};

/** A stick drawn to scale with its cuts, its remainder dashed; figures are read at arm's length. */
export const stickBar = (stick: StickCut, show: Show): string => {
  const W = 1046;
  const left = 158;
  const k = (W - left - 20) / 192;
  let x = left;
  const write = (at: number, width: number, label: ReturnType<typeof labelPiece>, fill: string): string =>
    label
      ? `<text x="${at + width / 2}" y="${20 + label.size * 0.36}" font-size="${Math.round(label.size * 10) / 10}" text-anchor="middle" ${FONT} fill="${fill}">${esc(label.text)}</text>`
      : '';
  const parts = stick.cuts
    .map((c) => {
      const w = c.length * k;
      const out = `<rect x="${x}" y="4" width="${w}" height="32" fill="#E1C597" stroke="#1C2521" stroke-width="1.2"/>${write(x, w, labelPiece(c.id, show.length(c.length), w), '#1C2521')}`;
      x += w + 0.125 * k;
      return out;
    })
    .join('');
  const rest = stick.left * k;
  const name = `${findItem(stick.item).name} × ${isMetric(show.units) || stick.length % 12 !== 0 ? show.length(stick.length) : `${stick.length / 12} ft`}`;
  const words = `${show.length(stick.left)} left`;
  const said = rest > words.length * LETTER * 14 ? { text: words, size: 14 } : undefined;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} 40"><text x="0" y="26" font-size="${Math.min(17, 150 / (name.length * LETTER))}" ${FONT} fill="#1C2521">${esc(name)}</text>${parts}<rect x="${x}" y="4" width="${rest}" height="32" fill="#F3F0E8" stroke="#8A938C" stroke-width="1" stroke-dasharray="4 3"/>${write(x, rest, said, '#5B6760')}</svg>`;
};

/** A tape with its marks, crosses on the side where the piece lies, figures under it in rows that do not run together. */
export const tapeSvg = (tape: Tape, show: Show): string => {
  const W = 1046;
  const pad = 24;
  const metric = isMetric(show.units);
  const {
    scale: k,
    marks,
    rows,
  } = layTape(
    tape,
    { width: W, pad, text: 13, cross: 7 },
    // A tape in millimetres has bare numbers on it.
    metric ? (inches) => String(Math.round(inches * MM_PER_INCH)) : show.length,
  );
  const ticks = layRuler(tape.length, k, metric).map((t) => {
    const x = pad + t.at * k;
    const line = `<line x1="${x}" x2="${x}" y1="4" y2="${4 + 16 * t.tall}" stroke="#5A4300" stroke-width="0.8"/>`;
    return t.figure === undefined
      ? line
      : `${line}<text x="${x - 3}" y="31" font-size="10" text-anchor="end" ${FONT} fill="#7a5d00">${t.figure}</text>`;
  });
  const drawn = marks.map(
    (m) =>
      `<line x1="${m.x}" x2="${m.x}" y1="2" y2="44" stroke="#1C2521" stroke-width="1.8"/><text x="${m.cross}" y="42" font-size="12" text-anchor="middle" ${FONT}>×</text><text x="${m.x}" y="${60 + m.row * 14}" font-size="13" text-anchor="middle" ${FONT} fill="#1C2521">${esc(m.text)}</text>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} ${64 + rows * 14}"><rect x="${pad}" y="4" width="${tape.length * k}" height="40" fill="#F2C230" stroke="#C99A14"/><rect x="${pad - 6}" y="0" width="6" height="50" fill="#8A938C"/>${ticks.join('')}${drawn.join('')}</svg>`;
};
