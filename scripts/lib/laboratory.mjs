import { spawnSync } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Trouble } from './say.mjs';
import { freePort, PROJECT, start, stop, waitForServer } from './system.mjs';

/**
 * A laboratory's own installation beside everything else, set up and served by the very commands that a laboratory uses,
 * with its data in a folder of its own.
 * @returns its address, the link of its first manager, and how to end it and take it away
 */
export async function newLaboratory(name) {
  const home = path.join(PROJECT, '.bricole', name);
  const env = { BRICOLE_HOME: home };
  const run = (script, ...args) => {
    const done = spawnSync('node', [`scripts/${script}.mjs`, ...args], {
      ...{ cwd: PROJECT, encoding: 'utf8', stdio: ['ignore', 'pipe', 'inherit'] },
      env: { ...process.env, ...env },
    });
    if (done.status !== 0) throw new Trouble(`${script} of ${name} failed:\n${done.stdout}`);
    return done.stdout;
  };
  const remove = () => {
    run('reset', '--yes');
    rmSync(home, { recursive: true, force: true });
  };
  remove();
  const port = await freePort(3930);
  const answers = path.join(PROJECT, '.bricole', `${name}-answers.json`);
  writeFileSync(
    answers,
    JSON.stringify({
      ...{ name: 'Harbour Row Testing', address: ['2 Harbour Row', 'Port Merrow'], zone: 'America/New_York' },
      ...{ managerName: 'Tamsin Reed', managerEmail: 'tamsin@harbourrow.example' },
      ...{ url: `http://127.0.0.1:${port}`, port },
    }),
  );
  const said = run('setup', answers);
  rmSync(answers);
  const [, link] = /(http\S+\/welcome\/\S+)/u.exec(said) ?? [];
  if (!link) throw new Trouble(`setup told no link:\n${said}`);
  const serving = start('node', ['scripts/serve.mjs'], env);
  const url = `http://127.0.0.1:${port}`;
  const end = async () => {
    await stop(serving);
    remove();
  };
  try {
    await waitForServer(`${url}/api/health`, 90);
  } catch (error) {
    await end();
    throw error;
  }
  return { url, link, end };
}
