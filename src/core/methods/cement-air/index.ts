import { isWithin, type LimitId } from '../../limits';
import { type Finding, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { fineMethod } from '../cement/fine';
import { limitFinding } from '../limit-finding';
import { CementAirInput } from './input';

const C185 = standard('ASTM C185');

/** Air that a cement brings into its mortar. Rules: ASTM C185 (from memory), in our own words. */
export const cementAir = fineMethod<CementAirInput>({
  id: 'cement-air',
  day: {
    hands: [{ from: 0, minutes: 20, what: 'Mortar, flow, the measure' }],
    gear: { what: 'mixer', until: 8 },
    takes: 350,
  },
  title: 'Air of the mortar',
  designation: C185,
  quantity: 'air of the mortar',
  symbol: 'Air',
  unit: 'percent',
  step: 'cement-air.step',
  Input: CementAirInput,
  performedAt: 'finishedAt',
  uses: ['balance', 'table'],
  property: 'air',
  rows: ['cement-air.flow', 'cement-air.drops', 'cement-air.cup'],
  steps: [
    {
      id: 'cup',
      title: 'Mortar, flow, cup',
      phase: 'test',
      instruction:
        'Mixed as for cubes, with the 20-30 sand. Ten drops in six seconds; a new batch where the flow is out. The cup in three layers, spaded 20 times each, tapped five times, struck in two passes, wiped, weighed.',
      fields: ['balance', 'table', 'cement', 'water', 'flow', 'drops', 'inCup', 'finishedAt', 'remarks'],
      caution: ALKALINE,
    },
  ],
  find(_, { of, limits, system, sheet }) {
    const [c, w, flow, drops, W] = ['cement', 'water', 'flow', 'drops', 'inCup'].map(of);
    const findings: Finding[] = [];
    const say = (
      id: LimitId,
      fields: readonly string[],
      severity: 'invalid' | 'advice',
      message: string,
      action: string,
    ) => findings.push(limitFinding(limits, system, { id, severity, fields }, { message, action }));
    if (flow && !isWithin(flow, limits.of('cement-air.flow', system)))
      say(
        'cement-air.flow',
        ['flow'],
        'invalid',
        `The flow is ${flow.toFixed(0)} %.`,
        'A new batch with other water.',
      );
    if (drops && !drops.equals(limits.number('cement-air.drops', system)))
      say(
        'cement-air.drops',
        ['drops'],
        'invalid',
        `${drops} drops.`,
        'Ten here, not twenty-five: a new batch.',
      );
    if (!c?.greaterThan(0) || !w || !W) return { determined: [], findings };
    const P = sheet.line({
      symbol: 'P',
      name: 'Water of the cement',
      formula: '100 * w / c',
      uses: { w, c },
      unit: 'percent',
      source: C185,
    });
    if (!isWithin(P, limits.of('cement-air.water', system)))
      say(
        'cement-air.water',
        ['water', 'cement'],
        'advice',
        `${P.toFixed(0)} % of water.`,
        'Grams of water to grams of cement?',
      );
    const value = sheet.line({
      symbol: 'Air',
      name: 'Air, of cement of 3.15 and sand of 2.65 g/cm³',
      formula: '100 - W * 400 / V * (182.7 + P) / (2000 + 4 * P)',
      uses: { W, V: limits.number('cement-air.cup', system), P },
      unit: 'percent',
      source: C185,
    });
    if (!isWithin(value, limits.of('cement-air.usual', system)))
      say(
        'cement-air.usual',
        ['inCup', 'water'],
        value.isNegative() ? 'invalid' : 'advice',
        `It comes to ${value.toFixed(1)} %.`,
        'Weigh the cup again: wet outside, or its own mass in it?',
      );
    return { value, determined: [{ label: 'cup', value }], findings };
  },
});
