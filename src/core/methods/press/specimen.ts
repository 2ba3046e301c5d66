import { cite, type Limits } from '../../limits';
import { isMould } from '../../moulds';
import { type System, unitLabel } from '../../quantity';
import { ageText, ageWindow, durationText, offWindow } from '../../windows';
import { type Finding, finding } from '../../working';
import type { Clock } from '../contract';
import { factText } from '../facts';
import type { RunSetup } from '../setup';

/** The readings that every hardened specimen has when it comes to the press. */
export interface HardenedInput {
  readonly system: System;
  readonly outOfMoistAt?: string;
  readonly surface?: 'moist' | 'dry' | 'field';
  readonly zeroed?: boolean;
  readonly maximumLoad?: string;
  readonly testedAt?: string;
}

/** How long a standard-cured specimen has been out of moist storage. */
export const OUT_OF_MOIST_CLOCK: Clock = {
  title: 'Out of moist storage',
  from: 'outOfMoistAt',
  limit: 'cylinder.out-of-moist',
  means: {
    severity: 'departure',
    beforeLoad: true,
    late: 'Re-wet it and test later if the window allows.',
  },
  when: (setup) => isStandard(setup),
  waits: { what: 'Break it before it dries', lane: 'press' },
};

/** True for a specimen that was kept as the standard has it, or of which nothing else is known. */
export function isStandard(setup: RunSetup): boolean {
  return (factText(setup, 'cure') ?? 'standard') === 'standard';
}

/** What holds for every hardened specimen before it is loaded: held or not, its age, its moisture, the zero. */
export function specimenFindings(input: HardenedInput, setup: RunSetup, limits: Limits): Finding[] {
  return [...agedFindings(input, setup, limits), ...surfaceFindings(input, setup)];
}

/** The same without its moisture, for what reads otherwise when it is dry. */
export function agedFindings(input: HardenedInput, setup: RunSetup, limits: Limits): Finding[] {
  return [...heldFindings(setup), ...ageFindings(input, setup, limits), ...zeroFindings(input)];
}

/** A held specimen that nobody has decided on: tested now, it could only be used to pick the better number. */
function heldFindings(setup: RunSetup): Finding[] {
  if (!setup.specimen?.held) return [];
  return [
    finding({
      id: 'specimen.held',
      severity: 'departure',
      needsReason: true,
      beforeLoad: true,
      fields: [],
      message: 'This specimen is held in reserve; nobody has decided what it is for.',
      action:
        'Leave it wet. A reviewer decides first: in place of a defective one while its window is open, or for information.',
      remark: 'Held specimen tested without a decision beforehand.',
    }),
  ];
}

function ageFindings(input: HardenedInput, setup: RunSetup, limits: Limits): Finding[] {
  const { since, ageHours } = setup.specimen ?? {};
  const at = input.testedAt ?? setup.asOf;
  if (!since || !at) {
    if (!input.testedAt) return [];
    return [
      finding({
        id: 'specimen.age-unknown',
        severity: 'departure',
        fields: ['testedAt'],
        message: 'The casting time is not known, so the age cannot be shown.',
        action: 'Find the casting time in the sample record before reporting.',
        remark: 'Age at test not known.',
      }),
    ];
  }
  const cast = Date.parse(since);
  const broken = Date.parse(at);
  if (broken < cast) {
    return [
      finding({
        id: 'specimen.age-negative',
        severity: 'invalid',
        fields: ['testedAt'],
        message: 'The time of the break is before the casting time.',
        action: 'Check date and time of the break, and the casting time of the specimen.',
      }),
    ];
  }
  if (ageHours === undefined) return [];
  const { ageFrom, form = '' } = setup.specimen ?? {};
  const window = ageWindow(
    ageFrom ? Date.parse(ageFrom) : cast,
    ageHours,
    limits,
    isMould(form) ? form : undefined,
  );
  const off = offWindow(window, broken);
  if (off.where === 'inside') return [];
  const early = off.where === 'before';
  return [
    finding({
      id: early ? 'specimen.age-early' : 'specimen.age-late',
      severity: 'departure',
      needsReason: true,
      beforeLoad: true,
      fields: ['testedAt'],
      limit: {
        ...cite(window.limit),
        text: `${ageText(ageHours)} ± ${window.limit.high} ${unitLabel(window.limit.unit)}`,
      },
      message: early
        ? `The ${ageText(ageHours)} window opens in ${durationText(off.minutes)}.`
        : `The ${ageText(ageHours)} window closed ${durationText(off.minutes)} before.`,
      action: early
        ? 'Put it back in moist storage until the window opens.'
        : 'Break it all the same if the engineer wants the number; the true age is reported and an engineer decides whether it counts.',
      remark: `Broken at ${durationText((broken - cast) / 60_000)}, ${durationText(off.minutes)} ${early ? 'before' : 'after'} the ${ageText(ageHours)} window.`,
    }),
  ];
}

function surfaceFindings(input: HardenedInput, setup: RunSetup): Finding[] {
  const found: Finding[] = [];
  if (input.surface === 'dry' && isStandard(setup)) {
    found.push(
      finding({
        id: 'specimen.surface-dry',
        severity: 'departure',
        beforeLoad: true,
        fields: ['surface'],
        message: 'A standard-cured specimen is tested moist; dry ones read high.',
        action: 'Put it back in water until the surface is wet again, if the window allows.',
        remark: 'Surface dry when tested.',
      }),
    );
  }
  return [...found, ...orderFindings(input, setup)];
}

/** A specimen that was broken before it left its water, by the times that were read: the minute it is by now may lie before one. */
export function orderFindings(input: HardenedInput, setup: RunSetup): Finding[] {
  const found: Finding[] = [];
  if (isStandard(setup) && Date.parse(input.testedAt ?? '') < Date.parse(input.outOfMoistAt ?? ''))
    found.push(
      finding({
        id: 'specimen.out-of-moist-later',
        severity: 'departure',
        fields: ['outOfMoistAt'],
        message: 'It left moist storage after it was broken, by these times.',
        action: 'Correct the time that is wrong.',
        remark: 'Time out of moist storage not consistent.',
      }),
    );
  return found;
}

/** A load without a zero on record. */
export function zeroFindings(input: Pick<HardenedInput, 'maximumLoad' | 'zeroed'>): Finding[] {
  if (!input.maximumLoad || input.zeroed === true) return [];
  return [
    finding({
      id: 'specimen.zero-unrecorded',
      severity: 'departure',
      fields: ['zeroed'],
      message: 'The zero was not recorded before loading.',
      action: 'Tick it if it was set before contact; otherwise say so in the remarks.',
      remark: 'Zero of the indicator not recorded.',
    }),
  ];
}
