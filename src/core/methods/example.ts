import type { System } from '../quantity';
import type { FieldSpec } from './fields';
import { exampleRows } from './rows-field';

/** The example readings of a method's fields, for its description; fields without an example are left out. */
export function exampleInput(fields: readonly FieldSpec[], system: System): Record<string, unknown> {
  const pairs = fields.map((field): readonly [string, unknown] => {
    if (field.kind === 'rows') return [field.name, exampleRows(field, system)];
    const text = typeof field.example === 'string' ? field.example : field.example[system];
    return [field.name, field.kind === 'check' ? true : text];
  });
  return Object.fromEntries(
    pairs.filter(([, value]) => value !== '' && !(Array.isArray(value) && value.length === 0)),
  );
}
