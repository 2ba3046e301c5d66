import { BALANCE_UNITS, type BalanceUnit, type MassLine } from '../balance';
import { isNeedleLine, type NeedleLine } from '../cement/simulated-needle';
import { isLoggedLine, type LoggedLine } from '../logger';
import type { Drive, PlacedBeam } from './driven-frame';
import type { PlacedPiece } from './hand-pumped';
import type { Stroke } from './pull-tester';
import type { Levers, ReadingLine } from './reading';
import type { PlacedSpecimen } from './simulated-press';

/** The first line of a connection: which device it is, in which life of its process, and what it still remembers. */
export interface HelloLine {
  readonly hello: string;
  readonly boot: string;
  /** The oldest reading that can still be asked for, and the newest. */
  readonly oldest: number;
  readonly newest: number;
  readonly unit: 'kN' | 'lbf' | 'degC' | 'mW' | 'mm' | BalanceUnit;
  /** Readings a second. */
  readonly rate: number;
  /** True for a stand-in: it takes levers and specimens by line. */
  readonly simulated: boolean;
  /** True for a machine that is driven by its displacement. */
  readonly driven?: true;
}

/** Once a second, whether or not anything is read. */
export interface BeatLine {
  readonly beat: number;
  readonly state: 'idle' | 'loaded';
}

/** The answer to a wish for older readings: what follows begins at the later of the two numbers. */
export interface ReplayLine {
  readonly replay: number;
  readonly oldest: number;
}

/** What a device reads: a press its load, a balance its mass, a recorder its temperatures or its power, a needle its depth. */
export type DeviceReading = ReadingLine | MassLine | LoggedLine | NeedleLine;

export type PressLine = DeviceReading | HelloLine | BeatLine | ReplayLine;

/** What a client may send. `from`: all readings from this number on, then the live ones. */
export type PressCommand =
  | { readonly from: number }
  | { readonly levers: Levers }
  | { readonly place: PlacedSpecimen }
  | { readonly piece: PlacedPiece }
  | { readonly bend: PlacedBeam }
  | { readonly drive: Drive }
  | { readonly stroke: true | Stroke }
  | { readonly release: true }
  | { readonly flow: number }
  | { readonly put: number }
  | { readonly tare: true }
  | { readonly drop: true }
  | { readonly ring: { readonly minutes: number } }
  | { readonly resetPeak: true }
  | { readonly times: 1 | 10 | 60 };

/** A line of a device; null for what is none: a device's line is never trusted. */
export function parsePressLine(text: string): PressLine | null {
  let line: unknown;
  try {
    line = JSON.parse(text);
  } catch {
    return null;
  }
  if (typeof line !== 'object' || line === null) return null;
  const value = line as Record<string, unknown>;
  const numbers = (...names: string[]): boolean => names.every((name) => Number.isFinite(value[name]));
  if (
    typeof value.hello === 'string' &&
    typeof value.boot === 'string' &&
    numbers('oldest', 'newest', 'rate')
  )
    return value as unknown as HelloLine;
  if (numbers('replay', 'oldest')) return value as unknown as ReplayLine;
  if (numbers('beat')) return value as unknown as BeatLine;
  if (numbers('seq', 't', 'load', 'peak', 'pos') && (value.unit === 'kN' || value.unit === 'lbf'))
    return value as unknown as ReadingLine;
  if (
    numbers('seq', 't', 'mass', 'places', 'at') &&
    typeof value.steady === 'boolean' &&
    BALANCE_UNITS.some((unit) => unit === value.unit)
  )
    return value as unknown as MassLine;
  if (isNeedleLine(value)) return value as unknown as NeedleLine;
  if (numbers('seq', 't', 'at') && isLoggedLine(value)) return value as unknown as LoggedLine;
  return null;
}

export const isReading = (line: PressLine): line is DeviceReading => 'seq' in line;
export const isLoad = (line: PressLine): line is ReadingLine => 'load' in line;
export const isMass = (line: PressLine): line is MassLine => 'mass' in line;
export const isLogged = (line: PressLine): line is LoggedLine => 'names' in line;
export const isHello = (line: PressLine): line is HelloLine => 'hello' in line;
export const isReplay = (line: PressLine): line is ReplayLine => 'replay' in line;
