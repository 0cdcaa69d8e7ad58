export * from './items.ts';
export * from './measureDensity.ts';
