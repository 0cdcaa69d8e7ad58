import type { Driven, Fitted, Joint } from './joint.ts';

/** Fasteners and hardware of some joints, each item once, in the order of their names. */
export const countJoints = (
  joints: readonly Pick<Joint, 'fasteners' | 'hardware'>[],
): { readonly fasteners: readonly Driven[]; readonly hardware: readonly Fitted[] } => {
  const fasteners = new Map<string, Driven>();
  const hardware = new Map<string, Fitted>();
  for (const j of joints) {
    for (const f of j.fasteners)
      fasteners.set(f.item, { item: f.item, length: f.length, count: (fasteners.get(f.item)?.count ?? 0) + f.count });
    for (const h of j.hardware)
      hardware.set(h.item, { item: h.item, count: (hardware.get(h.item)?.count ?? 0) + h.count });
  }
  const byName = (a: { readonly item: string }, b: { readonly item: string }): number => (a.item < b.item ? -1 : 1);
  return { fasteners: [...fasteners.values()].sort(byName), hardware: [...hardware.values()].sort(byName) };
};

/** How many of an item all the joints take. */
export const countOf = (joints: readonly Pick<Joint, 'fasteners' | 'hardware'>[], item: string): number => {
  const { fasteners, hardware } = countJoints(joints);
  return [...fasteners, ...hardware].find((f) => f.item === item)?.count ?? 0;
};
