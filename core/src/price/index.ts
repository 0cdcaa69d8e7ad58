export * from './priceOrder.ts';
