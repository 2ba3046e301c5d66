import { isWithin, type LimitId } from '../../limits';
import { plainOf } from '../../quantity';
import { type Finding, finding, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { fineMethod } from '../cement/fine';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { wholeRows } from '../rows-field';
import { CementLossInput } from './input';

const C114 = standard('ASTM C114');

/** Loss on ignition of a cement. Rules: ASTM C114 (from memory), in our own words. */
export const cementLoss = fineMethod<CementLossInput>({
  id: 'cement-loss',
  day: {
    hands: [
      { from: 0, minutes: 5, what: 'Weigh, into the furnace' },
      { from: 20, minutes: 5, what: 'Out, to cool' },
      { from: 50, minutes: 5, what: 'Weigh; back in until it stays' },
    ],
    takes: 2,
  },
  title: 'Loss on ignition',
  designation: C114,
  quantity: 'loss on ignition',
  symbol: 'LOI',
  unit: 'percent',
  step: 'cement-loss.step',
  Input: CementLossInput,
  performedAt: 'finishedAt',
  uses: ['balance'],
  property: 'loss',
  rows: ['cement-loss.mass', 'cement-loss.furnace', 'cement-loss.constant'],
  steps: [
    {
      id: 'ignite',
      title: 'Ignite to constant mass',
      phase: 'test',
      instruction:
        'A gram in a crucible that is ignited and weighed. A quarter of an hour, cooled in a desiccator, weighed; five minutes more until it stays.',
      fields: ['balance', 'mass', 'furnace', 'weighings', 'finishedAt', 'remarks'],
      caution: `${ALKALINE} A furnace near 1,000 °C [1,800 °F]: face shield, long tongs, gloves against heat; nothing wet goes in.`,
    },
  ],
  find(input, { of, limits, system, sheet }) {
    const findings: Finding[] = [];
    const say = (
      id: LimitId,
      fields: readonly string[],
      severity: 'invalid' | 'departure' | 'advice',
      message: string,
      action: string,
    ) =>
      findings.push(
        limitFinding(
          limits,
          system,
          { id, severity, fields },
          { message, action, ...(severity === 'departure' ? { remark: message } : {}) },
        ),
      );
    const [m0, furnace] = [of('mass'), of('furnace')];
    if (m0 && !isWithin(m0, limits.of('cement-loss.mass', system)))
      say(
        'cement-loss.mass',
        ['mass'],
        'departure',
        `${plainOf(m0, 'g')} of cement were ignited.`,
        'About a gram.',
      );
    if (furnace && !isWithin(furnace, limits.of('cement-loss.furnace', system)))
      say(
        'cement-loss.furnace',
        ['furnace'],
        'invalid',
        `The furnace was at ${plainOf(furnace, system === 'US' ? 'degF' : 'degC')}.`,
        'Ignite again at the right temperature.',
      );
    const masses = wholeRows(input.weighings).flatMap((row) => readMeasure(row, 'mass')?.value ?? []);
    const [last, before] = [masses.at(-1), masses.at(-2)];
    if (!m0?.greaterThan(0) || !last) return { determined: [], findings };
    if (last.greaterThan(m0))
      findings.push(
        finding({
          id: 'cement-loss.gain',
          severity: 'invalid',
          fields: ['mass', 'weighings'],
          message: 'It weighs more than before.',
          action:
            'Sulfide of slag takes up oxygen, or the crucible is in it: correct for it, or ignite in inert gas.',
        }),
      );
    const constant = before && isWithin(before.minus(last).abs(), limits.of('cement-loss.constant', system));
    if (!constant)
      say(
        'cement-loss.constant',
        ['weighings'],
        'invalid',
        before ? 'The last two weighings do not agree.' : 'One weighing does not show that it stays.',
        'Five minutes more, and weigh again.',
      );
    const value = sheet.line({
      symbol: 'LOI',
      name: 'Loss on ignition',
      formula: '100 * (m0 - m1) / m0',
      uses: { m0, m1: last },
      unit: 'percent',
      source: C114,
    });
    if (!value.isNegative() && !isWithin(value, limits.of('cement-loss.usual', system)))
      say(
        'cement-loss.usual',
        ['mass', 'weighings'],
        'advice',
        `${value.toFixed(2)} % is seldom.`,
        'With the crucible, or without?',
      );
    return {
      value,
      determined: masses.map((mass, place) => ({
        label: `weighing ${place + 1}`,
        value: m0.minus(mass).div(m0).times(100),
      })),
      findings,
    };
  },
});
