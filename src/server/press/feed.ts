import net from 'node:net';
import {
  type DeviceReading,
  type HelloLine,
  isHello,
  isReading,
  isReplay,
  type PressCommand,
  parsePressLine,
} from '@/core/press';
import { feedAddress } from './addresses';

const RETRY_MS = 400;
/** Without a line for this long the connection is taken for dead: the device beats once a second. */
const SILENT_MS = 3500;
const HOLD_MS = 20_000;
const ANSWER_MS = 2000;

/** What a listener is told. */
export interface FeedListener {
  /** New readings in the order of their numbers, none twice. */
  readings(lines: readonly DeviceReading[], hello: HelloLine): void;
  /** The line to the device went, or is there. */
  line?(up: boolean): void;
}

/**
 * One connection of this process to a press or a balance, kept while somebody listens. When it drops it is made again, and the
 * readings that were missed are asked for by their numbers.
 */
export class PressFeed {
  /** The next number each listener wants; those that wait for older ones take nothing until the device begins them. */
  private readonly listeners = new Map<FeedListener, { next: number; waits: boolean }>();
  private socket: net.Socket | null = null;
  private hello: HelloLine | null = null;
  private boot = '';
  private seen = 0;
  private heard = 0;
  private watchdog: NodeJS.Timeout | null = null;

  constructor(private readonly address: { host: string; port: number }) {}

  /** Hears readings until the returned function is called. @param from the first number wanted; else only new ones */
  subscribe(listener: FeedListener, from?: number): () => void {
    const old = this.hello !== null && from !== undefined && from <= this.seen;
    this.listeners.set(listener, {
      next: from ?? (this.hello ? this.seen + 1 : Number.POSITIVE_INFINITY),
      waits: this.hello === null || old,
    });
    if (!this.socket) this.connect();
    else if (this.hello) {
      if (old) this.ask(from);
      listener.line?.(true);
    }
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size === 0) this.end();
    };
  }

  /** Sends a command; false when there is no line to the device. */
  send(command: PressCommand): boolean {
    if (!this.socket || !this.hello) return false;
    this.socket.write(`${JSON.stringify(command)}\n`);
    return true;
  }

  /** What the device says of itself, the line made for it when there is none yet; null when it does not answer. */
  async ready(): Promise<HelloLine | null> {
    if (this.hello) return this.hello;
    const leave = this.subscribe({ readings: () => undefined });
    // Held a while: who sends one command sends another.
    setTimeout(leave, HOLD_MS).unref();
    const until = Date.now() + ANSWER_MS;
    while (!this.hello && Date.now() < until) await new Promise((resolve) => setTimeout(resolve, 20));
    return this.hello;
  }

  /** What the device said of itself when the line was made; null while there is none. */
  get about(): HelloLine | null {
    return this.hello;
  }

  private end(): void {
    if (this.watchdog) clearInterval(this.watchdog);
    this.watchdog = null;
    const { socket } = this;
    this.socket = null;
    this.hello = null;
    socket?.destroy();
  }

  /** Asks for readings from a number on; listeners that have them already are not told twice. */
  private ask(from: number): void {
    this.socket?.write(`${JSON.stringify({ from })}\n`);
  }

  private connect(): void {
    const socket = net.connect(this.address);
    this.socket = socket;
    this.heard = Date.now();
    socket.setNoDelay(true);
    socket.setEncoding('utf8');
    let rest = '';
    socket.on('data', (chunk: string) => {
      this.heard = Date.now();
      rest += chunk;
      const parts = rest.split('\n');
      rest = parts.pop() ?? '';
      this.take(parts);
    });
    const lost = (): void => {
      if (this.socket !== socket) return;
      this.socket = null;
      this.hello = null;
      for (const listener of this.listeners.keys()) listener.line?.(false);
      setTimeout(() => {
        if (this.listeners.size > 0 && !this.socket) this.connect();
      }, RETRY_MS);
    };
    socket.on('error', () => socket.destroy());
    socket.on('close', lost);
    this.watchdog ??= setInterval(() => {
      if (this.socket && Date.now() - this.heard > SILENT_MS) this.socket.destroy();
    }, 1000);
  }

  private take(parts: readonly string[]): void {
    const readings: DeviceReading[] = [];
    const tell = (): void => {
      const { hello } = this;
      if (readings.length === 0 || !hello) return;
      const batch = readings.splice(0);
      this.seen = Math.max(this.seen, batch.at(-1)?.seq ?? 0);
      for (const [listener, place] of this.listeners) {
        const fresh = place.waits ? [] : batch.filter(({ seq }) => seq >= place.next);
        if (fresh.length === 0) continue;
        place.next = (fresh.at(-1)?.seq ?? 0) + 1;
        listener.readings(fresh, hello);
      }
    };
    for (const part of parts) {
      const line = parsePressLine(part);
      if (!line) continue;
      if (isReading(line)) readings.push(line);
      else {
        tell();
        if (isHello(line)) this.meet(line);
        else if (isReplay(line))
          for (const place of this.listeners.values()) if (place.next >= line.replay) place.waits = false;
      }
    }
    tell();
  }

  private meet(hello: HelloLine): void {
    // A process that began anew numbers its readings anew: what was wanted of the old one is gone.
    const another = this.boot !== '' && this.boot !== hello.boot;
    this.boot = hello.boot;
    this.hello = hello;
    // What it read before anybody listened can be asked for, even where nothing new comes.
    this.seen = hello.newest;
    for (const [listener, place] of this.listeners) {
      if (another || place.next === Number.POSITIVE_INFINITY) place.next = hello.newest + 1;
      place.waits = true;
      listener.line?.(true);
    }
    this.ask(Math.min(...[...this.listeners.values()].map(({ next }) => next), hello.newest + 1));
  }
}

const shared = globalThis as { bricoleFeeds?: Map<string, PressFeed> };

/** This process's line to a machine; undefined where the machine cannot be followed. */
export function pressFeed(number: string): PressFeed | undefined {
  const address = feedAddress(number);
  if (!address) return undefined;
  shared.bricoleFeeds ??= new Map();
  const known = shared.bricoleFeeds.get(number) ?? new PressFeed(address);
  shared.bricoleFeeds.set(number, known);
  return known;
}
