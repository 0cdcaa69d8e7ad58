export * from './types.ts';
export * from './checkBuild.ts';
export * from './passGate.ts';
export { CHECKS } from './rules/index.ts';
export * from './titles.ts';
export * from './proveMends.ts';
