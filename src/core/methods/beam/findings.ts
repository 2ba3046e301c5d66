import { isWithin, type LimitId, type Limits } from '../../limits';
import { isMould, mouldOf } from '../../moulds';
import { type Exact, exact, largest, plainOf, type System, smallest } from '../../quantity';
import { durationText } from '../../windows';
import { type Finding, finding } from '../../working';
import { factTexts } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { isStandard, LENGTH_UNIT, STRESS_UNIT } from '../press';
import type { RunSetup } from '../setup';
import type { Arrangement } from './arrangement';
import { CONTACTS } from './field-specs';
import type { BeamInput } from './input';
import { type BeamSize, DEPTHS, readAll, WIDTHS } from './sizes';

interface About {
  readonly input: BeamInput;
  readonly setup: RunSetup;
  readonly limits: Limits;
  readonly size: BeamSize | undefined;
  readonly arrangement: Arrangement;
}

const HOUR = 3_600_000;

/** What is wrong with a beam, its fixture and its sizes, whatever load it took. */
export function beamFindings(about: About): Finding[] {
  return [
    ...madeFindings(about),
    ...waterFindings(about),
    ...sideFindings(about),
    ...fixtureFindings(about),
    ...leatherFindings(about),
    ...sizeFindings(about),
  ];
}

/** Whether it is registered as sawn out of what was placed; undefined where it has no form. */
function registeredSawn({ specimen }: RunSetup): boolean | undefined {
  const form = specimen?.form ?? '';
  return isMould(form) ? mouldOf(form).kind === 'sawn beam' : undefined;
}

function isSawn(input: BeamInput, setup: RunSetup): boolean {
  return registeredSawn(setup) === true || input.made === 'sawn';
}

/** What it is registered as, against what is said of it. */
function madeFindings({ input, setup }: About): Finding[] {
  const registered = registeredSawn(setup);
  if (!input.made || registered === undefined || registered === (input.made === 'sawn')) return [];
  return [
    finding({
      id: 'beam.made',
      severity: 'departure',
      needsReason: true,
      fields: ['made'],
      message: `It is registered as ${registered ? 'sawn out of the slab' : 'moulded'}.`,
      action: 'Look at its label: water, side and what it is averaged with hang on it.',
      remark: `Made otherwise than registered: ${input.made}.`,
    }),
  ];
}

/** How long it lay in its water before it was taken out, and how warm that was. */
function waterFindings({ input, setup, limits }: About): Finding[] {
  const { waterFrom, outOfMoistAt } = input;
  const found: Finding[] = [];
  const temperature = readMeasure(input, 'waterTemperature');
  const warmth = limits.of('beam.water-temperature', input.system);
  if (temperature && isStandard(setup) && !isWithin(temperature.value, warmth))
    found.push(
      limitFinding(
        limits,
        input.system,
        {
          id: 'beam.water-temperature',
          severity: 'departure',
          fields: ['waterTemperature'],
          beforeLoad: true,
        },
        {
          message: `The water is at ${plainOf(temperature.value, temperature.unit)}.`,
          action: 'Bring the tank back into its range; say so with this beam.',
          remark: `Water before the test at ${plainOf(temperature.value, temperature.unit)}.`,
        },
      ),
    );
  const [from, to] = [Date.parse(waterFrom ?? ''), Date.parse(outOfMoistAt ?? setup.asOf ?? '')];
  if (Number.isNaN(from) || Number.isNaN(to) || to < from) return found;
  const id: LimitId = isSawn(input, setup)
    ? 'beam.water-sawn'
    : isStandard(setup)
      ? 'beam.water'
      : 'beam.water-field';
  const hours = exact((to - from) / HOUR);
  if (isWithin(hours, limits.of(id, input.system))) return found;
  const lay = durationText(Math.round((to - from) / 60_000));
  found.push(
    limitFinding(
      limits,
      input.system,
      { id, severity: 'departure', fields: ['waterFrom'], beforeLoad: true },
      {
        message: `It lay in its water for ${lay}.`,
        action: 'Where the age window allows, put it back and wait.',
        remark: `In water before the test for ${lay}.`,
      },
    ),
  );
  return found;
}

