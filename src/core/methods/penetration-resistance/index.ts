import type { Wait } from '../../waits/wait';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { compute, FINAL, INITIAL } from './compute';
import { PenetrationResistanceInput } from './input';

const HOUR = 3_600_000;
/** From the water to the first push, and from one to the next, h. Source: ASTM C403/C403M (from memory). */
const FIRST = 3;
const NEXT = 0.5;

function waits(input: PenetrationResistanceInput): Wait[] {
  const contact = Date.parse(input.contactAt ?? '');
  const last = Math.max(...(input.pushes ?? []).map(({ at }) => Date.parse(at ?? '')));
  if (Number.isNaN(contact)) return [];
  const opens = Number.isFinite(last) ? last + NEXT * HOUR : contact + FIRST * HOUR;
  return [
    {
      id: 'push',
      what: 'Push the needle',
      lane: 'paste',
      opens: new Date(opens).toISOString(),
      ...(input.finishedAt ? { done: input.finishedAt } : {}),
    },
  ];
}

/** Setting of a concrete by penetration resistance of its mortar. Order of work: ASTM C403/C403M (from memory), in our own words. */
export const penetrationResistance: Method<PenetrationResistanceInput> = {
  id: 'penetration-resistance',
  title: 'Setting by penetration',
  designations: [standard('ASTM C403/C403M')],
  runOn: 'sample',
  again: 'freely',
  begin: 'Setting by penetration',
  yields: [
    { quantity: INITIAL, symbol: 'ti', named: true },
    { quantity: FINAL, symbol: 'tf', named: true },
  ],
  Input: PenetrationResistanceInput,
  steps: [
    {
      id: 'sieve',
      title: 'Sieve out the mortar',
      phase: 'before',
      instruction:
        'Through 4.75 mm (No. 4), mixed again by hand, into three containers six inches [150 mm] wide and deep; level, cover, keep at its temperature.',
      fields: ['contactAt', 'temperature'],
      caution: 'Fresh concrete burns skin and eyes: gloves and goggles. The safety data sheet first.',
    },
    {
      id: 'push',
      title: 'Push by push',
      phase: 'test',
      instruction:
        'Pipette the bleed water off. The largest needle first, a smaller one as it stiffens; an inch in ten seconds, then the force. Two needle widths from every mark, an inch from the wall.',
      fields: ['pushes'],
      caution: 'The needle can slip: hands and face off it.',
    },
    {
      id: 'end',
      title: 'When it has set',
      phase: 'after',
      instruction: 'One push beyond the final resistance.',
      fields: ['finishedAt', 'remarks'],
    },
  ],
  performedAt: 'finishedAt',
  sequence: [['contactAt', 'finishedAt']],
  plan: (system, setup) =>
    limitRows(
      [
        'penetration.initial',
        'penetration.final',
        'penetration.readings',
        'penetration.specimens',
        'penetration.first',
      ],
      system,
      setup,
    ),
  compute,
  waits,
  notClaimed: [
    'The setting of a concrete is not that of its cement by the needle: other water, other temperature, admixtures.',
  ],
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(PenetrationResistanceInput), system), system },
    setup: { zone: 'America/New_York', sample: { label: 'EXAMPLE', sampledAt: '2031-05-14T09:40:00-04:00' } },
  }),
};
