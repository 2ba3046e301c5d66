import { verdictWith } from '../../acceptance/criterion';
import type { LimitId } from '../../limits';
import { productRow } from '../../materials/masonry/criteria';
import { finding, Sheet, sourceText, standard } from '../../working';
import type { Method, Outcome } from '../contract';
import { exampleInput } from '../example';
import { asked, factText } from '../facts';
import { fieldsOf, readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { heldWithin } from '../within';
import { PROPERTIES, UnitReportInput } from './input';

/**
 * What another report says of a delivery: its number with its value, held against what the specification allows.
 * @param input shrinkage in percent
 * Source: ASTM C90: at most 0.065 % at delivery (from memory).
 */
function compute(input: UnitReportInput, setup: RunSetup): Outcome {
  const { system, property } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const row = limits.of(shrinkageRow(setup), system);
  const value = property === 'shrinkage' ? readMeasure(input, 'shrinkage')?.value : undefined;
  const findings =
    property && (property === 'shrinkage' ? !value : !input.says)
      ? [
          finding({
            id: 'unit.report-empty',
            severity: 'invalid',
            fields: [property === 'shrinkage' ? 'shrinkage' : 'says'],
            message: 'What the report came to is not said.',
            action: property === 'shrinkage' ? 'Type its shrinkage in percent.' : 'Choose what it says.',
          }),
        ]
      : [];
  const said = property && property !== 'shrinkage' && input.says ? input.says : undefined;
  const shown =
    value &&
    resultOf({
      quantity: 'linear drying shrinkage',
      symbol: 'S',
      value,
      unit: 'percent',
      step: '0.001',
      mode,
    });
  if (value)
    sheet.line({
      symbol: 'S',
      name: 'Shrinkage as reported',
      formula: 's',
      uses: { s: value },
      unit: 'percent',
      source: standard('ASTM C426'),
    });
  return {
    results: shown ? [shown] : [],
    lines: sheet.lines,
    findings,
    verdicts: value
      ? heldWithin({
          what: PROPERTIES.shrinkage,
          value: { number: value, text: `${shown?.text} %` },
          high: row.high,
          range: row.text,
          source: sourceText(row.source),
          outside: 'The delivery does not conform; what follows is the purchaser’s to decide.',
        })
      : property && said
        ? [
            verdictWith({
              criterion: PROPERTIES[property],
              limit: '',
              state: said === 'meets' ? 'meets' : 'does not meet',
              sentence: `${PROPERTIES[property]}: report ${input.number ?? ''} says it ${said === 'meets' ? 'meets' : 'does not meet'}.`,
            }),
          ]
        : [],
    picture: {
      kind: 'report',
      values: { number: input.number ?? null, laboratory: input.laboratory ?? null },
    },
  };
}

/** The row of shrinkage, by the product. */
function shrinkageRow(setup: RunSetup): LimitId {
  return productRow(factText(setup, 'product'), 'shrinkage') ?? 'unit.shrinkage';
}

/** A property of a delivery that is tested elsewhere: a slot for its report, no test. */
export const unitReport: Method<UnitReportInput> = {
  id: 'unit-report',
  title: 'Result of another report',
  designations: [standard('ASTM C426'), standard('ASTM C1645'), standard('ASTM C418')],
  runOn: 'lot',
  again: 'freely',
  begin: 'Enter another report',
  facts: { product: asked('product', 'text') },
  yields: [{ quantity: 'linear drying shrinkage', symbol: 'S' }],
  Input: UnitReportInput,
  steps: [
    {
      id: 'report',
      title: 'The report',
      phase: 'test',
      instruction:
        'As it is printed: the laboratory, its number, the value. It has to be of these units, within two years.',
      fields: ['property', 'shrinkage', 'says', 'laboratory', 'number', 'reportDate', 'takenAt', 'remarks'],
    },
  ],
  performedAt: 'takenAt',
  plan: (system, setup) => [
    { label: 'Shrinkage', text: limitsOf(setup).of(shrinkageRow(setup), system).text },
  ],
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(UnitReportInput), system), system },
    setup: { zone: 'America/New_York' },
  }),
};
