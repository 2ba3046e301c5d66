import { type LimitId, PROFILES, type Profile } from '../limits';
import type { EventId } from './events';

/**
 * What a missed clock means: `resample`: back to the truck; `redo`: again on another portion while the other clocks
 * allow; `remark`: the result stands with the remark; `tell`: the purchaser's representative is told.
 */
export type MissedMeans = 'resample' | 'redo' | 'remark' | 'tell';

/** A kind of specimen with its curing, as clocks ask for it. */
export type SpecimenClass = `${'cylinder' | 'beam' | 'cube'}/${'standard' | 'field'}`;

/** A clock that hangs from one event and ends at another. */
export interface ClockDefinition {
  readonly id: string;
  /** What must be done while it runs, as an order. */
  readonly title: string;
  /** Events it starts from: the first that is stamped, unless `latest`, then the latest of them. */
  readonly from: readonly EventId[];
  readonly latest?: boolean;
  readonly to: EventId;
  readonly limit: LimitId;
  /** Seconds after the start at which it warns. */
  readonly warn?: readonly number[];
  /** Tenths of a second count (a lift), whole seconds (the rest of the fresh tests) or minutes (hours and days). */
  readonly place: 'tenth' | 'second' | 'minute';
  readonly means: MissedMeans;
  /** What the missed clock asks for, said to the technician. */
  readonly late: string;
  /** What is asked when it was ended before its time; for clocks with a least time. */
  readonly early?: string;
  /** Only when such specimens were made: kind and curing, `beam/field`. */
  readonly for?: SpecimenClass;
  /** Only for these schools. */
  readonly profiles?: readonly Profile[];
  /** Events of the same work: when one of them is stamped, the clock has ended unseen and is let go. */
  readonly letGoBy?: readonly EventId[];
}

const MINUTE = 60;
const HOUR = 3600;

const REDO = 'Repeat on another part of the sample while its clock still allows, else resample.';

