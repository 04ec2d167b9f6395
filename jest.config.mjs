// Where the environment says production, the tests' own build of React would be missing.
process.env.NODE_ENV = 'test';

export default {
  testEnvironment: 'node',
  // Without this a machine with two cores would use one.
  maxWorkers: '100%',
  // No test is timed: this only ends one that hangs, on a machine however slow.
  testTimeout: 120_000,
  roots: ['core', 'api', 'server', 'cli', 'web', 'client', 'demo', 'bench', 'scripts'].map(
    (folder) => `<rootDir>/${folder}`,
  ),
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
      },
    ],
  },
};
