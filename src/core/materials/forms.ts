import type { Form } from '../material/contract';
import { MATERIALS } from './registry';

const FORMS: ReadonlyMap<string, Form> = new Map(
  MATERIALS.flatMap(({ forms }) => forms).map((form) => [form.id, form]),
);

/** A form of specimens by its id; undefined when there is none. */
export function findForm(id: string): Form | undefined {
  return FORMS.get(id);
}

/** A form as it is written: `4 × 8 in`, `Irregular lump`. */
export function formText(id: string): string {
  return findForm(id)?.text ?? id;
}
