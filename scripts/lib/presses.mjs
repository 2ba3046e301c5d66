import { command } from './parts.mjs';
import { freePort } from './system.mjs';

/** Machines of the demo scenario that a stand-in takes the place of. */
const HAND_PUMPED = ['PL-01'];
/** Pull-off testers. */
const TESTERS = ['PT-01'];
/** Frames that are driven by their displacement. */
const DRIVEN = ['SF-01'];
/** Frames that press pipe. */
const PIPE_PRESSES = ['PB-01'];
/** Balances, with what they weigh in. */
const BALANCES = { 'BL-02': 'lb', 'BL-03': 'g' };
/** Loggers of temperatures, with what they are. */
const LOGGERS = { 'TL-01': 'wires', 'TL-02': 'digital' };
/** Calorimeters of eight cells. */
const CALORIMETERS = ['HC-01'];
/** Needles over a ring of paste: minutes before the start that its water met its cement, and when it sets. */
const NEEDLES = { 'VN-01': '118/124/241' };
/** Presses that are smaller than the others, with where their load ends, kN. */
const SMALL = { 'PR-04': 290 };
const STAND_INS = [
  'PR-01',
  'PR-02',
  'PR-03',
  'PR-04',
  ...HAND_PUMPED,
  ...TESTERS,
  ...DRIVEN,
  ...PIPE_PRESSES,
  ...Object.keys(BALANCES),
  ...Object.keys(LOGGERS),
  ...CALORIMETERS,
  ...Object.keys(NEEDLES),
];
const FIRST_PORT = 4710;

/** Where the machines can be followed: a stand-in for each on a free port. */
export async function pressFeeds() {
  const feeds = [];
  let port = FIRST_PORT;
  for (const number of STAND_INS) {
    port = await freePort(port);
    feeds.push(`${number}=127.0.0.1:${port}`);
    port += 1;
  }
  return feeds.join(',');
}

/** The stand-in presses, balances and loggers, as a part of the application. */
export function standIns(env) {
  const named = (values) =>
    Object.entries(values)
      .map((each) => each.join('='))
      .join();
  return command('node', ['--import', 'tsx', 'src/devices/press/main.ts'], {
    ...env,
    BRICOLE_HAND_PUMPED: HAND_PUMPED.join(),
    BRICOLE_TESTERS: TESTERS.join(),
    BRICOLE_DRIVEN: DRIVEN.join(),
    BRICOLE_PIPE_PRESSES: PIPE_PRESSES.join(),
    BRICOLE_BALANCES: named(BALANCES),
    BRICOLE_LOGGERS: named(LOGGERS),
    BRICOLE_CALORIMETERS: CALORIMETERS.join(),
    BRICOLE_NEEDLES: named(NEEDLES),
    BRICOLE_SMALL: named(SMALL),
  });
}

/** The recorder of what the machines send, as a part of the application. */
export function recorder(env) {
  return command('node', ['--import', 'tsx', 'src/server/press/record.ts'], env);
}
