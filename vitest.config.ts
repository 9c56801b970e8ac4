import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url));
const alias = { '@core': at('./src/core'), '@contract': at('./src/contract'), '@server': at('./src/server') };

/** Three projects: unit tests run anywhere, server tests want TEST_DATABASE_URL, journeys want a browser. */
export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'unit',
          include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'],
          exclude: ['src/server/**'],
          testTimeout: 30_000,
        },
      },
      {
        resolve: { alias },
        test: { name: 'server', include: ['src/server/**/*.test.ts'], testTimeout: 30_000, hookTimeout: 60_000 },
      },
      {
        resolve: { alias },
        test: {
          name: 'journeys',
          include: ['e2e/**/*.test.ts'],
          testTimeout: 240_000,
          hookTimeout: 240_000,
          // One browser and one server at a time: two cores, and the build is shared.
          fileParallelism: false,
        },
      },
    ],
  },
});
