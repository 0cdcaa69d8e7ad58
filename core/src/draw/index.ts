export * from './types.ts';
export * from './drawBuild.ts';
export * from './drawPads.ts';
export { CAMERAS, toneOf } from './project.ts';
export * from './drawSection.ts';
