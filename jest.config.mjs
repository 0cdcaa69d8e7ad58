import { readFileSync } from 'node:fs';

// Jest runs the sources themselves, so import endings stay as they are written.
const swc = JSON.parse(readFileSync(new URL('./.swcrc', import.meta.url), 'utf8'));
delete swc.$schema;
swc.jsc.rewriteRelativeImportExtensions = false;

const common = {
  rootDir: '.',
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '^.+\\.tsx?$': ['<rootDir>/scripts/lib/transform.mjs', { ...swc, swcrc: false }] },
  moduleNameMapper: {
    '^@rubbet/core/(.*)$': '<rootDir>/core/src/$1/index.ts',
    '^@rubbet/(demo|cli|server)$': '<rootDir>/$1/src/index.ts',
  },
};
const project = (displayName, testMatch, more = {}) => ({ ...common, displayName, testMatch, ...more });
export default {
  testSequencer: '<rootDir>/scripts/lib/sequencer.mjs',
  projects: [
    project('core', ['<rootDir>/core/src/**/*.test.ts']),
    project('cli', ['<rootDir>/cli/src/**/*.test.ts']),
    project('demo', ['<rootDir>/demo/src/**/*.test.ts']),
    project('web', ['<rootDir>/web/src/**/*.test.ts']),
    project('server', ['<rootDir>/server/src/**/*.test.ts']),
    project('e2e', ['<rootDir>/e2e/**/*.test.ts']),
  ],
  testTimeout: 180000,
};
