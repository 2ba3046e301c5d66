import { ABSORPTION } from '../../materials/masonry/forms';
import { type Exact, exact, plainOf, roundTo, type System } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { inSentence } from '../../words';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome } from '../contract';
import { factText } from '../facts';
import { readMeasure } from '../fields';
import { couponFindings } from '../masonry-press/coupon';
import { loadOn } from '../masonry-press/rates';
import { resultOf } from '../outcome';
import { FORCE_UNIT, LENGTH_UNIT } from '../press/units';
import { limitsOf, type RunSetup } from '../setup';
import { specifiedSizes } from '../unit-absorption/compute';
import { required, usualShare } from '../unit-compression/area';
import type { UnitSawingInput } from './input';
import { SAWN, whatToSaw } from './what-to-saw';

const C140 = standard('ASTM C140/C140M');

/**
 * What has to be sawn of a unit before it can be broken, and whether it was.
 * @param input sizes in in or mm
 * @returns height and length of a coupon of this face shell; what to saw and why, as the finding `saw.what`
 * Source: ASTM C140/C140M 7.2 and annex A1 (from memory).
 */
export function compute(input: UnitSawingInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const unit = LENGTH_UNIT[system];
  const of = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const sizes = specifiedSizes(setup, system);
  const shell = of('shell');
  const step = limits.number('saw.size-step', system);
  const times = (symbol: string, name: string, row: 'saw.coupon-height' | 'saw.coupon-length') =>
    shell &&
    sheet.line({
      symbol,
      name,
      formula: 'k * t',
      uses: { k: limits.number(row, system), t: shell },
      unit,
      source: C140,
      round: { step, rule: `to ${limits.of('saw.size-step', system).text}` },
    });
  const height = times('Hc', 'Height of a coupon', 'saw.coupon-height');
  const length = times('Lc', 'Length of a coupon', 'saw.coupon-length');
  const findings: Finding[] = [];
  const { machine, closed, sawn, saw } = input;
  const known = machine && closed && of('projection') && of('recess');
  const asked = known
    ? whatToSaw(
        {
          projection: of('projection'),
          thick: of('thick'),
          recess: of('recess'),
          height: sizes.height,
          machine,
          closed: closed === 'yes',
        },
        limits,
        system,
      )
    : undefined;
  if (of('projection')?.greaterThan(0) && !of('thick'))
    findings.push(
      finding({
        id: 'saw.thick',
        severity: 'advice',
        fields: ['thick'],
        message: 'How thick the projections are is not said.',
        action: 'Measure it: what stands out farther than it is thick comes off.',
      }),
    );
  if (asked) {
    const load =
      length && shell && loadOn(length.times(shell), required(setup, 'mean', system, limits), system);
    const proves =
      asked.what === 'coupon' && load
        ? ` A coupon proves the required strength with ${loadText(load, system)}.`
        : '';
    findings.push(
      finding({
        id: 'saw.what',
        severity: 'advice',
        fields: [],
        message: `${SAWN[asked.what]}: ${asked.why}.${proves}`,
        action:
          asked.what === 'none'
            ? 'Leave the saw; condition, measure and cap it.'
            : 'Saw it so, mark the piece, and condition it again where the saw was wet.',
      }),
    );
  }
  if (asked && sawn && sawn !== asked.what)
    findings.push(
      finding({
        id: 'saw.other',
        severity: 'departure',
        needsReason: true,
        fields: ['sawn'],
        message: `${SAWN[sawn]}, where the method asks for: ${inSentence(SAWN[asked.what])}.`,
        action: 'Look at the unit and at the machine again, or say why.',
        remark: `${SAWN[sawn]}.`,
      }),
    );
  if (sawn && saw && (sawn === 'none') !== (saw === 'none'))
    findings.push(
      finding({
        id: 'saw.unlike',
        severity: 'invalid',
        fields: ['sawn', 'saw'],
        message:
          sawn === 'none' ? 'Nothing was sawn, and yet the saw is named.' : 'Something was sawn with no saw.',
        action: 'Correct one of the two.',
      }),
    );
  if (sawn === 'coupon')
    findings.push(
      ...couponFindings(
        { thickness: of('couponThickness'), height: of('couponHeight'), length: of('couponLength') },
        ['couponThickness', 'couponHeight', 'couponLength'],
        { limits, system },
      ),
    );
  const results = [
    ['coupon height', 'Hc', height],
    ['coupon length', 'Lc', length],
  ] as const;
  return {
    results: results.flatMap(([quantity, symbol, value]) =>
      value ? [resultOf({ quantity, symbol, value, unit, step, mode })] : [],
    ),
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'sawing',
      values: {
        unit,
        width: sizes.width?.toNumber() ?? null,
        height: sizes.height?.toNumber() ?? null,
        length: sizes.length?.toNumber() ?? null,
        shell: shell?.toNumber() ?? null,
        projection: of('projection')?.toNumber() ?? null,
        recess: of('recess')?.toNumber() ?? null,
        high: height?.toNumber() ?? null,
        long: length?.toNumber() ?? null,
        closed: closed === 'yes',
        what: asked?.what ?? null,
        couponShare: shareOf(shell, sizes, system, setup),
        least: limits.of('unit.cut-share', system).low?.toNumber() ?? null,
      },
    },
  };
}

/** A load as one speaks of it before a test. */
export function loadText(load: Exact, system: System): string {
  return plainOf(roundTo(load, exact(system === 'US' ? '100' : '0.5'), 'half-even'), FORCE_UNIT[system]);
}

/** Percent of the unit that a coupon of its shell has, by the usual share of solid; null while that is not known. */
function shareOf(
  shell: Exact | undefined,
  { width, height, length }: ReturnType<typeof specifiedSizes>,
  system: UnitSawingInput['system'],
  setup: RunSetup,
): number | null {
  if (!shell || !width || !height || !length) return null;
  const limits = limitsOf(setup);
  const coupon = shell
    .pow(3)
    .times(limits.number('saw.coupon-height', system))
    .times(limits.number('saw.coupon-length', system));
  const solid = width
    .times(height)
    .times(length)
    .times(usualShare(width, system, limits));
  return coupon.div(solid).times(100).toNumber();
}

/** What was sawn wet is conditioned again, and not before it was sawn. */
export function waits({ saw, sawnAt }: UnitSawingInput, setup: RunSetup): Wait[] {
  // A unit for absorption goes into the tank anyway.
  if (saw !== 'wet' || !sawnAt || setup.specimen?.role === ABSORPTION) return [];
  const from = factText(setup, 'conditionedFrom');
  const again = from !== undefined && Date.parse(from) >= Date.parse(sawnAt);
  return [
    {
      id: 'condition',
      what: 'Sawn wet: condition it again',
      lane: 'ends',
      opens: sawnAt,
      stays: true,
      ...(again ? { done: from } : {}),
    },
  ];
}
