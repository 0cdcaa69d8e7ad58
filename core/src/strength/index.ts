export * from './spans.ts';
export * from './thrust.ts';
