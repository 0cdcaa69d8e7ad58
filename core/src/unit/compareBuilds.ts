import type { Build, Part } from './types.ts';

/** A kind of part on one side of a comparison. */
export interface ComparedPart {
  readonly name: string;
  readonly role: Part['role'];
  readonly item: string;
  readonly length: number;
  readonly width: number;
  readonly quantity: number;
  /** Ids, for pictures. */
  readonly parts: readonly string[];
}

/** A part that is in both builds and is not the same. */
export interface ChangedPart {
  readonly name: string;
  readonly before: Pick<ComparedPart, 'item' | 'length' | 'width' | 'quantity'>;
  readonly after: Pick<ComparedPart, 'item' | 'length' | 'width' | 'quantity'>;
  readonly parts: readonly string[];
}

/** What a framer would have to do differently. */
export interface BuildDifference {
  readonly added: readonly ComparedPart[];
  readonly removed: readonly ComparedPart[];
  readonly changed: readonly ChangedPart[];
  /** Parts that are cut the same in both. */
  readonly same: number;
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < 1 / 64;
const sameCut = (a: Part, b: Part): boolean =>
  a.item === b.item &&
  near(a.length, b.length) &&
  near(a.shortPoint, b.shortPoint) &&
  near(a.width, b.width) &&
  near(a.thickness, b.thickness);

const group = (parts: readonly Part[]): ComparedPart[] => {
  const out = new Map<string, Part[]>();
  for (const p of parts) {
    const key = [p.name, p.item, p.length.toFixed(3), p.width.toFixed(3)].join('|');
    out.set(key, [...(out.get(key) ?? []), p]);
  }
  return [...out.values()].map((list) => {
    const p = list[0] as Part;
    return {
      name: p.name,
      role: p.role,
      item: p.item,
      length: p.length,
      width: p.width,
      quantity: list.length,
      parts: list.map((q) => q.id),
    };
  });
};

/** Compares two builds part by part, by the parts' ids: what came, what went, and what is cut otherwise. */
export const compareBuilds = (before: Build, after: Build): BuildDifference => {
  const old = new Map(before.parts.map((p) => [p.id, p]));
  const now = new Set(after.parts.map((p) => p.id));
  const changed = new Map<string, { from: Part; to: Part; ids: string[] }>();
  let same = 0;
  for (const p of after.parts) {
    const was = old.get(p.id);
    if (!was) continue;
    if (sameCut(was, p)) {
      same++;
      continue;
    }
    const key = [
      p.name,
      was.item,
      was.length.toFixed(3),
      was.width.toFixed(3),
      p.item,
      p.length.toFixed(3),
      p.width.toFixed(3),
    ].join('|');
    const entry = changed.get(key);
    if (entry) entry.ids.push(p.id);
    else changed.set(key, { from: was, to: p, ids: [p.id] });
  }
  return {
    added: group(after.parts.filter((p) => !old.has(p.id))),
    removed: group(before.parts.filter((p) => !now.has(p.id))),
    changed: [...changed.values()].map(({ from, to, ids }) => ({
      name: to.name,
      before: { item: from.item, length: from.length, width: from.width, quantity: ids.length },
      after: { item: to.item, length: to.length, width: to.width, quantity: ids.length },
      parts: ids,
    })),
    same,
  };
};
