import { cite, type Limit, type LimitId } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { between, crossing, difference, greatestDrop, meanOver } from '../../temperature';
import { type Finding, finding } from '../../working';
import { readMeasure } from '../fields';
import { initialRange } from '../initial-curing/compute';
import { limitFinding } from '../limit-finding';
import { degreeUnits } from '../temperature/units';
import { at, DAY_H, type Known, outside, placesOf } from './known';

/** What the concrete, or the box, is held to. */
export function heldFindings(known: Known): Finding[] {
  const { input } = known;
  if (input.purpose === 'box') return boxFindings(known);
  if (input.purpose === 'places') return placesFindings(known);
  return [...(input.purpose === 'mass' ? massFindings(known) : []), ...fallFindings(known)];
}

function boxFindings(known: Known): Finding[] {
  const { input, setup, limits, main } = known;
  const { system } = input;
  const range = initialRange(setup, limits, system);
  const { unit, temperature, degrees } = degreeUnits(system);
  const { above, below, degreesAbove, degreesBelow, unknown } = outside(known);
  const found: Finding[] = [];
  if (unknown > 0)
    found.push(
      finding({
        id: 'record.box-gap',
        severity: 'departure',
        fields: ['record'],
        message: `Nothing is known of ${unknown.toFixed(1)} h of it.`,
        action: 'Look for the missing rows; say in the remarks what the thermometer in the box showed.',
        remark: `Temperature of the box not known for ${unknown.toFixed(1)} h.`,
      }),
    );
  if (above + below === 0) return found;
  const [low, high] = [Math.min(...main.series.celsius), Math.max(...main.series.celsius)].map(temperature);
  const [freezing, hot] = [limits.number('box.freezing', system), limits.number('box.hot', system)];
  const farthest = exact(
    Math.max(
      high && range.high ? high.minus(range.high).toNumber() : 0,
      low && range.low ? range.low.minus(low).toNumber() : 0,
    ),
  );
  const hours = exact(above + below);
  const sum = degrees(degreesAbove + degreesBelow);
  const number = (id: LimitId): Exact => limits.number(id, system);
  const extreme = (low && !low.greaterThan(freezing)) || (high && !high.lessThan(hot));
  const severity = extreme
    ? 'severe'
    : !hours.greaterThan(number('box.minor-hours')) && !farthest.greaterThan(number('box.minor-degrees'))
      ? 'minor'
      : !hours.greaterThan(number('box.moderate-hours')) && !sum.greaterThan(number('box.moderate-sum'))
        ? 'moderate'
        : 'severe';
  const said = `${low ? plainOf(low.toDecimalPlaces(1), unit) : '?'} to ${high ? plainOf(high.toDecimalPlaces(1), unit) : '?'}: below for ${below.toFixed(1)} h, above for ${above.toFixed(1)} h`;
  const within = main.tolerance !== null && farthest.lessThan(degrees(main.tolerance));
  found.push(
    finding({
      id: range.id,
      severity: 'departure',
      fields: ['record'],
      limit: cite(range),
      message: `The box was at ${said}. Not standard initial curing, ${severity}${within ? '; within the accuracy of the sensor' : ''}.`,
      action:
        extreme && low && !low.greaterThan(freezing)
          ? 'Frozen before 500 psi [3.5 MPa] concrete is damaged for good: tell the engineer. Strengths are not corrected.'
          : 'Put the box right. A hot first day costs strength at 28 days, a cold one delays it; strengths are not corrected.',
      remark: `Initial curing at ${said}; ${range.text} is standard.`,
    }),
  );
  return found;
}

function placesFindings({ sensors, from, to }: Known): Finding[] {
  const [a, b] = placesOf(sensors);
  if (!a || !b)
    return [
      finding({
        id: 'record.one-place',
        severity: 'advice',
        fields: ['record'],
        message: 'There is a record of one place only.',
        action: 'Add the record of the other place, or say in the table of sensors where each is.',
      }),
    ];
  const [cool, warm] = [a, b]
    .map((each) => ({ each, mean: meanOver(between(each.series, from, to)) ?? 0 }))
    .toSorted((x, y) => x.mean - y.mean);
  return [
    finding({
      id: 'record.places',
      severity: 'advice',
      fields: ['record'],
      message: `${warm?.each.name} was warmer than ${cool?.each.name} all in all: its specimens lead early and lag later.`,
      action:
        'Compare strengths only at one age and one index; a 28-day strength of a warm place is usually lower.',
    }),
  ];
}

