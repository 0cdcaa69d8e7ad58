export * from './takeOff.ts';
export * from './planBatch.ts';
export { isSeamOpen } from './meshFaces.ts';
export * from './replanSticks.ts';
