import type { Material, Stored } from '@/core/material/contract';
import { formText } from '@/core/materials/forms';
import { fieldsOf } from '@/core/methods';
import type { System } from '@/core/quantity';
import { formFields } from '../form/fields-of';
import type { RegisterWay } from './RegisterSpecimens';

/** The ways that specimens come to a sample, as forms ask for them; for those at the bench, or for everybody. */
export function registerWays(
  material: Material,
  about: {
    readonly about: Stored;
    /** What is asked of what it was taken of. */
    readonly asked: Stored;
    readonly system: System;
    /** How many are still wanted; undefined where nobody says. */
    readonly wanted?: number | undefined;
    readonly bench?: boolean;
    /** True where the sample's own specimens are made. */
    readonly made?: boolean;
  },
): RegisterWay[] {
  return (material.registers ?? [])
    .filter(({ bench, afterMade }) => (!bench || about.bench) && (!afterMade || about.made))
    .map((way) => ({ ...way, forms: way.forms(about.about, about.system, about.asked) }))
    .filter(({ forms }) => forms.length > 0)
    .map(({ usual, most, forms, Input, initial, ...words }) => ({
      id: words.id,
      begin: words.begin,
      title: words.title,
      intro: words.intro,
      done: words.done,
      countHelp: words.countHelp,
      place: words.place,
      count: Math.min(most, Math.max(1, about.wanted ?? usual)),
      forms: forms.map((value) => ({ value, label: formText(value) })),
      fields: Input ? formFields(fieldsOf(Input), about.system) : [],
      initial: initial ?? {},
    }));
}
