import { BALANCE_UNITS } from '@/core/balance';
import { makeupOf } from '@/core/press';
import { PressServer } from './press-server';

/** Starts the stand-ins of the devices named in BRICOLE_FEEDS, `NUMBER=host:port` with commas between, until it is ended. */
// Which of them are frames with a pump worked by hand: BRICOLE_HAND_PUMPED, numbers with commas between.
const handPumped = (process.env.BRICOLE_HAND_PUMPED ?? '').split(',');
// And which are balances, with what they weigh in: BRICOLE_BALANCES, `NUMBER=lb` with commas between.
const balances = new Map(
  (process.env.BRICOLE_BALANCES ?? '')
    .split(',')
    .filter(Boolean)
    .map((each) => each.split('=') as [string, string]),
);
// Presses smaller than the usual one, with where their load ends, kN: BRICOLE_SMALL, `NUMBER=290` with commas between.
const small = new Map(
  (process.env.BRICOLE_SMALL ?? '')
    .split(',')
    .filter(Boolean)
    .map((each) => each.split('=') as [string, string]),
);
const feeds = (process.env.BRICOLE_FEEDS ?? '').split(',').filter(Boolean);
const servers = feeds.map((feed, index) => {
  const [number = '', address = ''] = feed.split('=');
  return new PressServer({
    number,
    port: Number(address.split(':')[1]),
    seed: 100 + index,
    ...(small.has(number) ? { makeup: makeupOf(Number(small.get(number))) } : {}),
    handPumped: handPumped.includes(number),
    balance: BALANCE_UNITS.find((unit) => unit === balances.get(number)),
  });
});
for (const server of servers) await server.start();
process.stdout.write(`stand-ins: ${feeds.join(', ')}\n`);
const end = async (): Promise<void> => {
  for (const server of servers) await server.stop();
  process.exit(0);
};
process.on('SIGTERM', () => void end());
process.on('SIGINT', () => void end());
