export * from './items.ts';
export * from './measureDensity.ts';
export * from './hardware.ts';
export * from './bought.ts';
export * from './catalogue.ts';
export * from './readItemChanges.ts';
export * from './sizes.ts';
export type { StockCount } from './stockCount.ts';
export { isOwn, LONGEST_NAME, ownKey } from './ownItems.ts';
