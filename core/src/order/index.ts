export * from './stations.ts';
export * from './businessRules.ts';
export * from './computeOrder.ts';
export * from './rankModels.ts';
