import { isWithin } from '../../limits';
import { type Finding, finding, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { fineMethod } from '../cement/fine';
import { limitFinding } from '../limit-finding';
import { CementStiffeningInput } from './input';

const C451 = standard('ASTM C451');
/** Below this share of the first it is remixed, percent; where its standard puts the line. */
const LITTLE = 50;

/** Early stiffening of a paste. Rules: ASTM C451 (from memory), in our own words. */
export const cementStiffening = fineMethod<CementStiffeningInput>({
  id: 'cement-stiffening',
  day: {
    hands: [{ from: 0, minutes: 18, what: 'Mix, five minutes of penetrations, mix again' }],
    after: ['cement-consistency'],
    gear: { what: 'mixer', until: 18 },
    takes: 500,
  },
  title: 'Early stiffening',
  designation: C451,
  quantity: 'penetration that is left',
  symbol: 'Pf',
  unit: 'percent',
  step: 'stiffening.step',
  named: true,
  Input: CementStiffeningInput,
  performedAt: 'finishedAt',
  sequence: [['contactAt', 'finishedAt']],
  uses: ['vicat'],
  property: 'false-set',
  rows: ['stiffening.first', 'stiffening.release', 'stiffening.second'],
  steps: [
    {
      id: 'first',
      title: 'Mix, mould, first',
      phase: 'test',
      instruction:
        'Ring, plunger and trowel ready: 20 s after the end of mixing it is released, read 30 s later.',
      fields: ['vicat', 'cement', 'water', 'contactAt', 'firstAfter', 'first'],
      caution: ALKALINE,
    },
    {
      id: 'second',
      title: 'Five minutes after mixing',
      phase: 'test',
      instruction:
        'Another place, released five minutes after the end of mixing, not after the first; read 30 s later. Where little is left: back into the bowl at once.',
      fields: ['secondAfter', 'second', 'remixed', 'felt', 'finishedAt', 'remarks'],
    },
  ],
  find(input, { of, limits, system, sheet }) {
    const findings: Finding[] = [];
    for (const [field, id, word] of [
      ['first', 'stiffening.first', 'At first it went in by'],
      ['firstAfter', 'stiffening.release', 'First released after'],
      ['secondAfter', 'stiffening.second', 'Second released after'],
    ] as const) {
      const value = of(field);
      if (value && !isWithin(value, limits.of(id, system)))
        findings.push(
          limitFinding(
            limits,
            system,
            { id, severity: 'invalid', fields: [field] },
            {
              message: `${word} ${value} ${field === 'first' ? 'mm' : 's'}.`,
              action:
                field === 'first'
                  ? 'A new paste with other water.'
                  : 'A new paste: the test is made by its clock.',
            },
          ),
        );
    }
    const [cement, water] = ['cement', 'water'].map(of);
    const share = cement?.greaterThan(0) ? water?.div(cement).times(100) : undefined;
    if (share && !isWithin(share, limits.of('stiffening.water', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'stiffening.water', severity: 'advice', fields: ['water', 'cement'] },
          { message: `${share.toFixed(1)} % of water.`, action: 'Grams of water to grams of cement?' },
        ),
      );
    const [A, B, again] = ['first', 'second', 'remixed'].map(of);
    if (!A?.greaterThan(0) || !B) return { determined: [], findings };
    const value = sheet.line({
      symbol: 'Pf',
      name: 'Penetration that is left',
      formula: '100 * B / A',
      uses: { A, B },
      unit: 'percent',
      source: C451,
    });
    const back =
      again &&
      sheet.line({
        symbol: 'Pr',
        name: 'It comes back to, remixed',
        formula: '100 * R / A',
        uses: { A, R: again },
        unit: 'percent',
        source: C451,
      });
    if (B.greaterThan(A))
      findings.push(
        finding({
          id: 'stiffening.order',
          severity: 'departure',
          fields: ['first', 'second'],
          message: 'It went in further than at first.',
          action: 'Are the two the wrong way round, or was the second in the first hole?',
          remark: 'Second penetration deeper than the first.',
        }),
      );
    if (value.lessThan(LITTLE))
      findings.push(
        !back
          ? finding({
              id: 'stiffening.remix',
              severity: 'advice',
              fields: ['remixed'],
              message: 'Little is left: what kind of set is it?',
              action: 'Remix a minute and read again: comes it back, it is false set.',
            })
          : isWithin(back, limits.of('stiffening.back', system))
            ? finding({
                id: 'stiffening.false',
                severity: 'departure',
                fields: ['remixed'],
                message: 'It comes back: false set, gypsum that lost its water in a hot mill.',
                action: 'Longer mixing cures it in concrete. Tell the plant.',
                remark: 'False set: stiff after five minutes, soft again when remixed.',
              })
            : finding({
                id: 'stiffening.flash',
                severity: 'departure',
                fields: ['remixed', 'felt'],
                message: `It does not come back${input.felt === 'warm' ? ', and it is warm' : ''}: flash set is suspected.`,
                action: 'No mixing cures it. Tell the plant now; no concrete of it.',
                remark: 'Flash set suspected: stiff after five minutes, not soft again when remixed.',
              }),
      );
    return {
      value,
      determined: [{ label: 'left', value }, ...(back ? [{ label: 'remixed', value: back }] : [])],
      findings,
    };
  },
});