/** The face that the load goes on: a mould-formed side, in IS the surface as cast. */
function sideFindings({ input, setup, limits }: About): Finding[] {
  const { side } = input;
  if (!side) return [];
  const wanted = isSawn(input, setup) ? 'sawn' : limits.profile === 'is' ? 'top' : 'side';
  if (side === wanted) return [];
  const words = {
    side: 'A moulded beam is turned on its side: the trowelled face is never plane, and it is the weakest.',
    top: 'IS loads the surface as it was cast.',
    sawn: 'A sawn beam is loaded on its top or bottom as it lay in the slab.',
  }[wanted];
  return [
    finding({
      id: 'beam.side',
      severity: 'departure',
      needsReason: true,
      beforeLoad: true,
      fields: ['side'],
      message: words,
      action: 'Turn it before it is loaded.',
      remark: 'Loaded on another face than the method asks for.',
    }),
  ];
}

/** Span and overhangs. */
function fixtureFindings({ input, limits, size }: About): Finding[] {
  const { system } = input;
  const unit = LENGTH_UNIT[system];
  const found: Finding[] = [];
  const span = readMeasure(input, 'span')?.value;
  const limit = limits.of('beam.span', system);
  if (span && size) {
    const ratio = span.div(size.depth);
    if (!isWithin(ratio, limit))
      found.push(
        limitFinding(
          limits,
          system,
          {
            id: 'beam.span',
            severity: 'departure',
            fields: ['span'],
            needsReason: true,
            beforeLoad: !size.measured,
          },
          {
            message: `The span is ${ratio.toFixed(3)} times the depth, ${plainOf(span, unit)} for ${plainOf(size.depth.toDecimalPlaces(3), unit)}.`,
            action: size.measured
              ? 'It is broken: the number stands with its deviation, and the engineer says whether it counts.'
              : 'Set the supports to this beam; a fixture is often left from another size.',
            remark: `Span ${ratio.toFixed(3)} times the depth.`,
          },
        ),
      );
  }
  const over = (['overhangLeft', 'overhangRight'] as const).flatMap((name) => {
    const read = readMeasure(input, name)?.value;
    return read ? [{ name, read }] : [];
  });
  const least = limits.of('beam.overhang', system);
  for (const { name, read } of over)
    if (!isWithin(read, least))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'beam.overhang', severity: 'departure', fields: [name], needsReason: true, beforeLoad: true },
          {
            message: `It reaches only ${plainOf(read, unit)} beyond its support.`,
            action: 'Set it in the middle; a beam too short for its span is no test.',
            remark: `Overhang ${plainOf(read, unit)}.`,
          },
        ),
      );
  const [left, right] = over;
  const apart = left && right ? left.read.minus(right.read).abs() : undefined;
  if (apart && !isWithin(apart, limits.of('beam.overhang-alike', system)))
    found.push(
      limitFinding(
        limits,
        system,
        {
          id: 'beam.overhang-alike',
          severity: 'advice',
          fields: ['overhangLeft', 'overhangRight'],
          beforeLoad: true,
        },
        {
          message: `The overhangs differ by ${plainOf(apart, unit)}: it does not lie in the middle.`,
          action: 'Push it until both ends reach equally far.',
        },
      ),
    );
  return found;
}

/** Leather where the school has none. */
function leatherFindings({ input, limits, arrangement }: About): Finding[] {
  const { profile } = limits;
  if (profile !== 'en' && profile !== 'is') return [];
  const laid = arrangement.contacts.filter((name) => input[name as keyof BeamInput] === 'leather');
  if (laid.length === 0) return [];
  return [
    finding({
      id: 'beam.leather',
      severity: 'invalid',
      beforeLoad: true,
      fields: laid,
      message: `${profile === 'en' ? 'EN grinds or caps what does not bear' : 'IS lays nothing between beam and rollers'}: ${laid.map((name) => CONTACTS[name].toLowerCase()).join(', ')}.`,
      action: 'Take the leather out and grind or cap this line.',
    }),
  ];
}

