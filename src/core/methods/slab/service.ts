import type { Limits } from '../../limits';
import type { Finding } from '../../working';
import type { RunInput } from '../fields';
import { limitFinding } from '../limit-finding';

/** How the conditions of the finished building are known: the field of every test that hangs on them. */
export const SERVICE = {
  label: 'Service conditions',
  required: true,
  carry: true,
  options: [
    { value: 'proven', label: 'Held for 48 h before, and since: the log shows it' },
    { value: 'kept', label: 'Held since the last reading: the log shows it' },
    { value: 'unproven', label: 'Held, with no log' },
    { value: 'off', label: 'Not held: heating, air or enclosure missing' },
  ],
  help: 'Slab and air as the finished building will have them.',
  example: 'proven',
} as const;
export type Service = 'proven' | 'kept' | 'unproven' | 'off';

/**
 * Why what was read decides nothing yet; undefined where it does.
 * @param what `Humidity`
 * @param record what a record of the air says against it, where there is one: it goes before what is only said
 */
export function notProven(
  { service, system }: RunInput & { service?: Service },
  limits: Limits,
  what: string,
  record?: string,
): { finding: Finding; why: string } | undefined {
  const held = service === 'proven' || service === 'kept';
  if (!service || (held && record === undefined)) return undefined;
  const why =
    service === 'off' ? 'not at service conditions' : (record ?? 'service conditions are not proven');
  return {
    why,
    finding: limitFinding(
      limits,
      system,
      { id: 'slab.service', severity: 'departure', fields: ['service'] },
      {
        message: `A reading for the trend: ${why}.`,
        action: 'Slab and air at service conditions for 48 h before, and a log that shows it; then again.',
        remark: `${what} for the trend only: ${why}.`,
      },
    ),
  };
}
