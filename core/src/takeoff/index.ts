export * from './takeOff.ts';
export { isSeamOpen } from './meshFaces.ts';
export * from './replanSticks.ts';
