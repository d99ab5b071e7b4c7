import nextJest from 'next/jest.js';

const createJestConfig = nextJest({ dir: './' });

/** Tests that bring a store of their own, or need none: they run beside the others. */
const OWN = [
  'backups',
  'heldUp',
  'imports',
  'keys',
  'keysHeld',
  'layers',
  'leaks',
  'migrations',
  'restarts',
  'startKills',
  'stockRun',
  'storeGone',
  'upgrade',
].map((name) => `<rootDir>/tests/integration/${name}.test.ts`);

const shared = {
  testEnvironment: 'node',
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
};

async function project(displayName, more) {
  const config = await createJestConfig({ ...shared, displayName, ...more })();
  // These ship ES modules only, so they are transformed like our own sources.
  return {
    ...config,
    transformIgnorePatterns: ['/node_modules/(?!(fast-check|pure-rand|uuid|chrono-node|csv-parse)/)'],
  };
}

export default async () => ({
  // A slow machine is no fault of the code.
  testTimeout: 900_000,
  projects: [
    await project('unit', {
      testMatch: ['src', 'tests/judge', 'scripts'].map((room) => `<rootDir>/${room}/**/*.test.ts`),
    }),
    await project('integration', {
      testMatch: ['<rootDir>/tests/integration/**/*.test.ts'],
      testPathIgnorePatterns: ['/node_modules/', ...OWN],
    }),
    await project('own', { testMatch: OWN }),
  ],
});
