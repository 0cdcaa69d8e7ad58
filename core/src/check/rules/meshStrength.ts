import { findMesh } from '../../stock/index.ts';
import type { Check } from '../types.ts';

/** Mesh that holds against predators. */
export const meshStrength: Check = ({ build, params, flock }) => {
  const { meshItem } = build.facts;
  if (meshItem === undefined) return [];
  const mesh = findMesh(meshItem);
  if (mesh.strong) return [];
  return [
    {
      code: 'mesh-strength',
      severity: build.facts.movable && flock.kind === 'meat' ? 'warn' : 'stop',
      what: `${mesh.name[0]?.toUpperCase() ?? ''}${mesh.name.slice(1)} keeps hens in, not predators out.`,
      why: `Its ${mesh.opening}″ opening passes a paw, and it tears with age; below the roof nothing over ½″ may stay open.`,
      where: build.parts
        .filter((p) => p.item === meshItem)
        .slice(0, 1)
        .map((p) => p.id),
      fix: {
        label: 'Use hardware cloth',
        patch: { ['mesh' in params ? 'mesh' : 'runMesh']: 'hardware-cloth' },
      },
    },
  ];
};
