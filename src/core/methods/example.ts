import type { System } from '../quantity';
import type { FieldSpec } from './fields';

/** The example readings of a method's fields, for its description; fields without an example are left out. */
export function exampleInput(fields: readonly FieldSpec[], system: System): Record<string, unknown> {
  const pairs = fields.map((field) => {
    const text = typeof field.example === 'string' ? field.example : field.example[system];
    return [field.name, field.kind === 'check' ? true : text] as const;
  });
  return Object.fromEntries(pairs.filter(([, value]) => value !== ''));
}
