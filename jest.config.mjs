const swc = [
  '@swc/jest',
  { jsc: { parser: { syntax: 'typescript', decorators: true }, target: 'es2022' }, module: { type: 'commonjs' }, sourceMaps: 'inline' },
];
const plain = (name, extra = {}) => ({
  displayName: name,
  rootDir: `${import.meta.dirname}/${name}`,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
  transform: { '\\.ts$': swc, '\\.sql$': `${import.meta.dirname}/tools/jest-text.cjs` },
  moduleNameMapper: {
    '^@iron-patch/core$': `${import.meta.dirname}/core/src/index.ts`,
    '^@iron-patch/core/testing$': `${import.meta.dirname}/core/src/repair/job/testing.ts`,
    '^@iron-patch/core/(.*)$': `${import.meta.dirname}/core/src/$1/index.ts`,
    '^@iron-patch/contract/wire$': `${import.meta.dirname}/contract/src/wire.ts`,
    '^@iron-patch/contract$': `${import.meta.dirname}/contract/src/index.ts`,
    '^@iron-patch/gauge$': `${import.meta.dirname}/gauge/src/index.ts`,
    '^@iron-patch/demo$': `${import.meta.dirname}/demo/src/index.ts`,
  },
  transformIgnorePatterns: ['/node_modules/'],
  ...extra,
});
/** Looked up through the sandbox each of these costs a call: sums by the million take seven times as long. */
const SUMS = ['Math', 'Number', 'Array', 'Map', 'Set', 'Object'];
export default {
  projects: [
    plain('core', { sandboxInjectedGlobals: SUMS }),
    plain('contract'),
    plain('demo'),
    plain('gauge'),
    // These come as modules alone.
    plain('words', {
      transform: { '\\.(ts|m?js)$': swc },
      transformIgnorePatterns: ['/node_modules/(?!@angular/compiler/|gettext-parser/)'],
    }),
    plain('server', { setupFilesAfterEnv: ['<rootDir>/src/testing/patience.ts'] }),
    '<rootDir>/web/jest.config.mjs',
    plain('e2e', { setupFilesAfterEnv: ['<rootDir>/src/support/patience.ts'] }),
  ],
};
