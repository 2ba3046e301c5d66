import pg from 'pg';

/** What changed: the lot it belongs to, and the sample and run where there is one. */
export interface LiveChange {
  readonly lot: string;
  readonly sample: string | null;
  readonly run: string | null;
}

type Listener = (change: LiveChange) => void;
/** Is told the person whose access changed: signed out, withdrawn, another role. */
type AccessListener = (personId: string) => void;

const RETRY_MS = 1000;

/**
 * One connection of this server that listens to PostgreSQL and passes every change on to whoever looks at it. Several
 * servers on one database each have their own: what one writes, the others tell.
 */
export class LiveChanges {
  private readonly listeners = new Set<Listener>();
  private readonly accessListeners = new Set<AccessListener>();
  private client: pg.Client | null = null;
  constructor(private readonly url: string) {}

  /** Hears changes until the returned function is called. */
  subscribe(listener: Listener): () => void {
    this.listeners.add(listener);
    if (!this.client) void this.connect();
    return () => this.listeners.delete(listener);
  }

  /** Hears whose access changed until the returned function is called. */
  subscribeAccess(listener: AccessListener): () => void {
    this.accessListeners.add(listener);
    if (!this.client) void this.connect();
    return () => this.accessListeners.delete(listener);
  }

  /** Stops listening for good. */
  async end(): Promise<void> {
    const { client } = this;
    this.client = null;
    this.listeners.clear();
    this.accessListeners.clear();
    await client?.end();
  }

  private async connect(): Promise<void> {
    const client = new pg.Client({ connectionString: this.url });
    this.client = client;
    const again = (): void => {
      if (this.client !== client) return;
      this.client = null;
      // Whoever looks reloads when the line is back: something may have been missed meanwhile.
      setTimeout(() => this.listeners.size + this.accessListeners.size > 0 && void this.connect(), RETRY_MS);
    };
    client.on('error', again);
    client.on('end', again);
    client.on('notification', ({ channel, payload }) => {
      if (channel === 'bricole_access') {
        for (const listener of this.accessListeners) listener(payload ?? '');
        return;
      }
      const change = JSON.parse(payload ?? '{}') as LiveChange;
      for (const listener of this.listeners) listener(change);
    });
    try {
      await client.connect();
      await client.query('LISTEN bricole_live; LISTEN bricole_access');
    } catch {
      again();
    }
  }
}

const shared = globalThis as { bricoleLive?: LiveChanges };

/** The changes of this server's database. */
export function liveChanges(): LiveChanges {
  const url = process.env.BRICOLE_DATABASE_URL;
  if (!url) throw new Error('BRICOLE_DATABASE_URL is not set: start with npm start');
  shared.bricoleLive ??= new LiveChanges(url);
  return shared.bricoleLive;
}
