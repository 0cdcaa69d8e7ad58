import { findLumber } from '../stock/index.ts';
import type { SawPart, SawPiece } from './types.ts';

const EPS = 1e-6;
/** Narrowest strip that is worth keeping, inches. */
const STRIP = 1.5;

/**
 * Pieces for some parts: parts that are ripped share one where they lie beside each other in its width, whatever their marks
 * and lengths; the shorter is cut from its strip. Of each piece the longest part says its length.
 * The longest is laid first, each beside the narrowest room that it fits in.
 */
export const ripTogether = (parts: readonly SawPart[], kerf: number): SawPiece[] => {
  const open: { item: string; length: number; parts: SawPart[]; free: number }[] = [];
  const pieces: SawPiece[] = [];
  const ripped = parts.filter((p) => p.rip !== undefined);
  for (const p of parts) if (p.rip === undefined) pieces.push({ item: p.item, length: p.length, parts: [p] });
  for (const p of [...ripped].sort((a, b) => b.length - a.length || (b.rip ?? 0) - (a.rip ?? 0))) {
    const rip = p.rip ?? 0;
    const best = open
      .filter((o) => o.item === p.item && o.free >= rip - EPS)
      .sort((a, b) => a.free - b.free || a.length - b.length)[0];
    if (best) {
      best.parts.push(p);
      best.free -= rip + kerf;
    } else open.push({ item: p.item, length: p.length, parts: [p], free: findLumber(p.item).width - rip - kerf });
  }
  return [
    ...pieces,
    ...open.map(({ item, length, parts: mine, free }) => ({
      item,
      length,
      parts: mine,
      ...(free >= STRIP - EPS ? { strip: free } : {}),
    })),
  ];
};
