export * from './models.ts';
export * from './orders.ts';
export * from './business.ts';
export * from './supply.ts';
