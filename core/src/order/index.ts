export * from './stations.ts';
