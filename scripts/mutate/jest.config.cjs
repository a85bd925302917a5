// One project of the tests, in the environment that tells StrykerJS which test reached which line.
const { projects, testTimeout } = require('../../jest.config.cjs');

const project = projects.find(({ displayName }) => displayName === process.env.HAPSET_MUTATE_PROJECT);
const { displayName: _, rootDir, ...rest } = project;
module.exports = {
  ...rest,
  testTimeout,
  rootDir: `${__dirname}/../../${rootDir}`,
  testMatch: [`<rootDir>/src/${process.env.HAPSET_MUTATE_TESTS}/**/*.spec.ts`],
  testEnvironment: require.resolve('@stryker-mutator/jest-runner/jest-env/node'),
};
