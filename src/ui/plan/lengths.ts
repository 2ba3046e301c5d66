import { convert, exact, parseMeasure, plainOf } from '@/core/quantity';

export type Units = 'US' | 'SI';

/** A length on a plan as it is said, ft or m. */
export function lengthText(metres: number, system: Units): string {
  return system === 'US'
    ? `${convert(exact(metres.toFixed(6)), 'm', 'ft').toFixed(1)} ft`
    : `${metres.toFixed(2)} m`;
}

/** An area on a plan as it is said, ft² or m². */
export function areaText(squareMetres: number, system: Units): string {
  const area = exact(squareMetres.toFixed(6));
  return system === 'US'
    ? plainOf(exact(convert(area, 'm2', 'ft2').toFixed(0)), 'ft2')
    : plainOf(exact(area.toFixed(1)), 'm2');
}

/** A length that was typed, m; what is wrong with it in words. Without a unit in ft or m. */
export function metresOf(
  text: string,
  system: Units,
): { readonly metres: number } | { readonly why: string } {
  const parsed = parseMeasure(text, 'length', system === 'US' ? 'ft' : 'm');
  if (!parsed.ok) return { why: parsed.message };
  const metres = convert(exact(parsed.measure.value), parsed.measure.unit, 'm').toNumber();
  return metres > 0 ? { metres } : { why: 'A length above nothing.' };
}
