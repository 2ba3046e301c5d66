import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'postgresql',
  schema: [
    './src/db/schema/people.ts',
    './src/db/schema/jobs.ts',
    './src/db/schema/batches.ts',
    './src/db/schema/plans.ts',
    './src/db/schema/runs.ts',
    './src/db/schema/press.ts',
    './src/db/schema/reports.ts',
    './src/db/schema/storage.ts',
    './src/db/schema/practice.ts',
    './src/db/schema/verdicts.ts',
    './src/db/schema/waits.ts',
  ],
  out: './src/db/migrations',
});
