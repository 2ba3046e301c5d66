import type { ConcreteAsked, SpecimenAbout } from '@/core/materials/concrete/record';
import type { SpecimenFacts } from '@/core/methods';
import { isMouldedConcrete, kindOf } from '@/core/moulds';

/** What is asked of a specimen: of concrete by its mix, of grout and mortar by what was said of them. */
export function specifiedFor(
  specimen: { readonly form: string; readonly about: Pick<SpecimenAbout, 'specifiedStrength'> },
  asked: Pick<ConcreteAsked, 'specifiedStrength' | 'ageHours'>,
): Pick<SpecimenFacts, 'specifiedStrength' | 'designatedAgeHours'> {
  if (isMouldedConcrete(specimen.form) || kindOf(specimen.form) === 'core')
    return {
      ...(asked.specifiedStrength ? { specifiedStrength: asked.specifiedStrength } : {}),
      designatedAgeHours: asked.ageHours,
    };
  const { specifiedStrength } = specimen.about;
  return specifiedStrength ? { specifiedStrength } : {};
}
