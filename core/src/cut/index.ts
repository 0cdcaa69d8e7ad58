export * from './types.ts';
export * from './readDemand.ts';
export * from './planSticks.ts';
export * from './planSheets.ts';
export * from './planRolls.ts';
export { waysOf } from './meshWays.ts';
export type { Effort } from './sticks/searchPatterns.ts';
