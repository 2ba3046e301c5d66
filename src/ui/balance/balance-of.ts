import { equipmentField } from '@/core/methods';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';

/** The number of the balance that was chosen for a run, where it can be followed. */
export function balanceOf(
  { fields, readings }: Pick<Run, 'fields' | 'readings'>,
  { setup }: Pick<RunSheetData, 'setup'>,
): string | undefined {
  const field = equipmentField(fields.values(), 'balance');
  const chosen = field && readings.values[field];
  return setup.equipment?.find(({ number, live }) => live && number === chosen)?.number;
}
