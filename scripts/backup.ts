import { readFileSync } from 'node:fs';
import { BackupTrouble, backupTo } from './lib/backup';

const { BRICOLE_ROOT_URL: rootUrl, BRICOLE_BIN: bin, BRICOLE_SECRET_FILE: secretFile } = process.env;
const [file] = process.argv.slice(2);
if (!rootUrl || !bin || !secretFile || !file)
  throw new Error('BRICOLE_ROOT_URL, BRICOLE_BIN, BRICOLE_SECRET_FILE and a file');
const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };
const begun = Date.now();
try {
  const { tables, trail } = await backupTo(file, { rootUrl, bin, secretFile, application: version });
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
