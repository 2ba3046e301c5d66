import type { Exact } from '../../quantity';
import { exact } from '../../quantity';
import { type Sheet, type Source, standard } from '../../working';
import { readMeasure } from '../fields';
import type { PullRule } from '../pull/standards';
import type { PullOffInput } from './input';

/** What one dolly bore. */
export interface Bore {
  readonly force: Exact;
  readonly area: Exact;
  readonly stress: Exact;
}

/**
 * Force, area and stress of a pull, with their lines: what was shown less what is shown unloaded, by the dolly that was set
 * or by the ram of the pump; the area of the dolly, of a core the mean of two diameters.
 * @returns undefined while something of it is not read; lbf, in², psi or N, mm², MPa
 * Source: the standard of the pull (from memory).
 */
export function boreOf(input: PullOffInput, rule: PullRule, sheet: Sheet): Bore | undefined {
  const us = input.system === 'US';
  const source = standard(rule.designation);
  const read = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const dolly = read('dolly');
  const area = areaOf(input, rule, sheet, source);
  if (!dolly || !area) return undefined;
  const force = forceOf(input, dolly, sheet, source);
  if (!force?.greaterThan(0)) return undefined;
  const stress = sheet.line({
    symbol: 's',
    name: 'Stress on it',
    formula: 'F / a',
    uses: { F: force, a: area },
    unit: us ? 'psi' : 'MPa',
    source,
  });
  return { force, area, stress };
}

function areaOf(input: PullOffInput, rule: PullRule, sheet: Sheet, source: Source): Exact | undefined {
  const us = input.system === 'US';
  const read = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const unit = us ? ('in2' as const) : ('mm2' as const);
  if (!rule.cored) {
    const dolly = read('dolly');
    return (
      dolly &&
      sheet.line({
        symbol: 'a',
        name: 'Area of the dolly',
        formula: 'pi * d^2 / 4',
        uses: { d: dolly },
        unit,
        source,
      })
    );
  }
  const [d1, d2] = [read('core1'), read('core2')];
  return (
    d1 &&
    d2 &&
    sheet.line({
      symbol: 'a',
      name: 'Area of the core, by the mean of its two diameters',
      formula: 'pi * ((d1 + d2) / 2)^2 / 4',
      uses: { d1, d2 },
      unit,
      source,
    })
  );
}

function forceOf(input: PullOffInput, dolly: Exact, sheet: Sheet, source: Source): Exact | undefined {
  const read = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const unit = input.system === 'US' ? ('lbf' as const) : ('N' as const);
  const [shown, zero] = [read('shown'), read('zero') ?? exact(0)];
  if (input.shows === 'force') {
    const force = read('force');
    return (
      force &&
      sheet.line({ symbol: 'F', name: 'Greatest force', formula: 'F', uses: { F: force }, unit, source })
    );
  }
  if (input.shows === 'pressure') {
    const ram = read('ram');
    return (
      ram &&
      shown &&
      sheet.line({
        symbol: 'F',
        name: 'Greatest force, by the pressure on the ram',
        formula: '(p - p0) * A',
        uses: { p: shown, p0: zero, A: ram },
        unit,
        source,
      })
    );
  }
  return (
    (shown &&
      input.shows === 'stress' &&
      sheet.line({
        symbol: 'F',
        name: 'Greatest force, by the dolly that was set on the tester',
        formula: '(p - p0) * pi * ds^2 / 4',
        uses: { p: shown, p0: zero, ds: read('dollySet') ?? dolly },
        unit,
        source,
      })) ||
    undefined
  );
}
