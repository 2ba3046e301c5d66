import { isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { type Finding, finding, type Severity } from '../../working';
import { equipmentUse } from '../equipment-checks';
import { factText } from '../facts';
import { readMeasure } from '../fields';
import { type FindingWords, limitFinding } from '../limit-finding';
import { FORCE_UNIT, LENGTH_UNIT, STRESS_UNIT } from '../press';
import { type RunSetup, setupMeasure } from '../setup';
import type { PointLoadInput } from './input';

/** What a piece came to, as far as it is known; in or mm, lbf or kN. */
export interface PointValues {
  /** Between the points, as it was before the load. */
  readonly depth: Exact | undefined;
  readonly width: Exact | undefined;
  readonly load: Exact | undefined;
  readonly index: Exact | undefined;
  /** Load that was expected of a piece of this size. */
  readonly expected: Exact | undefined;
}

/** How a piece broke, where that is no test of the rock. */
const NO_TEST: Readonly<Record<string, readonly [message: string, action: string]>> = {
  'one-point': [
    'The crack runs through one point only.',
    'Reject it and take another piece: the load line was too near an end, or the points do not meet.',
  ],
  chip: [
    'An edge chipped, the body is whole.',
    'Seat it again only where depth and width are still lawful; else take another piece.',
  ],
  old: [
    'It split along an old joint, vein or seam.',
    'Keep the value as that of the seam; it is none of the rock.',
  ],
  'off-fabric': [
    'Loaded along a plane, the crack left it.',
    'It says nothing of this direction: take another piece.',
  ],
  sank: [
    'The points sank in and nothing split.',
    'The rock is too weak for this test: compress a core of it instead.',
  ],
};

/** Everything one piece is held against: its shape, its seat, its time, and how it broke. */
export function pointLoadFindings(
  input: PointLoadInput,
  values: PointValues,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  return [
    ...equipmentUse(input, { frame: 'departure', calliper: 'departure' }, input.testedAt, setup, limits),
    ...shapeFindings(input, values, limits),
    ...endFindings(input, values, limits),
    ...seatFindings(input, values, limits),
    ...loadFindings(input, values, setup, limits),
    ...breakFindings(input, values, limits),
    ...expectedFindings(input, values, setup, limits),
  ];
}

function make(
  limits: Limits,
  input: PointLoadInput,
  id: LimitId,
  severity: Severity,
  fields: readonly string[],
  words: FindingWords,
  needsReason = severity === 'invalid',
): Finding {
  return limitFinding(limits, input.system, { id, severity, needsReason, fields }, words);
}

function shapeFindings(input: PointLoadInput, { depth, width }: PointValues, limits: Limits): Finding[] {
  const { system, type } = input;
  const found: Finding[] = [];
  const unit = LENGTH_UNIT[system];
  const size = (id: 'point.depth' | 'point.width', value: Exact | undefined, field: string, what: string) => {
    if (!value || isWithin(value, limits.of(id, system))) return;
    found.push(
      make(limits, input, id, 'invalid', [field], {
        message: `${what} of ${plainOf(value, unit)} is not what the method takes.`,
        action: 'Saw it down, turn it, or take another piece.',
      }),
    );
  };
  size('point.depth', depth, 'separation', 'A depth');
  if (type !== 'diametral') size('point.width', width, 'width1', 'A width');
  if (!depth || !width?.greaterThan(0) || !type || type === 'diametral') return found;
  const ratio = depth.div(width);
  const limit = limits.of('point.depth-width', system);
  if (isWithin(ratio, limit)) return found;
  const flat = ratio.lessThan(limit.low ?? 0);
  const off = flat ? exact(0) : depth.minus(width);
  found.push(
    make(limits, input, 'point.depth-width', 'invalid', ['separation', 'width1'], {
      message: `Depth over width is ${ratio.toFixed(3)}: too ${flat ? 'flat' : 'tall'}.`,
      action: flat
        ? `Saw the width down to ${plainOf(depth.div(limit.low ?? 1).toSignificantDigits(3), unit)}, or take another piece.`
        : `Turn it so that its smallest size lies between the points, or take ${plainOf(off.toSignificantDigits(2), unit)} off the depth.${nearOne(ratio, limits, system) ? ' It is within what the readings are good for: measure again.' : ''}`,
    }),
  );
  return found;
}

/** True where the readings' own uncertainty reaches the limit. */
function nearOne(ratio: Exact, limits: Limits, system: 'US' | 'SI'): boolean {
  const [d, w] = (['point.read-depth', 'point.read-width'] as const).map((id) =>
    limits.number(id, system).div(100),
  );
  const least = ratio.times(exact(1).minus(d ?? 0)).div(exact(1).plus(w ?? 0));
  return least.lessThanOrEqualTo(limits.of('point.depth-width', system).high ?? 1);
}

/** Distance to the free end: held to half the depth; between that and half the width it is said. */
function endFindings(input: PointLoadInput, { depth, width }: PointValues, limits: Limits): Finding[] {
  const { system, type } = input;
  const unit = LENGTH_UNIT[system];
  const found: Finding[] = [];
  const end = readMeasure(input, 'freeEnd')?.value;
  const least = depth?.times(limits.of('point.free-end', system).low ?? 0);
  if (end && depth && least) {
    const ofWidth = width?.times(limits.of('point.free-end-width', system).low ?? 0);
    if (end.lessThan(least))
      found.push(
        make(limits, input, 'point.free-end', 'invalid', ['freeEnd'], {
          message: `${plainOf(end, unit)} to the nearest free end; ${plainOf(least, unit)} is half the depth.`,
          action: `Move the load line ${plainOf(least.minus(end), unit)} inward where the other end allows it. The whole length is another measure.`,
        }),
      );
    else if ((type === 'block' || type === 'lump') && ofWidth && end.lessThan(ofWidth))
      found.push(
        make(limits, input, 'point.free-end-width', 'departure', ['freeEnd'], {
          message: `${plainOf(end, unit)} to the nearest free end is less than half the width.`,
          action:
            'It stands: the drawing of the method asks for half the depth, its text for half the width.',
          remark: `Load line ${plainOf(end, unit)} from the free end, less than half the width.`,
        }),
      );
  }
  const length = readMeasure(input, 'length')?.value;
  const most = limits.number('point.core-length', system);
  if (type === 'diametral' && length && depth?.greaterThan(0) && length.div(depth).lessThanOrEqualTo(most))
    found.push(
      make(limits, input, 'point.core-length', 'invalid', ['length'], {
        message: 'The core is no longer than it is thick.',
        action: 'Load it on its cut faces instead, or take a longer piece.',
      }),
    );
  return found;
}

function seatFindings(input: PointLoadInput, { depth, load }: PointValues, limits: Limits): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const unit = LENGTH_UNIT[system];
  const byHand = readMeasure(input, 'depth')?.value;
  const crush = readMeasure(input, 'crushLoad')?.value;
  if (byHand?.greaterThan(0) && depth && !crush?.greaterThan(0)) {
    const off = depth.minus(byHand).abs().div(byHand).times(100);
    if (!isWithin(off, limits.of('point.agree', system)))
      found.push(
        make(limits, input, 'point.agree', 'departure', ['separation', 'depth'], {
          message: `${plainOf(depth, unit)} on the frame, ${plainOf(byHand, unit)} with the calliper.`,
          action: 'The points stand at another place, or it slipped: seat it again and read both.',
          remark: `Depth on the frame ${off.toFixed(1)} % off the calliper.`,
        }),
      );
  }
  if (crush?.greaterThan(0)) {
    const share = load?.greaterThan(0) ? crush.div(load).times(100) : undefined;
    const damaged = share && !isWithin(share, limits.of('point.crush-most', system));
    const much = share && !isWithin(share, limits.of('point.crush', system));
    const words = `Crushed to seat at ${plainOf(crush, FORCE_UNIT[system])}${share ? `, ${share.toFixed(0)} % of the load at failure` : ''}`;
    found.push(
      make(
        limits,
        input,
        damaged ? 'point.crush-most' : 'point.crush',
        damaged ? 'invalid' : 'departure',
        ['crushLoad'],
        {
          message: `${words}.`,
          action: damaged
            ? 'The piece was damaged before it was tested: take another.'
            : 'Depth and widths are those after the crush. The method knows no crushing: it is said on the report.',
          remark: `${words}; the method provides none.`,
        },
        damaged || Boolean(much),
      ),
    );
  }
  if (input.zeroed === 'held' && !readMeasure(input, 'seatLoad'))
    found.push(
      finding({
        id: 'point.zero',
        severity: 'departure',
        needsReason: true,
        fields: ['zeroed', 'seatLoad'],
        message: 'The indicator was zeroed under a load that is not known: the index comes out too low.',
        action: 'Type what was shown before zeroing; zero with the points only touching.',
        remark: 'Load indicator zeroed under a load of unknown size.',
      }),
    );
  return found;
}

