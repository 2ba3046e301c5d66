import { isWithin, type LimitId, type Limits } from '../../limits';
import { fastestOf, type Rise, risesOf, streamedRises } from '../../pipe/rates';
import { type Exact, exact, plainOf } from '../../quantity';
import { type Finding, finding, ourChoice, type Sheet, standard } from '../../working';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import type { PipeRecord } from './gauge';
import type { ThreeEdgeInput } from './input';
import { type PipeLoads, UNITS_OF } from './loads';

/** How fast it was loaded at its fastest in each part, with a line each, and where that was too fast. */
export function ratesIn(
  record: PipeRecord | undefined,
  { rates }: PipeLoads,
  limits: Limits,
  system: ThreeEdgeInput['system'],
  sheet: Sheet,
): Rise[] {
  if (!record) return [];
  const allowed = record.streamed ? limits.number('teb.allowance', system).div(100).plus(1) : exact(1);
  const fastest = fastestOf(
    record.streamed ? streamedRises(record.log, rates, limits, system) : risesOf(record.log, rates),
  );
  for (const { part, from, to, rate } of fastest)
    sheet.line({
      symbol: part === 'first' ? 'q1' : 'q2',
      name: `Fastest ${PARTS[part][1]}`,
      ...(record.streamed
        ? { formula: 'q', uses: { q: rate } }
        : {
            formula: '60 * (b - a) / t',
            uses: { a: from.load, b: to.load, t: to.seconds.minus(from.seconds) },
          }),
      unit: UNITS_OF[system].rate,
      source: record.streamed
        ? ourChoice('line of least squares through some seconds of the record')
        : standard('ASTM C497/C497M'),
      show: 4,
    });
  return fastest.filter(({ part, rate }) => rate.greaterThan(rates[part].times(allowed)));
}

const PARTS = {
  first: ['teb.first-rate', 'up to three quarters of the load'],
  second: ['teb.second-rate', 'past three quarters of the load'],
} as const;

/** What is said of the rates: a load that was put on too fast reads high, so that it can fail a pipe and pass none. */
export function rateFindings(
  parts: readonly Rise[],
  { rates }: PipeLoads,
  limits: Limits,
  system: ThreeEdgeInput['system'],
): Finding[] {
  const { rate } = UNITS_OF[system];
  // The first of each part says it.
  return (['first', 'second'] as const).flatMap((part) => {
    const worst = parts.find((each) => each.part === part);
    if (!worst) return [];
    const [id, where] = PARTS[part];
    const said = `${plainOf(worst.rate.toSignificantDigits(4), rate)} ${where}, no more than ${plainOf(rates[part].toSignificantDigits(4), rate)} allowed`;
    return [
      limitFinding(
        limits,
        system,
        { id, severity: 'departure', fields: ['log', 'trace'] },
        {
          message: `Loaded too fast: ${said}.`,
          action:
            'It reads high so: if it fails it fails, if it passes it proves nothing. Test another pipe, not this one again.',
          remark: `Loaded too fast: ${said}.`,
        },
      ),
    ];
  });
}

/** The hold at the design load, and the order of what was read. */
export function holdFindings(
  input: ThreeEdgeInput,
  { design, ultimate }: PipeLoads,
  loads: Readonly<Record<'sound' | 'opened' | 'most' | 'sank' | 'hairline', Exact | undefined>>,
  limits: Limits,
): Finding[] {
  const { sound, opened, most, sank, hairline } = loads;
  const found: Finding[] = [];
  const order = (fields: readonly string[], message: string): number =>
    found.push(
      finding({
        id: 'teb.order',
        severity: 'invalid',
        fields,
        message,
        action: 'Look at what was written down: one of the two is not what the gauge showed.',
      }),
    );
  if (sound && opened && sound.greaterThanOrEqualTo(opened))
    order(['sound', 'opened'], 'The last load without the crack is not below the first one with it.');
  if (most && opened && most.lessThan(opened))
    order(['opened', 'most'], 'The greatest load is below that of the crack.');
  if (most && sound && most.lessThan(sound))
    order(['sound', 'most'], 'The greatest load is below the last one without the crack.');
  if (hairline && opened && hairline.greaterThan(opened))
    order(['hairline', 'opened'], 'The first hairline is above the load at which it was the crack.');
  if (sank && most && sank.greaterThan(most))
    order(['sank', 'most'], 'The lowest load of the hold is above the greatest of all.');
  return [
    ...found,
    ...slipFindings(input, { design, ultimate }, loads, limits),
    ...sinkFindings(input, design, sank, limits),
  ];
}

/** The hold at the design load: long enough to probe, and not sunk meanwhile. */
function sinkFindings(
  input: ThreeEdgeInput,
  design: Exact | undefined,
  sank: Exact | undefined,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  if (!design) return found;
  const held = readMeasure(input, 'held')?.value;
  if (held && !isWithin(held, limits.of('teb.hold', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'teb.hold', severity: 'departure', fields: ['held'] },
        {
          message: 'Too short to probe the whole line.',
          action: 'Hold it, pump it up again where it sinks, and probe from end to end.',
          remark: `The design load was held for ${held} s only.`,
        },
      ),
    );
  if (sank) {
    const drift = design.minus(sank).div(design).times(100);
    if (drift.greaterThan(limits.of('teb.drift', system).high ?? 0))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'teb.drift', severity: 'departure', fields: ['sank'] },
          {
            message: `It sank by ${drift.toFixed(1)} % while it was probed.`,
            action: 'Pump it up to the design load again and probe anew.',
            remark: 'The design load sank while the pipe was probed.',
          },
        ),
      );
  }
  return found;
}

/** What may be a slip of the pen: a pressure for a load, minutes for seconds, a beam that weighs as much as a load. */
function slipFindings(
  input: ThreeEdgeInput,
  { design, ultimate }: Pick<PipeLoads, 'design' | 'ultimate'>,
  loads: Readonly<Record<'sound' | 'opened' | 'most' | 'hairline', Exact | undefined>>,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const goal = design ?? ultimate;
  if (!goal) return [];
  const share = (value: Exact | undefined, of: Exact): Exact | undefined => value?.div(of).times(100);
  const beyond = (id: LimitId, value: Exact | undefined): boolean =>
    value !== undefined && !isWithin(value, limits.of(id, system));
  const slips = [
    ...(['sound', 'opened', 'hairline'] as const).filter((name) =>
      beyond('teb.factor', share(loads[name], goal)),
    ),
    ...(beyond('teb.factor', share(loads.most, ultimate ?? goal)) ? ['most'] : []),
  ];
  const about = [
    [
      slips,
      'teb.factor',
      'That is more than twice what is asked for.',
      'Was a pressure typed as a load, or the ram counted twice?',
    ],
    [
      beyond('teb.weighs', share(readMeasure(input, 'weighs')?.value, goal)) ? ['weighs'] : [],
      'teb.weighs',
      'That beam weighs a good part of the design load.',
      'Weigh it again: it is added to every load.',
    ],
    [
      beyond('teb.hold-long', readMeasure(input, 'held')?.value) ? ['held'] : [],
      'teb.hold-long',
      'That is a long hold.',
      'Were minutes typed for seconds?',
    ],
  ] as const;
  return about.flatMap(([fields, id, message, action]) =>
    fields.length === 0
      ? []
      : [limitFinding(limits, system, { id, severity: 'advice', fields }, { message, action })],
  );
}
