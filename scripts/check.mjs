import { main } from './lib/say.mjs';
import { runTypeScript } from './lib/system.mjs';
import { withData } from './lib/with-data.mjs';

/** Checks the chain of the trail, records beside it, files, signed reports and projections: npm run check -- --known HASH */
await main(() =>
  withData((cluster) =>
    runTypeScript('scripts/check.ts', process.argv.slice(2), {
      sentence: 'something is not as it was kept: see above',
      env: { BRICOLE_DATABASE_URL: cluster.appUrl('bricole') },
    }),
  ),
);
