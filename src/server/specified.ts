import type { SpecimenFacts } from '@/core/methods';
import { isMouldedConcrete, type MouldSize, mouldOf } from '@/core/moulds';

/** What is asked of a specimen: of concrete by its mix, of grout and mortar by what was said of them. */
export function specifiedFor(
  specimen: { readonly size: MouldSize; readonly specifiedStrength: string | null },
  mix: { readonly specifiedStrength?: string; readonly ageHours: number },
): Pick<SpecimenFacts, 'specifiedStrength' | 'designatedAgeHours'> {
  if (isMouldedConcrete(specimen.size) || mouldOf(specimen.size).kind === 'core')
    return {
      ...(mix.specifiedStrength ? { specifiedStrength: mix.specifiedStrength } : {}),
      designatedAgeHours: mix.ageHours,
    };
  return specimen.specifiedStrength ? { specifiedStrength: specimen.specifiedStrength } : {};
}
