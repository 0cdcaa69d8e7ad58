import { countJoints } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';
import { drivingText, drivingTools } from './driving.ts';
import { placeJoints } from './placeJoints.ts';
import type { Step } from './types.ts';

/** The steps with the joints that are made in each: what they take, how they are driven, and with which tools. */
export const withJoints = (build: Build, steps: readonly Step[]): Step[] => {
  const at = placeJoints(build, steps);
  return steps.map((step) => {
    const joints = at.get(step.id) ?? [];
    if (joints.length === 0) return step;
    const tools = [...step.tools.filter((t) => !/driver|nailer|stapler/.test(t)), ...drivingTools(joints)];
    return {
      ...step,
      text: [...step.text, ...drivingText(joints)],
      tools: [...new Set(tools)],
      joints: joints.map((j) => j.id),
      ...countJoints(joints),
    };
  });
};