/** Every clock of the field day. Limits are in the register; what a miss means: ASTM C31, C94, C143, C172 (from memory). */
export const CLOCKS = [
  {
    id: 'discharge',
    title: 'Complete the discharge',
    from: ['batched'],
    to: 'discharge-end',
    limit: 'delivery.discharge',
    warn: [60 * MINUTE, 75 * MINUTE],
    place: 'minute',
    means: 'tell',
    late: 'Tell the purchaser’s representative: the concrete is used only on a recorded waiver. Tests still run.',
  },
  {
    id: 'producer-slump',
    title: 'Producer still answers for the slump',
    from: ['arrived', 'remixed'],
    latest: true,
    to: 'discharge-start',
    limit: 'delivery.slump-window',
    warn: [20 * MINUTE],
    place: 'minute',
    means: 'remark',
    late: 'Say whether the site was ready: if not, the producer’s slump window is over.',
  },
  {
    id: 'composite',
    title: 'Take the final portion',
    from: ['first-portion'],
    to: 'final-portion',
    limit: 'sampling.composite',
    warn: [10 * MINUTE],
    place: 'second',
    means: 'resample',
    late: 'Discard the composite and sample again: every test on it is void.',
  },
  {
    id: 'thermometer',
    title: 'Put the thermometer in',
    from: ['final-portion'],
    to: 'thermometer-in',
    limit: 'temperature.insert',
    warn: [2 * MINUTE],
    place: 'second',
    means: 'remark',
    late: 'The reading will be late: take the temperature from a fresh portion of the same load.',
    letGoBy: ['temperature-read'],
  },
  {
    id: 'dwell',
    title: 'Leave the sensor in',
    from: ['thermometer-in'],
    to: 'temperature-read',
    limit: 'temperature.dwell',
    place: 'second',
    means: 'redo',
    late: '',
    early: 'Leave the sensor in, wait until the time is up and the reading is steady, then read again.',
  },
  {
    id: 'temperature',
    title: 'Read the temperature',
    from: ['final-portion'],
    to: 'temperature-read',
    limit: 'temperature.complete',
    warn: [2.5 * MINUTE],
    place: 'second',
    means: 'redo',
    late: 'Take the temperature again from a fresh portion of the same load.',
  },
  {
    id: 'slump-start',
    title: 'Start the slump',
    from: ['final-portion'],
    to: 'slump-fill',
    limit: 'slump.start',
    warn: [3.5 * MINUTE],
    place: 'second',
    means: 'resample',
    late: 'Take a new sample: this one waited too long for a slump test.',
    letGoBy: ['flow-fill'],
  },
  {
    id: 'slump-off',
    title: 'Slump off',
    from: ['final-portion'],
    to: 'lift-end',
    limit: 'agency/slump.off',
    warn: [3 * MINUTE],
    place: 'second',
    means: 'resample',
    late: 'The agency’s time is over: take a new sample.',
    profiles: ['agency'],
  },
  {
    id: 'slump-total',
    title: 'Mould off',
    from: ['slump-fill'],
    to: 'lift-end',
    limit: 'slump.total',
    warn: [2 * MINUTE],
    place: 'second',
    means: 'redo',
    late: REDO,
  },
  {
    id: 'slump-lift',
    title: 'Lift straight up',
    from: ['lift-start'],
    to: 'lift-end',
    limit: 'slump.lift',
    place: 'tenth',
    means: 'redo',
    late: 'Repeat on another part of the sample.',
    early: 'Repeat on another part of the sample: a fast lift makes a high number.',
  },
  {
    id: 'slump-read',
    title: 'Measure the slump',
    from: ['lift-end'],
    to: 'slump-read',
    limit: 'slump.read',
    warn: [20],
    place: 'second',
    means: 'remark',
    late: 'Measure at once the next time: the cone goes on settling.',
  },
  {
    id: 'flow-start',
    title: 'Start the slump flow',
    from: ['final-portion'],
    to: 'flow-fill',
    limit: 'slump.start',
    warn: [3.5 * MINUTE],
    place: 'second',
    means: 'resample',
    late: 'Take a new sample: this one waited too long.',
    letGoBy: ['slump-fill'],
  },
  {
    id: 'flow-total',
    title: 'Flow mould off',
    from: ['flow-fill'],
    to: 'flow-lift-end',
    limit: 'flow.total',
    warn: [2 * MINUTE],
    place: 'second',
    means: 'redo',
    late: REDO,
  },
  {
    id: 'flow-lift',
    title: 'Lift the flow mould',
    from: ['flow-lift-start'],
    to: 'flow-lift-end',
    limit: 'flow.lift',
    place: 'tenth',
    means: 'redo',
    late: 'Repeat on another part of the sample.',
    early: 'Repeat on another part of the sample.',
  },
  {
    id: 'air-start',
    title: 'Start the air test',
    from: ['final-portion'],
    to: 'air-fill',
    limit: 'air.start',
    warn: [3.5 * MINUTE],
    place: 'second',
    means: 'resample',
    late: 'Take a new sample: this one waited too long for an air test.',
  },
  {
    id: 'pressure-settle',
    title: 'Let the chamber settle',
    from: ['pump-stop'],
    to: 'gauge-trimmed',
    limit: 'air-pressure.settle',
    place: 'second',
    means: 'remark',
    late: '',
    early: 'Let the compressed air cool before trimming the gauge.',
  },
  {
    id: 'shake',
    title: 'Invert and shake',
    from: ['shake-start'],
    to: 'shake-end',
    limit: 'air-volumetric.shake',
    place: 'second',
    means: 'redo',
    late: '',
    early: 'Go on inverting and shaking until the aggregate is heard moving.',
  },
  {
    id: 'roll',
    title: 'Roll',
    from: ['roll-start'],
    to: 'roll-end',
    limit: 'air-volumetric.roll',
    place: 'second',
    means: 'redo',
    late: '',
    early: 'Go on rolling, about a minute.',
  },
  {
    id: 'stable',
    title: 'Level steady',
    from: ['meter-standing'],
    to: 'meter-stable',
    limit: 'air-volumetric.stable-time',
    warn: [4 * MINUTE],
    place: 'second',
    means: 'redo',
    late: 'Discard it and make a new test with more alcohol.',
    early: 'Let it stand two minutes before the level is called steady.',
  },
  {
    id: 'moulding',
    title: 'Start moulding',
    from: ['composite', 'final-portion'],
    to: 'moulding-start',
    limit: 'sampling.moulding-start',
    warn: [10 * MINUTE, 13 * MINUTE],
    place: 'second',
    means: 'resample',
    late: 'Take a new sample for acceptance specimens.',
    letGoBy: ['moulded'],
  },
  {
    id: 'whole-sample',
    title: 'Use the whole sample',
    from: ['final-portion'],
    to: 'moulded',
    limit: 'agency/sampling.whole',
    warn: [10 * MINUTE],
    place: 'second',
    means: 'resample',
    late: 'Discard specimens not yet finished; further ones need a new sample.',
    profiles: ['agency'],
  },
  {
    id: 'cover',
    title: 'Cover the specimens',
    from: ['moulded'],
    to: 'covered',
    limit: 'moulding.cover',
    warn: [60],
    place: 'second',
    means: 'remark',
    late: 'Cover them now: the top dries first.',
    letGoBy: ['in-initial-cure'],
  },
  {
    id: 'to-cure',
    title: 'Put them into initial cure',
    from: ['moulded'],
    to: 'in-initial-cure',
    limit: 'moulding.to-cure',
    warn: [5 * MINUTE],
    place: 'second',
    means: 'remark',
    late: 'Do not move them after the concrete begins to set.',
    letGoBy: ['collected'],
  },
  {
    id: 'initial-cure',
    title: 'Collect the specimens',
    from: ['moulded'],
    to: 'collected',
    limit: 'curing.initial',
    warn: [36 * HOUR, 44 * HOUR],
    place: 'minute',
    means: 'remark',
    late: 'Collect them now; every specimen carries the remark and is still tested.',
  },
  {
    id: 'after-set',
    title: 'Leave them where they are',
    from: ['final-set'],
    to: 'left-site',
    limit: 'curing.after-set',
    place: 'minute',
    means: 'remark',
    late: '',
    early: 'Leave them until the time is up; moved earlier, every specimen carries the remark.',
  },
  {
    id: 'on-site',
    title: 'Keep them on site',
    from: ['moulded'],
    to: 'collected',
    limit: 'agency/curing.on-site',
    place: 'minute',
    means: 'remark',
    late: 'Collect them now; every specimen carries the remark.',
    early: 'The agency wants them on site longer.',
    profiles: ['agency'],
  },
  {
    id: 'transport',
    title: 'Reach the laboratory',
    from: ['left-site'],
    to: 'received',
    limit: 'curing.transport',
    warn: [3 * HOUR],
    place: 'minute',
    means: 'remark',
    late: 'Every specimen carries the remark.',
  },
  {
    id: 'bare',
    title: 'Wet again',
    from: ['demoulded'],
    to: 'in-final-cure',
    limit: 'curing.bare',
    warn: [20 * MINUTE],
    place: 'minute',
    means: 'remark',
    late: 'Put them into water now.',
  },
  {
    id: 'demould-en',
    title: 'Moulds off',
    from: ['moulded'],
    to: 'demoulded',
    limit: 'curing.demould',
    place: 'minute',
    means: 'remark',
    late: 'Take the moulds off now.',
    early: 'Leave them in the moulds.',
    profiles: ['en'],
  },
  {
    id: 'demould-is',
    title: 'Moulds off',
    from: ['batched', 'moulded'],
    to: 'demoulded',
    limit: 'curing.demould',
    place: 'minute',
    means: 'remark',
    late: 'Take the moulds off now.',
    early: 'Leave them in the moulds.',
    profiles: ['is'],
  },
  {
    id: 'beams-stored',
    title: 'Store the field-cured beams',
    from: ['moulded'],
    to: 'stored-damp',
    limit: 'curing.field-beam-off',
    warn: [44 * HOUR],
    place: 'minute',
    means: 'remark',
    late: 'Take them out now and store them on the ground, top up, sides and ends banked with damp earth or sand.',
    early: 'Leave them in the moulds.',
    for: 'beam/field',
  },
  {
    id: 'beam-soak',
    title: 'Soak the beams',
    from: ['soaking'],
    to: 'test-begun',
    limit: 'curing.beam-soak',
    place: 'minute',
    means: 'remark',
    late: '',
    early: 'Leave them in lime water until the time is up: a dry skin breaks low.',
    for: 'beam/standard',
  },
  {
    id: 'field-beam-soak',
    title: 'Soak the field-cured beams',
    from: ['soaking'],
    to: 'test-begun',
    limit: 'curing.field-beam-soak',
    place: 'minute',
    means: 'remark',
    late: 'Test them now: they are no longer as the structure is.',
    early: 'Leave them in lime water until the time is up: a dry skin breaks low.',
    for: 'beam/field',
  },
  {
    id: 'arrival',
    title: 'Keep them in the laboratory before the test',
    from: ['received'],
    to: 'test-begun',
    limit: 'curing.arrival',
    place: 'minute',
    means: 'remark',
    late: '',
    early: 'They are tested a day after they came at the earliest.',
    profiles: ['is'],
  },
] as const satisfies readonly ClockDefinition[];

export type ClockId = (typeof CLOCKS)[number]['id'];

/** A clock by its name. */
export function clockOf(id: ClockId): ClockDefinition {
  return BY_ID.get(id) as ClockDefinition;
}

/** The clocks that a school counts. */
export function clocksFor(profile: Profile): readonly ClockDefinition[] {
  return BY_SCHOOL.get(profile) ?? [];
}

const BY_ID = new Map<ClockId, ClockDefinition>(CLOCKS.map((clock) => [clock.id, clock]));
const BY_SCHOOL = new Map(
  PROFILES.map((profile) => [
    profile,
    CLOCKS.filter((clock: ClockDefinition) => !clock.profiles || clock.profiles.includes(profile)),
  ]),
);
