import { PressServer } from './press-server';

/** Starts the stand-in presses named in BRICOLE_FEEDS, `NUMBER=host:port` with commas between, until it is ended. */
const feeds = (process.env.BRICOLE_FEEDS ?? '').split(',').filter(Boolean);
const servers = feeds.map((feed, index) => {
  const [number = '', address = ''] = feed.split('=');
  return new PressServer({ number, port: Number(address.split(':')[1]), seed: 100 + index });
});
for (const server of servers) await server.start();
process.stdout.write(`stand-in presses: ${feeds.join(', ')}\n`);
const end = async (): Promise<void> => {
  for (const server of servers) await server.stop();
  process.exit(0);
};
process.on('SIGTERM', () => void end());
process.on('SIGINT', () => void end());
