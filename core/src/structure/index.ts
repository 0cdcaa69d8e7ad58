export * from './spans.ts';
export * from './thrust.ts';
export * from './wind.ts';
export * from './moving.ts';
export * from './roadLimits.ts';
