import { isWithin } from '../../limits';
import { exact } from '../../quantity';
import { type Finding, finding, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { fineMethod } from '../cement/fine';
import { limitFinding } from '../limit-finding';
import { CementSieveInput } from './input';

const C430 = standard('ASTM C430');

/** What of a cement goes through the 45 µm sieve by washing. Rules: ASTM C430 (from memory), in our own words. */
export const cementSieve = fineMethod<CementSieveInput>({
  id: 'cement-sieve',
  day: {
    hands: [
      { from: 0, minutes: 8, what: 'Wash it on the sieve' },
      { from: 60, minutes: 4, what: 'Weigh what is left, dry' },
    ],
    takes: 2,
  },
  title: 'Through the 45 µm sieve',
  designation: C430,
  quantity: 'through the 45 µm sieve',
  symbol: 'F',
  unit: 'percent',
  step: 'sieve45.step',
  Input: CementSieveInput,
  performedAt: 'finishedAt',
  uses: ['balance'],
  rows: ['sieve45.mass', 'sieve45.pressure', 'sieve45.correction'],
  steps: [
    {
      id: 'wash',
      title: 'Wash it through',
      phase: 'test',
      instruction:
        'A gram on the dry sieve, wetted gently; a minute under the spray in circles; rinsed with distilled water, blotted beneath, dried, brushed out, weighed.',
      fields: [
        'sieve',
        'balance',
        'certified',
        'obtained',
        'mass',
        'pressure',
        'residue',
        'finishedAt',
        'remarks',
      ],
      caution: `${ALKALINE} Hot sieve out of the oven: tongs.`,
    },
  ],
  find(_, { of, limits, system, sheet }) {
    const [Rc, Ro, m, p, R] = ['certified', 'obtained', 'mass', 'pressure', 'residue'].map(of);
    const findings: Finding[] = [];
    if (p && !isWithin(p, limits.of('sieve45.pressure', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'sieve45.pressure', severity: 'invalid', fields: ['pressure'] },
          { message: 'The pressure was not right while it was washed.', action: 'Wash another gram.' },
        ),
      );
    if (m && !isWithin(m, limits.of('sieve45.mass', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'sieve45.mass', severity: 'departure', fields: ['mass'] },
          { message: `${m} g on the sieve.`, action: 'A gram: more clogs it.', remark: `${m} g washed.` },
        ),
      );
    if (m && R?.greaterThan(m))
      findings.push(
        finding({
          id: 'sieve45.order',
          severity: 'invalid',
          fields: ['residue', 'mass'],
          message: 'More is left than there was.',
          action: 'Dry it and weigh it again.',
        }),
      );
    if (!Rc || !Ro?.greaterThan(0) || !m?.greaterThan(0) || !R) return { determined: [], findings };
    const C = sheet.line({
      symbol: 'C',
      name: 'Correction of the sieve',
      formula: '100 * (Rc - Ro) / Ro',
      uses: { Rc, Ro },
      unit: 'percent',
      source: C430,
      show: 4,
    });
    if (!isWithin(C.abs(), limits.of('sieve45.correction', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'sieve45.correction', severity: 'departure', fields: ['certified', 'obtained'] },
          {
            message: `A correction of ${C.toFixed(0)} %.`,
            action: 'A sieve that is torn or clogged so far is replaced.',
            remark: `Correction of the sieve ${C.toFixed(0)} %.`,
          },
        ),
      );
    const residue = sheet.line({
      symbol: 'Rw',
      name: 'Residue of a gram, corrected',
      formula: 'R / m * (100 + C)',
      uses: { R, m, C },
      unit: 'percent',
      source: C430,
    });
    const value = sheet.line({
      symbol: 'F',
      name: 'Through the sieve',
      formula: '100 - Rw',
      uses: { Rw: residue },
      unit: 'percent',
      source: C430,
    });
    if (value.lessThan(exact(0)))
      findings.push(
        finding({
          id: 'sieve45.negative',
          severity: 'invalid',
          fields: ['residue'],
          message: 'It comes to less than nothing.',
          action: 'Look at the three residues.',
        }),
      );
    return { value, determined: [{ label: 'through', value }], findings };
  },
});