function massFindings({ input, limits, sensors, main, from, to }: Known): Finding[] {
  const { system } = input;
  const { unit, temperature, degrees, difference: apartUnit } = degreeUnits(system);
  const found: Finding[] = [];
  const highest = temperature(main.channel.highest.celsius - (main.bath ?? 0));
  const most = limits.of('mass.highest', system);
  const shown = plainOf(highest.toDecimalPlaces(1), unit);
  if (most.high && highest.greaterThan(most.high))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'mass.highest', severity: 'departure', needsReason: true, fields: ['record'] },
        {
          message: `It came to ${shown}.`,
          action:
            'Tell the engineer today: above it later expansion is a danger, and the plan for the next pour has to change. The limit in °F and the one in °C are two texts; say which one the project has.',
          remark: `Highest temperature ${shown}, over ${most.text}.`,
        },
      ),
    );
  const [core, surface, air] = (['core', 'surface', 'air'] as const).map((place) => at(sensors, place));
  if (!core || !surface)
    return [
      ...found,
      finding({
        id: 'record.no-surface',
        severity: 'departure',
        fields: ['sensors'],
        message: `No sensor ${core ? 'at the surface' : 'in the core'}: the difference is not known.`,
        action: 'Say in the table which sensor is where; put a spare at each place the next time.',
        remark: 'Difference of core and surface not recorded.',
      }),
    ];
  const apart = difference(between(core.series, from, to), between(surface.series, from, to));
  const limit = limits.of('mass.difference', system);
  if (apart && limit.high && degrees(apart.greatest.celsius).greaterThan(limit.high)) {
    const over = plainOf(degrees(apart.greatest.celsius).toDecimalPlaces(1), apartUnit);
    const first = apart.celsius.findIndex((value) => limit.high && degrees(value).greaterThan(limit.high));
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'mass.difference', severity: 'departure', needsReason: true, fields: ['record'] },
        {
          message: `The core was ${over} over the surface, ${(apart.greatest.at - from).toFixed(0)} h after placing; over the limit from ${((apart.hours[first] ?? from) - from).toFixed(0)} h on.`,
          action:
            'Insulate the surface, never cool it: it cracks when it is colder than its core. Tell the engineer.',
          remark: `Core ${over} over the surface, ${limit.text} asked.`,
        },
      ),
    );
  } else if (apart && limit.high) found.push(...forecastFindings(apart, limit, system));
  const toAir = air && difference(between(core.series, from, to), between(air.series, from, to));
  const last = toAir?.celsius.at(-1);
  const allowed = limits.of('mass.to-air', system);
  if (last !== undefined && allowed.high && degrees(last).greaterThan(allowed.high))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'mass.to-air', severity: 'advice', fields: ['record'] },
        {
          message: `The core is still ${plainOf(degrees(last).toDecimalPlaces(1), apartUnit)} over the air.`,
          action: 'Leave the protection on and go on recording until it is less.',
        },
      ),
    );
  return found;
}

/** A difference that still rises: when it comes to its limit, while there is time to do something. */
function forecastFindings(
  apart: { readonly hours: readonly number[]; readonly celsius: readonly number[] },
  limit: Limit,
  system: Known['input']['system'],
): Finding[] {
  const { degrees, toDifference, difference: unit } = degreeUnits(system);
  const coming = limit.high && crossing(apart, toDifference(limit.high));
  if (!coming) return [];
  const [soonest, latest] = [Math.floor(coming.soonest), Math.ceil(coming.latest)];
  return [
    finding({
      id: 'mass.forecast',
      severity: 'advice',
      fields: ['record'],
      limit: cite(limit),
      message: `The core is ${plainOf(degrees(apart.celsius.at(-1) ?? 0).toDecimalPlaces(1), unit)} over the surface and it rises: at this rate it is over ${limit.text.replace(/^≤ ?/u, '')} in ${soonest} to ${latest} h.`,
      action:
        'Insulate the surface now. A straight line carried on is no certainty: read the logger again before then.',
    }),
  ];
}

/** How fast a member of that size may cool. */
function fallFindings({ input, limits, main, from, to }: Known): Finding[] {
  const { system } = input;
  const thickness = readMeasure(input, 'thickness');
  const drop = greatestDrop(between(main.series, from, to), DAY_H);
  if (!thickness || !drop) return [];
  const up = (id: LimitId): boolean => !thickness.value.greaterThan(limits.number(id, system));
  const id = up('protection.thin')
    ? 'protection.drop-thin'
    : up('protection.middle')
      ? 'protection.drop-middle'
      : up('protection.thick')
        ? 'protection.drop-thick'
        : 'protection.drop-mass';
  const most = limits.of(id, system);
  const { degrees, difference: unit } = degreeUnits(system);
  const fell = degrees(drop.celsius);
  if (!most.high || !fell.greaterThan(most.high)) return [];
  const shown = plainOf(fell.toDecimalPlaces(1), unit);
  return [
    limitFinding(
      limits,
      system,
      { id, severity: 'departure', fields: ['record'] },
      {
        message: `It fell by ${shown} in a day, up to ${(drop.at - from).toFixed(0)} h after placing.`,
        action: 'Put the protection back and take it off in steps; look for cracks.',
        remark: `Fell by ${shown} in a day; ${most.text} asked.`,
      },
    ),
  ];
}
