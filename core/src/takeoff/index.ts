export * from './takeOff.ts';
export * from './replanSticks.ts';
