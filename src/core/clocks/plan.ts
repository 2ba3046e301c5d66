import type { EventId, Stamps } from './events';

/**
 * The order in which one person does all tests of a sample, so that every clock can be met: thermometer in while the
 * cone is filled, read when it is off, then the air bowl, then the moulds. Our choice, fitted to ASTM C172 (from memory).
 */
const ORDER: readonly EventId[] = [
  'first-portion',
  'final-portion',
  'composite',
  'thermometer-in',
  'slump-fill',
  'flow-fill',
  'lift-start',
  'flow-lift-start',
  'lift-end',
  'flow-lift-end',
  'slump-read',
  'flow-read',
  'temperature-read',
  'air-fill',
  'air-struck',
  'density-weighed',
  'air-read',
  'moulding-start',
  'moulded',
  'covered',
  'in-initial-cure',
  'collected',
  'left-site',
  'received',
  'demoulded',
  'in-final-cure',
];

/** Events that belong to one piece of work, in its order: when a later one is stamped, the earlier are past. */
const CHAINS: readonly (readonly EventId[])[] = [
  ['first-portion', 'final-portion', 'composite'],
  ['thermometer-in', 'temperature-read'],
  ['slump-fill', 'lift-start', 'lift-end', 'slump-read'],
  ['flow-fill', 'flow-lift-start', 'flow-lift-end', 'flow-read'],
  ['air-fill', 'air-struck', 'air-read'],
  [
    'moulding-start',
    'moulded',
    'covered',
    'in-initial-cure',
    'collected',
    'left-site',
    'received',
    'demoulded',
    'in-final-cure',
  ],
];

/** Events that nothing may come between: the lift is over in five seconds. */
const AT_ONCE: Readonly<Partial<Record<EventId, EventId>>> = {
  'lift-start': 'lift-end',
  'flow-lift-start': 'flow-lift-end',
};

function isPast(event: EventId, stamps: Stamps): boolean {
  const chain = CHAINS.find((each) => each.includes(event)) ?? [event];
  return chain.slice(chain.indexOf(event)).some((each) => stamps[each] !== undefined);
}

/**
 * What to press next.
 * @param planned true for events of the tests this sample has
 * @returns the event; undefined when everything is done
 */
export function nextEvent(stamps: Stamps, planned: (event: EventId) => boolean): EventId | undefined {
  for (const [from, to] of Object.entries(AT_ONCE) as [EventId, EventId][]) {
    if (stamps[from] !== undefined && planned(to) && !isPast(to, stamps)) return to;
  }
  return ORDER.find((event) => planned(event) && !isPast(event, stamps));
}
