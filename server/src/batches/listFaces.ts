import type { SawFace } from '@rubbet/core/saw';
import { meshFaceOf } from '@rubbet/core/takeoff';
import { repeatParts } from '@rubbet/core/unit';
import type { Build } from '@rubbet/core/unit';

/** The faces of some open mesh of an order, each known by its order, so that faces of several orders can share rolls. */
export const listFaces = (
  order: number,
  { build, units }: { readonly build: Build; readonly units: number },
  open: ReadonlySet<string>,
): SawFace[] => {
  const panels = new Map(build.assemblies.map((a) => [a.id, a.name]));
  const parts = repeatParts(build.parts, units);
  return parts
    .filter((p) => p.role === 'mesh' && open.has(p.id))
    .map((p): SawFace => {
      const { wrap, ...bare } = meshFaceOf(p, parts);
      // Where some of what goes round is cut already, the rest does not go round any more.
      const whole = parts.every((q) => q.wrap === undefined || q.wrap !== p.wrap || open.has(q.id));
      const unit = units > 1 ? `, unit ${p.id.split('@').at(-1) ?? ''}` : '';
      return {
        order,
        part: p.id,
        mark: p.mark,
        panel: `${panels.get(p.assembly) ?? p.assembly}${unit}`,
        item: p.item,
        length: p.length,
        face: {
          ...bare,
          id: `${order}/${bare.id}`,
          ...(wrap && whole ? { wrap: { ...wrap, id: `${order}/${wrap.id}` } } : {}),
        },
      };
    });
};
