import { main } from './lib/say.mjs';
import { runTypeScript } from './lib/system.mjs';
import { withData } from './lib/with-data.mjs';

/** Derives the projections anew from the records: what waits, and what is decided. */
await main(() =>
  withData((cluster) =>
    runTypeScript('scripts/rebuild.ts', [], { env: { BRICOLE_DATABASE_URL: cluster.appUrl('bricole') } }),
  ),
);
