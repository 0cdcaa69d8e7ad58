export * from './takeOff.ts';
export * from './fastening.ts';
export * from './replanSticks.ts';
