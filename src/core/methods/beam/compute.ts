import { cite, isWithin, type Limits, type Profile } from '../../limits';
import { type Exact, plainOf, type System } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, type Source, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { coarseReading, resultOf } from '../outcome';
import { agedFindings, LENGTH_UNIT, orderFindings, STRESS_UNIT } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { type Arrangement, RUPTURE } from './arrangement';
import { beamFindings, preloadFindings, strengthFindings } from './findings';
import type { BeamInput } from './input';
import { type MeanWords, meanLength } from './mean-line';
import { type BreakPlace, placeLimits, placeOf } from './place';
import { pressOf } from './press';
import { BREAKS, DEPTHS, lengthOf, readAll, sizeOf, WIDTHS } from './sizes';

const SOURCES: Readonly<
  Record<Arrangement['kind'], Readonly<Partial<Record<Profile, Source>> & { astm: Source }>>
> = {
  third: {
    astm: standard('ASTM C78/C78M'),
    en: standard('EN 12390-5'),
    is: standard('IS 516'),
  },
  centre: { astm: standard('ASTM C293/C293M'), en: standard('EN 12390-5') },
};

/** The document that a beam is judged by. */
export function sourceOf({ kind }: Arrangement, profile: Profile): Source {
  return SOURCES[kind][profile] ?? SOURCES[kind].astm;
}

/**
 * Modulus of rupture of one beam.
 * @param input span, width, depth and place of the break in in or mm, load in lbf or kN
 * @returns R = P L / (b d²) at third points, 3 P a / (b d²) where it broke a little outside, 3 P L / (2 b d²) in the
 *   middle; no result where it broke too far out
 * Source: ASTM C78/C78M, C293/C293M, EN 12390-5, IS 516 (from memory). The weight of the beam is left out, as in all of them.
 */
export function computeBeam(input: BeamInput, setup: RunSetup, arrangement: Arrangement): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const source = sourceOf(arrangement, limits.profile);
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const findings: Finding[] = [];
  const size = sizeOf(input, setup);
  const [P, L] = ['maximumLoad', 'span'].map((name) => readMeasure(input, name)?.value);
  const breaks = readAll(input, BREAKS);
  const a =
    breaks &&
    meanLength(sheet, breaks, {
      symbol: 'a',
      name: 'Break to the nearer support, mean',
      source,
      system,
      limits,
    });
  const own = measuredLines(input, sheet, { source, system, limits });
  let place: BreakPlace | undefined;
  let strength: Exact | undefined;
  if (own && L && a) {
    place = arrangement.kind === 'third' ? placeOf(a, placeLimits(L, own.d, limits, system)) : 'inside';
    findings.push(...placeFindings({ a, L, place, arrangement, limits, system, input }));
    if (P && !P.isZero() && place !== 'beyond') {
      const step = limits.number('beam.step', system);
      const near = place === 'outside' && limits.profile !== 'en';
      const formula = near ? '3 * P * a / (b * d^2)' : arrangement.formula;
      strength = sheet.line({
        symbol: 'R',
        name: near ? 'Modulus of rupture, at the break' : 'Modulus of rupture',
        formula: `${system === 'US' ? '' : '1000 * '}${formula}`,
        uses: { P, ...(near ? { a } : { L }), b: own.b, d: own.d },
        unit: STRESS_UNIT[system],
        source,
        round: { step, rule: `to ${limits.of('beam.step', system).text}` },
      });
      const other = system === 'US' ? 'SI' : 'US';
      results.push(
        resultOf({
          quantity: RUPTURE,
          symbol: 'R',
          value: strength,
          unit: STRESS_UNIT[system],
          step,
          mode,
          other: { unit: STRESS_UNIT[other], step: limits.number('beam.step', other) },
        }),
      );
      if (arrangement.kind === 'centre') centreLines({ sheet, strength, P, a, own, limits, system, source });
    }
  }
  results.push(...densityOf(input, sheet, own, { limits, source, mode }));
  const test = pressOf(arrangement).test(input, setup);
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...agedFindings(input, setup, limits),
      ...orderFindings(input, setup),
      ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
      ...beamFindings({ input, setup, limits, size, arrangement }),
      ...preloadFindings({ input, limits }, test?.expected),
      ...coarse(input, limits),
      ...findings,
      ...(strength ? strengthFindings(strength, { setup, limits, system }) : []),
    ]),
    verdicts: [],
    picture: pictureOf(input, arrangement, { size, L, a, place, broken: Boolean(P), limits }),
  };
}

