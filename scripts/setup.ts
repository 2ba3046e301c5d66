import 'reflect-metadata';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { input, password } from '@inquirer/prompts';
import { validated } from '../src/core/methods';
import { openDatabase } from '../src/db/client';
import { Beginning, beginLaboratory, firstPasswordProblem, isLaboratorys } from '../src/server/installation';
import { startCluster } from './lib/cluster.mjs';
import { installation, keepInstallation, placeProblem } from './lib/installation.mjs';
import { beginningOf, OF_THE_LABORATORY, OF_THE_PLACE, type Question } from './lib/questions';
import { main, say, Trouble } from './lib/say.mjs';
import { HOME, noteOf, PROJECT } from './lib/system.mjs';
import { prepareDatabase } from './prepare-database';

type Answers = Record<string, string>;

const PREFIX = 'BRICOLE_SETUP_';
const variable = (name: string): string =>
  `${PREFIX}${name.replace(/[A-Z]/gu, (letter) => `_${letter}`).toUpperCase()}`;

/** What was given beforehand: in a file of JSON, in the environment, which goes before it. */
function given(file: string | undefined, questions: readonly Question[]): Answers {
  let read: unknown = {};
  if (file) {
    if (!existsSync(file)) throw new Trouble(`${file} is not there.`);
    try {
      read = JSON.parse(readFileSync(file, 'utf8'));
    } catch (error) {
      throw new Trouble(`${file} is no JSON: ${(error as Error).message}`);
    }
    if (typeof read !== 'object' || read === null || Array.isArray(read))
      throw new Trouble(`${file} wants to be an object: { "name": "…", "address": "…", … }`);
    const known = new Set([...OF_THE_LABORATORY, ...OF_THE_PLACE].map(({ name }) => name));
    const strange = Object.keys(read).filter((name) => !known.has(name));
    if (strange.length > 0)
      throw new Trouble(
        `${file}: nothing is called ${strange.join(', ')}. There are: ${[...known].join(', ')}.`,
      );
  }
  const told = read as Record<string, unknown>;
  return Object.fromEntries(
    questions.flatMap(({ name }) => {
      const value = process.env[variable(name)] ?? told[name];
      return value === undefined ? [] : [[name, Array.isArray(value) ? value.join('\n') : String(value)]];
    }),
  );
}

/** What is wrong with one answer, by all that is known; null when nothing is. */
function problemOf(name: string, answers: Answers): string | null {
  if (OF_THE_PLACE.some((each) => each.name === name)) {
    const place = { url: 'http://x', listen: '127.0.0.1', port: 1, proxies: '' };
    const own = name === 'port' ? { port: Number(answers.port) } : { [name]: answers[name] ?? '' };
    return placeProblem({ ...place, ...own });
  }
  const beginning = beginningOf(answers);
  const checked = validated(Beginning, { ...beginning });
  if (!checked.ok && checked.errors[name]) return checked.errors[name];
  return name === 'password' ? firstPasswordProblem(beginning) : null;
}

/** Asks for what was not given; without anybody to ask, says what is missing and how to give it. */
async function answered(file: string | undefined, questions: readonly Question[]): Promise<Answers> {
  const answers = given(file, questions);
  const open = questions.filter(({ name }) => answers[name] === undefined);
  if (!process.stdin.isTTY) {
    for (const { name, usual } of open) if (usual !== undefined) answers[name] = usual;
    const missing = open.filter(({ name, optional }) => answers[name] === undefined && !optional);
    if (missing.length > 0)
      throw new Trouble(
        `there is nobody to ask here. Missing: ${missing
          .map(({ name, asks }) => `${name} (${asks}; or ${variable(name)})`)
          .join(', ')}. Give them in a file: npm run setup -- answers.json`,
      );
  } else
    for (const { name, asks, usual, hidden, optional } of open) {
      const validate = (text: string): true | string =>
        text === '' && optional ? true : (problemOf(name, { ...answers, [name]: text }) ?? true);
      answers[name] = hidden
        ? await password({ message: asks, mask: true, validate })
        : await input({ message: asks, validate, ...(usual === undefined ? {} : { default: usual }) });
    }
  const wrong = questions.flatMap(({ name }) => problemOf(name, answers) ?? []);
  if (wrong.length > 0) throw new Trouble(`nothing was made. ${wrong.join(' ')}`);
  return answers;
}

