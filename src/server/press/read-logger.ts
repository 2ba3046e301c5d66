import net from 'node:net';
import type { LoggedLine } from '@/core/logger';
import { isHello, isLogged, parsePressLine } from '@/core/press';
import { feedAddress } from './addresses';

const ANSWER_MS = 15_000;

/**
 * Reads out the whole memory of a recorder that has a line.
 * @returns none where it has no line, does not answer, or has nothing in it
 */
export function readLogger(number: string): Promise<LoggedLine[]> {
  const address = feedAddress(number);
  if (!address) return Promise.resolve([]);
  return new Promise((resolve) => {
    const socket = net.connect(address);
    const lines: LoggedLine[] = [];
    let newest = Number.POSITIVE_INFINITY;
    let rest = '';
    const end = (): void => {
      clearTimeout(late);
      socket.destroy();
      resolve(lines);
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
        } else if (isLogged(line)) lines.push(line);
      }
      if ((lines.at(-1)?.seq ?? -1) >= newest) end();
    });
  });
}
