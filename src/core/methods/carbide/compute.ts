import { isWithin } from '../../limits';
import { exact } from '../../quantity';
import { bySeverity, type Finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factMeasure, factOption } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { coarseReading, resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { CARBIDE } from '../slab/quantities';
import { SCREED_IDS, screedLimit } from '../slab/screeds';
import type { CarbideInput } from './input';

const DIN = standard('DIN 18560');

/**
 * The moisture of a screed by the gas that it makes with carbide.
 * @param input gauge in bar, portion in g
 * @param setup facts: what the screed is, what its maker allows
 * @returns percent to one tenth: the gauge times 100 g over the portion
 * Source: DIN 18560 (from memory): 1 bar is 1.0 % of 100 g, 2.0 % of 50 g, 5.0 % of 20 g.
 */
export function compute(input: CarbideInput, setup: RunSetup): Outcome {
  const { system, portion, readAt, startedAt } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const mass = readMeasure(input, 'mass');
  const gauge = readMeasure(input, 'pressure')?.value;
  const findings: Finding[] = equipmentUse(
    input,
    { balance: 'departure', bottle: 'departure' },
    readAt ?? startedAt,
    setup,
    limits,
  );
  const results: Result[] = [];
  if (mass) findings.push(...coarseReading(input, 'mass', mass, limits.number('carbide.balance', system)));
  const off = portion && mass ? mass.value.minus(portion) : undefined;
  if (off && !isWithin(off.abs(), limits.of('carbide.mass', system)))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'carbide.mass', severity: 'departure', fields: ['mass', 'portion'] },
        {
          message: `${off.abs().toFixed()} g ${off.isNegative() ? 'less' : 'more'} than ${portion} g.`,
          action: 'Weigh the portion out before the bottle is closed.',
          remark: `Portion of ${mass?.value.toFixed()} g in place of ${portion} g.`,
        },
      ),
    );
  if (gauge && portion) {
    const step = limits.number('carbide.step', system);
    const value = sheet.line({
      symbol: 'CM',
      name: 'Moisture by carbide',
      formula: 'p * 100 / m',
      uses: { p: gauge, m: exact(portion) },
      unit: 'percent',
      source: DIN,
      round: { step, rule: `to ${step} %` },
    });
    results.push(resultOf({ quantity: CARBIDE, symbol: 'CM', value, unit: 'percent', step, mode }));
  }
  const allowed =
    factMeasure(setup, 'carbideMost', 'percent', 'percent') ??
    screedLimit(factOption(setup, 'screed', SCREED_IDS), limits, system)?.value;
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'carbide',
      values: {
        moisture: results[0] ? Number(results[0].value) : null,
        gauge: gauge?.toNumber() ?? null,
        allowed: allowed?.toNumber() ?? null,
      },
    },
  };
}
