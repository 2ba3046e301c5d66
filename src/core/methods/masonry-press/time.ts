import { isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { type Finding, finding } from '../../working';
import { factTexts } from '../facts';
import { type RunInput, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import type { RunSetup } from '../setup';
import type { HalfRow } from './rates';

interface InSecondHalf extends RunInput {
  secondHalf?: string;
  testedAt?: string;
}

/** What the time of the second half is judged with. */
interface SecondHalf {
  readonly row: HalfRow;
  /** What a first one that was a little fast means: it counts, with or without a remark. */
  readonly first: 'advice' | 'departure';
  /** What it came to, and what each must reach. */
  readonly strength: Exact | undefined;
  readonly floor: Exact | undefined;
}

/** Seconds from half of the peak to the peak: by the record, else by the stopwatch. */
export function secondHalf(input: InSecondHalf, setup: RunSetup): Exact | undefined {
  const logged = setup.loadLog?.secondHalf;
  return logged === undefined || logged === null ? readMeasure(input, 'secondHalf')?.value : exact(logged);
}

/**
 * The time of the second half: too fast reads high, too slow reads low, so that what is failed fast, or passed slowly, stands.
 * Source: ASTM C140/C140M 7.4, C67 (from memory); what stands with a remark is our choice.
 */
export function timeFindings(
  input: InSecondHalf,
  about: SecondHalf,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const { row, strength, floor } = about;
  const time = secondHalf(input, setup);
  const load = readMeasure(input, 'maximumLoad');
  if (!load) return [];
  if (!time)
    return [
      finding({
        id: 'unit.time-unknown',
        severity: 'departure',
        needsReason: true,
        fields: ['secondHalf'],
        message: 'How long the second half took is not known.',
        action: 'Keep the record of the press, or take the time from half of the peak on.',
        remark: 'Time of the second half of loading not recorded.',
      }),
    ];
  const band = limits.of(row, system);
  if (isWithin(time, band)) return [];
  const first = isFirst(input, setup);
  const said = `The second half took ${plainOf(time.toDecimalPlaces(1), 's')}`;
  const make = (
    id: HalfRow | 'unit.second-half-first',
    severity: 'invalid' | 'departure' | 'advice',
    action: string,
  ): Finding[] => [
    limitFinding(
      limits,
      system,
      { id, severity, needsReason: severity === 'invalid', fields: ['secondHalf'] },
      {
        message: `${said}.`,
        action,
        ...(severity === 'departure' ? { remark: `${said}; ${band.text} is asked for.` } : {}),
      },
    ),
  ];
  const fast = band.low !== undefined && time.lessThan(band.low);
  const passes = strength !== undefined && floor !== undefined ? strength.greaterThanOrEqualTo(floor) : true;
  const slower = 'Set the rate that the plan says now: it goes by this break.';
  if (fast && first)
    return isWithin(time, limits.of('unit.second-half-first', system))
      ? make('unit.second-half-first', about.first, `It counts as the first of its set. ${slower}`)
      : make('unit.second-half-first', 'invalid', `Take a spare in its place. ${slower}`);
  if (fast)
    return passes
      ? make(row, 'invalid', `Loaded too fast it reads high, and it passes: take a spare. ${slower}`)
      : make(
          row,
          'departure',
          `Loaded too fast it reads high, and it fails all the same: it stands as a failing one. ${slower}`,
        );
  return passes
    ? make(
        row,
        'departure',
        `Loaded too slowly it reads low, and it passes all the same: it stands. ${slower}`,
      )
    : make(row, 'invalid', `Loaded too slowly it reads low, and it fails: take a spare. ${slower}`);
}

/** True where no other unit of the set was broken before this one. */
function isFirst({ testedAt }: InSecondHalf, setup: RunSetup): boolean {
  const own = Date.parse(testedAt ?? '');
  return !factTexts(setup, 'brokenAt').some((at) => Number.isNaN(own) || Date.parse(at) < own);
}
