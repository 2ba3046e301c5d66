import { isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, largest, plainOf, smallest } from '../../quantity';
import { type Finding, finding } from '../../working';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { LENGTH_UNIT } from '../press/units';
import type { RunSetup } from '../setup';
import type { Profile } from './ends';
import type { RockCompressionInput } from './input';
import type { EndValues } from './lines';
import { expectedStress, ratesAllowed, ratesInTime } from './rate';
import { DIAMETERS, readAll } from './sizes';

/** What a core came to, as far as it is known; in or mm. */
export interface CoreValues {
  readonly diameter: Exact | undefined;
  readonly ratio: Exact | undefined;
  readonly ends: EndValues;
  readonly profiles: readonly Profile[];
  /** As tested, lb/ft³ or kg/m³. */
  readonly density: Exact | undefined;
  /** Seconds from the first load to the peak. */
  readonly time: Exact | undefined;
}

/** What makes of a core another shape than the method's: such a strength stands in no mean. */
export const SHAPE: readonly LimitId[] = [
  'ucs.diameter',
  'ucs.length-ratio',
  'ucs.grain',
  'ucs.side',
  'ucs.flat',
  'ucs.square',
  'ucs.parallel',
];

/** Everything that one core is held against. */
export function coreFindings(
  input: RockCompressionInput,
  values: CoreValues,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  return [
    ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
    ...shapeFindings(input, values, limits),
    ...unreadFindings(input, values, limits),
    ...loadFindings(input, values, setup, limits),
    ...failureFindings(input),
  ];
}

function shapeFindings(input: RockCompressionInput, values: CoreValues, limits: Limits): Finding[] {
  const { system } = input;
  const { diameter, ratio, ends } = values;
  const unit = LENGTH_UNIT[system];
  const length = (value: Exact): string => plainOf(value.toSignificantDigits(3), unit);
  const read = readAll(input, DIAMETERS);
  const grain = readMeasure(input, 'grain')?.value;
  const again =
    'Grind it again while the length allows; else it is reported with this deviation and stands in no mean.';
  const rows: readonly (readonly [
    id: LimitId,
    value: Exact | undefined,
    field: string,
    words: (value: Exact) => string,
    action: string,
  ])[] = [
    [
      'ucs.diameter',
      diameter,
      'top1',
      (d) => `It is ${length(d)} across.`,
      'Take a thicker core, or report it with this deviation: it stands in no mean.',
    ],
    [
      'ucs.length-ratio',
      ratio,
      'length1',
      (r) => `It is ${r.toFixed(2)} times as long as wide.`,
      'Saw another length, or report it with this deviation: it stands in no mean and is not corrected.',
    ],
    [
      'ucs.grain',
      diameter && grain?.greaterThan(0) ? diameter.div(grain) : undefined,
      'grain',
      (g) => `It is ${g.toFixed(1)} times as wide as its largest grain.`,
      'Take a thicker core, or report it with this deviation: it stands in no mean.',
    ],
    [
      'ucs.side',
      readMeasure(input, 'side')?.value,
      'side',
      (gap) => `Its side is ${length(gap)} off straight.`,
      'Cut another; else it is reported with this deviation and stands in no mean.',
    ],
    [
      'ucs.flat',
      ends.flat,
      'endReadings',
      (off) => `A point of an end lies ${length(off)} off its line.`,
      again,
    ],
    [
      'ucs.square',
      ends.square,
      'endReadings',
      (share) => `An end is ${share.toFixed(5)} of the diameter off square.`,
      again,
    ],
    [
      'ucs.parallel',
      ends.parallel,
      'endReadings',
      (angle) => `The ends are ${angle.toFixed(3)}° off parallel.`,
      'Were both read from the same side? Then grind it again; else it is reported with this deviation and stands in no mean.',
    ],
    [
      'ucs.diameters',
      read.length > 1 ? largest(read).minus(smallest(read)) : undefined,
      'top1',
      (apart) => `Its diameters lie ${length(apart)} apart.`,
      'Read them again; a side that is not straight is cut again.',
    ],
    [
      'ucs.offset',
      readMeasure(input, 'offset')?.value,
      'offset',
      (off) => `It stands ${length(off)} off the middle.`,
      'Centre it before it is loaded.',
    ],
  ];
  return rows.flatMap(([id, value, field, words, action]) =>
    value && !isWithin(value, limits.of(id, system))
      ? [
          limitFinding(
            limits,
            system,
            { id, severity: 'departure', needsReason: false, beforeLoad: true, fields: [field] },
            { message: words(value), action, remark: words(value) },
          ),
        ]
      : [],
  );
}

/** What nobody looked at is said: a core is only as good as what is known of its ends. */
function unreadFindings(
  input: RockCompressionInput,
  { profiles, density }: CoreValues,
  limits: Limits,
): Finding[] {
  const read = readAll(input, DIAMETERS);
  const found: Finding[] = [];
  if (input.maximumLoad && profiles.length < 4)
    found.push(
      finding({
        id: 'ucs.ends-unread',
        severity: 'departure',
        needsReason: false,
        beforeLoad: true,
        fields: ['endReadings'],
        message:
          profiles.length === 0
            ? 'Its ends are not on record.'
            : `Of its ends ${profiles.length} of 4 diameters are on record.`,
        action: 'Read both ends along two diameters before it is loaded.',
        remark:
          profiles.length === 0
            ? 'Ends not checked.'
            : `Ends checked along ${profiles.length} of 4 diameters.`,
      }),
    );
  if (density && !isWithin(density, limits.of('ucs.density', input.system)))
    found.push(
      limitFinding(
        limits,
        input.system,
        { id: 'ucs.density', severity: 'advice', fields: ['mass'] },
        {
          message: `It would weigh ${plainOf(density.toSignificantDigits(3), limits.of('ucs.density', input.system).unit)}.`,
          action: 'Read its mass and its sizes again.',
        },
      ),
    );
  if (read.length === DIAMETERS.length && read.every((value) => value.equals(read[0] ?? 0)))
    found.push(
      finding({
        id: 'ucs.all-alike',
        severity: 'advice',
        fields: ['top1'],
        message: 'All six diameters are the same.',
        action: 'Were six read, or one typed six times? A drilled core is never so even.',
      }),
    );
  return found;
}

