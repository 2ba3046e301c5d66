import { BALANCE_UNITS } from '@/core/balance';
import { LOGGER_KINDS } from '@/core/logger';
import { makeupOf } from '@/core/press';
import { PressServer } from './press-server';
import {
  balanceStandIn,
  calorimeterStandIn,
  drivenStandIn,
  frameStandIn,
  loggerStandIn,
  needleStandIn,
  pipeStandIn,
  pressStandIn,
  type StandIn,
  testerStandIn,
} from './stand-in';

/** Starts the stand-ins of the devices named in BRICOLE_FEEDS, `NUMBER=host:port` with commas between, until it is ended. */
const listed = (name: string): ReadonlyMap<string, string> =>
  new Map(
    (process.env[name] ?? '')
      .split(',')
      .filter(Boolean)
      .map((each) => {
        const [number = '', value = ''] = each.split('=');
        return [number, value] as const;
      }),
  );
// Which of them are what else than a press, and what they are like; docs/devices.md says it.
const handPumped = listed('BRICOLE_HAND_PUMPED');
const testers = listed('BRICOLE_TESTERS');
const balances = listed('BRICOLE_BALANCES');
const loggers = listed('BRICOLE_LOGGERS');
const calorimeters = listed('BRICOLE_CALORIMETERS');
const needles = listed('BRICOLE_NEEDLES');
const driven = listed('BRICOLE_DRIVEN');
const pipes = listed('BRICOLE_PIPE_PRESSES');
const small = listed('BRICOLE_SMALL');
const feeds = listed('BRICOLE_FEEDS');

function deviceOf(number: string, seed: number): StandIn {
  const unit = BALANCE_UNITS.find((each) => each === balances.get(number));
  if (unit) return balanceStandIn(seed, unit);
  const kind = LOGGER_KINDS.find((each) => each === loggers.get(number));
  if (kind) return loggerStandIn(seed, kind, Date.now());
  if (calorimeters.has(number)) return calorimeterStandIn(seed, Date.now());
  if (needles.has(number))
    return needleStandIn(seed, (needles.get(number) ?? '').split('/').map(Number) as [number]);
  if (handPumped.has(number)) return frameStandIn(seed);
  if (testers.has(number)) return testerStandIn(seed);
  if (driven.has(number)) return drivenStandIn(seed);
  if (pipes.has(number)) return pipeStandIn(seed);
  return pressStandIn(seed, small.has(number) ? makeupOf(Number(small.get(number))) : {});
}

const servers = [...feeds].map(
  ([number, address], index) =>
    new PressServer({
      number,
      port: Number(address.split(':')[1]),
      device: deviceOf(number, 100 + index),
    }),
);
for (const server of servers) await server.start();
process.stdout.write(`stand-ins: ${[...feeds.keys()].join(', ')}\n`);
const end = async (): Promise<void> => {
  for (const server of servers) await server.stop();
  process.exit(0);
};
process.on('SIGTERM', () => void end());
process.on('SIGINT', () => void end());
