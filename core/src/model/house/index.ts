export * from './types.ts';
export * from './params.ts';
export * from './roof.ts';
export * from './walls.ts';
export * from './wishes.ts';
export * from './resolve.ts';
export * from './fit.ts';
export * from './frameHouse.ts';
