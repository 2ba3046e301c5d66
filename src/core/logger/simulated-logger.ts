import { Chance } from '../statistics';
import type { TemperatureLine } from './reading';

/** A sensor of a stand-in logger: where it is, and how well it reads. */
export interface SimulatedSensor {
  readonly name: string;
  /** °C that it rises at its peak, and hours after placing of that; none in the air. */
  readonly rise: number;
  readonly peakAt: number;
  /** How much of the day's swing of the air reaches it. */
  readonly swing: number;
  /** °C that it reads too high, and the step that it shows. */
  readonly off: number;
  readonly step: number;
}

export interface LoggerMakeup {
  readonly sensors: readonly SimulatedSensor[];
  /** Seconds between its rows. */
  readonly interval: number;
  /** Hours before now that it was started, and hours after that the concrete came. */
  readonly startedBefore: number;
  readonly placedAfter: number;
  /** Hours that its clock is ahead. */
  readonly ahead: number;
  /** °C of the air, its mean and half its daily swing. */
  readonly air: number;
  readonly swing: number;
  /** °C of the concrete as placed. */
  readonly placed: number;
}

const sensor = (name: string, rise: number, swing: number, off = 0, step = 0.1): SimulatedSensor => ({
  name,
  rise,
  peakAt: 11,
  swing,
  off,
  step,
});

/** The two that ship: wires in a wall with the air beside it, and a small one of digital sensors with a clock that is ahead. */
export const LOGGERS = {
  wires: {
    sensors: [sensor('core', 17, 0.1), sensor('surface', 9, 0.5), sensor('air', 0, 1)],
    interval: 600,
    startedBefore: 44,
    placedAfter: 1.5,
    ahead: 0,
    air: 6,
    swing: 4,
    placed: 14,
  },
  digital: {
    sensors: [sensor('core', 17, 0.1, 0.7, 0.0625)],
    interval: 420,
    startedBefore: 43,
    placedAfter: 0.5,
    ahead: 23 / 60,
    air: 6,
    swing: 4,
    placed: 14,
  },
} as const satisfies Record<string, LoggerMakeup>;
export const LOGGER_KINDS = Object.keys(LOGGERS) as (keyof typeof LOGGERS)[];

const HOUR_S = 3600;
const DAY_H = 24;
const NOISE = 0.04;
/** Hours over which a place comes to the temperature of the air. */
const COOLS_H = 60;

/**
 * A logger of temperatures that was put into concrete some time ago and goes on recording. The same seed gives the same
 * rows; a teaching model.
 * Source: our own model; a peak some eleven hours after placing is common practice.
 */
export class SimulatedLogger {
  private time: number;
  private next = 0;
  private readonly chance: Chance;

  /** @param started instant of its first row, ms since the epoch */
  constructor(
    seed: number,
    readonly makeup: LoggerMakeup,
    private readonly started: number,
  ) {
    this.chance = new Chance(seed);
    // What it recorded before anybody listened is in its memory.
    this.time = makeup.startedBefore * HOUR_S;
  }

  /** Rows of so many seconds more; the first call gives all that its memory holds. */
  run(seconds: number): Omit<TemperatureLine, 'seq' | 'at'>[] {
    this.time += seconds;
    const rows: Omit<TemperatureLine, 'seq' | 'at'>[] = [];
    for (; this.next * this.makeup.interval <= this.time; this.next += 1) rows.push(this.row(this.next));
    return rows;
  }

  private row(place: number): Omit<TemperatureLine, 'seq' | 'at'> {
    const { sensors, interval, ahead } = this.makeup;
    const t = place * interval;
    return {
      t,
      temp: sensors.map((each) => this.read(each, t / HOUR_S)),
      names: sensors.map(({ name }) => name),
      clock: new Date(this.started + (t + ahead * HOUR_S) * 1000).toISOString(),
    };
  }

  /** °C that a sensor shows at an hour of the record. */
  private read(each: SimulatedSensor, hour: number): number {
    const { placedAfter, air, swing, placed } = this.makeup;
    const outside = air + swing * Math.sin((2 * Math.PI * (hour + 15 - placedAfter)) / DAY_H);
    const age = hour - placedAfter;
    const inside =
      each.rise === 0 || age < 0
        ? outside
        : air +
          (placed - air) * Math.exp(-age / COOLS_H) +
          each.rise * (age / each.peakAt) ** 2 * Math.exp(2 * (1 - age / each.peakAt)) +
          each.swing * (outside - air);
    const noisy = inside + each.off + NOISE * this.chance.normal(0, 1);
    return Number((Math.round(noisy / each.step) * each.step).toFixed(4));
  }
}

/** The rows of a logger as a file: its clock and its sensors, °C. */
export function loggerCsv(lines: readonly Pick<TemperatureLine, 'clock' | 'temp' | 'names'>[]): string {
  const names = lines[0]?.names ?? [];
  const quoted = names.map((name) => name.replace(/[",\n]/gu, ' '));
  return [
    ['time', ...quoted.map((name) => `${name} °C`)].join(','),
    ...lines.map(({ clock, temp }) => [clock, ...temp.map((each) => each ?? '')].join(',')),
  ].join('\n');
}
