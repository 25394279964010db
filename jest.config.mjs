import { availableParallelism } from 'node:os';

const swc = {
  '^.+\\.tsx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true, decorators: true },
        transform: { legacyDecorator: true, decoratorMetadata: true, react: { runtime: 'automatic' } },
        target: 'es2022',
        keepClassNames: true,
      },
      module: { type: 'commonjs' },
    },
  ],
  '^.+\\.js$': [
    '@swc/jest',
    { jsc: { parser: { syntax: 'ecmascript' }, target: 'es2022' }, module: { type: 'commonjs' } },
  ],
};

const project = (name) => ({
  displayName: name,
  rootDir: name,
  testEnvironment: '<rootDir>/../scripts/jest/environment.cjs',
  runtime: '<rootDir>/../scripts/jest/runtime.cjs',
  transform: swc,
  transformIgnorePatterns: [
    'node_modules/(?!(@noble|p-limit|p-queue|p-timeout|eventemitter3|p-retry|is-network-error|yocto-queue|lru-cache|fast-check|n3|typeorm|react-hotkeys-hook|react-resizable-panels|stemmer|github-slugger|feed)/)',
  ],
  extensionsToTreatAsEsm: [],
  moduleNameMapper: {
    '^@even-lantern/(core|contract|standins|server)$': '<rootDir>/../$1/src/index.ts',
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
  testMatch: ['<rootDir>/src/**/*.test.ts'],
});

export default {
  // The browser tests wait half of their time, so there is work for more than one on each core.
  maxWorkers: Math.ceil(availableParallelism() * 1.5),
  // A busy machine may be slow; no test is about time.
  testTimeout: 60_000,
  globalSetup: './scripts/jest/temporaryFolder.cjs',
  globalTeardown: './scripts/jest/removeTemporaryFolder.cjs',
  projects: [
    ...['core', 'contract', 'standins', 'server'].map(project),
    {
      ...project('web'),
      testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
      testEnvironment: '<rootDir>/src/testing/browserEnvironment.mjs',
      runtime: 'jest-runtime',
      moduleNameMapper: {
        ...project('web').moduleNameMapper,
        // What draws needs a browser; tests of components read the numbers that stand beside a chart.
        '^apexcharts$': '<rootDir>/src/testing/noChart.ts',
      },
      testEnvironmentOptions: { customExportConditions: ['require', 'default'] },
      setupFilesAfterEnv: ['<rootDir>/src/testing/patience.ts', '<rootDir>/src/testing/warnings.ts'],
    },
    { ...project('e2e'), setupFilesAfterEnv: ['<rootDir>/src/patience.cjs'] },
  ],
};
