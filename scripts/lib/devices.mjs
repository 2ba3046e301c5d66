import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';

const ANSWER_MS = 5000;

/** Signs a person of the demo in. @returns the cookies of the session */
export async function signIn(url, email = 'isbet@saltmarsh.example', password = 'quay-lantern-tide') {
  const answer = await fetch(`${url}/api/auth/sign-in/email`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: url },
    body: JSON.stringify({ email, password }),
  });
  if (!answer.ok) throw new Error(`${email} could not sign in: ${answer.status}`);
  return answer.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
}

/** Runs of samples that readings can be saved in. @param client of the database, as its superuser */
export async function openRuns(client, count) {
  const { rows } = await client.query(
    `SELECT r.id, s.lot_id AS lot FROM runs r JOIN samples s ON s.id = r.sample_id
     WHERE r.state = 'open' ORDER BY r.started_at DESC LIMIT $1`,
    [count],
  );
  if (rows.length === 0) throw new Error('the demo has no open run');
  return rows;
}

/**
 * Devices that save readings, each at a run of its own with one on its way: one that is not answered is sent again under
 * the same id, as a telephone does it.
 */
export class Devices {
  /** Ids of the readings that were acknowledged. */
  acknowledged = new Set();
  #times = [];
  #sent = 0;
  #busy = true;
  #running;

  /** @param {() => string} url asked each time @param {string} cookie @param {{ id: string }[]} runs */
  constructor(url, cookie, runs) {
    this.url = url;
    this.cookie = cookie;
    this.#running = Promise.all(runs.map((run) => this.#device(run)));
  }

  async #device({ id: runId }) {
    let waiting;
    let based;
    while (this.#busy) {
      if (!waiting) this.#sent += 1;
      waiting ??= {
        ...{ id: randomUUID(), field: 'remarks', text: `reading ${this.#sent}` },
        ...(based === undefined ? {} : { basedOn: based }),
        takenAt: new Date().toISOString(),
      };
      try {
        const { status, body } = await save(this.url(), this.cookie, runId, waiting);
        if (status === 200 && body.saved?.some(({ id }) => id === waiting.id)) {
          this.acknowledged.add(waiting.id);
          this.#times.push(Date.now());
          based = body.saved[0].seq;
          waiting = undefined;
        } else if (status === 409 && body.theirs) waiting.basedOn = body.theirs.seq;
        else await pause(50);
      } catch {
        await pause(50);
      }
    }
  }

  /** Longest time without a saved reading since then, ms. */
  longest(since) {
    const own = [since, ...this.#times.filter((time) => time > since), Date.now()];
    return Math.max(...own.slice(1).map((time, index) => time - own[index]));
  }

  async stop() {
    this.#busy = false;
    await this.#running;
  }

  /** What of the acknowledged ones is there. @param client of the database @returns how many are lost, and doubled */
  async held(client) {
    const { rows } = await client.query(
      'SELECT id, count(*)::int AS times FROM readings WHERE id = ANY($1) GROUP BY id',
      [[...this.acknowledged]],
    );
    return {
      lost: this.acknowledged.size - rows.length,
      doubled: rows.filter(({ times }) => times > 1).length,
    };
  }
}

/** Saves one reading. @returns the status and what was answered */
export async function save(url, cookie, runId, reading) {
  const answer = await fetch(`${url}/api/do/save-readings`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: url, cookie },
    body: JSON.stringify({ runId, readings: [reading] }),
    signal: AbortSignal.timeout(ANSWER_MS),
  });
  return { status: answer.status, body: await answer.json() };
}
