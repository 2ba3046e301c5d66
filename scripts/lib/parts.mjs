import { startCluster } from './cluster.mjs';
import { has, isServerOf, start, stop } from './system.mjs';

/** How often the database is looked at, ms. */
const LOOK_MS = 500;
/** How often the web server is asked whether it answers, how long it may take, and how often it may not. */
const ASK_MS = 5000;
const ANSWER_MS = 10_000;
const UNANSWERED = 3;

// Whatever becomes of the one that watches, the kernel ends what it started: nobody is left holding a port.
const TIED = has('setpriv') ? ['setpriv', '--pdeathsig', 'TERM'] : [];

/** Ends a process with everything it has started, at once. */
function killGroup(pid) {
  try {
    process.kill(-pid, 'SIGKILL');
  } catch {
    // Nothing of it is left.
  }
}

/** A command as a part that a supervisor keeps. */
export function command(program, args, env) {
  return async () => {
    const [first, ...rest] = [...TIED, program, ...args];
    const child = start(first, rest, env);
    const ended = new Promise((resolve) => {
      child.once('error', (error) => resolve(error.message));
      child.once('exit', (code, signal) => {
        // What it had started itself would hold its ports.
        killGroup(child.pid);
        resolve(signal ? `by ${signal}` : `with code ${code}`);
      });
    });
    return { pid: child.pid, ended, stop: () => stop(child) };
  };
}

/** A web server as a part: one that runs and answers nothing any more is ended, and so started again. */
export function answering(begin, url, { ask = ASK_MS, answer = ANSWER_MS } = {}) {
  return async () => {
    const running = await begin();
    let unanswered = 0;
    const timer = setInterval(async () => {
      try {
        await fetch(url, { signal: AbortSignal.timeout(answer) });
        unanswered = 0;
      } catch (error) {
        // Refused at once is one that still starts or has ended; what matters here is silence.
        unanswered = error?.name === 'TimeoutError' ? unanswered + 1 : 0;
        if (unanswered >= UNANSWERED) killGroup(running.pid);
      }
    }, ask);
    void running.ended.then(() => clearInterval(timer));
    return running;
  };
}

/**
 * The private database as a part: it is no child of ours, so it is looked at.
 * @param cluster as it was started first; it comes back on the same port, whoever uses it knows no other
 */
export function database(name, cluster) {
  let first = cluster;
  return async () => {
    const running = first ?? (await startCluster(name, { port: cluster.port }));
    first = undefined;
    let timer;
    const ended = new Promise((resolve) => {
      timer = setInterval(() => {
        if (isServerOf(running.pid, running.data)) return;
        clearInterval(timer);
        resolve('as its server is gone');
      }, LOOK_MS);
    });
    return {
      pid: running.pid,
      ended,
      stop: async () => {
        clearInterval(timer);
        running.stop();
      },
    };
  };
}
