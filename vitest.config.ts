import { execFileSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url));
const alias = { '@core': at('./src/core'), '@contract': at('./src/contract'), '@server': at('./src/server') };

/**
 * What the random cases of property tests begin from: the commit. Each commit tries other cases, and one commit always
 * gets the same verdict, on every machine. PROPERTY_SEED sets it; outside a clone it is 1.
 */
function propertySeed(): string {
  if (process.env.PROPERTY_SEED) return process.env.PROPERTY_SEED;
  try {
    const commit = execFileSync('git', ['rev-parse', 'HEAD'], { cwd: at('.'), stdio: ['ignore', 'pipe', 'ignore'] });
    return String(Number.parseInt(commit.toString().slice(0, 7), 16));
  } catch {
    return '1';
  }
}
const properties = { setupFiles: [at('./scripts/lib/propertySeed.ts')], env: { PROPERTY_SEED: propertySeed() } };

/** Three projects: unit tests run anywhere, server tests want TEST_DATABASE_URL, journeys want a browser. */
export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'unit',
          ...properties,
          include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'],
          exclude: ['src/server/**'],
          testTimeout: 30_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'server',
          ...properties,
          include: ['src/server/**/*.test.ts'],
          testTimeout: 30_000,
          hookTimeout: 60_000,
        },
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
