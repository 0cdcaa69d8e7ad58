export * from './types.ts';
export * from './ripTogether.ts';
export * from './worthOf.ts';
export * from './orderCuts.ts';
export * from './planSaw.ts';
export * from './planSawSheets.ts';
export * from './findSources.ts';
export * from './netNeeds.ts';
