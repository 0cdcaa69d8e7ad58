export * from './types.ts';
export * from './drawBuild.ts';
export * from './drawPads.ts';
export { CAMERAS, see, toneOf } from './project.ts';
export type { Camera } from './project.ts';
export * from './drawSection.ts';
export * from './layTape.ts';
export * from './layRuler.ts';
