import { hardeningHours, padBand, padFit, padFor, padLife, usesLeft } from '../../ends';
import { cite, isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { durationText } from '../../windows';
import { type Finding, finding } from '../../working';
import { EndsTold } from '../batch-facts';
import { compoundFinding, hardensIn } from '../compound-checks';
import { dayOf } from '../equipment-checks';
import { factOf } from '../facts';
import { readMeasure } from '../fields';
import { expectedStrength, LENGTH_UNIT, STRESS_UNIT } from '../press';
import { type RunSetup, setupMeasure } from '../setup';
import type { CylinderCompressionInput } from './input';

/**
 * Caps, ground ends or pads against this specimen: before the load against the strength expected, after it against the
 * strength it proved.
 * @param strength proved, psi or MPa
 */
export function endsFindings(
  input: CylinderCompressionInput,
  setup: RunSetup,
  limits: Limits,
  strength: Exact | undefined,
): Finding[] {
  const known = strength ?? expectedStrength(setup, input.system, limits);
  const ends = factOf(setup, 'ends', EndsTold);
  return [
    ...(input.ends === 'pads'
      ? [...padFindings(input, setup, limits, known, strength !== undefined), ...lookFindings(input, limits)]
      : []),
    ...(ends ? batchFindings(input, setup, limits, ends, strength) : []),
  ];
}

function padFindings(
  input: CylinderCompressionInput,
  setup: RunSetup,
  limits: Limits,
  strength: Exact | undefined,
  proved: boolean,
): Finding[] {
  const { system } = input;
  const item = setup.equipment?.find(({ number }) => number === input.pads);
  const facts = item?.pads;
  const unit = STRESS_UNIT[system];
  const found: Finding[] = [];
  if (!facts) {
    if (!strength || padFor(strength, system, limits) !== null) return found;
    const least = limits.of('pads.strength-50', system);
    found.push(
      finding({
        id: 'pads.not-permitted',
        severity: 'departure',
        needsReason: true,
        beforeLoad: true,
        fields: ['ends'],
        limit: cite(least),
        message: `Pads are not permitted at about ${plainOf(strength, unit)}.`,
        action: 'Grind the ends, or use bonded caps.',
        remark: 'Unbonded pads outside the strengths they are permitted for.',
      }),
    );
    return found;
  }
  if (strength) {
    const fit = padFit(facts.durometer, strength, system, limits);
    const qualified = setupMeasure(facts.qualifiedTo, 'stress', unit);
    const shownFrom = setupMeasure(facts.qualifiedFrom, 'stress', unit);
    const good =
      fit === 'fits' ||
      (fit === 'fits when qualified' &&
        qualified?.greaterThanOrEqualTo(strength) &&
        (shownFrom?.lessThanOrEqualTo(strength) ?? true));
    if (!good) {
      const band = limits.of(padBand(facts.durometer), system);
      const better = padFor(strength, system, limits);
      found.push(
        finding({
          id: fit === 'does not fit' ? 'pads.band' : 'pads.qualified',
          severity: 'departure',
          needsReason: true,
          beforeLoad: true,
          fields: ['pads'],
          limit: cite(band),
          message: `${item.number} is ${facts.durometer} durometer; ${proved ? 'it broke at' : 'expected is about'} ${plainOf(strength, unit)}.`,
          action:
            fit === 'fits when qualified'
              ? 'Above this band pads are used only when they are qualified to the strength: grind, cap, or show the qualification.'
              : proved
                ? `A reviewer looks at it; take ${better ?? 'no pads'} for its companions.`
                : better
                  ? `Take ${better} durometer.`
                  : 'Grind or cap: pads are not permitted here.',
          remark: `Pads of ${facts.durometer} durometer outside their strengths.`,
        }),
      );
    }
  }
  const highest = setupMeasure(facts.highest, 'stress', unit);
  const left = usesLeft(facts.uses ?? 0, [highest, strength], system, limits);
  const limit = limits.of(padLife([highest, strength], system, limits), system);
  if (left <= 0)
    found.push(
      finding({
        id: 'pads.reuse',
        severity: 'departure',
        needsReason: true,
        beforeLoad: true,
        fields: ['pads'],
        limit: cite(limit),
        message: `${item.number} has been used ${facts.uses} times.`,
        action: 'Take new pads and enter them under Gear; turning a pad over does not begin anew.',
        remark: `Pads used ${facts.uses} times before this test.`,
      }),
    );
  else if (left <= 5)
    found.push(
      finding({
        id: 'pads.reuse-soon',
        severity: 'advice',
        fields: ['pads'],
        limit: cite(limit),
        message: `${item.number}: ${left} ${left === 1 ? 'test is' : 'tests are'} left in these pads.`,
        action: 'Have new ones at hand.',
      }),
    );
  const length = LENGTH_UNIT[system];
  const retainer = setupMeasure(facts.retainer, 'length', length);
  const diameter = readMeasure(input, 'diameter1')?.value;
  const share = retainer && diameter ? retainer.div(diameter).times(100) : undefined;
  const fits = limits.of('pads.retainer', system);
  if (share && !isWithin(share, fits))
    found.push(
      finding({
        id: 'pads.retainer',
        severity: 'departure',
        needsReason: true,
        beforeLoad: true,
        fields: ['pads', 'diameter1'],
        limit: cite(fits),
        message: `The retainer is ${share.toFixed(2)} % of the cylinder.`,
        action: exact(share).lessThan(fits.low ?? 0)
          ? 'Too tight: it binds on the side. Take larger retainers, or grind.'
          : 'Too loose: the pad flows out beside the specimen. Take the right retainers.',
        remark: `Retainer ${share.toFixed(1)} % of the cylinder’s diameter.`,
      }),
    );
  const pad = setupMeasure(facts.pad, 'length', length);
  const gap = limits.of('pads.gap', system);
  if (retainer && pad && !isWithin(retainer.minus(pad), gap))
    found.push(
      finding({
        id: 'pads.gap',
        severity: 'departure',
        needsReason: false,
        beforeLoad: true,
        fields: ['pads'],
        limit: cite(gap),
        message: `The pad is ${retainer.minus(pad).toFixed(2)} ${length} smaller than its retainer.`,
        action: 'Take pads of the right diameter.',
        remark: 'Pads too small for their retainers.',
      }),
    );
  return found;
}

/** The pads as they were looked over, and what they are asked to bridge. */
function lookFindings(input: CylinderCompressionInput, limits: Limits): Finding[] {
  const found: Finding[] = [];
  if (input.padsLooked === 'split' || input.padsLooked === 'hard')
    found.push(
      finding({
        id: 'pads.worn',
        severity: 'invalid',
        beforeLoad: true,
        fields: ['padsLooked'],
        message: input.padsLooked === 'split' ? 'A pad is split.' : 'A pad has hard spots or lost its shape.',
        action: 'Take new pads before the load, and retire these under Gear.',
      }),
    );
  if (input.padsLooked === undefined && input.maximumLoad)
    found.push(
      finding({
        id: 'pads.not-looked',
        severity: 'advice',
        fields: ['padsLooked'],
        message: 'Not recorded that the pads were looked over.',
        action: 'Look now: a split or a hard spot belongs to this result.',
      }),
    );
  const hollow = readMeasure(input, 'depression');
  const most = limits.of('pads.depression', input.system);
  if (hollow && !isWithin(hollow.value, most))
    found.push(
      finding({
        id: 'pads.depression',
        severity: 'invalid',
        beforeLoad: true,
        fields: ['depression'],
        limit: cite(most),
        message: `A hollow of ${plainOf(hollow.value, hollow.unit)} is more than pads may bridge.`,
        action: 'Grind, saw or cap the end.',
      }),
    );
  return found;
}

function batchFindings(
  input: CylinderCompressionInput,
  setup: RunSetup,
  limits: Limits,
  ends: EndsTold,
  strength: Exact | undefined,
): Finding[] {
  const { system } = input;
  const unit = STRESS_UNIT[system];
  const found: Finding[] = [];
  if (input.ends && input.ends !== ends.kind)
    found.push(
      finding({
        id: 'ends.other',
        severity: 'advice',
        fields: ['ends'],
        message: `Batch ${ends.batch} says its ends are ${ends.kind === 'ground' ? 'ground' : `capped with ${ends.kind}`}.`,
        action: 'Look at the specimen, and choose what is there.',
      }),
    );
  for (const [index, words] of (ends.remarks ?? []).entries())
    found.push(
      finding({
        id: `ends.batch-${index}`,
        severity: 'departure',
        needsReason: false,
        fields: ['ends'],
        message: `${ends.batch}: ${words}`,
        action: 'It is reported with every specimen of the batch.',
        remark: `${ends.batch}: ${words}`,
      }),
    );
  if (ends.kind === 'ground' || input.ends === 'pads') return found;
  const at = input.testedAt ?? setup.asOf;
  const expected = expectedStrength(setup, system, limits);
  const shown = hardensIn(
    ends.qualified,
    strength ?? expected,
    dayOf(ends.finishedAt, setup),
    system,
    limits,
  );
  const hard = hardeningHours(ends.kind, strength ?? expected, system, limits, strength === undefined, shown);
  if (at && ends.finishedAt) {
    const minutes = (Date.parse(at) - Date.parse(ends.finishedAt)) / 60_000;
    if (exact(minutes).lessThan(hard.hours.times(60)))
      found.push(
        finding({
          id: 'caps.hardening',
          severity: 'departure',
          needsReason: true,
          beforeLoad: true,
          fields: ['ends'],
          limit: cite(limits.of(hard.limit, system)),
          message: `The youngest cap of ${ends.batch} is ${durationText(Math.max(0, minutes))} old; it hardens ${hard.hours} h${strength ? ' at the strength it proved' : ''}.`,
          action: input.maximumLoad
            ? 'The number stands with the remark; a reviewer decides. Plan the longer time from 4,500 psi [31 MPa] on.'
            : 'Put it back in moist storage until the caps are hard.',
          remark: `Caps ${durationText(Math.max(0, minutes))} old at the test.`,
        }),
      );
  }
  const compound = setupMeasure(ends.compound, 'stress', unit);
  found.push(
    ...compoundFinding({
      // Before the load the batch's own run says it.
      strength,
      proved: true,
      cubes: compound,
      lot: 'the compound',
      compound: ends.qualified,
      day: dayOf(ends.finishedAt, setup),
      system,
      limits,
      fields: ['ends', 'maximumLoad'],
    }),
  );
  if (ends.length && !input.length)
    found.push(
      finding({
        id: 'ends.length',
        severity: 'advice',
        fields: ['length'],
        message: `${ends.batch} found its length ${ends.length}.`,
        action: 'Type the length: the factor and the density rest on it.',
      }),
    );
  return found;
}
