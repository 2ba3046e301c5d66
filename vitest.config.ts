import { availableParallelism } from 'node:os';
import path from 'node:path';
import { defineConfig } from 'vitest/config';

const alias = { '@': path.resolve(import.meta.dirname, 'src') };

/** Read as one file: hundreds of small ones cost more than the tests of a view. */
const ONE_FILE = {
  enabled: true,
  include: [
    '@emotion/cache',
    '@emotion/react',
    '@emotion/styled',
    '@mui/material',
    '@mui/material/styles',
    '@mui/x-data-grid',
  ],
};

export default defineConfig({
  resolve: { alias },
  test: {
    // Vitest leaves one core to itself, which is half of two.
    maxWorkers: Math.max(2, availableParallelism() - 1),
    projects: [
      {
        resolve: { alias },
        test: {
          // The core holds nothing between two calls: its modules are read once for all of its files.
          name: 'core',
          include: ['src/core/**/*.test.ts', 'src/demo/**/*.test.ts'],
          setupFiles: ['src/testing/setup.ts'],
          testTimeout: 60_000,
          isolate: false,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'ui',
          deps: { optimizer: { client: ONE_FILE, ssr: ONE_FILE } },
          include: ['src/ui/**/*.test.{ts,tsx}'],
          setupFiles: ['src/testing/setup.ts'],
          testTimeout: 60_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'server',
          include: ['src/server/**/*.test.ts', 'src/db/**/*.test.ts', 'scripts/**/*.test.ts'],
          setupFiles: ['src/testing/setup.ts'],
          testTimeout: 120_000,
          hookTimeout: 120_000,
          pool: 'forks',
          isolate: false,
        },
      },
    ],
  },
});
