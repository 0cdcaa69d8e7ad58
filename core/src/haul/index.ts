export * from './planLoad.ts';
export * from './tripWindow.ts';
