export * from './takeOff.ts';
export * from './planBatch.ts';
export * from './planTogether.ts';
export { isSeamOpen, meshFaceOf } from './meshFaces.ts';
export * from './replanSticks.ts';
export * from './dropsOf.ts';
export * from './takesOf.ts';
