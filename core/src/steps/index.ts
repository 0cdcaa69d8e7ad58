export * from './types.ts';
export * from './planSteps.ts';
export * from './stepList.ts';
export { diagonal } from './panelSteps.ts';
export * from './cautions.ts';
export * from './orderRules.ts';
export * from './planOperations.ts';
export * from './progress.ts';
export * from './placeJoints.ts';
