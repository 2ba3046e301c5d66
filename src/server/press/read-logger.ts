import net from 'node:net';
import { loggerCsv, type TemperatureLine } from '@/core/logger';
import { isHello, isTemperature, parsePressLine } from '@/core/press';
import { feedAddress } from './addresses';

const ANSWER_MS = 15_000;

/** What a logger had in its memory, as a file. */
export interface ReadOut {
  readonly csv: string;
  readonly rows: number;
}

/**
 * Reads out the whole memory of a logger that has a line.
 * @returns undefined where it has no line, does not answer, or has nothing in it
 */
export function readLogger(number: string): Promise<ReadOut | undefined> {
  const address = feedAddress(number);
  if (!address) return Promise.resolve(undefined);
  return new Promise((resolve) => {
    const socket = net.connect(address);
    const lines: TemperatureLine[] = [];
    let newest = Number.POSITIVE_INFINITY;
    let rest = '';
    const end = (): void => {
      clearTimeout(late);
      socket.destroy();
      resolve(lines.length === 0 ? undefined : { csv: loggerCsv(lines), rows: lines.length });
    };
    const late = setTimeout(end, ANSWER_MS);
    socket.setEncoding('utf8');
    socket.on('error', end);
    socket.on('close', end);
    socket.on('data', (chunk: string) => {
      rest += chunk;
      const parts = rest.split('\n');
      rest = parts.pop() ?? '';
      for (const part of parts) {
        const line = parsePressLine(part);
        if (!line) continue;
        if (isHello(line)) {
          newest = line.newest;
          socket.write(`${JSON.stringify({ from: 0 })}\n`);
        } else if (isTemperature(line)) lines.push(line);
      }
      if ((lines.at(-1)?.seq ?? -1) >= newest) end();
    });
  });
}
