import type { Part } from './types.ts';

/** How far apart equal units are laid, inches: farther than any is long, so that nothing of one lies against another. */
const APART = 2000;

/** The parts of so many equal units, each with its unit in its id (`id@2`) and its mark kept: what a saw cuts as one batch. */
export const repeatParts = (parts: readonly Part[], quantity: number): readonly Part[] =>
  quantity === 1
    ? parts
    : Array.from({ length: quantity }, (_, i) =>
        parts.map((p) => {
          const [x, y, z] = p.place.origin;
          return {
            ...p,
            id: `${p.id}@${i + 1}`,
            ...(p.wrap === undefined ? {} : { wrap: `${p.wrap}@${i + 1}` }),
            ...(p.sawnOut ? { sawnOut: p.sawnOut.map((id) => `${id}@${i + 1}`) } : {}),
            place: { ...p.place, origin: [x + i * APART, y, z] as const },
          };
        }),
      ).flat();
