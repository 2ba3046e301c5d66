import { isWithin } from '../../limits';
import { type Exact, exact } from '../../quantity';
import {
  bySeverity,
  type Finding,
  finding,
  numbered,
  ourChoice,
  Sheet,
  sourceText,
  standard,
} from '../../working';
import type { Outcome, Result } from '../contract';
import { factNumber, factOption } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { LAYER_IDS, profileRow } from '../slab/layers';
import { heldWithin } from '../within';
import type { SurfaceProfileInput } from './input';

const ICRI = standard('ICRI 310.2R');
export const SMOOTHEST = 'smoothest chip';
export const ROUGHEST = 'roughest chip';
export const DEPTH = 'mean peak to valley';

/**
 * How rough concrete is, between which chips each spot lies.
 * @param input spots with the chips they lie between, 1 to 10, and the replica putty in in or mm
 * @param setup facts: the chips that the maker of the coating asks for, or what is laid on it
 * @returns smoothest and roughest chip; the mean of the putty where it was taken; held against what is asked for
 * Source: ICRI 310.2R, chips and ranges; ASTM D7682, putty (both from memory).
 */
export function compute(input: SurfaceProfileInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const findings: Finding[] = [];
  const rows = wholeRows(input.spots);
  const spots = rows.flatMap((row) => {
    const [low, high] = [readMeasure(row, 'low')?.value, readMeasure(row, 'high')?.value];
    return low && high ? [{ place: row.place ?? '', low, high }] : [];
  });
  for (const { place, low, high } of spots) {
    if (low.greaterThan(high))
      findings.push(
        finding({
          id: 'profile.order',
          severity: 'invalid',
          fields: ['spots'],
          message: `${place}: chip ${low} is rougher than chip ${high}, where it stands the other way round.`,
          action: 'Read the two again: the smoother chip first.',
        }),
      );
    else if (!isWithin(high.minus(low), limits.of('profile.bracket', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'profile.bracket', severity: 'departure', fields: ['spots'] },
          {
            message: `${place} lies anywhere between chips ${low} and ${high}.`,
            action: 'A third spot beside it, another pair of eyes, or replica putty.',
            remark: `${place}: profile only known between chips ${low} and ${high}.`,
          },
        ),
      );
  }
  if (
    spots.length > 0 &&
    input.comparedAt &&
    spots.length < limits.number('profile.spots', system).toNumber()
  )
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'profile.spots', severity: 'departure', fields: ['spots'] },
        {
          message: `${spots.length} ${spots.length === 1 ? 'spot' : 'spots'} only.`,
          action: 'Three for each thousand square feet, and wherever the machine changed.',
          remark: `Profile compared at ${spots.length} ${spots.length === 1 ? 'spot' : 'spots'} only.`,
        },
      ),
    );
  const results: Result[] = [];
  const list = (name: 'low' | 'high'): { uses: Record<string, Exact>; names: string } => {
    const uses = numbered(
      'x',
      spots.map((spot) => spot[name]),
    );
    return { uses, names: Object.keys(uses).join(', ') };
  };
  const ends: { low?: Exact; high?: Exact } = {};
  for (const [quantity, symbol, of, end] of spots.length > 0
    ? ([
        [SMOOTHEST, 'CSPmin', 'min', 'low'],
        [ROUGHEST, 'CSPmax', 'max', 'high'],
      ] as const)
    : []) {
    const { uses, names } = list(end);
    const value = sheet.line({
      symbol,
      name: `${end === 'low' ? 'Smoothest' : 'Roughest'} of the spots`,
      formula: `${of}(${names})`,
      uses,
      unit: 'one',
      source: ICRI,
    });
    ends[end] = value;
    results.push(
      resultOf({ quantity, symbol, value, unit: 'one', step: limits.number('profile.step', system), mode }),
    );
  }
  const depths = rows.flatMap((row) => readMeasure(row, 'putty')?.value ?? []);
  if (depths.length > 0) {
    const uses = numbered('p', depths);
    const unit = system === 'US' ? 'in' : 'mm';
    const value = sheet.line({
      symbol: 'p',
      name: 'Mean of the replica putty',
      formula: `(${Object.keys(uses).join(' + ')}) / n`,
      uses: { ...uses, n: exact(depths.length) },
      unit,
      source: standard('ASTM D7682'),
    });
    results.push(
      resultOf({
        quantity: DEPTH,
        symbol: 'p',
        value,
        unit,
        step: limits.number('profile.putty-step', system),
        mode,
      }),
    );
    sheet.line({
      symbol: 'f',
      name: 'Coating that only fills the valleys, as a thickness',
      formula: 'p / 2',
      uses: { p: value },
      unit,
      source: ourChoice('half of peak to valley'),
    });
  }
  const asked = askedFor(setup, system);
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts:
      asked && ends.low && ends.high
        ? (
            [
              ['smoothest chip', ends.low, { low: asked.low }, `at least ${asked.low}`, TOO_SMOOTH],
              ['roughest chip', ends.high, { high: asked.high }, `at most ${asked.high}`, TOO_ROUGH],
            ] as const
          ).flatMap(([what, value, held, range, outside]) =>
            heldWithin({
              what,
              value: { number: value, text: value.toFixed() },
              ...held,
              range,
              source: asked.source,
              outside,
            }),
          )
        : [],
    picture: {
      kind: 'profile',
      values: {
        low: asked ? asked.low.toNumber() : null,
        high: asked ? asked.high.toNumber() : null,
        spots: packedRows(spots.map(({ place, low, high }) => [place, low.toString(), high.toString()])),
      },
    },
  };
}

const TOO_SMOOTH = 'It needs more preparation; then compare it again.';
const TOO_ROUGH = 'A film does not cover its peaks: fill it, or ask the maker of the coating.';

/** The chips that are asked for: by the maker of the coating, else by what is laid on it. */
function askedFor(
  setup: RunSetup,
  system: SurfaceProfileInput['system'],
): { low: Exact; high: Exact; source: string } | undefined {
  const layer = factOption(setup, 'layer', LAYER_IDS);
  const row = layer && limitsOf(setup).of(profileRow(layer), system);
  const low = factNumber(setup, 'profileLow') ?? row?.low;
  const high = factNumber(setup, 'profileHigh') ?? row?.high;
  if (!low || !high) return undefined;
  const own = setup.facts?.profileLow ?? setup.facts?.profileHigh;
  return { low, high, source: own ? 'the maker of the coating' : sourceText(ICRI) };
}
