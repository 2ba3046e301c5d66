import { cite, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { type Finding, finding } from '../../working';
import { readMeasure } from '../fields';
import { timedRows } from '../timed-rows';
import type { AirVolumetricInput } from './input';

export interface FinalReading {
  readonly value: Exact | undefined;
  readonly findings: readonly Finding[];
}

const AGAIN = 'Make a new test on a new portion of the sample, with more alcohol, if its clock allows.';

/**
 * When the level of a standing meter is steady: the change over two minutes is small enough, no later than six minutes.
 * @returns the reading and its time; null when it never is; undefined when there are too few rows to tell
 */
export function steadyLevel(
  standing: AirVolumetricInput['standing'],
  limits: Limits,
): { seconds: Exact; value: Exact } | { seconds: Exact; change: Exact; value: null } | undefined {
  const rows = timedRows(standing, 'level');
  const time = limits.of('air-volumetric.stable-time', 'US');
  const small = limits.number('air-volumetric.stable', 'US');
  const span = time.low ?? exact(120);
  let last: { seconds: Exact; change: Exact } | undefined;
  for (const row of rows) {
    const before = rows.findLast((each) => each.seconds.lessThanOrEqualTo(row.seconds.minus(span)));
    if (!before || row.seconds.greaterThan(time.high ?? row.seconds)) continue;
    const change = row.value.minus(before.value).abs();
    if (change.lessThanOrEqualTo(small)) return { seconds: row.seconds, value: row.value };
    last = { seconds: row.seconds, change };
  }
  return last && { ...last, value: null };
}

/** The reading that counts: two in a row that agree, with a rolling between them. */
export function finalReading(input: AirVolumetricInput, limits: Limits): FinalReading {
  const level = steadyLevel(input.standing, limits);
  const findings: Finding[] = [...standingFindings(input, level, limits)];
  const fromLevel = level && level.value !== null ? level.value : undefined;
  const one = readMeasure(input, 'reading1')?.value ?? fromLevel;
  const two = readMeasure(input, 'reading2')?.value;
  const three = readMeasure(input, 'reading3')?.value;
  const agree = limits.of('air-volumetric.agree', input.system);
  const near = (a: Exact, b: Exact): boolean =>
    a
      .minus(b)
      .abs()
      .lessThanOrEqualTo(agree.high ?? 0);
  if (!one || !two) return { value: undefined, findings };
  if (near(one, two)) return { value: two, findings };
  if (!three) {
    return {
      value: undefined,
      findings: [
        ...findings,
        finding({
          id: 'air-volumetric.agree',
          severity: 'advice',
          fields: ['reading2'],
          limit: cite(agree),
          message: `The two readings differ by ${one.minus(two).abs()} %.`,
          action: 'Roll once more for a minute, let it stand until steady and take a third reading.',
        }),
      ],
    };
  }
  if (near(two, three)) return { value: three, findings };
  return {
    value: undefined,
    findings: [
      ...findings,
      finding({
        id: 'air-volumetric.agree',
        severity: 'invalid',
        fields: ['reading3'],
        limit: cite(agree),
        message: `The readings go on drifting: ${one}, ${two}, ${three} %.`,
        action: AGAIN,
      }),
    ],
  };
}

function standingFindings(
  input: AirVolumetricInput,
  level: ReturnType<typeof steadyLevel>,
  limits: Limits,
): Finding[] {
  const found: Finding[] = [];
  if (level?.value === null) {
    const time = limits.of('air-volumetric.stable-time', input.system);
    const over = level.seconds.greaterThanOrEqualTo(time.high ?? 0);
    found.push(
      finding({
        id: 'air-volumetric.stable',
        severity: over ? 'invalid' : 'advice',
        fields: ['standing'],
        limit: cite(limits.of('air-volumetric.stable', input.system)),
        message: `${over ? 'Not steady by' : 'Not steady yet at'} ${plainOf(level.seconds.div(60), 'min')}: changed by ${level.change} % over the last two minutes.`,
        action: over ? AGAIN : 'Let it stand and read again; it must be steady within six minutes.',
      }),
    );
  }
  const one = readMeasure(input, 'reading1')?.value;
  if (level && level.value !== null && one && !one.equals(level.value)) {
    found.push(
      finding({
        id: 'air-volumetric.first-reading',
        severity: 'advice',
        fields: ['reading1', 'standing'],
        message: `The level was steady at ${level.value} %; ${one} % was taken as the first reading.`,
        action: 'Check which is right before the meter is opened.',
      }),
    );
  }
  return found;
}
