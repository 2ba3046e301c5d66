import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { BackupTrouble, backupTo } from './lib/backup';

const { BRICOLE_ROOT_URL: rootUrl, BRICOLE_BIN: bin, BRICOLE_HOME: home } = process.env;
const [file] = process.argv.slice(2);
if (!rootUrl || !bin || !home || !file)
  throw new Error('BRICOLE_ROOT_URL, BRICOLE_BIN, BRICOLE_HOME and a file');
const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };
const begun = Date.now();
try {
  const { tables, trail } = await backupTo(file, { rootUrl, bin, home, application: version });
  writeFileSync(path.join(home, 'backups.json'), JSON.stringify({ at: new Date().toISOString() }));
  const rows = tables.reduce((sum, each) => sum + each.rows, 0);
  process.stdout.write(
    `bricole: ${rows} rows of ${tables.length} tables in ${((Date.now() - begun) / 1000).toFixed(1)} s\n` +
      `bricole: the newest hash of the audit trail is ${trail}\n` +
      'bricole: the file holds everything, passwords as hashes too: keep it on another machine, where nobody else reads it\n',
  );
} catch (error) {
  if (!(error instanceof BackupTrouble)) throw error;
  process.stderr.write(`bricole: ${error.message}\n`);
  process.exitCode = 1;
}
