import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { openRuns, save, signIn } from './lib/devices.mjs';
import { ownDemo } from './lib/own-demo.mjs';
import { main, say } from './lib/say.mjs';

// Many people at work at once: four of five things they do is to open a page, the fifth is to save a reading. Of ten pages
// one is loaded whole, as by a reload or a link in a message; the others are asked for as a browser does where a link of
// the application is followed. Each thinks for a while before the next. Prints what it took, and what the processes used meanwhile.
//   npm run load -- --people 200 --minutes 5 --think 15
const option = (name, usual) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : Number(process.argv[at + 1]);
};
const PEOPLE = option('people', 200);
const MINUTES = option('minutes', 5);
const THINK_S = option('think', 15);
/** How a browser asks for a page whose link was followed. */
const CLICKED = { rsc: '1', 'next-url': '/today' };
const ROLES = ['orla', 'bram', 'teodor', 'wren', 'isbet'];

/** What stands in the line of a process after its name: state, parent, and so on. */
const lineOf = (pid) => readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ');

/** Processor time of a process with those it started itself, s, and its own memory, MB: theirs is largely the same. */
function used(pid) {
  const children = readdirSync('/proc').filter((each) => {
    try {
      return /^\d+$/u.test(each) && Number(lineOf(each)[1]) === pid;
    } catch {
      return false;
    }
  });
  const { megabytes } = usedBy(pid);
  const seconds = [pid, ...children].reduce((sum, each) => sum + usedBy(each).seconds, 0);
  return { seconds, megabytes };
}

function usedBy(pid) {
  try {
    const stat = lineOf(pid);
    const [, memory = '0'] = /^VmRSS:\s+(\d+)/mu.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? [];
    return { seconds: (Number(stat[11]) + Number(stat[12])) / 100, megabytes: Number(memory) / 1024 };
  } catch {
    return { seconds: 0, megabytes: 0 };
  }
}

const spread = (times) => {
  const sorted = times.toSorted((a, b) => a - b);
  const share = (part) => Math.round(sorted[Math.floor(part * (sorted.length - 1))] ?? 0);
  return `${sorted.length}, half within ${share(0.5)} ms, 95 % within ${share(0.95)} ms, the slowest ${share(1)} ms`;
};

await main(async () => {
  const { application, took, asked, end } = await ownDemo('load', { port: 3965, webs: option('webs', 2) });
  say(`it answered ${(took / 1000).toFixed(1)} s after its processes were begun`);
  const [runs, samples, specimens, reports] = await asked(async (client) => {
    const ids = async (text) => (await client.query(text)).rows.map(({ id }) => id);
    return [
      await openRuns(client, 40),
      await ids('SELECT id FROM samples ORDER BY sampled_at DESC LIMIT 30'),
      await ids('SELECT id FROM specimens ORDER BY opens_at DESC NULLS LAST LIMIT 30'),
      await ids('SELECT id FROM reports LIMIT 10'),
    ];
  });
  const { url } = application;
  const cookies = [];
  for (const name of ROLES) cookies.push(await signIn(url, `${name}@saltmarsh.example`));
  // What stands behind the address of a followed link is made of its headers: the server says it to who does not know.
  const told = await fetch(`${url}/jobs`, {
    headers: { cookie: cookies[0], ...CLICKED },
    redirect: 'manual',
  });
  const mark = new URL(told.headers.get('location') ?? '', url).searchParams.get('_rsc');
  const any = (list) => list[Math.floor(Math.random() * list.length)];
  const page = () =>
    any([
      () => '/today',
      () => '/today',
      () => '/field',
      () => '/jobs',
      () => '/reports',
      () => '/gear',
      () => `/samples/${any(samples)}`,
      () => `/samples/${any(samples)}`,
      () => `/specimens/${any(specimens)}`,
      () => `/runs/${any(runs).id}`,
      () => `/reports/${any(reports)}`,
      () => '/api/search?q=PMF',
    ])();
  const parts = JSON.parse(readFileSync(application.standing, 'utf8')).parts;
  const usedNow = () => new Map(parts.map(({ name, pid }) => [name, used(pid)]));
  await pause(10_000);
  const idle = usedNow();
  say(
    `idle: ${[...idle].map(([name, { megabytes }]) => `${name} ${megabytes.toFixed(0)} MB`).join(', ')}, together ${[...idle.values()].reduce((sum, { megabytes }) => sum + megabytes, 0).toFixed(0)} MB`,
  );
  const until = Date.now() + MINUTES * 60_000;
  const [reads, saves, errors] = [[], [], []];
  const timed = async (list, what) => {
    const from = performance.now();
    try {
      const wrong = await what();
      if (wrong) errors.push(wrong);
      else list.push(performance.now() - from);
    } catch (error) {
      errors.push(error.message);
    }
  };
  const person = async (index) => {
    const cookie = cookies[index % cookies.length];
    // Nobody begins at the same moment.
    await pause(Math.random() * THINK_S * 1000);
    while (Date.now() < until) {
      if (Math.random() < 0.8) {
        const path = page();
        await timed(reads, async () => {
          const whole = path.startsWith('/api/') || Math.random() < 0.1;
          const answer = await fetch(`${url}${path}${whole ? '' : `?_rsc=${mark}`}`, {
            headers: { cookie, ...(whole ? {} : CLICKED) },
            redirect: 'manual',
          });
          await answer.arrayBuffer();
          return answer.status === 200 ? '' : `${path}: ${answer.status}`;
        });
      } else {
        const reading = {
          id: randomUUID(),
          field: 'remarks',
          text: `by ${index}`,
          takenAt: new Date().toISOString(),
        };
        await timed(saves, async () => {
          const runId = any(runs).id;
          let { status, body } = await save(url, cookie, runId, reading);
          // Somebody else was at the same run: theirs is seen, and one's own is sent once more.
          for (let time = 0; status === 409 && body.theirs && time < 5; time += 1)
            ({ status, body } = await save(url, cookie, runId, { ...reading, basedOn: body.theirs.seq }));
          return status === 200 ? '' : `reading: ${status} ${JSON.stringify(body)}`;
        });
      }
      await pause(THINK_S * 500 + Math.random() * THINK_S * 1000);
    }
  };
  say(`${PEOPLE} people for ${MINUTES} minutes, each doing something every ${THINK_S} s or so`);
  const before = usedNow();
  await Promise.all(Array.from({ length: PEOPLE }, (_, index) => person(index)));
  const after = usedNow();
  const spent = parts.map(
    ({ name }) =>
      `${name} ${((after.get(name).seconds - before.get(name).seconds) / (MINUTES * 60)).toFixed(2)} of a processor, ${after.get(name).megabytes.toFixed(0)} MB`,
  );
  process.stdout.write(
    `pages: ${spread(reads)}\nreadings: ${spread(saves)}\nerrors: ${errors.length}\n${spent.join('\n')}\n`,
  );
  for (const error of new Set(errors)) process.stdout.write(`  ${error}\n`);
  await end();
  process.exitCode = errors.length > 0 ? 1 : 0;
});
