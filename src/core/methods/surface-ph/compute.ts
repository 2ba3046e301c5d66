import type { Verdict } from '../../acceptance/criterion';
import { isWithin } from '../../limits';
import type { Exact } from '../../quantity';
import { bySeverity, type Finding, numbered, Sheet, sourceText, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { factNumber } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { heldWithin } from '../within';
import type { SurfacePhInput } from './input';

const F710 = standard('ASTM F710');
const D4262 = standard('ASTM D4262');
export const HIGHEST = 'highest pH';
export const LOWEST = 'lowest pH';

interface Puddle {
  readonly place: string;
  readonly pH: Exact;
  readonly waited: Exact;
}

/**
 * The alkalinity of a surface: every puddle by itself, never their mean, which is no mean of anything.
 * @param input puddles with the seconds each stood and its pH
 * @param setup facts: what the floor allows, by its maker
 * @returns highest and lowest pH of those that stood long enough; both held against what is allowed
 * Source: ASTM F710; after acid ASTM D4262, by the rinse water (both from memory).
 */
export function compute(input: SurfacePhInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const findings: Finding[] = [];
  const all = wholeRows(input.puddles).flatMap((row): Puddle[] => {
    const [pH, waited] = [readMeasure(row, 'pH')?.value, readMeasure(row, 'waited')?.value];
    return pH && waited ? [{ place: row.place ?? '', pH, waited }] : [];
  });
  const wait = limits.of('ph.wait', system);
  const counted = all.filter(({ waited }) => isWithin(waited, wait));
  for (const { place, waited } of all)
    if (!isWithin(waited, wait))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'ph.wait', severity: 'departure', fields: ['puddles'] },
          {
            message: `${place} stood ${waited.toFixed(0)} s: it does not count.`,
            action: waited.lessThan(wait.low ?? 0)
              ? 'Dipped at once it reads the water. Again on a fresh place.'
              : 'Again on a fresh place.',
            remark: `pH at ${place} not counted: it stood ${waited.toFixed(0)} s.`,
          },
        ),
      );
  const rinse = readMeasure(input, 'rinse')?.value;
  const range = rangeOf(input, setup, sheet, rinse);
  // Of a surface after acid the rinse water decides, and nobody promises a number.
  if (input.surface !== 'etched' && !isWithin(range.high, limits.of('ph.goal', system)))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'ph.goal', severity: 'advice', fields: ['puddles'] },
        {
          message: `At most ${range.high} is asked for: concrete is alkaline by nature, and no test can promise that.`,
          action:
            'Ask the maker of the floor what the number rests on. Washing lowers the skin for some days, brings water and leaves salts; what lies under it stays as it is.',
        },
      ),
    );
  const results: Result[] = [];
  const verdicts: Verdict[] = [];
  const step = limits.number('ph.step', system);
  const uses = numbered(
    'x',
    counted.map(({ pH }) => pH),
  );
  const list = Object.keys(uses).join(', ');
  for (const [quantity, symbol, of, end] of counted.length > 0
    ? ([
        [HIGHEST, 'pHmax', 'max', 'high'],
        [LOWEST, 'pHmin', 'min', 'low'],
      ] as const)
    : []) {
    const value = sheet.line({
      symbol,
      name: `${end === 'high' ? 'Highest' : 'Lowest'} of the puddles that count`,
      formula: `${of}(${list})`,
      uses,
      unit: 'one',
      source: F710,
    });
    results.push(resultOf({ quantity, symbol, value, unit: 'one', step, mode }));
    verdicts.push(
      ...heldWithin({
        what: quantity,
        value: { number: value, text: value.toFixed() },
        ...(end === 'high' ? { high: range.high } : { low: range.low }),
        range: end === 'high' ? `at most ${range.high}` : `at least ${range.low}`,
        source: range.source,
        outside: end === 'high' ? TOO_HIGH : TOO_LOW,
      }),
    );
  }
  if (input.surface === 'etched' && !rinse)
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'ph.rinse', severity: 'departure', fields: ['rinse'] },
        {
          message: 'After acid a surface is held to the water that it was rinsed with.',
          action: 'Read the pH of the rinse water.',
          remark: 'pH of the rinse water not read.',
        },
      ),
    );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts,
    picture: {
      kind: 'ph',
      values: {
        low: range.low.toNumber(),
        high: range.high.toNumber(),
        puddles: packedRows(
          all.map(({ place, pH, waited }) => [place, pH.toFixed(), isWithin(waited, wait) ? 'in' : 'out']),
        ),
      },
    },
  };
}

const TOO_HIGH =
  'Vacuum, wipe, dry and test again; is the slab wet, which carries alkali up? Another product? Acid only with the written consent of the floor’s maker: it brings water, leaves salts, and the alkali comes back. No number on the surface says what lies under it.';
const TOO_LOW = 'Acid is left on it: neutralise, rinse, dry and test again.';

/** What is allowed: by the rinse water after acid, else by the maker of the floor, else the usual. */
function rangeOf(input: SurfacePhInput, setup: RunSetup, sheet: Sheet, rinse: Exact | undefined) {
  const limits = limitsOf(setup);
  const usual = limits.of('ph.usual', input.system);
  if (input.surface === 'etched' && rinse) {
    const [below, above] = ['ph.rinse-below', 'ph.rinse-above'].map((id) =>
      limits.number(id as 'ph.rinse-below' | 'ph.rinse-above', input.system),
    ) as [Exact, Exact];
    const line = (symbol: string, name: string, formula: string, k: Exact): Exact =>
      sheet.line({ symbol, name, formula, uses: { r: rinse, k }, unit: 'one', source: D4262 });
    return {
      low: line('low', 'Lowest allowed, by the rinse water', 'r - k', below),
      high: line('high', 'Highest allowed, by the rinse water', 'r + k', above),
      source: sourceText(D4262),
    };
  }
  const [low, high] = ['phLow', 'phHigh'].map((name) => factNumber(setup, name));
  return {
    low: low ?? usual.low ?? limits.number('ph.step', input.system),
    high: high ?? usual.high ?? limits.number('ph.step', input.system),
    source: low || high ? 'the maker of the floor' : sourceText(F710),
  };
}
