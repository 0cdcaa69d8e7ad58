export * from './days.ts';