function loadFindings(
  input: RockCompressionInput,
  { time }: CoreValues,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const expected = expectedStress(setup, system);
  const about = (id: LimitId, fields: readonly string[], beforeLoad = false) =>
    ({
      id,
      severity: 'departure',
      needsReason: false,
      ...(beforeLoad ? { beforeLoad } : {}),
      fields,
    }) as const;
  const chosen = readMeasure(input, 'chosenRate')?.value;
  const band = limits.of('ucs.rate', system);
  const inTime = expected && ratesInTime(expected, limits, system);
  const allowed = expected && ratesAllowed(expected, limits, system);
  const takes = expected && chosen?.greaterThan(0) ? expected.div(chosen) : undefined;
  if (input.control !== 'strain' && expected && inTime && !allowed)
    found.push(
      finding({
        id: 'ucs.conflict',
        severity: 'advice',
        beforeLoad: true,
        fields: ['control'],
        message: `At ${band.text} it would fail ${inTime.high.lessThan(band.low ?? 0) ? `within ${expected.div(band.low ?? 1).toFixed(0)} s` : `after ${expected.div(band.high ?? 1).toFixed(0)} s only`}.`,
        action: 'Drive it by the crosshead: the time to failure decides.',
      }),
    );
  else if (input.control !== 'strain' && takes && allowed && !isWithin(takes, limits.of('ucs.time', system)))
    found.push(
      finding({
        id: 'ucs.conflict',
        severity: 'advice',
        beforeLoad: true,
        fields: ['chosenRate'],
        message: `At this rate it would fail after ${takes.toFixed(0)} s.`,
        action: `Set ${plainOf(allowed.low.toSignificantDigits(3), band.unit)} to ${plainOf(allowed.high.toSignificantDigits(3), band.unit)}.`,
      }),
    );
  if (input.control !== 'strain' && chosen && !isWithin(chosen, band))
    found.push(
      limitFinding(limits, system, about('ucs.rate', ['chosenRate'], true), {
        message: `${plainOf(chosen, band.unit)} is ${chosen.lessThan(band.low ?? 0) ? 'slower' : 'faster'} than the method allows.`,
        action: 'Choose another, or drive it by the crosshead.',
        remark: `Loaded at ${plainOf(chosen, band.unit)}, outside ${band.text}.`,
      }),
    );
  if (time && !isWithin(time, limits.of('ucs.time', system)))
    found.push(
      limitFinding(limits, system, about('ucs.time', ['time']), {
        message: `It failed after ${time.toFixed(0)} s.`,
        action: `It is reported with this remark. Choose the rate for the next one so that it takes ${limits.of('ucs.time', system).text}.`,
        remark: `Failed after ${time.toFixed(0)} s.`,
      }),
    );
  if (input.maximumLoad && !time)
    found.push(
      finding({
        id: 'ucs.time-unknown',
        severity: 'departure',
        needsReason: false,
        fields: ['time'],
        message: 'How long it took is not on record.',
        action: 'Type the time by the stopwatch, or keep the record of the press.',
        remark: 'Time to failure not recorded.',
      }),
    );
  if (readMeasure(input, 'heldAtZero')?.value.greaterThan(0))
    found.push(
      finding({
        id: 'ucs.held',
        severity: 'departure',
        needsReason: false,
        fields: ['heldAtZero'],
        message: 'The indicator was set to zero under load: what stood on it is added.',
        action: 'Set zero before contact on the next one.',
        remark: 'Zero set under load; the load held then is added.',
      }),
    );
  return found;
}

/** How it failed, where that says something else than the strength of the rock. */
function failureFindings({ failure, cracked }: RockCompressionInput): Finding[] {
  if (failure === 'joint')
    return [
      finding({
        id: 'ucs.joint',
        severity: 'departure',
        needsReason: false,
        fields: ['failure'],
        message: 'It failed along an old joint or vein: this is not the strength of the rock.',
        action: 'It is reported by itself and stands in no mean. Test another core.',
        remark: 'Failed along a discontinuity; not the strength of intact rock.',
      }),
    ];
  if (failure === 'spall')
    return [
      finding({
        id: 'ucs.spall',
        severity: 'advice',
        fields: ['failure'],
        message: 'A piece came off one end only.',
        action: 'Look at its ends and its seat; far below its neighbours it is no test of the rock.',
      }),
    ];
  return failure && failure !== 'fabric' && cracked === 'closed'
    ? [
        finding({
          id: 'ucs.closed-joint',
          severity: 'advice',
          fields: ['failure'],
          message: 'A joint or vein was seen in it before.',
          action: 'Look whether it failed along that: then it is not the strength of the rock.',
        }),
      ]
    : [];
}
