import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { say } from './say.mjs';
import { writeWhole } from './system.mjs';

/** Pause before a part is started again, ms: at first hardly any, doubled each time it dies soon after. */
const FIRST_PAUSE_MS = 200;
const LONGEST_PAUSE_MS = 30_000;
/** One that ran this long had started well: the pauses begin anew. */
const RAN_WELL_MS = 10_000;

/** @param deaths in a row, each soon after its start @returns how long to wait before the next start, ms */
export function pauseAfter(deaths) {
  return Math.min(FIRST_PAUSE_MS * 2 ** Math.min(deaths - 1, 20), LONGEST_PAUSE_MS);
}

/**
 * Keeps the parts of the application going: whichever ends without being told to is started again, after growing pauses,
 * with a word in the log. How each stands is written to a file, whole or not at all, for whoever is asked how it is.
 */
export class Supervisor {
  #parts = new Map();
  #ending = false;

  /** @param {string} file where it is written how each part stands @param {{ log?: (words: string) => void }} options */
  constructor(file, { log = say } = {}) {
    this.file = file;
    this.log = log;
    mkdirSync(path.dirname(file), { recursive: true });
    this.#note();
  }

  /**
   * Starts a part, and again whenever it ends.
   * @param {string} name
   * @param {() => Promise<{ pid: number, ended: Promise<string>, stop(): Promise<void> }>} begin starts it once; `ended`
   *   says in words how it went
   * @throws what its first start throws; later ones are tried again
   */
  async keep(name, begin) {
    const part = {
      name,
      begin,
      state: 'starting',
      deaths: 0,
      starts: 0,
      why: null,
      againAt: null,
      running: null,
    };
    this.#parts.set(name, part);
    await this.#start(part);
  }

  async #start(part) {
    const running = await part.begin();
    // It was told to end while this one was starting.
    if (this.#ending) return running.stop();
    Object.assign(part, {
      running,
      state: 'running',
      since: Date.now(),
      starts: part.starts + 1,
      againAt: null,
    });
    this.#note();
    void running.ended.then((why) => this.#ended(part, why));
  }

  #ended(part, why) {
    if (this.#ending) return;
    part.deaths = Date.now() - part.since > RAN_WELL_MS ? 1 : part.deaths + 1;
    this.#again(part, why);
  }

  #again(part, why) {
    const pause = pauseAfter(part.deaths);
    Object.assign(part, { running: null, state: 'starting', why, againAt: Date.now() + pause });
    this.log(
      `${new Date().toISOString()} ${part.name} ended (${why}); started again ${
        pause < 1000 ? 'at once' : `in ${Math.round(pause / 1000)} s`
      }`,
    );
    this.#note();
    part.timer = setTimeout(() => {
      this.#start(part).catch((error) => {
        part.deaths += 1;
        if (!this.#ending) this.#again(part, error.message);
      });
    }, pause);
  }

  /** Whether every part runs. */
  get whole() {
    return [...this.#parts.values()].every(({ state }) => state === 'running');
  }

  #note() {
    const parts = [...this.#parts.values()].map(({ name, state, starts, why, againAt, since, running }) => ({
      ...{ name, state, starts, why, againAt, since: since ?? null, pid: running?.pid ?? null },
    }));
    const wrong = parts
      .filter(({ state }) => state !== 'running')
      .map(
        ({ name, why }) =>
          `Not running: ${name}${why ? ` (ended ${why})` : ''}. It is started again by itself.`,
      );
    try {
      writeWhole(this.file, JSON.stringify({ pid: process.pid, wrong, parts }));
    } catch (error) {
      // A full disk must not take away the one that keeps everything going.
      this.log(`it could not be written down how the parts stand: ${error.message}`);
    }
  }

  /** Ends every part for good, the last one started first. */
  async end() {
    this.#ending = true;
    for (const part of [...this.#parts.values()].reverse()) {
      clearTimeout(part.timer);
      await part.running?.stop();
    }
  }
}