function loadFindings(
  input: PointLoadInput,
  { load, index }: PointValues,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const fields = input.load === undefined ? ['pressure', 'ramArea'] : ['load'];
  const frame = setup.equipment?.find(({ number }) => number === input.frame);
  const [from, to] = [frame?.verifiedFrom, frame?.verifiedTo].map((text) =>
    setupMeasure(text, 'force', FORCE_UNIT[system]),
  );
  if (load && ((from && load.lessThan(from)) || (to && load.greaterThan(to))))
    found.push(
      finding({
        id: 'point.range',
        severity: 'departure',
        needsReason: true,
        fields: ['frame', ...fields],
        message: `${plainOf(load, FORCE_UNIT[system])} lies outside what the frame was verified for, ${frame?.verifiedFrom ?? '0'} to ${frame?.verifiedTo ?? 'its end'}.`,
        action: 'Take a piece of another size, or a frame that is verified there.',
        remark: 'Load outside the verified range of the frame.',
      }),
    );
  if (index && !isWithin(index, limits.of('point.usual', system)))
    found.push(
      make(
        limits,
        input,
        'point.usual',
        'departure',
        [...fields, 'separation', 'width1'],
        {
          message: `An index of ${plainOf(index.toSignificantDigits(3), STRESS_UNIT[system])} is that of no rock.`,
          action: 'Check the load and its unit, and the sizes.',
          remark: 'Index not plausible.',
        },
        true,
      ),
    );
  else if (index && !isWithin(index, limits.of('point.ambiguous', system)))
    found.push(
      make(limits, input, 'point.ambiguous', 'advice', fields, {
        message: 'So weak a rock is judged better by compressing a core.',
        action: 'Say so with the result; the index says little of its strength.',
      }),
    );
  return found;
}

