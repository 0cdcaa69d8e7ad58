export * from './stations.ts';
export * from './life.ts';
export * from './businessRules.ts';
export * from './computeOrder.ts';
export * from './rankModels.ts';
export * from './workPlan.ts';
export * from './business.ts';
export * from './show.ts';
