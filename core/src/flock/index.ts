export * from './types.ts';
export * from './sizeFlock.ts';
export * from './adviseMoving.ts';
