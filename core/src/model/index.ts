export * from './params.ts';
export * from './family.ts';
export * from './migrations.ts';
export * from './fittings.ts';
export * from './spec.ts';
export * from './families/index.ts';
export * from './editFittings.ts';
