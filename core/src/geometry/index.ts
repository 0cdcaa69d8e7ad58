export * from './vec.ts';
export * from './polygon.ts';
export * from './prism.ts';
export * from './arc.ts';
