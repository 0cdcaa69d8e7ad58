export * from './takeOff.ts';
export * from './fastening.ts';
