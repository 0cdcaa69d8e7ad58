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

/** A stick drawn to scale with its cuts, its remainder hatched out. */
export const stickBar = (stick: StickCut, show: Show): string => {
  const W = 1046;
  const left = 150;
  const k = (W - left - 20) / 192;
  let x = left;
  const parts = stick.cuts
    .map((c) => {
      const w = c.length * k;
      const label = w > 46 ? `${c.id} ${show.length(c.length)}` : w > 20 ? c.id : '';
      const out = `<rect x="${x}" y="6" width="${w}" height="26" fill="#E1C597" stroke="#1C2521" stroke-width="1.2"/><text x="${x + w / 2}" y="24" font-size="13" text-anchor="middle" ${FONT} fill="#1C2521">${esc(label)}</text>`;
      x += w + 0.125 * k;
      return out;
    })
    .join('');
  const rest = stick.left * k;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} 38"><text x="0" y="24" font-size="14" ${FONT} fill="#1C2521">${esc(`${findItem(stick.item).name} × ${isMetric(show.units) ? show.length(stick.length) : `${stick.length / 12} ft`}`)}</text>${parts}<rect x="${x}" y="6" width="${rest}" height="26" fill="#F3F0E8" stroke="#8A938C" stroke-width="1" stroke-dasharray="4 3"/>${rest > 60 ? `<text x="${x + rest / 2}" y="24" font-size="12" text-anchor="middle" ${FONT} fill="#5B6760">${esc(show.length(stick.left))} left</text>` : ''}</svg>`;
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
