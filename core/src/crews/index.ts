export * from './types.ts';
export { boundPlan } from './bound.ts';
export { findFaults } from './judge.ts';
export { DISPATCH, planCrews } from './search.ts';
export { operationsOf, promiseDay } from './promise.ts';
export type { Promised } from './promise.ts';
export { printMoment, readShop, writePlan } from './readShop.ts';
export type { SearchFor } from './search.ts';
