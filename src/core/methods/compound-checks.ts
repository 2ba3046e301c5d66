import { compoundFit, type QualifiedCompound } from '../ends';
import { cite, type Limits } from '../limits';
import { type Exact, plainOf, type System } from '../quantity';
import { type Finding, finding } from '../working';
import type { CompoundFacts } from './compound-facts';
import { STRESS_UNIT } from './press/units';
import { setupMeasure } from './setup';

interface About {
  /** Expected or proved, psi or MPa; undefined while nothing is known. */
  readonly strength: Exact | undefined;
  readonly proved: boolean;
  /** What the cubes of the lot came to. */
  readonly cubes: Exact | undefined;
  readonly lot: string;
  readonly compound: CompoundFacts | undefined;
  /** Calendar date of the capping or of the test. */
  readonly day: string | undefined;
  readonly system: System;
  readonly limits: Limits;
  readonly fields: readonly string[];
}

function onFile(compound: CompoundFacts | undefined, system: System): QualifiedCompound | undefined {
  const usableTo = setupMeasure(compound?.usableTo, 'stress', STRESS_UNIT[system]);
  const { qualifiedOn } = compound ?? {};
  return usableTo && qualifiedOn ? { usableTo, qualifiedOn: qualifiedOn.slice(0, 10) } : undefined;
}

/** Hours that a qualified material hardens under concrete of a strength, where its qualification showed them. */
export function hardensIn(
  compound: CompoundFacts | undefined,
  strength: Exact | undefined,
  day: string | undefined,
  system: System,
  limits: Limits,
): Exact | undefined {
  if (!strength || compoundFit(strength, onFile(compound, system), day, system, limits) !== 'qualified')
    return undefined;
  return setupMeasure(compound?.hardens, 'duration', 'h');
}

/**
 * A capping material against the strength under it: up to 7,000 psi [50 MPa] its cubes must be as strong, above that it
 * must be qualified.
 * Source: ASTM C617/C617M (from memory).
 */
export function compoundFinding(about: About): Finding[] {
  const { strength, proved, cubes, lot, compound, day, system, limits, fields } = about;
  if (!strength) return [];
  const unit = STRESS_UNIT[system];
  const whose = `${proved ? 'It broke at' : 'Expected is about'} ${plainOf(strength.toSignificantDigits(4), unit)}`;
  const common = { severity: 'departure', needsReason: true, beforeLoad: !proved, fields } as const;
  const fit = compoundFit(strength, onFile(compound, system), day, system, limits);
  if (fit !== 'not asked') {
    if (fit === 'qualified') return [];
    const why = {
      none: `${lot} is not qualified above ${limits.of('caps.thick-switch', system).high} ${unit}.`,
      'too weak': `${lot} is qualified to ${compound?.usableTo}.`,
      'too old': `the qualification of ${lot} of ${compound?.qualifiedOn?.slice(0, 10)} has run out.`,
    }[fit];
    return [
      finding({
        ...common,
        id: 'caps.qualified',
        limit: cite(limits.of('caps.thick-switch', system)),
        message: `${whose}: ${why}`,
        action: proved
          ? 'A reviewer decides; grind the ends of its companions, or qualify the material under Gear.'
          : 'Grind the ends, or qualify the material under Gear: fifteen capped against fifteen ground.',
        remark: 'Capping material not qualified at this strength.',
      }),
    ];
  }
  if (!cubes || cubes.greaterThanOrEqualTo(strength)) return [];
  return [
    finding({
      ...common,
      id: 'caps.lot-strength',
      limit: cite(limits.of('caps.lot-strength', system)),
      message: `${whose}; ${lot} proved only ${plainOf(cubes, unit)}.`,
      action: proved
        ? 'A reviewer decides; take a stronger compound, or grind.'
        : 'Take a stronger compound, grind the ends, or use pads where they are permitted.',
      remark: 'Capping compound weaker than the concrete.',
    }),
  ];
}
