import { prepareDemo } from './lib/application.mjs';
import { runHere } from './lib/here.mjs';
import { installation } from './lib/installation.mjs';
import { main, Trouble } from './lib/say.mjs';
import { runTypeScript } from './lib/system.mjs';

/** Runs the demo: npm start */
await main(async () => {
  if (installation())
    throw new Trouble(
      'this copy holds a laboratory’s own records: npm run serve runs it. The demo wants a copy of the application of its own.',
    );
  await runHere({
    dev: process.argv.includes('--dev'),
    prepare: prepareDemo,
    options: { port: Number(process.env.PORT ?? 3000), env: { BRICOLE_DEMO: '1' } },
    greet: (url) => runTypeScript('scripts/print-sign-ins.ts', [], { env: { BRICOLE_URL: url } }),
  });
});
