import { isWithin } from '../../limits';
import { type Exact, exact, withUnit } from '../../quantity';
import { bySeverity, type Finding, finding, ourChoice, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factMeasure, factOption } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { closedFindings } from '../opening';
import { coarseReading, resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { noSlab, SLAB_KINDS } from '../slab/drying';
import { EMISSION } from '../slab/quantities';
import { notProven } from '../slab/service';
import { AGGREGATES, noDishOver, TOPS } from '../slab/surfaces';
import type { SlabEmissionInput } from './input';

const F1869 = standard('ASTM F1869');
const GEOMETRY = ourChoice('area of a circle');
const HOUR = 3_600_000;

/**
 * How much water leaves a slab into a dish of calcium chloride.
 * @param input masses in g, area inside the cover in in² or cm², diameter of the dish in in or mm, instants
 * @param setup facts: what the slab is made of and what lies on it; what the floor allows
 * @returns emission, lb/(1000 ft²·24 h) or µg/(m²·s); at least so much where the salt was nearly used up, provisional where
 *   service conditions are not proven; nothing for a dish that lost mass
 * Source: ASTM F1869 (from memory).
 */
export function compute(input: SlabEmissionInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const read = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const [before, after, printed] = ['massBefore', 'massAfter', 'printed'].map(read);
  const [cover, dish] = ['cover', 'dish'].map(read);
  const findings: Finding[] = [
    ...equipmentUse(input, { balance: 'departure' }, input.closedAt, setup, limits),
    ...closedFindings(
      { from: input.openedAt, done: input.closedAt, limit: 'emission.time', field: 'openedAt' },
      setup,
    ),
  ];
  const open = notProven(input, limits, 'Emission');
  if (open) findings.push(open.finding);
  const upright = noSlab(factOption(setup, 'slab', SLAB_KINDS));
  const refused = upright
    ? `on ${upright}: the test is of floor slabs`
    : noDishOver(factOption(setup, 'aggregate', AGGREGATES), factOption(setup, 'top', TOPS));
  if (refused)
    findings.push(
      finding({
        id: 'emission.refused',
        severity: 'invalid',
        fields: ['surface'],
        beforeLoad: true,
        message: `No dish ${refused}.`,
        action: 'Measure humidity in the slab, or what the maker of the floor asks for instead.',
      }),
    );
  if (input.weighed === 'sent' && after && !(read('daysSent') && input.cameIn))
    findings.push(
      finding({
        id: 'emission.unsaid',
        severity: 'departure',
        fields: ['daysSent', 'cameIn'],
        message: 'How long it was on its way, and how it came in, is not said.',
        action: 'Ask the laboratory that weighed it, and type both.',
        remark: 'Days on its way, or how the dish came in, not told.',
      }),
    );
  for (const name of ['massBefore', 'massAfter'] as const) {
    const measure = readMeasure(input, name);
    if (measure)
      findings.push(...coarseReading(input, name, measure, limits.number('emission.balance-step', system)));
  }
  if (before && printed && !isWithin(before.minus(printed).abs(), limits.of('emission.printed', system)))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'emission.printed', severity: 'departure', fields: ['massBefore', 'printed'] },
        {
          message: `It is ${before.minus(printed).abs()} g off what is printed on it.`,
          action: 'Its seal let air in: put it aside and take another.',
          remark: `Dish ${before.minus(printed).abs()} g off its printed mass.`,
        },
      ),
    );
  const hours =
    input.openedAt && input.closedAt
      ? exact(Date.parse(input.closedAt) - Date.parse(input.openedAt)).div(HOUR)
      : undefined;
  const gain =
    before && after
      ? sheet.line({
          symbol: 'dM',
          name: 'Water taken up',
          formula: 'm2 - m1',
          uses: { m2: after, m1: before },
          unit: 'g',
          source: F1869,
        })
      : undefined;
  if (gain?.isNegative())
    findings.push(
      finding({
        id: 'emission.lost',
        severity: 'invalid',
        fields: ['massBefore', 'massAfter'],
        message: `The dish lost ${gain.abs()} g: a salt that draws water cannot.`,
        action: 'Two dishes mixed up, or the balance: check its weights and read both again.',
      }),
    );
  if (gain?.isZero())
    findings.push(
      finding({
        id: 'emission.nothing',
        severity: 'advice',
        fields: ['massAfter'],
        message: 'It took up nothing at all.',
        action: 'Was the lid off? Is a curing film left on the spot?',
      }),
    );
  const area = cover && dish ? exposed(sheet, system, cover, dish) : undefined;
  if (area?.lessThanOrEqualTo(0))
    findings.push(
      finding({
        id: 'emission.area',
        severity: 'invalid',
        fields: ['cover', 'dish'],
        message: 'The dish is larger than its cover.',
        action: 'Read both again from the sheet of the kit.',
      }),
    );
  const results: Result[] = [];
  const allowed = factMeasure(setup, 'emissionMost', 'emission', unitFor(system)) ?? silent(setup, system);
  if (gain && !gain.isNegative() && area?.greaterThan(0) && hours?.greaterThan(0)) {
    const t = sheet.line({
      symbol: 't',
      name: 'Hours open, by instants',
      formula: 't',
      uses: { t: hours },
      unit: 'h',
      source: F1869,
    });
    const step = limits.number('emission.step', system);
    const value = sheet.line({
      symbol: 'E',
      name: 'Vapour emission',
      formula: 'k * dM / (A * t)',
      uses: { k: limits.number('emission.factor', system), dM: gain, A: area, t },
      unit: unitFor(system),
      source: F1869,
      round: { step, rule: `to ${step}` },
    });
    const full = !isWithin(gain, limits.of('emission.gain', system));
    if (full)
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'emission.gain', severity: 'departure', fields: ['massAfter'] },
          {
            message: `It took up ${gain} g: the salt is nearly used up and draws less.`,
            action: 'Report it as at least so much.',
            remark: 'Salt nearly used up: the emission is at least what is reported.',
          },
        ),
      );
    // One division of the balance, as an emission.
    const division = readMeasure(input, 'massAfter')?.resolution;
    if (division && allowed) {
      const one = value.div(gain.isZero() ? 1 : gain).times(division);
      if (value.minus(allowed).abs().lessThan(one) && !gain.isZero())
        findings.push(
          finding({
            id: 'emission.division',
            severity: 'advice',
            fields: ['massAfter'],
            message: `One division of this balance is ${withUnit(one.toFixed(system === 'US' ? 2 : 0), unitFor(system))}: the limit is nearer than that.`,
            action: 'A balance to 0.01 g would say it; this one does not.',
          }),
        );
    }
    results.push(
      resultOf({
        quantity: EMISSION,
        symbol: 'E',
        value,
        unit: unitFor(system),
        step,
        mode,
        other: { unit: 'g/m2/d', step: '0.1' },
        ...(full ? { bound: 'at least' as const } : {}),
        ...(open ? { provisional: open.why } : {}),
      }),
    );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'slab-emission',
      values: {
        openedAt: input.openedAt ?? null,
        hours: hours ? hours.toNumber() : null,
        gain: gain ? gain.toNumber() : null,
        emission: results[0]?.text ?? null,
        allowed: allowed ? allowed.toNumber() : null,
        unit: unitFor(system),
      },
    },
  };
}

const unitFor = (system: SlabEmissionInput['system']) => (system === 'US' ? 'lb/1000ft2/d' : 'ug/m2/s');

function silent(setup: RunSetup, system: SlabEmissionInput['system']): Exact | undefined {
  return limitsOf(setup).of('floor.emission', system).high;
}

/** The concrete that gives its water into the cover, ft² or m²: inside of the cover less the dish that stands on it. */
function exposed(sheet: Sheet, system: SlabEmissionInput['system'], cover: Exact, dish: Exact): Exact {
  const us = system === 'US';
  return sheet.line({
    symbol: 'A',
    name: 'Concrete under the cover, without the dish',
    formula: us ? '(C - pi * d^2 / 4) / 144' : '(C / 10000) - pi * d^2 / 4000000',
    uses: { C: cover, d: dish },
    unit: us ? 'ft2' : 'm2',
    source: GEOMETRY,
    show: 4,
  });
}
