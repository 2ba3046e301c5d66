import { asc, desc, eq, isNull } from 'drizzle-orm';
import { isLoad, parsePressLine, type ReadingLine, recordOf } from '@/core/press';
import type { Database, Queryable } from '@/db/client';
import { pressFeeds, pressReadings } from '@/db/schema';
import { pack, unpack } from '../packed';
import { pressFeed } from './feed';

const WRITE_MS = 250;
const LOOK_MS = 300;

interface Open {
  readonly id: string;
  readonly leave: () => void;
  readonly waiting: ReadingLine[];
  readonly boot: string;
  next: number;
  writing: boolean;
}

/**
 * Keeps what the machines send while a run is loaded in them: a process of its own, so that neither a browser that is
 * shut nor a web server that is started anew leaves a gap. Begun again, it goes on where it left off.
 */
export class PressRecorder {
  private readonly open = new Map<string, Open>();
  private timers: NodeJS.Timeout[] = [];
  private looking = false;

  constructor(private readonly db: Database) {}

  /** Begins to look for runs to record. */
  start(): void {
    this.timers = [
      setInterval(() => void this.look(), LOOK_MS),
      setInterval(() => void this.write(), WRITE_MS),
    ];
  }

  /** Writes what is waiting and lets go. */
  async stop(): Promise<void> {
    for (const timer of this.timers) clearInterval(timer);
    await this.write();
    for (const each of this.open.values()) each.leave();
    this.open.clear();
  }

  private async look(): Promise<void> {
    if (this.looking) return;
    this.looking = true;
    try {
      const rows = await this.db.select().from(pressFeeds).where(isNull(pressFeeds.closedAt));
      for (const row of rows) if (!this.open.has(row.id)) await this.follow(row);
      for (const each of this.open.values()) {
        if (rows.some(({ id }) => id === each.id)) continue;
        each.leave();
        this.open.delete(each.id);
      }
    } catch (error) {
      // A database that is away comes back; the device remembers meanwhile.
      process.stderr.write(`press recorder: ${(error as Error).message}\n`);
    } finally {
      this.looking = false;
    }
  }

  private async follow(row: typeof pressFeeds.$inferSelect): Promise<void> {
    const feed = pressFeed(row.machine);
    if (!feed) return;
    const [last] = await this.db
      .select({ lastSeq: pressReadings.lastSeq })
      .from(pressReadings)
      .where(eq(pressReadings.feedId, row.id))
      .orderBy(desc(pressReadings.firstSeq))
      .limit(1);
    const from = (last?.lastSeq ?? row.fromSeq - 1) + 1;
    const waiting: ReadingLine[] = [];
    const leave = feed.subscribe(
      {
        readings: (lines, hello) => {
          // Another life of the device is another record: its numbers mean something else.
          if (hello.boot === row.boot) waiting.push(...lines.filter(isLoad));
        },
      },
      from,
    );
    this.open.set(row.id, { id: row.id, leave, waiting, boot: row.boot, next: from, writing: false });
  }

  private async write(): Promise<void> {
    for (const each of this.open.values()) {
      if (each.writing || each.waiting.length === 0) continue;
      each.writing = true;
      const lines = [...each.waiting];
      try {
        const { readings, missing } = recordOf(lines, each.next);
        const [first, last] = [readings[0], readings.at(-1)];
        if (first && last) {
          await this.db
            .insert(pressReadings)
            .values({
              feedId: each.id,
              firstSeq: first.seq,
              lastSeq: last.seq,
              count: readings.length,
              missing,
              lines: await pack(readings.map((line) => JSON.stringify(line)).join('\n')),
              at: new Date(),
            })
            .onConflictDoNothing();
          each.next = last.seq + 1;
        }
        each.waiting.splice(0, lines.length);
      } catch (error) {
        process.stderr.write(`press recorder: ${(error as Error).message}\n`);
      } finally {
        each.writing = false;
      }
    }
  }
}

/** The last reading recorded of a feed; undefined while there is none. */
export async function lastRecorded(db: Queryable, feedId: string): Promise<number | undefined> {
  const [last] = await db
    .select({ lastSeq: pressReadings.lastSeq })
    .from(pressReadings)
    .where(eq(pressReadings.feedId, feedId))
    .orderBy(desc(pressReadings.lastSeq))
    .limit(1);
  return last?.lastSeq;
}

/** Every reading recorded of a feed up to a number. */
export async function recordedLines(db: Queryable, feedId: string, to: number): Promise<ReadingLine[]> {
  const rows = await db
    .select({ lines: pressReadings.lines })
    .from(pressReadings)
    .where(eq(pressReadings.feedId, feedId))
    .orderBy(asc(pressReadings.firstSeq));
  const lines: ReadingLine[] = [];
  for (const row of rows) {
    const text = (await unpack(row.lines)).toString('utf8');
    for (const part of text.split('\n')) {
      const line = parsePressLine(part);
      if (line && isLoad(line) && line.seq <= to) lines.push(line);
    }
  }
  return lines;
}
