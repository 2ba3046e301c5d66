import { randomUUID } from 'node:crypto';
import net from 'node:net';
import type { HelloLine, PressCommand } from '@/core/press';
import type { StandIn } from './stand-in';

/** Readings that are remembered for clients that come back: ten minutes of fifty a second. */
const REMEMBERED = 30_000;
const TICK_MS = 20;

export interface PressServerOptions {
  readonly number: string;
  readonly port: number;
  readonly device: StandIn;
}

/** A stand-in on a loopback port: it simulates in real time and speaks the line protocol to whoever connects. */
export class PressServer {
  private readonly boot = randomUUID();
  private readonly remembered: (object & { readonly seq: number })[] = [];
  private readonly clients = new Set<net.Socket>();
  private readonly server: net.Server;
  private seq = 0;
  private times = 1;
  private last = Date.now();
  private timers: NodeJS.Timeout[] = [];

  constructor(private readonly options: PressServerOptions) {
    this.server = net.createServer((socket) => this.welcome(socket));
  }

  /** Listens and begins to read; resolves with the port. */
  start(): Promise<number> {
    return new Promise((resolve, reject) => {
      this.server.once('error', reject);
      this.server.listen(this.options.port, '127.0.0.1', () => {
        this.last = Date.now();
        this.timers = [setInterval(() => this.tick(), TICK_MS), setInterval(() => this.beat(), 1000)];
        const address = this.server.address();
        resolve(typeof address === 'object' && address ? address.port : this.options.port);
      });
    });
  }

  /** Stops reading and lets everybody go. */
  stop(): Promise<void> {
    for (const timer of this.timers) clearInterval(timer);
    for (const client of this.clients) client.destroy();
    return new Promise((resolve) => this.server.close(() => resolve()));
  }

  /** Cuts every connection, as a pulled cable would; the press works on. */
  cut(): void {
    for (const client of this.clients) client.destroy();
  }

  private tick(): void {
    const now = Date.now();
    // A machine that was asleep does not catch up for minutes.
    const passed = Math.min(now - this.last, 1000);
    this.last = now;
    const lines = this.read((passed / 1000) * this.times);
    if (lines.length === 0) return;
    this.remembered.push(...lines);
    if (this.remembered.length > REMEMBERED) this.remembered.splice(0, this.remembered.length - REMEMBERED);
    this.send(lines);
  }

  /** The readings of so many seconds as they are sent. */
  private read(seconds: number): (object & { readonly seq: number })[] {
    return this.options.device.run(seconds).map((reading) => {
      this.seq += 1;
      return { seq: this.seq, ...reading, at: Date.now() };
    });
  }

  private beat(): void {
    this.send([{ beat: this.seq, state: this.options.device.loaded ? 'loaded' : 'idle' }]);
  }

  private send(lines: readonly object[], to: Iterable<net.Socket> = this.clients): void {
    if (to === this.clients && this.clients.size === 0) return;
    const text = lines.map((line) => `${JSON.stringify(line)}\n`).join('');
    for (const client of to) client.write(text);
  }

  private welcome(socket: net.Socket): void {
    socket.setNoDelay(true);
    socket.on('error', () => socket.destroy());
    socket.on('close', () => this.clients.delete(socket));
    const hello: HelloLine = {
      hello: this.options.number,
      boot: this.boot,
      oldest: this.remembered[0]?.seq ?? this.seq + 1,
      newest: this.seq,
      unit: this.options.device.unit,
      rate: this.options.device.rate,
      simulated: true,
      ...(this.options.device.driven ? { driven: true as const } : {}),
    };
    this.send([hello], [socket]);
    let rest = '';
    socket.setEncoding('utf8');
    socket.on('data', (chunk: string) => {
      rest += chunk;
      const parts = rest.split('\n');
      rest = parts.pop() ?? '';
      for (const part of parts) this.obey(part, socket);
    });
  }

  private obey(text: string, socket: net.Socket): void {
    let command: PressCommand;
    try {
      command = JSON.parse(text) as PressCommand;
    } catch {
      return;
    }
    if ('from' in command) {
      const { from } = command;
      const replay = { replay: from, oldest: this.remembered[0]?.seq ?? this.seq + 1 };
      this.send([replay, ...this.remembered.filter(({ seq }) => seq >= from)], [socket]);
      this.clients.add(socket);
    } else if ('times' in command) this.times = Math.min(60, Math.max(1, command.times));
    else this.options.device.obey(command);
  }
}
