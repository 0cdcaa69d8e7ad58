import type { Part } from './types.ts';

/** Equal parts of a build under one mark. */
export interface PartGroup {
  readonly mark: string;
  readonly part: Part;
  readonly quantity: number;
  readonly ids: readonly string[];
}

/** Parts grouped by mark, in order of first appearance. */
export const groupParts = (parts: readonly Part[]): PartGroup[] => {
  const groups = new Map<string, { part: Part; ids: string[] }>();
  for (const part of parts) {
    const group = groups.get(part.mark);
    if (group) group.ids.push(part.id);
    else groups.set(part.mark, { part, ids: [part.id] });
  }
  return [...groups.entries()].map(([mark, { part, ids }]) => ({ mark, part, quantity: ids.length, ids }));
};

/** True for a part with a cut of its own; what is sawn off another in place has none. */
export const hasCut = (part: Part): boolean => part.fit !== 'sawn in place';

/** Parts of one assembly. */
export const partsOf = (parts: readonly Part[], assembly: string): Part[] =>
  parts.filter((p) => p.assembly === assembly);

/** Block stacked under a floor: drawn with the unit, planned, bought and set with its foundation. */
export const isPadBlock = (part: Pick<Part, 'role' | 'assembly'>): boolean =>
  part.role === 'block' && part.assembly === 'blocks';