function breakFindings(input: PointLoadInput, { depth }: PointValues, limits: Limits): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const time = readMeasure(input, 'time')?.value;
  const window = limits.of('point.time', system);
  if (time && !isWithin(time, window)) {
    const early = time.lessThan(window.low ?? 0);
    found.push(
      make(
        limits,
        input,
        'point.time',
        'departure',
        ['time'],
        {
          message: `Failed after ${plainOf(time, 's')}, too ${early ? 'soon' : 'late'}.`,
          action: `${early ? 'Pump more slowly' : 'Pump faster'}: it counts only where a reviewer accepts the reason.`,
          remark: `Failed after ${plainOf(time, 's')}; ${window.text} is asked for.`,
        },
        true,
      ),
    );
  }
  const after = readMeasure(input, 'depthAtFailure')?.value;
  if (input.dugIn === 'yes' && !after)
    found.push(
      finding({
        id: 'point.dug-in',
        severity: 'departure',
        needsReason: false,
        fields: ['dugIn', 'depthAtFailure'],
        message: 'The points dug in, and how deep is not said: the index comes out too low.',
        action: 'Read the depth between the points as they stand now.',
        remark: 'Penetration of the points not measured; index biased low.',
      }),
    );
  if (after && depth && after.greaterThan(depth))
    found.push(
      finding({
        id: 'point.depth-order',
        severity: 'departure',
        needsReason: true,
        fields: ['depthAtFailure', 'separation'],
        message: 'The points stand further apart at failure than before the load.',
        action: 'Check which is which, and the digits.',
        remark: 'Depth at failure not consistent with the depth before.',
      }),
    );
  const unfit = input.fracture && NO_TEST[input.fracture];
  if (unfit)
    found.push(
      finding({
        id: `point.${input.fracture}`,
        severity: 'invalid',
        fields: ['fracture'],
        message: unfit[0],
        action: unfit[1],
      }),
    );
  return found;
}

/** What is odd beside what was expected: the frame is too small, the load is of another unit, the rock is soil. */
function expectedFindings(
  input: PointLoadInput,
  { load, expected }: PointValues,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const unit = FORCE_UNIT[system];
  const found: Finding[] = [];
  const frame = setup.equipment?.find(({ number }) => number === input.frame);
  const most = setupMeasure(frame?.verifiedTo, 'force', unit);
  const share = expected && most?.greaterThan(0) ? expected.div(most).times(100) : undefined;
  if (share && !load && !isWithin(share, limits.of('point.capacity', system)))
    found.push(
      make(limits, input, 'point.capacity', 'advice', ['frame', 'separation'], {
        message: `About ${plainOf(expected?.toSignificantDigits(2) ?? exact(0), unit)} is expected: ${share.toFixed(0)} % of what the frame is verified to.`,
        action: 'Take a smaller piece, or a stronger frame.',
      }),
    );
  if (load && expected && !isWithin(load.div(expected), limits.of('point.far', system)))
    found.push(
      make(limits, input, 'point.far', 'advice', ['load', 'pressure'], {
        message: `${plainOf(load.toSignificantDigits(3), unit)} where about ${plainOf(expected.toSignificantDigits(2), unit)} was expected.`,
        action: 'Check the unit that was read, and whether it is the same rock.',
      }),
    );
  const weathering = factText(setup, 'weathering');
  if (weathering && ['IV', 'V', 'VI'].includes(weathering))
    found.push(
      finding({
        id: 'point.weathered',
        severity: 'advice',
        fields: ['type'],
        message: `Weathered to grade ${weathering}: the point load is made for sound rock.`,
        action: 'Say the grade with the result; compress cores where the number matters.',
      }),
    );
  return found;
}
