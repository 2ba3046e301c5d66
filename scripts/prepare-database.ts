import 'reflect-metadata';
import pg from 'pg';
import { openDatabase } from '../src/db/client';
import { migrateDatabase } from '../src/db/migrate';
import { loadDemo } from '../src/demo/load';
import { isLaboratorys } from '../src/server/installation';
import { makeEmpty, makeRoles } from './lib/databases';

/** Who the database is made for: its address as the superuser, and the passwords of the two roles that use it. */
export interface DatabasePlan {
  readonly rootUrl: string;
  readonly ownerPassword: string;
  readonly appPassword: string;
}

/**
 * Creates a database if it is not there and brings it up to the newest schema. It belongs to bricole_owner, who is no
 * superuser; bricole_app may use what is in it and make nothing in it, not even a temporary table.
 * @param first fills a database that is made now. It is made under another name and takes its own only when it is
 *   whole, so that a first start that was ended in the middle begins again from nothing.
 * @returns true when it was made now
 */
export async function prepareDatabase(
  plan: DatabasePlan,
  first?: (appUrl: string) => Promise<void>,
): Promise<boolean> {
  const name = new URL(plan.rootUrl).pathname.slice(1);
  const unfinished = `${name}_unfinished`;
  const at = (database: string, user?: string, password?: string): string => {
    const url = new URL(plan.rootUrl);
    url.pathname = `/${database}`;
    if (user) url.username = user;
    if (password) url.password = password;
    return url.href;
  };
  const root = new pg.Client({ connectionString: at('postgres') });
  await root.connect();
  try {
    await makeRoles(root, plan);
    const { rowCount } = await root.query('SELECT 1 FROM pg_database WHERE datname = $1', [name]);
    if (rowCount !== 0) {
      await migrateDatabase(at(name, 'bricole_owner', plan.ownerPassword));
      return false;
    }
    const [made, whole] = [root.escapeIdentifier(unfinished), root.escapeIdentifier(name)];
    await makeEmpty(root, unfinished);
    await migrateDatabase(at(unfinished, 'bricole_owner', plan.ownerPassword));
    await first?.(at(unfinished, 'bricole_app', plan.appPassword));
    await root.query(`ALTER DATABASE ${made} RENAME TO ${whole}`);
    return true;
  } finally {
    await root.end();
  }
}

/** The demo is not run on a laboratory's records, nor a laboratory on the demo's. */
async function refuseOthers(rootUrl: string, demo: boolean): Promise<void> {
  const { db, pool } = openDatabase(rootUrl, 1);
  // Where there is none yet, or it is older than that question, it is the demo's.
  const ours = await isLaboratorys(db).catch(() => false);
  await pool.end();
  if (ours === !demo) return;
  process.stderr.write(
    demo
      ? 'bricole: these are a laboratory’s own records: npm run serve runs them. If it says that nothing is set up, npm run setup asks where they are reached.\n'
      : 'bricole: these are the demo’s records, not a laboratory’s: npm start runs them.\n',
  );
  process.exit(1);
}

async function withDemo(appUrl: string): Promise<void> {
  const { db, pool } = openDatabase(appUrl);
  try {
    await loadDemo(db, new Date());
  } finally {
    await pool.end();
  }
}

if (process.argv[1]?.endsWith('prepare-database.ts')) {
  const { BRICOLE_ROOT_URL, BRICOLE_OWNER_PASSWORD, BRICOLE_APP_PASSWORD } = process.env;
  if (!BRICOLE_ROOT_URL || !BRICOLE_OWNER_PASSWORD || !BRICOLE_APP_PASSWORD)
    throw new Error('BRICOLE_ROOT_URL, BRICOLE_OWNER_PASSWORD and BRICOLE_APP_PASSWORD');
  const demo = process.argv.includes('--demo');
  const wanted = demo || process.argv.includes('--laboratory');
  if (wanted) await refuseOthers(BRICOLE_ROOT_URL, demo);
  const made = await prepareDatabase(
    {
      rootUrl: BRICOLE_ROOT_URL,
      ownerPassword: BRICOLE_OWNER_PASSWORD,
      appPassword: BRICOLE_APP_PASSWORD,
    },
    demo ? withDemo : undefined,
  );
  if (demo)
    process.stdout.write(
      made ? 'bricole: demo scenario loaded\n' : 'bricole: data is there already; kept as it is\n',
    );
}
