import { heatProblem } from '../calorimetry/record-problem';
import { temperatureProblem } from '../temperature/record-problem';

/** What is wrong with a record from outside, in one sentence; null when nothing is. */
export function recordProblem(value: unknown): string | null {
  const kind = typeof value === 'object' && value !== null && 'kind' in value ? value.kind : undefined;
  if (kind === 'heat') return heatProblem(value);
  return kind === 'temperature' ? temperatureProblem(value) : 'kind is temperature or heat.';
}
