export * from './parseLength.ts';
export * from './printLength.ts';
export * from './round.ts';
export * from './print.ts';
export * from './readOut.ts';
export * from './printList.ts';
