export * from './wind.ts';
export * from './moving.ts';
export * from './roadLimits.ts';
