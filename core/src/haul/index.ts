export * from './planLoad.ts';