/** The examples of a unit and of a proxy with this installation’s own paths and address in them. */
function writeExamples(place: { readonly url: string; readonly port: number }): void {
  const host = new URL(place.url).hostname;
  const words: Readonly<Record<string, string>> = {
    '/opt/bricole': PROJECT,
    'bricole.laboratory.example': host,
    '127.0.0.1:3000': `127.0.0.1:${place.port}`,
    '/usr/bin/node': process.execPath,
    '/var/lib/bricole': HOME,
  };
  for (const name of ['bricole.service', 'nginx.conf']) {
    const example = readFileSync(path.join(PROJECT, 'docs/examples', name), 'utf8');
    const own = Object.entries(words).reduce((text, [from, to]) => text.replaceAll(from, to), example);
    writeFileSync(path.join(HOME, name), own);
  }
}

async function setUp(file: string | undefined): Promise<void> {
  const there = existsSync(path.join(HOME, 'database.json'));
  if (!there && existsSync(noteOf('database'))) {
    // The cluster itself says what is missing and what to do.
    await startCluster('database');
  }
  let begin: Answers | undefined;
  if (!there) begin = await answered(file, OF_THE_LABORATORY);
  else {
    const cluster = await startCluster('database');
    const { db, pool } = openDatabase(cluster.appUrl('bricole'), 1);
    const ours = await isLaboratorys(db).catch(() => false);
    await pool.end();
    cluster.stop();
    if (!ours)
      throw new Trouble(
        'this copy holds the demo, and it stays. Set up in a copy of the application of its own, or empty this one first with npm run reset.',
      );
    say(
      'a laboratory’s records are here already and stay as they are; only where they are reached is asked.',
    );
  }
  const known = installation();
  const usual = OF_THE_PLACE.map((question) => {
    const before = known?.[question.name as keyof typeof known];
    return before === undefined ? question : { ...question, usual: String(before) };
  });
  const place = await answered(file, usual);
  const { url = '', listen = '', port = '', proxies = '' } = place;
  const kept = { ...known, url: url.replace(/\/$/u, ''), listen, port: Number(port), proxies };
  let link: string | null = null;
  if (begin) {
    const about = beginningOf(begin);
    const cluster = await startCluster('database');
    try {
      const env = cluster.prepareEnv('bricole');
      await prepareDatabase(
        {
          rootUrl: env.BRICOLE_ROOT_URL,
          ownerPassword: env.BRICOLE_OWNER_PASSWORD,
          appPassword: env.BRICOLE_APP_PASSWORD,
        },
        async (appUrl) => {
          const { db, pool } = openDatabase(appUrl, 2);
          ({ link } = await beginLaboratory(db, about, new Date()).finally(() => pool.end()));
        },
      );
    } finally {
      cluster.stop();
    }
  }
  keepInstallation(kept);
  writeExamples(kept);
  say(`set up. npm run serve runs it, at ${kept.url}`);
  if (link) say(`the first manager sets the password at ${kept.url}${link} (within seven days)`);
  if (kept.url.startsWith('http://') && !['127.0.0.1', 'localhost'].includes(new URL(kept.url).hostname))
    say(
      'without https what is typed crosses the network readable, and phones keep no pages for use without a network: see docs/installing.md.',
    );
  say(
    `written with your own paths: ${path.join(HOME, 'bricole.service')} and ${path.join(HOME, 'nginx.conf')}`,
  );
}

await main(() =>
  setUp(process.argv[2] && path.resolve(process.argv[2])).catch((error) => {
    throw error.name === 'ExitPromptError' ? new Trouble('left before the end; nothing was made.') : error;
  }),
);
