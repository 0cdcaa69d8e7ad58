import type { Build, JointKind } from '../unit/index.ts';

/** Joints of one part alone that tie it to the ground or to the building that it stands in. */
const ANCHORS: ReadonlySet<JointKind> = new Set(['bolt', 'lag', 'cleat', 'face-screwed']);

/**
 * Parts that no chain of joints ties to the rest: all but the largest group of parts that hold together, and groups of their own that
 * are anchored to the ground or to a building, or are block laid in the ground. Touching is not enough.
 */
export const findUnheld = (build: Pick<Build, 'parts' | 'joints'>): string[] => {
  const group = new Map(build.parts.map((p) => [p.id, p.id]));
  const headOf = (id: string): string => {
    let at = id;
    for (let up = group.get(at); up !== undefined && up !== at; up = group.get(at)) at = up;
    group.set(id, at);
    return at;
  };
  for (const j of build.joints)
    for (const p of j.parts.slice(1)) if (group.has(p)) group.set(headOf(p), headOf(j.parts[0] as string));
  const sizes = new Map<string, number>();
  const carried = new Set<string>();
  for (const p of build.parts) {
    const head = headOf(p.id);
    sizes.set(head, (sizes.get(head) ?? 0) + 1);
    if (p.role === 'block') carried.add(head);
  }
  for (const j of build.joints)
    if (j.parts.length === 1 && ANCHORS.has(j.kind)) carried.add(headOf(j.parts[0] as string));
  const largest = [...sizes.entries()].sort((a, b) => b[1] - a[1])[0]?.[0];
  return build.parts.map((p) => p.id).filter((id) => headOf(id) !== largest && !carried.has(headOf(id)));
};
