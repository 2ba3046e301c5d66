import { BALANCES, type BalanceUnit, SimulatedBalance } from '@/core/balance';
import { SimulatedCalorimeter, STAND_IN_CELLS, STARTED_BEFORE } from '@/core/calorimetry';
import { SimulatedNeedle } from '@/core/cement/simulated-needle';
import { LOGGERS, SimulatedLogger } from '@/core/logger';
import {
  DrivenFrame,
  HandPumpedFrame,
  type HelloLine,
  PipePress,
  PRESS_MAKEUP,
  type PressCommand,
  type PressMakeup,
  PullTester,
  SimulatedPress,
} from '@/core/press';

/** What stands in for a device: it reads, is loaded or not, and does what it is told as far as it can. */
export interface StandIn {
  readonly unit: HelloLine['unit'];
  /** Readings a second. */
  readonly rate: number;
  readonly loaded: boolean;
  /** Driven by its displacement. */
  readonly driven?: true;
  /** What it read in so many seconds more, as it is sent, but for number and time of sending. */
  run(seconds: number): readonly object[];
  obey(command: PressCommand): void;
}

const RATE = 50;

function pressed(
  press: SimulatedPress | HandPumpedFrame | PullTester | DrivenFrame | PipePress,
  obey: StandIn['obey'],
): StandIn {
  return {
    unit: 'kN',
    rate: RATE,
    get loaded() {
      return Math.abs(press.trueForce) > 0.1;
    },
    run: (seconds) => press.run(seconds).map(({ position, ...rest }) => ({ ...rest, pos: position })),
    obey,
  };
}

/** A press with its levers, into which a specimen is put. */
export function pressStandIn(seed: number, makeup: Partial<PressMakeup> = {}): StandIn {
  const press = new SimulatedPress(seed, { ...PRESS_MAKEUP, ...makeup, rate: RATE });
  return pressed(press, (command) => {
    if ('resetPeak' in command) press.resetPeak();
    else if ('levers' in command) press.levers = command.levers;
    else if ('place' in command) press.place(command.place);
  });
}

/** A frame with a pump that is worked by hand. */
export function frameStandIn(seed: number): StandIn {
  const frame = new HandPumpedFrame(seed, RATE);
  return pressed(frame, (command) => {
    if ('resetPeak' in command) frame.resetPeak();
    else if ('piece' in command) frame.place(command.piece);
    else if ('stroke' in command) frame.stroke();
    else if ('release' in command) frame.release();
  });
}

/** A pull-off tester with its pump. */
export function testerStandIn(seed: number): StandIn {
  const tester = new PullTester(seed);
  return pressed(tester, (command) => {
    if ('resetPeak' in command) tester.resetPeak();
    else if ('piece' in command) tester.place(command.piece);
    else if ('stroke' in command)
      tester.stroke(command.stroke === true ? { seconds: 3, part: 1 } : command.stroke);
    else if ('release' in command) tester.release();
  });
}

/** A frame that presses pipe, its pump set to a rate. */
export function pipeStandIn(seed: number): StandIn {
  const press = new PipePress(seed);
  return pressed(press, (command) => {
    if ('resetPeak' in command) press.resetPeak();
    else if ('piece' in command) press.place(command.piece);
    else if ('flow' in command) press.pump(command.flow);
    else if ('release' in command) press.release();
  });
}

/** A frame with spindles, driven by its displacement: it bends, pulls, and stops by itself. */
export function drivenStandIn(seed: number): StandIn {
  const frame = new DrivenFrame(seed, RATE);
  const standIn = pressed(frame, (command) => {
    if ('resetPeak' in command) frame.resetPeak();
    else if ('bend' in command) frame.place(command.bend);
    else if ('drive' in command) frame.drive = command.drive;
  });
  // Not spread: what it carries is asked for each time.
  return Object.assign(standIn, { driven: true as const });
}

/** A balance that weighs in a unit. */
export function balanceStandIn(seed: number, unit: BalanceUnit): StandIn {
  const balance = new SimulatedBalance(seed, BALANCES[unit]);
  return {
    unit,
    rate: balance.makeup.rate,
    get loaded() {
      return balance.loaded;
    },
    run: (seconds) => balance.run(seconds),
    obey(command) {
      if ('put' in command) balance.put(command.put);
      else if ('tare' in command) balance.tare();
    },
  };
}

/** A logger of temperatures that was put into concrete a while before now. */
export function loggerStandIn(seed: number, kind: keyof typeof LOGGERS, now: number): StandIn {
  const makeup = LOGGERS[kind];
  const logger = new SimulatedLogger(seed, makeup, now - makeup.startedBefore * 3_600_000);
  return {
    unit: 'degC',
    rate: 1 / makeup.interval,
    loaded: true,
    run: (seconds) => logger.run(seconds),
    obey: () => undefined,
  };
}

/** A calorimeter of eight cells that was filled a day ago. */
export function calorimeterStandIn(seed: number, now: number): StandIn {
  const before = STARTED_BEFORE * 3600;
  const calorimeter = new SimulatedCalorimeter(seed, STAND_IN_CELLS, now - before * 1000, before);
  return {
    unit: 'mW',
    rate: 1 / calorimeter.makeup.interval,
    loaded: true,
    run: (seconds) => calorimeter.run(seconds),
    obey: () => undefined,
  };
}

/** A needle over a ring whose set nobody is told. @param ring minutes before now that its water met its cement, and when it sets */
export function needleStandIn(
  seed: number,
  [begun, initial, final]: readonly [number, number?, number?],
): StandIn {
  const needle = new SimulatedNeedle(
    seed,
    begun,
    initial === undefined || final === undefined ? undefined : [initial, final],
  );
  return {
    unit: 'mm',
    rate: 2,
    loaded: false,
    run: (seconds) => needle.run(seconds),
    obey(command) {
      if ('drop' in command) needle.drop();
      else if ('ring' in command) needle.ring(command.ring.minutes);
    },
  };
}
