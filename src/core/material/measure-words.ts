import { UNITS, unitLabel, withThousands } from '../quantity';

/** A stored measure (`4500 psi`, `82 yd3`) as people write it; nothing for what is not given. */
export function measureWords(stored: unknown): string {
  if (typeof stored !== 'string') return '';
  const [number = '', unit = ''] = stored.split(' ');
  if (number === '') return '';
  if (unit === '') return withThousands(number);
  const label = Object.hasOwn(UNITS, unit) ? unitLabel(unit as keyof typeof UNITS) : unit;
  return `${withThousands(number)} ${label}`;
}
