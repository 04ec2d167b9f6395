// Where the environment says production, the tests' own build of React would be missing.
process.env.NODE_ENV = 'test';

const match = { testMatch: ['**/*.test.ts', '**/*.test.tsx'] };

/** Tests of what has no state of its own but what a test makes: modules of Node.js, kept from one file to the next. */
const bare = {
  ...match,
  displayName: 'bare',
  roots: ['core', 'api', 'server', 'cli', 'client', 'demo', 'bench'].map((folder) => `<rootDir>/${folder}`),
  runner: 'jest-light-runner',
  transform: {},
};

/** Tests of the interface, whose stores and globals are there once in a page: each file has all of it anew. */
const pages = {
  ...match,
  displayName: 'pages',
  roots: ['<rootDir>/web'],
  testEnvironment: 'node',
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

export default {
  // Without this a machine with two cores would use one.
  maxWorkers: '100%',
  // No test is timed: this only ends one that hangs, on a machine however slow.
  testTimeout: 120_000,
  projects: [bare, pages],
};
