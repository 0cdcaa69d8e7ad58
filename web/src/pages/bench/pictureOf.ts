import { drawBuild, hasLayers } from '@rubbet/core/draw';
import type { Drawing } from '@rubbet/core/draw';
import { findStanding } from '@rubbet/core/steps';
import type { Step } from '@rubbet/core/steps';
import type { Build } from '@rubbet/core/unit';

/** A step's picture, and how it is seen: in words, to stand under it. */
export interface StepPicture {
  readonly drawing: Drawing;
  readonly seen: string;
}

/** What a step shows: a panel flat with its marks; what goes on it lifted off it; what is put in its place lit among what stands by then. */
export const pictureOf = (build: Build, steps: readonly Step[], step: Step): StepPicture => {
  const own = build.assemblies.find((a) => a.id === step.assembly);
  const flat = step.view.startsWith('panel:');
  if (flat && step.verb === 'skin' && own !== undefined && hasLayers(build, own))
    return {
      drawing: drawBuild(build, `apart:${own.id}`, { highlight: step.parts }),
      seen: 'lying flat, its outside up, what goes on it lifted off',
    };
  if (flat)
    return {
      drawing: drawBuild(build, step.view, step.verb === 'skin' ? { highlight: step.parts } : {}),
      seen: 'seen from outside, lying flat, hook the tape at the left end',
    };
  return {
    drawing: drawBuild(
      build,
      'three',
      step.parts.length > 0
        ? { highlight: step.parts, show: 'frame', there: findStanding(build.parts, steps, step.id) }
        : {},
    ),
    seen: step.parts.length > 0 ? 'where it goes; what stands already is pale' : 'the whole unit',
  };
};