/** Width and depth as they were read: too far apart, or no beam. */
function sizeFindings({ input, limits, size }: About): Finding[] {
  const { system } = input;
  const unit = LENGTH_UNIT[system];
  const found: Finding[] = [];
  for (const [names, what] of [
    [WIDTHS, 'widths'],
    [DEPTHS, 'depths'],
  ] as const) {
    const read = readAll(input, names);
    const apart = read && largest(read).minus(smallest(read));
    if (apart && !isWithin(apart, limits.of('beam.spread', system)))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'beam.spread', severity: 'advice', fields: names },
          {
            message: `The ${what} lie ${plainOf(apart, unit)} apart.`,
            action: 'Measure again now: the pieces are kept until the report is signed.',
          },
        ),
      );
  }
  if (!size?.measured) return found;
  const ratio = size.width.div(size.depth);
  if (!isWithin(ratio, limits.of('beam.square', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'beam.square', severity: 'advice', fields: ['width1', 'depth1'] },
        {
          message: `It is ${ratio.toFixed(2)} times as wide as deep.`,
          action:
            'Are width and depth exchanged? They are those as it lies in the machine; the depth counts twice.',
        },
      ),
    );
  return found;
}

/** The load at which the gaps were tried, of the one that is expected. */
export function preloadFindings(
  { input, limits }: Pick<About, 'input' | 'limits'>,
  expected: Exact | undefined,
): Finding[] {
  const preload = readMeasure(input, 'preload');
  if (!preload || !expected || expected.isZero()) return [];
  const share = preload.value.div(expected).times(100);
  const limit = limits.of('beam.preload', input.system);
  if (isWithin(share, limit)) return [];
  const low = limit.low !== undefined && share.lessThan(limit.low);
  return [
    limitFinding(
      limits,
      input.system,
      { id: 'beam.preload', severity: 'advice', fields: ['preload'], beforeLoad: true },
      {
        message: `Gaps were tried at ${share.toFixed(1)} % of the load expected.`,
        action: low
          ? 'Load it a little more and try the leaves again: so low they say nothing.'
          : 'Unload it and begin again, and never try the leaves at a high load.',
      },
    ),
  ];
}

/** A strength that concrete does not have in bending, and one that does not go with its cylinders. */
export function strengthFindings(
  strength: Exact,
  { setup, limits, system }: { readonly setup: RunSetup; readonly limits: Limits; readonly system: System },
): Finding[] {
  const unit = STRESS_UNIT[system];
  const usual = limits.of('beam.usual', system);
  if (!isWithin(strength, usual))
    return [
      limitFinding(
        limits,
        system,
        { id: 'beam.usual', severity: 'departure', needsReason: true, fields: ['maximumLoad'] },
        {
          message: `It would be ${plainOf(strength.toSignificantDigits(3), unit)}.`,
          action:
            'Read the load again, not the stress that the machine shows: that one rests on the area of a cylinder. Are span, width and depth right?',
          remark: 'Modulus of rupture not plausible.',
        },
      ),
    ];
  const cylinders = factTexts(setup, 'cylinders').map((text) => exact(text));
  if (cylinders.length === 0) return [];
  const mean = cylinders.reduce((sum, each) => sum.plus(each)).div(cylinders.length);
  const share = strength.div(mean).times(100);
  if (isWithin(share, limits.of('beam.share', system))) return [];
  return [
    limitFinding(
      limits,
      system,
      { id: 'beam.share', severity: 'advice', fields: ['maximumLoad'] },
      {
        message: `It is ${share.toFixed(1)} % of its cylinders’ ${plainOf(mean.toSignificantDigits(3), unit)}.`,
        action:
          'Where beams fail and cylinders pass: drying, a drop, heat on the first day, the rate, gaps, the fixture. Cylinders never stand in for beams.',
      },
    ),
  ];
}
