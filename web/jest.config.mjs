import presets from 'jest-preset-angular/presets/index.js';

const root = `${import.meta.dirname}/..`;
export default {
  ...presets.createCjsPreset({ tsconfig: '<rootDir>/tsconfig.spec.json' }),
  displayName: 'web',
  rootDir: import.meta.dirname,
  testEnvironment: 'jest-preset-angular/environments/jest-jsdom-env',
  setupFilesAfterEnv: ['<rootDir>/src/testing/setup-jest.ts'],
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
  moduleNameMapper: {
    '^csv-parse/browser/esm/sync$': `${root}/node_modules/csv-parse/dist/cjs/sync.cjs`,
    '\\.worker-factory$': '<rootDir>/src/testing/no-worker.ts',
    '^@iron-patch/core$': `${root}/core/src/index.ts`,
    '^@iron-patch/core/testing$': `${root}/core/src/repair/job/testing.ts`,
    '^@iron-patch/core/(.*)$': `${root}/core/src/$1/index.ts`,
    '^@iron-patch/contract/wire$': `${root}/contract/src/wire.ts`,
    '^@iron-patch/contract$': `${root}/contract/src/index.ts`,
  },
};
