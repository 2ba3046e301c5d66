import { cite, isWithin, type Limits } from '../../limits';
import { convert, plainOf, unitOf } from '../../quantity';
import { bySeverity, type Finding, finding } from '../../working';
import type { Method, Outcome, PressTest, PressUse } from '../contract';
import { type RunInput, readMeasure } from '../fields';
import { limitsOf, type RunSetup } from '../setup';
import { pressFindings } from './findings';
import { logFindings } from './load-log';
import { CURE } from './strength-facts';

/** The rate that was typed or taken from a log, against the method's band. */
function rateFindings(input: RunInput, use: PressUse, test: PressTest | undefined): Finding[] {
  const { rate: field } = use.fields;
  const rate = field ? readMeasure(input, field) : undefined;
  if (!field || !rate || !test || unitOf(test.band.unit).dimension !== unitOf(rate.unit).dimension) return [];
  const { band } = test;
  const value = convert(rate.value, rate.unit, band.unit);
  if (isWithin(value, band)) return [];
  const fast = band.high !== undefined && value.greaterThan(band.high);
  return [
    finding({
      id: band.id,
      severity: 'departure',
      ...(test.strict ? { needsReason: true } : {}),
      fields: [field],
      limit: cite(band),
      message: `Loaded at ${plainOf(rate.value, rate.unit)}, ${fast ? 'faster' : 'slower'} than allowed.`,
      action: `${fast ? 'Fast loading reads high' : 'Slow loading reads low'}: set the rate earlier on the next one and leave the valve alone near the top.`,
      remark: `Loading rate ${plainOf(rate.value, rate.unit)}, outside ${band.text}.`,
    }),
  ];
}

/** A load that no specimen bears: one digit too many, or the other unit. Said where nothing else says it. */
function stressFindings(
  input: RunInput,
  {
    use,
    test,
    limits,
    said,
  }: { use: PressUse; test: PressTest | undefined; limits: Limits; said: readonly Finding[] },
): Finding[] {
  const load = readMeasure(input, use.fields.load)?.value;
  if (!load || !test?.area || test.area.isZero()) return [];
  const stress = load.times(test.factor).div(test.area);
  const usual = limits.of('machine.stress-usual', input.system);
  if (isWithin(stress, usual) || said.some(({ fields }) => fields.includes(use.fields.load))) return [];
  return [
    finding({
      id: usual.id,
      severity: 'departure',
      needsReason: true,
      fields: [use.fields.load],
      limit: cite(usual),
      message: `The load would be ${plainOf(stress.toSignificantDigits(3), usual.unit)} on this section.`,
      action: 'Read the peak again: a digit too many, or the unit of another machine.',
      remark: 'Maximum load not plausible for this section.',
    }),
  ];
}

/**
 * A method with what holds for every test in a press: whether the machine fits, its verified range, the rate, the
 * load log. It is added in this one place, so that no method can forget it.
 */
export function withPress(method: Method): Method {
  const use = method.press;
  if (!use) return method;
  return {
    ...method,
    facts: { ...CURE, ...method.facts },
    columns: method.columns ?? [
      { heading: 'Size', of: ['=D', '=d', '=A'], first: true },
      { heading: 'Load', of: [use.fields.load] },
      { heading: 'Ends and fracture', of: ['ends', 'fracture', 'pattern', 'fractureWords'] },
    ],
    compute(input: RunInput, setup: RunSetup): Outcome {
      const outcome = method.compute(input, setup);
      const limits: Limits = limitsOf(setup);
      const test = use.test(input, setup);
      const added = [
        ...pressFindings({ input, use, test, setup, limits }),
        ...rateFindings(input, use, test),
        ...logFindings(setup, limits, input.system, use.fields),
      ];
      const said = [...outcome.findings, ...added];
      return {
        ...outcome,
        findings: bySeverity([...said, ...stressFindings(input, { use, test, limits, said })]),
      };
    },
  };
}
