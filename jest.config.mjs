// Tests run in plain Node (no context of their own for each file), so that what they load is loaded once a process.
const project = (displayName, testMatch) => ({
  rootDir: '.',
  displayName,
  testMatch,
  runner: 'jest-light-runner/child-process',
  setupFilesAfterEnv: ['<rootDir>/scripts/lib/testLimit.mjs'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
});
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
};
