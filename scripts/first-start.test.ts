import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { afterEach, describe, expect, it } from 'vitest';
import { startCluster } from './lib/cluster.mjs';
import { HOME, noteOf } from './lib/system.mjs';
import { prepareDatabase } from './prepare-database';

const name = `start-test-${randomBytes(4).toString('hex')}`;
const configFile = path.join(HOME, `${name}.json`);
const config = (): { folder: string; root: string; making?: boolean } =>
  JSON.parse(readFileSync(configFile, 'utf8'));
const begin = () => startCluster(name, { durable: false });

afterEach(async () => {
  if (existsSync(configFile)) (await begin()).remove();
});

describe('the files of a cluster', () => {
  it('that cannot be read are never replaced: the start says so and stops', async () => {
    const first = await begin();
    first.stop();
    const { folder, root } = config();
    const data = path.join(folder, 'data');
    renameSync(data, `${data}-away`);
    await expect(begin()).rejects.toThrow(/cannot be read there\. Nothing was changed/);
    expect(existsSync(data)).toBe(false);
    expect(existsSync(`${data}-away/PG_VERSION`)).toBe(true);
    renameSync(`${data}-away`, data);
    const again = await begin();
    expect(config().root).toBe(root);
    again.stop();
    // Passwords that went astray are no reason to begin without the data.
    renameSync(configFile, `${configFile}-away`);
    await expect(begin()).rejects.toThrow(/passwords is missing\. Nothing was changed/);
    expect(existsSync(path.join(data, 'PG_VERSION'))).toBe(true);
    renameSync(`${configFile}-away`, configFile);
  });

  it('on a disk that is not mounted are missed: no cluster is made in their place', async () => {
    const noteFile = noteOf(name);
    const noted = () => startCluster(name, { durable: false, noted: true });
    const first = await noted();
    first.stop();
    const { folder, root } = config();
    expect(JSON.parse(readFileSync(noteFile, 'utf8'))).toEqual({ folder });
    // The whole folder of the data is gone, its passwords too.
    renameSync(folder, `${folder}-unmounted`);
    renameSync(configFile, `${configFile}-unmounted`);
    await expect(noted()).rejects.toThrow(/has a database in .* Nothing was changed\. Is the disk of/u);
    expect([existsSync(path.join(folder, 'data')), existsSync(configFile)]).toEqual([false, false]);
    rmSync(folder, { recursive: true, force: true });
    renameSync(`${folder}-unmounted`, folder);
    renameSync(`${configFile}-unmounted`, configFile);
    // One that was there before notes were kept gets its note at its next start.
    rmSync(noteFile);
    const again = await noted();
    expect([config().root, existsSync(noteFile)]).toEqual([root, true]);
    again.remove();
    expect(existsSync(noteFile)).toBe(false);
  });

  it('of a start that was ended in the middle of making them are made anew', async () => {
    const first = await begin();
    first.stop();
    const whole = config();
    const data = path.join(whole.folder, 'data');
    // As it stands when initdb was killed: half of it under another name, and the note that it was begun.
    rmSync(data, { recursive: true });
    mkdirSync(path.join(whole.folder, 'unfinished'), { recursive: true });
    writeFileSync(path.join(whole.folder, 'unfinished', 'PG_VERSION'), '15\n');
    writeFileSync(configFile, JSON.stringify({ ...whole, making: true }));
    const second = await begin();
    expect(config().making).toBeUndefined();
    expect(existsSync(path.join(whole.folder, 'unfinished'))).toBe(false);
    second.stop();
    // And when it was killed after the last step, before it was noted: nothing is made twice.
    const made = readFileSync(path.join(data, 'PG_VERSION'));
    writeFileSync(configFile, JSON.stringify({ ...config(), making: true }));
    (await begin()).stop();
    expect(readFileSync(path.join(data, 'PG_VERSION'))).toEqual(made);
    expect(config().making).toBeUndefined();
  });
});

describe('the database of a first start', () => {
  const { BRICOLE_TEST_ROOT_URL = '', BRICOLE_TEST_OWNER_URL = '', BRICOLE_TEST_APP_URL = '' } = process.env;
  const database = `first_${randomBytes(4).toString('hex')}`;
  const plan = () => ({
    rootUrl: Object.assign(new URL(BRICOLE_TEST_ROOT_URL), { pathname: `/${database}` }).href,
    ownerPassword: new URL(BRICOLE_TEST_OWNER_URL).password,
    appPassword: new URL(BRICOLE_TEST_APP_URL).password,
  });
  const names = async (): Promise<string[]> => {
    const root = new pg.Client({ connectionString: BRICOLE_TEST_ROOT_URL });
    await root.connect();
    const { rows } = await root.query('SELECT datname FROM pg_database WHERE datname LIKE $1', [
      `${database}%`,
    ]);
    await root.end();
    return rows.map(({ datname }) => datname as string);
  };
  const fill = (words: string) => async (appUrl: string) => {
    const app = new pg.Client({ connectionString: appUrl });
    await app.connect();
    await app.query(`INSERT INTO sign_ins (at, email, outcome) VALUES (now(), $1, 'refused')`, [words]);
    await app.end();
  };

  it('has its name only when it is whole; one that was ended in the middle begins again from nothing', async () => {
    await expect(
      prepareDatabase(plan(), async (url) => {
        await fill('half')(url);
        throw new Error('ended');
      }),
    ).rejects.toThrow('ended');
    expect(await names()).toEqual([`${database}_unfinished`]);
    expect(await prepareDatabase(plan(), fill('whole'))).toBe(true);
    expect(await names()).toEqual([database]);
    // Begun again it is there, and filled once.
    expect(await prepareDatabase(plan(), fill('again'))).toBe(false);
    const root = new pg.Client({ connectionString: plan().rootUrl });
    await root.connect();
    expect((await root.query('SELECT email FROM sign_ins')).rows).toEqual([{ email: 'whole' }]);
    await root.end();
    const admin = new pg.Client({ connectionString: BRICOLE_TEST_ROOT_URL });
    await admin.connect();
    await admin.query(`DROP DATABASE ${database} WITH (FORCE)`);
    await admin.end();
  });
});
