import { DateTime } from 'luxon';
import { cite, type LimitId, type Limits } from '../limits';
import { remembered } from '../quantity';
import { dueOn } from '../windows';
import { type Finding, finding } from '../working';
import type { EquipmentFacts, RunSetup } from './setup';

/** The register entry that sets the interval for a kind of equipment. */
export function intervalLimit(kind: string): LimitId {
  if (kind === 'compression machine') return 'machine.verification';
  if (kind === 'capping compound') return 'caps.lot-interval';
  if (kind === 'sensor pack') return 'equipment.pack';
  return kind === 'pressure meter' ? 'air-pressure.standardised' : 'equipment.yearly';
}

/** The calendar day at the job on which a run was made, or is being made; undefined when neither time is known. */
export function dayOf(at: string | undefined, setup: Pick<RunSetup, 'asOf' | 'zone'>): string | undefined {
  const instant = at ?? setup.asOf;
  if (!instant) return undefined;
  return dayIn(instant, setup.zone ?? 'utc') || undefined;
}

/** The calendar is asked for the same few instants over and over: every certificate and every piece of equipment. */
const dayIn = remembered(
  2000,
  (instant: string, zone: string) => `${zone} ${instant}`,
  (instant, zone) => DateTime.fromISO(instant, { zone }).toISODate() ?? '',
);

/**
 * Checks each piece of equipment that a run names.
 * @param fields names of the input's equipment fields, with what an overdue one means for the result
 * @param at when the run was made
 */
export function equipmentUse(
  input: object,
  fields: Readonly<Record<string, 'invalid' | 'departure'>>,
  at: string | undefined,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const day = dayOf(at, setup);
  return Object.entries(fields).flatMap(([field, severity]) => {
    const number = (input as Record<string, unknown>)[field];
    if (typeof number !== 'string') return [];
    return equipmentFindings(field, number, setup.equipment ?? [], day, limits, severity);
  });
}

/** When equipment is due under the register in force; undefined when it has never been verified. */
export function equipmentDue(
  facts: Pick<EquipmentFacts, 'kind' | 'verifiedOn'>,
  limits: Limits,
): string | undefined {
  if (!facts.verifiedOn) return undefined;
  return dueOn(facts.verifiedOn.slice(0, 10), limits.number(intervalLimit(facts.kind), 'US').toNumber());
}

/**
 * Checks that a piece of equipment was in service and verified on the day it was used.
 * @param field input field that names the equipment
 * @param day calendar date of use at the job, `2031-05-14`
 * @param severity `invalid` for a machine that gives the result, `departure` for the rest
 */
export function equipmentFindings(
  field: string,
  number: string,
  known: readonly EquipmentFacts[],
  day: string | undefined,
  limits: Limits,
  severity: 'invalid' | 'departure',
): Finding[] {
  const facts = known.find((each) => each.number === number);
  const about = { fields: [field], beforeLoad: true } as const;
  if (!facts) {
    return [
      finding({
        ...about,
        id: 'equipment.unknown',
        severity: 'departure',
        message: `Equipment ${number} is not in the register, so its verification cannot be shown.`,
        action: 'Choose equipment from the register, or enter it there first.',
        remark: `Equipment ${number}: verification not on record.`,
      }),
    ];
  }
  if (facts.inService === false) {
    return [
      finding({
        ...about,
        id: 'equipment.out-of-service',
        severity,
        message: `${number} is out of service.`,
        action: 'Use other equipment.',
        remark: `${number} was out of service when used.`,
      }),
    ];
  }
  const limit = limits.of(intervalLimit(facts.kind), 'US');
  const due = equipmentDue(facts, limits);
  const verifiedOn = facts.verifiedOn?.slice(0, 10);
  // A certificate of afterwards shows nothing of how it was on the day.
  if (day && verifiedOn && verifiedOn > day) {
    return [
      finding({
        ...about,
        id: 'equipment.verified-later',
        severity,
        message: `${number} was verified on ${verifiedOn}, after this test of ${day}.`,
        action: 'Check the dates; show the verification that was in force on the day of the test.',
        remark: `${number}: no verification on record before the test.`,
      }),
    ];
  }
  if (due && (!day || day <= due)) return [];
  return [
    finding({
      ...about,
      id: 'equipment.overdue',
      severity,
      limit: { ...cite(limit), text: `${limit.high} months` },
      message: due
        ? `${number} was last verified on ${facts.verifiedOn?.slice(0, 10)}; it was due by ${due}.`
        : `${number} has no verification on record.`,
      action: 'Use equipment that is in date, or have this one verified before the test.',
      remark: `${number} was past its verification date.`,
    }),
  ];
}
