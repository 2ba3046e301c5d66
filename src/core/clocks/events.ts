/**
 * The moments of a field day that clocks hang from, each stamped by a press when it happens. The order is the order
 * of the day; the words are what stands on the button.
 */
export const EVENTS = {
  batched: 'Batched',
  arrived: 'Truck on site',
  'water-added': 'Water added',
  remixed: 'Remixed',
  'discharge-start': 'Discharge starts',
  'first-portion': 'First portion',
  'final-portion': 'Final portion',
  composite: 'Composite remixed',
  'thermometer-in': 'Thermometer in',
  'temperature-read': 'Temperature read',
  'slump-fill': 'Slump: fill starts',
  'slump-struck': 'Slump: struck off',
  'lift-start': 'Lift starts',
  'lift-end': 'Lift ends',
  'slump-read': 'Slump read',
  'flow-fill': 'Flow: fill starts',
  'flow-lift-start': 'Flow: lift starts',
  'flow-lift-end': 'Flow: lift ends',
  'flow-ring': 'Flow: at the ring',
  'flow-read': 'Flow read',
  'air-fill': 'Air: fill starts',
  'air-struck': 'Air: struck off',
  'lid-on': 'Lid on',
  'pump-stop': 'Pump stopped',
  'gauge-trimmed': 'Gauge trimmed',
  'shake-start': 'First inversion',
  'shake-end': 'Aggregate loose',
  'roll-start': 'Rolling starts',
  'roll-end': 'Rolling ends',
  'meter-standing': 'Meter upright',
  'meter-stable': 'Level steady',
  'air-read': 'Air read',
  'density-weighed': 'Density weighed',
  'moulding-start': 'Moulding starts',
  moulded: 'Last specimen finished',
  covered: 'Last specimen covered',
  'in-initial-cure': 'All in initial cure',
  'discharge-end': 'Discharge complete',
  'final-set': 'Final set',
  collected: 'Collected',
  'left-site': 'Left the site',
  received: 'Received',
  demoulded: 'Mould off',
  'in-final-cure': 'In final cure',
  'stored-damp': 'Beams stored on the ground',
  soaking: 'Into lime water',
  'test-begun': 'Test begins',
} as const;

/** Moments nobody presses: they are read off a ticket or a mix’s data, so their entry is always later. */
export const TOLD: ReadonlySet<string> = new Set(['batched', 'final-set']);

export type EventId = keyof typeof EVENTS;
export const EVENT_IDS = Object.keys(EVENTS) as EventId[];

/** The stamps of one sample: instants, ms since the epoch, by event. */
export type Stamps = Readonly<Partial<Record<EventId, number>>>;

/** True for text that names an event. */
export function isEventId(text: string): text is EventId {
  return Object.hasOwn(EVENTS, text);
}

/** Events that only some specimens have: beams are soaked, and where the school asks, the way to the test is timed. */
export function isEventFor(event: EventId, made: readonly string[], profile: string): boolean {
  if (event === 'stored-damp') return made.includes('beam/field');
  const beams = made.some((each) => each.startsWith('beam/'));
  if (event === 'soaking') return beams;
  return event !== 'test-begun' || beams || profile === 'is';
}
