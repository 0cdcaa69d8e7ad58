export * from './priceOrder.ts';
export * from './quote.ts';
