import type { EquipmentFacts } from '@/core/methods';
import type { RunSheetData } from '../runsheet/types';
import type { Run } from '../runsheet/use-run';

/** The testing machine that a run names; undefined while none is chosen. */
export function machineOf(run: Run, data: RunSheetData): EquipmentFacts | undefined {
  const number = run.readings.values[run.method.press?.fields.machine ?? ''];
  return data.setup.equipment?.find((each) => each.number === number);
}
