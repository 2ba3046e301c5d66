/** The colours of a report on paper. */
export const INK = '#1D2B33';
export const TEAL = '#0F6670';
export const RULE = '#B9B4A6';
export const STOP = '#A33B20';

/** The embedded fonts carry Latin only: the few signs beyond it are written in words. */
export function latin(text: string): string {
  return text
    .replaceAll('≤', 'not more than ')
    .replaceAll('≥', 'not less than ')
    .replaceAll('′', "'")
    .replaceAll('π', 'pi');
}
