export * from './layers.ts';
export * from './drive.ts';
export * from './makeJoints.ts';
export * from './findUnheld.ts';
export type { Joinery } from './scene.ts';