interface OwnSize {
  readonly b: Exact;
  readonly d: Exact;
}

function measuredLines(
  input: BeamInput,
  sheet: Sheet,
  words: Omit<MeanWords, 'symbol' | 'name'>,
): OwnSize | undefined {
  const [widths, depths] = [readAll(input, WIDTHS), readAll(input, DEPTHS)];
  if (!widths || !depths) return undefined;
  const b = meanLength(sheet, widths, { symbol: 'b', name: 'Width, mean', ...words });
  return { b, d: meanLength(sheet, depths, { symbol: 'd', name: 'Depth, mean', ...words }) };
}

/** What a load in the middle says besides: the stress at the break itself, and what third points would have read about. */
function centreLines(about: {
  readonly sheet: Sheet;
  readonly strength: Exact;
  readonly P: Exact;
  readonly a: Exact;
  readonly own: OwnSize;
  readonly limits: Limits;
  readonly system: System;
  readonly source: Source;
}): void {
  const { sheet, strength, P, a, own, limits, system, source } = about;
  sheet.line({
    symbol: 'Ra',
    name: 'Stress at the break, for information',
    formula: `${system === 'US' ? '' : '1000 * '}3 * P * a / (b * d^2)`,
    uses: { P, a, b: own.b, d: own.d },
    unit: STRESS_UNIT[system],
    source,
    show: 4,
  });
  sheet.line({
    symbol: 'Rt',
    name: 'At third points about, for information only',
    formula: 'R / k',
    uses: { R: strength, k: limits.number('beam.centre-higher', system) },
    unit: STRESS_UNIT[system],
    source: limits.of('beam.centre-higher', system).source,
    show: 3,
  });
}

/** Density, wet, from the mass of the whole beam and its sizes. */
function densityOf(
  input: BeamInput,
  sheet: Sheet,
  own: OwnSize | undefined,
  {
    limits,
    source,
    mode,
  }: { readonly limits: Limits; readonly source: Source; readonly mode: Sheet['mode'] },
): Result[] {
  const { system } = input;
  const us = system === 'US';
  const [m, l] = [readMeasure(input, 'mass')?.value, lengthOf(input)];
  if (!own || !m || !l) return [];
  const step = limits.number('cylinder.density-step', system);
  const unit = us ? 'lb/ft3' : 'kg/m3';
  const value = sheet.line({
    symbol: 'rho',
    name: 'Density, wet',
    formula: us ? '1728 * m / (b * d * l)' : '10^9 * m / (b * d * l)',
    uses: { m, b: own.b, d: own.d, l },
    unit,
    source,
    round: { step, rule: `density to ${step}` },
  });
  return [resultOf({ quantity: 'density', symbol: 'rho', value, unit, step, mode })];
}

