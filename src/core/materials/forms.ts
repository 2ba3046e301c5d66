import type { Form } from '../material/contract';
import { MATERIALS } from './registry';

const FORMS: ReadonlyMap<string, Form> = new Map(
  MATERIALS.flatMap(({ forms }) => forms).map((form) => [form.id, form]),
);

/** A form of specimens by its id; undefined when there is none. */
export function findForm(id: string): Form | undefined {
  return FORMS.get(id);
}

/** True for what is as old as the sample's own material: made of it, or taken out of it later. */
export function agesWithSample(form: string): boolean {
  return findForm(form)?.since === 'sample';
}

/** True for what is made of a sample's own material on the spot: its window hangs on its age. */
export function isMadeOfSample(form: string): boolean {
  return agesWithSample(form) && !hasOwnWindow(form);
}

/** True for what has a window that is said when it comes. */
export function hasOwnWindow(form: string): boolean {
  return findForm(form)?.window === 'own';
}

/** A form as it is written: `4 × 8 in`, `Irregular lump`. */
export function formText(id: string): string {
  return findForm(id)?.text ?? id;
}
