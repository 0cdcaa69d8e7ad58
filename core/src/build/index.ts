export * from './types.ts';
export * from './assignMarks.ts';
export * from './measureMass.ts';
export * from './measureBounds.ts';
export * from './findClashes.ts';
export * from './findGaps.ts';
export * from './groupParts.ts';
