import type { TemperatureRecord } from '../../temperature';
import type { RunSetup } from '../setup';

/** The record of temperatures that is kept for a reading; undefined where none is. */
export function temperatureKept(setup: RunSetup, name: string): TemperatureRecord | undefined {
  const kept = setup.records?.[name];
  return kept?.kind === 'temperature' ? kept : undefined;
}
