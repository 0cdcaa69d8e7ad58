export * from './readSurvey.ts';
export * from './planPads.ts';
export * from './ground.ts';
export * from './findBearings.ts';
export * from './planConcrete.ts';
export * from './planFoundation.ts';
export * from './layFoundation.ts';
