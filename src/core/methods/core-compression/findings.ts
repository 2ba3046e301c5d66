import { DateTime } from 'luxon';
import { isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { durationText } from '../../windows';
import { type Finding, finding, type Severity } from '../../working';
import { readMeasure } from '../fields';
import { type FindingWords, limitFinding } from '../limit-finding';
import { LENGTH_UNIT, zeroFindings } from '../press';
import type { RunSetup } from '../setup';
import type { CoreDiameter } from './diameter';
import type { CoreCompressionInput } from './input';

const DAY = 86_400_000;

interface Sizes {
  readonly diameter: CoreDiameter | undefined;
  readonly before: Exact | undefined;
  readonly length: Exact | undefined;
}

/** What the times, the shape and the state of a core say. */
export function coreFindings(
  input: CoreCompressionInput,
  setup: RunSetup,
  limits: Limits,
  sizes: Sizes,
): Finding[] {
  return [
    ...timeFindings(input, setup, limits),
    ...sizeFindings(input, limits, sizes),
    ...zeroFindings(input),
  ];
}

/** When a core may be tested, from drilling and last wetting; undefined until both are known. */
export function coreWindow(
  drilledAt: string | undefined,
  wettedAt: string | undefined,
  days: { readonly dry: number; readonly test: number },
): { readonly opensAt: number; readonly closesAt: number } | undefined {
  const [drilled, wetted] = [Date.parse(drilledAt ?? ''), Date.parse(wettedAt ?? drilledAt ?? '')];
  if (Number.isNaN(drilled) || Number.isNaN(wetted)) return undefined;
  return { opensAt: Math.max(wetted, drilled) + days.dry * DAY, closesAt: drilled + days.test * DAY };
}

function timeFindings(input: CoreCompressionInput, setup: RunSetup, limits: Limits): Finding[] {
  const found: Finding[] = [];
  const { system } = input;
  const drilled = Date.parse(input.drilledAt ?? '');
  if (Number.isNaN(drilled)) return found;
  const at = input.testedAt ?? setup.asOf;
  const departure = (
    id: LimitId,
    fields: readonly string[],
    words: Required<FindingWords>,
    heavy: boolean,
  ): void => {
    const about = { id, severity: 'departure', needsReason: heavy, beforeLoad: true, fields } as const;
    found.push(limitFinding(limits, system, about, words));
  };
  const bagged = Date.parse(input.baggedAt ?? '');
  if (!Number.isNaN(bagged)) {
    const hours = exact(bagged - drilled).div(3_600_000);
    if (!isWithin(hours, limits.of('core.bag', system)))
      departure(
        'core.bag',
        ['baggedAt'],
        {
          message: `Sealed ${durationText((bagged - drilled) / 60_000)} after drilling.`,
          action: 'Bag the next ones as soon as the surface is dry.',
          remark: `Core sealed ${durationText((bagged - drilled) / 60_000)} after drilling.`,
        },
        false,
      );
  }
  const wetted = Date.parse(input.wettedAt ?? '');
  if (
    !Number.isNaN(wetted) &&
    !isWithin(exact(wetted - drilled).div(DAY), limits.of('core.wet-ends', system))
  )
    departure(
      'core.wet-ends',
      ['wettedAt'],
      {
        message: `Wetted ${durationText((wetted - drilled) / 60_000)} after drilling.`,
        action: 'Ask the specifier whether these cores, or another conditioning, will do.',
        remark: `Ends wetted ${durationText((wetted - drilled) / 60_000)} after drilling.`,
      },
      true,
    );
  const days = {
    dry: limits.number('core.dry', system).toNumber(),
    test: limits.number('core.test', system).toNumber(),
  };
  const window = coreWindow(input.drilledAt, input.wettedAt, days);
  if (!window || !at) return found;
  const clock = (instant: number): string =>
    DateTime.fromMillis(instant, { zone: setup.zone ?? 'utc' }).toFormat('ccc d LLL HH:mm');
  if (window.opensAt > window.closesAt) {
    departure(
      'core.dry',
      ['wettedAt', 'drilledAt'],
      {
        message: `No window: ${days.dry} days after the last wetting is ${clock(window.opensAt)}, ${days.test} days after drilling was ${clock(window.closesAt)}.`,
        action: 'Ask the specifier for another conditioning before going on.',
        remark: 'Wetted too late for the ordinary conditioning.',
      },
      true,
    );
    return found;
  }
  const tested = Date.parse(at);
  if (tested < window.opensAt)
    departure(
      'core.dry',
      ['wettedAt', 'testedAt'],
      {
        message: `The window opens ${clock(window.opensAt)}: moisture is still uneven.`,
        action: 'Leave it in its bag. This wait is never shortened unless the specifier says so.',
        remark: `Tested ${durationText((tested - Date.parse(input.wettedAt ?? input.drilledAt ?? '')) / 60_000)} after the last wetting.`,
      },
      true,
    );
  if (tested > window.closesAt)
    departure(
      'core.test',
      ['drilledAt', 'testedAt'],
      {
        message: `The window closed ${clock(window.closesAt)}.`,
        action:
          'Test it all the same if the engineer wants the number; the engineer decides whether it counts.',
        remark: `Tested ${durationText((tested - drilled) / 60_000)} after drilling.`,
      },
      true,
    );
  return found;
}

function sizeFindings(input: CoreCompressionInput, limits: Limits, sizes: Sizes): Finding[] {
  const found: Finding[] = [];
  const { system } = input;
  const unit = LENGTH_UNIT[system];
  const { diameter, before, length } = sizes;
  const add = (
    id: LimitId,
    severity: Severity,
    fields: readonly string[],
    message: string,
    action: string,
    remark?: string,
  ): void => {
    const words = { message, action, ...(remark ? { remark } : {}) };
    found.push(limitFinding(limits, system, { id, severity, beforeLoad: true, fields }, words));
  };
  if (!diameter) return found;
  if (!isWithin(diameter.spread, limits.of('core.spread', system)))
    add(
      'core.spread',
      'invalid',
      ['diameter1', 'diameter2'],
      `The diameters differ by ${diameter.spread.toFixed(2)} % of their mean.`,
      'Measure both again. If it stands, do not test this core.',
    );
  const small = !isWithin(diameter.mean, limits.of('core.diameter', system));
  if (small && input.member !== 'other')
    add(
      'core.diameter',
      'departure',
      ['diameter1', 'member'],
      `The core is ${plainOf(diameter.mean, unit)} in a load-bearing member.`,
      'Smaller cores only where a length of one diameter cannot be had otherwise; the specifier decides.',
      `Core diameter ${plainOf(diameter.mean, unit)}, below the usual least.`,
    );
  const aggregate = readMeasure(input, 'aggregate')?.value;
  if (aggregate && !isWithin(diameter.mean.div(aggregate), limits.of('core.aggregate', system)))
    add(
      'core.aggregate',
      'departure',
      ['aggregate', 'diameter1'],
      `The diameter is ${diameter.mean.div(aggregate).toFixed(1)} times the aggregate.`,
      'A larger core; three times is preferred.',
      'Core diameter small against the aggregate.',
    );
  if (before && !isWithin(before.div(diameter.mean), limits.of('core.length-before', system)))
    add(
      'core.length-before',
      'invalid',
      ['lengthBefore'],
      `Before capping the length is ${before.div(diameter.mean).toFixed(3)} of the diameter.`,
      'Do not test it: too short.',
    );
  if (before && length?.lessThan(before) && input.ends !== 'ground' && input.ends !== undefined)
    found.push(
      finding({
        id: 'core.length-order',
        severity: 'departure',
        needsReason: true,
        beforeLoad: true,
        fields: ['lengthBefore', 'length'],
        message: `Capped it is shorter (${plainOf(length, unit)}) than it was before (${plainOf(before, unit)}).`,
        action: 'Caps only add to the length: measure both again, or say that the ends were sawn or ground.',
        remark: 'Lengths before and after capping not consistent.',
      }),
    );
  if (length && !isWithin(length.div(diameter.mean), limits.of('core.length-after', system)))
    add(
      'core.length-after',
      'invalid',
      ['length'],
      `Capped, the length is ${length.div(diameter.mean).toFixed(3)} of the diameter.`,
      'Do not test it: too short; the factors end at one.',
    );
  const longest = limits.of('core.preferred', system);
  if (length && longest.high && length.div(diameter.mean).greaterThan(longest.high))
    add(
      'core.preferred',
      'advice',
      ['length'],
      `The core is ${length.div(diameter.mean).toFixed(2)} diameters long.`,
      'Trim it to about two diameters, and let it dry again.',
    );
  return found;
}
