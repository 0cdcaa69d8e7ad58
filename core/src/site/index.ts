export * from './readSurvey.ts';
export * from './planPads.ts';
