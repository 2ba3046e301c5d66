import { isWithin } from '../../limits';
import { exact } from '../../quantity';
import { bySeverity, type Finding, ourChoice, Sheet, standard } from '../../working';
import { celsiusOf } from '../celsius';
import type { Outcome, Result } from '../contract';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { SEEN } from '../slab/quantities';
import type { SlabSheetInput } from './input';

const D4263 = standard('ASTM D4263');
export const COULD = 'drops from a humidity of';

/**
 * What a plastic sheet shows, and from which humidity of the slab on a sheet of its temperature can show anything.
 * @param input what was seen; temperatures of sheet and concrete in °F or °C
 * @returns 1 where moisture was seen, else 0: provisional where the sheet was too warm to show any
 * Source: ASTM D4263 (from memory); the humidity follows from WMO-No. 8 (from memory): drops form where the vapour of the
 *   slab reaches saturation at the sheet.
 */
export function compute(input: SlabSheetInput, setup: RunSetup): Outcome {
  const { system, drops, concrete } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const findings: Finding[] = [];
  const results: Result[] = [];
  const [slab, film] = ['slabTemperature', 'sheetTemperature'].map((name) => celsiusOf(input, name));
  const seen = drops && concrete ? drops === 'drops' || concrete === 'dark' : undefined;
  const could =
    slab && film
      ? sheet.line({
          symbol: 'RH0',
          name: 'Humidity of the slab from which this sheet shows drops',
          formula: '100 * exp(17.62 * S / (243.12 + S) - 17.62 * T / (243.12 + T))',
          uses: { S: film, T: slab },
          unit: 'percent',
          source: ourChoice('vapour of the slab saturated at the sheet, by WMO-No. 8'),
          show: 4,
        })
      : undefined;
  const able = could === undefined || isWithin(could, limits.of('sheet.could', system));
  if (could && seen === false && !able)
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'sheet.could', severity: 'departure', fields: ['sheetTemperature', 'slabTemperature'] },
        {
          message: `Nothing seen, and nothing could be: on a sheet this warm drops form from ${could.toFixed(0)} % on.`,
          action:
            'It does not say that the slab is dry. Measure humidity in it, or do it again when sheet and slab are alike.',
          remark: 'Nothing seen under a sheet warmer than the slab: inconclusive.',
        },
      ),
    );
  if (could && drops === 'drops' && !isWithin(could, limits.of('sheet.cold', system)))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'sheet.cold', severity: 'departure', fields: ['sheetTemperature', 'slabTemperature'] },
        {
          message: `A sheet this cold shows drops from ${could.toFixed(0)} % on.`,
          action: 'They may come of its cold alone: measure humidity in the slab.',
          remark: 'Drops may come of a cold sheet.',
        },
      ),
    );
  if (seen !== undefined) {
    const value = sheet.line({
      symbol: 'w',
      name: 'Moisture seen under the sheet: 1, none: 0',
      formula: 'w',
      uses: { w: exact(seen ? 1 : 0) },
      unit: 'one',
      source: D4263,
    });
    results.push({
      ...resultOf({
        quantity: SEEN,
        symbol: 'w',
        value,
        unit: 'one',
        step: limits.number('sheet.step', system),
        mode,
        ...(seen || able ? {} : { provisional: 'the sheet was too warm to show any' }),
      }),
      text: seen ? 'seen' : 'none seen',
    });
  }
  if (could)
    results.push(
      resultOf({
        quantity: COULD,
        symbol: 'RH0',
        value: could,
        unit: 'percent',
        step: limits.number('sheet.could-step', system),
        mode,
      }),
    );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'slab-sheet',
      values: {
        drops: drops === undefined ? null : drops === 'drops',
        dark: concrete === undefined ? null : concrete === 'dark',
        could: could ? could.toNumber() : null,
        able,
      },
    },
  };
}
