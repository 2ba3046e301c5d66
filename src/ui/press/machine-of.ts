import type { EquipmentFacts } from '@/core/methods';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';

/** The testing machine that a run names; undefined while none is chosen. */
export function machineOf(run: Run, data: RunSheetData): EquipmentFacts | undefined {
  const number = run.readings.values[run.method.press?.fields.machine ?? ''];
  return data.setup.equipment?.find((each) => each.number === number);
}
