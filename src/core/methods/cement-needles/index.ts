import { isWithin } from '../../limits';
import { plainOf } from '../../quantity';
import { type Finding, finding, numbered, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { fineMethod } from '../cement/fine';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { wholeRows } from '../rows-field';
import { CementNeedlesInput } from './input';

const EN196 = standard('EN 196-3');

/** Expansion of a paste between needles. Rules: EN 196-3, IS 4031-3 (from memory), in our own words. */
export const cementNeedles = fineMethod<CementNeedlesInput>({
  id: 'cement-needles',
  day: {
    hands: [{ from: 0, minutes: 15, what: 'Paste, two rings' }],
    after: ['cement-consistency'],
    gear: { what: 'mixer', until: 5 },
    takes: 500,
    later: [{ hours: 24, what: 'Rings measured, into the bath' }],
  },
  title: 'Expansion between needles',
  designation: EN196,
  quantity: 'expansion between needles',
  symbol: 'e',
  unit: 'mm',
  step: 'needles.step',
  Input: CementNeedlesInput,
  performedAt: 'finishedAt',
  uses: [],
  property: 'expansion',
  rows: ['needles.boil', 'needles.hold'],
  steps: [
    {
      id: 'rings',
      title: 'A day damp, then three hours of boiling',
      phase: 'test',
      instruction:
        'Rings filled without tapping, between weighted plates, a day damp. Needles measured, boiled, cooled, measured.',
      fields: ['up', 'boiled', 'rings', 'finishedAt', 'remarks'],
      caution: `${ALKALINE} Boiling water: tongs, and steam away from the face.`,
    },
  ],
  find(input, { of, limits, system, sheet }) {
    const findings: Finding[] = (
      [
        ['up', 'needles.boil', 'Up to boiling'],
        ['boiled', 'needles.hold', 'Boiled'],
      ] as const
    ).flatMap(([field, id, word]) => {
      const value = of(field);
      return !value || isWithin(value, limits.of(id, system))
        ? []
        : [
            limitFinding(
              limits,
              system,
              { id, severity: 'departure', fields: [field] },
              {
                message: `${word}: ${plainOf(value, 'min')}.`,
                action: 'Say it, or test again.',
                remark: `${word} for ${plainOf(value, 'min')}.`,
              },
            ),
          ];
    });
    const determined = wholeRows(input.rings).flatMap((row, index) => {
      const [A, C] = (['before', 'after'] as const).map((name) => readMeasure(row, name)?.value);
      if (!A || !C) return [];
      if (C.lessThan(A))
        findings.push(
          finding({
            id: `needles.order-${index + 1}`,
            severity: 'invalid',
            fields: ['rings'],
            message: `Ring ${row.mark}: the needles came nearer to one another.`,
            action: 'Are the two readings the wrong way round?',
          }),
        );
      return [
        {
          label: `ring ${row.mark}`,
          value: sheet.line({
            symbol: `e${index + 1}`,
            name: `Ring ${row.mark}`,
            formula: 'C - A',
            uses: { A, C },
            unit: 'mm',
            source: EN196,
          }),
        },
      ];
    });
    const values = determined.map(({ value }) => value);
    if (values.length === 0) return { determined, findings };
    const uses = numbered('e', values);
    const value = sheet.line({
      symbol: 'e',
      name: 'Mean',
      formula: `mean(${Object.keys(uses).join(', ')})`,
      uses,
      unit: 'mm',
      source: EN196,
    });
    if (!isWithin(value, limits.of('needles.usual', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'needles.usual', severity: 'advice', fields: ['rings'] },
          { message: `${value.toFixed(1)} mm is much.`, action: 'Measure between the tips, in mm.' },
        ),
      );
    return {
      value,
      ...(values.length < 2 ? { provisional: 'a second ring is still to be measured' } : {}),
      determined,
      findings,
    };
  },
});
