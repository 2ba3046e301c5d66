import { type StrengthCurve, strengthAt } from '../../maturity';
import { factTexts } from '../facts';
import { readMeasure } from '../fields';
import type { Known } from './known';

/** A cylinder of the job that was broken with an index of its own, and how far it is off the curve. */
export interface Confirmed {
  readonly label: string;
  readonly percent: number;
  /** Of this estimate, not of one before it. */
  readonly own: boolean;
}

/** Percent that a break is off the curve; nothing where the curve says nothing. */
function off(curve: StrengthCurve, index: number, strength: number): readonly number[] {
  const by = strengthAt(curve, index);
  const percent = (100 * (strength - by)) / by;
  return Number.isFinite(percent) ? [percent] : [];
}

/** The cylinders that confirm the curve of a mix, in their order: those of estimates before, then those of this one. */
export function confirmedBy(
  { input, setup }: Pick<Known, 'input' | 'setup'>,
  curve: StrengthCurve,
): Confirmed[] {
  const before = factTexts(setup, 'confirmed')
    .flatMap((text) => text.split(' '))
    .flatMap((pair) => {
      const [index, strength] = pair.split('/').map(Number);
      return index && strength ? off(curve, index, strength) : [];
    });
  const own = (input.verified ?? []).flatMap((row) => {
    const [index, strength] = [readMeasure(row, 'index'), readMeasure(row, 'strength')];
    if (!index || !strength) return [];
    return off(curve, index.value.toNumber(), strength.value.toNumber()).map((percent) => ({
      label: row.specimen ?? 'a cylinder',
      percent,
      own: true,
    }));
  });
  return [...before.map((percent) => ({ label: 'before', percent, own: false })), ...own];
}
