import type { BatchLine, BatchPiece } from '../../data/types.ts';

/** Whether a line is a stick, to be cut or ripped. */
export const isStick = (l: Pick<BatchLine, 'kind'>): boolean => l.kind === 'stick' || l.kind === 'rip';

/**
 * What is cut next: the first that is open, with those that lie on it. Only what can be cut now is stacked: from the rack, all
 * of it from one line. `single` takes them apart.
 */
export const nextStack = (lines: readonly BatchLine[], single: boolean): BatchLine[] => {
  const open = lines.filter((l) => l.state === 'open');
  const toRip = new Set(open.filter((l) => l.kind === 'rip').flatMap((l) => l.rests.map((r) => r.item)));
  // What has to be bought first, or ripped, waits behind what is there.
  const first = open.find((l) => l.stock !== null || l.dropOf !== null || (l.ripped && !toRip.has(l.item))) ?? open[0];
  if (!first) return [];
  if (single) return [first];
  return open.filter((l) => l.stack === first.stack && l.kind === first.kind && l.stock?.id === first.stock?.id);
};

/** Where the stop is set for a stack, in turn: the length, how many pieces of one stick, and how their ends are cut. */
export const stopsOf = (
  lines: readonly Pick<BatchLine, 'pieces'>[],
): { readonly length: number; readonly count: number; readonly ends: readonly string[] }[] => {
  const out: { length: number; count: number; ends: string[] }[] = [];
  for (const p of lines[0]?.pieces ?? []) {
    const last = out.at(-1);
    const ends = p.parts.flatMap((x) => (x.ends ? [x.ends] : []));
    if (last && Math.abs(last.length - p.length) < 1e-6) {
      last.count++;
      last.ends.push(...ends);
    } else out.push({ length: p.length, count: 1, ends });
  }
  return out.map((s) => ({ ...s, ends: [...new Set(s.ends)] }));
};

/** Where the pieces of a stick go, equal ones counted together. */
export const goesTo = (
  line: Pick<BatchLine, 'pieces'>,
): { readonly part: BatchPiece['parts'][number]; readonly piece: BatchPiece; readonly count: number }[] => {
  const out = new Map<string, { part: BatchPiece['parts'][number]; piece: BatchPiece; count: number }>();
  for (const piece of line.pieces)
    for (const part of piece.parts) {
      const key = [part.order, part.mark, part.panel, part.rip, part.length, piece.length].join('|');
      const before = out.get(key);
      if (before) before.count++;
      else out.set(key, { part, piece, count: 1 });
    }
  return [...out.values()];
};

/** A strip as it is cut off a roll: how long, and what lies beside each other on it, equal pieces together. */
export interface Run {
  readonly length: number;
  /** It ends the roll: nothing is cut off behind it. */
  readonly last: boolean;
  readonly pieces: readonly { readonly piece: BatchPiece; readonly count: number }[];
}

/**
 * Strips of a roll in the order in which they come off it. What is bent on round a corner comes off with the strip before it.
 */
export const stripsOf = (line: Pick<BatchLine, 'pieces' | 'length'>): Run[] => {
  const runs: { from: number; to: number; pieces: BatchPiece[] }[] = [];
  const sorted = [...line.pieces].sort((a, b) => (a.x ?? 0) - (b.x ?? 0) || (a.y ?? 0) - (b.y ?? 0));
  for (const p of sorted) {
    const from = p.x ?? 0;
    const open = runs.at(-1);
    if (open && (from < open.to - 1e-6 || p.bent === true)) {
      open.pieces.push(p);
      open.to = Math.max(open.to, from + p.length);
    } else runs.push({ from, to: from + p.length, pieces: [p] });
  }
  const nameOf = (p: BatchPiece): string =>
    [...p.parts.flatMap((x) => [x.order, x.mark]), p.length, p.width, p.bent].join('|');
  return runs.map(({ from, to, pieces }) => {
    const groups = new Map<string, { piece: BatchPiece; count: number }>();
    for (const piece of pieces) {
      const before = groups.get(nameOf(piece));
      groups.set(nameOf(piece), { piece: before?.piece ?? piece, count: (before?.count ?? 0) + 1 });
    }
    return { length: to - from, last: to > line.length - 1e-6, pieces: [...groups.values()] };
  });
};