/** What the place of the break means. */
function placeFindings(about: {
  readonly a: Exact;
  readonly L: Exact;
  readonly place: BreakPlace;
  readonly arrangement: Arrangement;
  readonly limits: Limits;
  readonly system: System;
  readonly input: BeamInput;
}): Finding[] {
  const { a, L, place, arrangement, limits, system } = about;
  const unit = LENGTH_UNIT[system];
  const fields = ['a1', 'a2', 'a3'];
  const half = L.div(2);
  if (a.greaterThan(half))
    return [
      finding({
        id: 'beam.nearer',
        severity: 'departure',
        needsReason: true,
        fields,
        message: `The nearer support is at most ${plainOf(half, unit)} away; ${plainOf(a.toDecimalPlaces(2), unit)} was measured.`,
        action: 'Measure from the line of the support, not from the end of the beam, and to the nearer one.',
        remark: 'Place of the break not consistent.',
      }),
    ];
  if (arrangement.kind === 'centre') {
    const off = half.minus(a).div(L).times(100);
    return isWithin(off, limits.of('beam.centre-place', system))
      ? []
      : [
          limitFinding(
            limits,
            system,
            { id: 'beam.centre-place', severity: 'departure', fields },
            {
              message: `It broke ${off.toFixed(1)} % of the span from the middle.`,
              action:
                'The strength is worked out at the middle all the same; look for what made it break there.',
              remark: `Broke ${off.toFixed(1)} % of the span from midspan.`,
            },
          ),
        ];
  }
  if (place === 'inside') return [];
  const limit = cite(limits.of('beam.outside', system));
  const short = plainOf(L.div(3).minus(a).toDecimalPlaces(2), unit);
  if (limits.profile === 'en')
    return [
      finding({
        id: 'beam.outside',
        severity: 'departure',
        needsReason: true,
        fields,
        message: `It broke ${short} outside the load rollers.`,
        action: 'EN has no formula for it: the place is reported, and the engineer says whether it counts.',
        remark: `Broke ${short} outside the load rollers.`,
      }),
    ];
  if (place === 'outside')
    return [
      finding({
        id: 'beam.outside',
        severity: 'departure',
        fields,
        limit,
        message: `It broke outside the middle third: the moment there counts, 3 P a / (b d²).`,
        action: 'Nothing to do now: place and formula are reported.',
        remark: `Broke ${plainOf(a.toDecimalPlaces(2), unit)} from the support, outside the middle third: 3 P a / (b d²).`,
      }),
    ];
  return [
    finding({
      id: 'beam.discard',
      severity: 'invalid',
      fields,
      limit,
      message: `It broke too far outside the middle third, ${plainOf(a.toDecimalPlaces(2), unit)} from the support: it gives no strength.`,
      action:
        'Discard it and say so. Look for a roller that does not turn, a defect there, a beam that was dropped.',
    }),
  ];
}

function coarse(input: BeamInput, limits: Limits): Finding[] {
  const step = limits.number('beam.size-step', input.system);
  return [...WIDTHS, ...DEPTHS].flatMap((field) => {
    const measure = readMeasure(input, field);
    return measure ? coarseReading(input, field, measure, step) : [];
  });
}

function pictureOf(
  input: BeamInput,
  { kind, contacts, loads }: Arrangement,
  about: {
    readonly size: ReturnType<typeof sizeOf>;
    readonly L: Exact | undefined;
    readonly a: Exact | undefined;
    readonly place: BreakPlace | undefined;
    readonly broken: boolean;
    readonly limits: Limits;
  },
): Outcome['picture'] {
  const { size, L, a, place, broken, limits } = about;
  const over = (name: 'overhangLeft' | 'overhangRight'): number | null =>
    readMeasure(input, name)?.value.toNumber() ?? null;
  const span = L ?? size?.depth.times(3);
  const out =
    span && size && kind === 'third' ? placeLimits(span, size.depth, limits, input.system) : undefined;
  return {
    kind: 'beam',
    values: {
      loading: kind,
      unit: LENGTH_UNIT[input.system],
      span: span?.toNumber() ?? null,
      depth: size?.depth.toNumber() ?? null,
      width: size?.width.toNumber() ?? null,
      left: over('overhangLeft'),
      right: over('overhangRight'),
      loads: loads.join(','),
      inside: out?.inside.toNumber() ?? null,
      least: out?.least.toNumber() ?? null,
      a: a?.toNumber() ?? null,
      places: ['a1', 'a2', 'a3'].map((name) => readMeasure(input, name)?.value.toNumber() ?? '').join(','),
      place: place ?? null,
      broken,
      side: input.side ?? null,
      gaps: contacts.map((name) => `${name}=${String(input[name as keyof BeamInput] ?? '')}`).join(','),
    },
  };
}
