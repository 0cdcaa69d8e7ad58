import type { MeshPlan } from '../cut/index.ts';
import { clean } from '../measure/index.ts';
import { placeJoints } from '../steps/index.ts';
import type { Step } from '../steps/index.ts';
import type { Build } from '../unit/index.ts';

/** The joints of a build as documented in docs/formats.md: parts by id, the step that makes each, what it takes. */
export const writeJoints = (build: Build, steps: readonly Step[]) => {
  const stepOf = new Map<string, string>();
  for (const [step, joints] of placeJoints(build, steps)) for (const j of joints) stepOf.set(j.id, step);
  return {
    joints: build.joints.map((j) => ({
      id: j.id,
      kind: j.kind,
      parts: j.parts,
      step: stepOf.get(j.id) ?? '',
      fasteners: j.fasteners,
      hardware: j.hardware,
      ...(j.at ? { at: j.at.map(clean) } : {}),
      ...(j.bite ? { through: clean(j.bite.through), into: clean(j.bite.into) } : {}),
    })),
  };
};

/** A roll plan as documented in docs/formats.md: every roll with its strips, inches and cents. */
export const writeRolls = (plan: MeshPlan) => ({
  rolls: plan.layout.map((r) => ({
    item: r.item,
    width: r.width,
    length: r.length,
    cost: r.cost,
    strips: r.strips.map((s) => ({
      face: s.face,
      x: clean(s.x),
      y: clean(s.y),
      width: clean(s.width),
      length: clean(s.length),
      ...(s.bent ? { bent: true } : {}),
    })),
  })),
  cost: plan.cost,
  faces: plan.strips.map((s) => ({
    face: s.face,
    run: s.run,
    strips: s.strips,
    seams: s.seams.map(clean),
    onWood: s.onWood,
  })),
});
