import { isWithin } from '../../limits';
import { exact } from '../../quantity';
import { bySeverity, type Finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factMeasure } from '../facts';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { UNDER_BOX } from '../slab/quantities';
import { notProven } from '../slab/service';
import type { SurfaceHoodInput } from './input';
import { steadiness } from './steady';

const BS8203 = standard('BS 8203');
const HOUR = 3_600_000;

/**
 * The humidity of the air in a box that is sealed to the surface, once it stands still.
 * @param input humidities in percent at moments
 * @returns the last of two readings that agree, to one percent; provisional while none do, and where service conditions are
 *   not proven
 * Source: BS 8203 (from memory).
 */
export function compute(input: SurfaceHoodInput, setup: RunSetup): Outcome {
  const { system, heating, offAt, sealedAt, doneAt } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const { counted, early, pair } = steadiness(input, limits);
  const findings: Finding[] = equipmentUse(input, { probe: 'invalid' }, doneAt ?? sealedAt, setup, limits);
  const open = notProven(input, limits, 'Humidity under a box');
  if (open) findings.push(open.finding);
  const off =
    heating === 'off' && sealedAt
      ? exact(offAt ? Date.parse(sealedAt) - Date.parse(offAt) : 0).div(HOUR)
      : undefined;
  if (off && !isWithin(off, limits.of('hood.heating', system)))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'hood.heating', severity: 'departure', fields: ['offAt'] },
        {
          message: offAt
            ? `The heating was off for ${off.toFixed(0)} h when the box was sealed down.`
            : 'Nothing says since when the heating is off.',
          action: 'What it drove up is still on its way: wait, and seal it down again.',
          remark: 'Heating in the floor not off for long enough.',
        },
      ),
    );
  if (early > 0)
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'hood.sealed', severity: 'advice', fields: ['readings'] },
        {
          message: `${early} ${early === 1 ? 'reading was' : 'readings were'} taken before it counts.`,
          action: 'Read it again from the third day on.',
        },
      ),
    );
  const last = counted.at(-1);
  const results: Result[] = [];
  if (last) {
    const step = limits.number('hood.step', system);
    const value = sheet.line({
      symbol: 'RHs',
      name: 'Humidity under the box',
      formula: 'h',
      uses: { h: last.humidity },
      unit: 'percent',
      source: BS8203,
      round: { step, rule: `to ${step} %` },
    });
    const why = pair ? open?.why : 'it has not come to rest: no two readings a day apart agree';
    results.push(
      resultOf({
        quantity: UNDER_BOX,
        symbol: 'RHs',
        value,
        unit: 'percent',
        step,
        mode,
        ...(why ? { provisional: why } : {}),
      }),
    );
  }
  if (doneAt && !pair)
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'hood.agree', severity: 'departure', fields: ['readings'] },
        {
          message: last ? 'No two readings a day apart agree.' : 'No reading counts yet.',
          action: 'Leave it on and read it a day later, until two agree.',
          remark: 'Box taken off before its humidity had come to rest.',
        },
      ),
    );
  const allowed =
    factMeasure(setup, 'hoodMost', 'percent', 'percent') ?? limits.of('floor.hood', system).high;
  const first = counted[0];
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'surface-hood',
      values: {
        readings: first
          ? counted
              .map(({ at, humidity }) => `${((at - first.at) / HOUR).toFixed(2)}/${humidity.toFixed()}`)
              .join(' ')
          : '',
        steady: pair !== undefined,
        allowed: allowed?.toNumber() ?? null,
      },
    },
  };
}
