import { writeFileSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { BackupTrouble, openBackup, restoreDump } from './lib/backup';
import { makeRoles } from './lib/databases';

const [file = '', ...flags] = process.argv.slice(2);
const say = (words: string): void => void process.stdout.write(`bricole: ${words}\n`);

async function putBack(): Promise<void> {
  const backup = await openBackup(file);
  const { manifest } = backup;
  try {
    if (flags.includes('--look')) {
      say(`a backup of ${manifest.madeAt}, version ${manifest.application}: its parts are whole`);
      return;
    }
    const {
      BRICOLE_ROOT_URL: rootUrl,
      BRICOLE_OWNER_PASSWORD: ownerPassword,
      BRICOLE_APP_PASSWORD: appPassword,
      BRICOLE_BIN: bin,
      BRICOLE_HOME: home,
    } = process.env;
    if (!rootUrl || !ownerPassword || !appPassword || !bin || !home)
      throw new Error('BRICOLE_ROOT_URL, the passwords of its roles, BRICOLE_BIN and BRICOLE_HOME');
    const root = new URL(rootUrl);
    root.pathname = '/postgres';
    const client = new pg.Client({ connectionString: root.href });
    await client.connect();
    await makeRoles(client, { ownerPassword, appPassword }).finally(() => client.end());
    const begun = Date.now();
    const { tables, rows } = await restoreDump(backup, { rootUrl, bin });
    for (const [name, text] of Object.entries(backup.beside))
      writeFileSync(path.join(home, name), text, { mode: 0o600 });
    say(
      `${rows} rows of ${tables} tables in ${((Date.now() - begun) / 1000).toFixed(1)} s, every checksum as it was kept`,
    );
  } finally {
    backup.close();
  }
}

try {
  await putBack();
} catch (error) {
  if (!(error instanceof BackupTrouble)) throw error;
  process.stderr.write(`bricole: ${error.message}\n`);
  process.exitCode = 1;
}
