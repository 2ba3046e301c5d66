import { isWithin, type LimitId } from '../../limits';
import { largest, plainOf, smallest } from '../../quantity';
import { type Finding, finding, numbered, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { fineMethod } from '../cement/fine';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { wholeRows } from '../rows-field';
import { CementDensityInput } from './input';

const C188 = standard('ASTM C188');

/** Density of a cement in a flask. Rules: ASTM C188 (from memory), in our own words. */
export const cementDensity = fineMethod<CementDensityInput>({
  id: 'cement-density',
  day: {
    hands: [
      { from: 0, minutes: 5, what: 'Flask with its liquid into the bath' },
      { from: 60, minutes: 15, what: 'Read, cement in, roll the air out' },
      { from: 135, minutes: 3, what: 'Read again' },
    ],
    takes: 64,
  },
  title: 'Density',
  designation: C188,
  quantity: 'density of the cement, g/cm³',
  symbol: 'ρ',
  unit: 'one',
  step: 'cement-density.step',
  named: true,
  Input: CementDensityInput,
  performedAt: 'finishedAt',
  uses: ['balance'],
  rows: ['cement-density.first', 'cement-density.second', 'cement-density.warm', 'cement-density.agree'],
  steps: [
    {
      id: 'flask',
      title: 'Flask by flask',
      phase: 'test',
      instruction:
        'Liquid to between 0 and 1 mL, the neck dry, in the bath until it stands still; the cement in small portions; rolled until no air rises; in the bath again.',
      fields: ['balance', 'liquid', 'flasks', 'finishedAt', 'remarks'],
      caution: `${ALKALINE} The liquid burns and its vapour is heavy: no flame, fresh air.`,
    },
  ],
  find(input, { limits, system, sheet }) {
    const findings: Finding[] = [];
    const say = (
      id: LimitId,
      place: number,
      severity: 'invalid' | 'advice',
      message: string,
      action: string,
    ) =>
      findings.push({
        ...limitFinding(limits, system, { id, severity, fields: ['flasks'] }, { message, action }),
        id: `${id}-${place}`,
      });
    const determined = wholeRows(input.flasks).flatMap((row, index) => {
      const [m, a, b, ta, tb] = (['mass', 'first', 'second', 'firstAt', 'secondAt'] as const).map(
        (name) => readMeasure(row, name)?.value,
      );
      if (!m || !a || !b || !ta || !tb) return [];
      const place = index + 1;
      if (!b.greaterThan(a)) {
        findings.push(
          finding({
            id: `cement-density.order-${place}`,
            severity: 'invalid',
            fields: ['flasks'],
            message: `Flask ${place}: it reads no more than before.`,
            action: 'Are the two readings the wrong way round?',
          }),
        );
        return [];
      }
      const warm = !isWithin(ta.minus(tb).abs(), limits.of('cement-density.warm', system));
      const low = !isWithin(a, limits.of('cement-density.first', system));
      const high = !isWithin(b, limits.of('cement-density.second', system));
      if (warm)
        say(
          'cement-density.warm',
          place,
          'invalid',
          `Flask ${place}: ${ta.minus(tb).abs()} °C between its readings.`,
          'Back into the bath, and read again.',
        );
      if (low)
        say(
          'cement-density.first',
          place,
          'invalid',
          `Flask ${place} began at ${plainOf(a, 'mL')}.`,
          'Between 0 and 1 mL.',
        );
      if (high)
        say(
          'cement-density.second',
          place,
          'invalid',
          `Flask ${place} ends at ${plainOf(b, 'mL')}, beyond its scale.`,
          'Another mass: about its density times 20.5.',
        );
      const value = sheet.line({
        symbol: `d${place}`,
        name: `Density by flask ${place}, g/cm³`,
        formula: 'm / (V2 - V1)',
        uses: { m, V1: a, V2: b },
        unit: 'one',
        source: C188,
      });
      return [
        {
          label: `flask ${place}`,
          value,
          why: warm || low || high ? 'its readings do not count' : undefined,
        },
      ];
    });
    const good = determined.filter(({ why }) => why === undefined).map(({ value }) => value);
    if (good.length === 0) return { determined, findings };
    const apart = largest(good).minus(smallest(good));
    if (!isWithin(apart, limits.of('cement-density.agree', system)))
      say(
        'cement-density.agree',
        0,
        'invalid',
        `The flasks lie ${apart.toFixed(3)} apart.`,
        'A third: air left in one of them?',
      );
    const uses = numbered('d', good);
    const value = sheet.line({
      symbol: 'dm',
      name: 'Mean, g/cm³',
      formula: `mean(${Object.keys(uses).join(', ')})`,
      uses,
      unit: 'one',
      source: C188,
    });
    if (!isWithin(value, limits.of('cement-density.usual', system)))
      say(
        'cement-density.usual',
        0,
        'advice',
        `${value.toFixed(2)} g/cm³ is seldom.`,
        'Air in it, water in the liquid, or no cement at all?',
      );
    return { value, determined, findings };
  },
});
