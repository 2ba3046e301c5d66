import { type CellSpec, type FieldSpec, isRows } from '@/core/methods';
import { type System, unitLabel } from '@/core/quantity';
import type { FormField } from './form-props';

/** The fields of a class as a form asks for them. */
export function formFields(fields: readonly FieldSpec[], system: System): FormField[] {
  return fields.filter((field): field is CellSpec => !isRows(field)).map((field) => formField(field, system));
}

function formField(field: CellSpec, system: System): FormField {
  const base = {
    name: field.name,
    label: field.label,
    ...(field.required ? {} : { optional: true }),
    ...(field.rare ? { rare: true } : {}),
  };
  if (field.kind === 'instant')
    return { ...base, type: 'datetime', ...(field.help ? { help: field.help } : {}) };
  if (field.kind === 'check')
    return {
      ...base,
      ...(field.help ? { help: field.help } : {}),
      options: [
        { value: '', label: 'no' },
        { value: 'true', label: 'yes' },
      ],
    };
  const options =
    field.kind === 'choice'
      ? [{ value: '', label: 'none' }, ...field.options.map(({ value, label }) => ({ value, label }))]
      : undefined;
  const help = [field.help, sample(field, system)].filter(Boolean).join(' ');
  return { ...base, ...(options ? { options } : {}), ...(help ? { help } : {}) };
}

/** How the field is filled: an example, and the unit that is meant where none is typed. */
function sample(field: CellSpec, system: System): string {
  if (field.kind === 'choice') return '';
  const example = typeof field.example === 'string' ? field.example : field.example[system];
  const as = example === '' ? '' : `As ${example}`;
  if (field.kind !== 'measure' || /[a-z%°]/iu.test(example)) return as && `${as}.`;
  const unit = unitLabel(field.unit[system]);
  return unit === '' ? as && `${as}.` : `${as ? `${as}: ` : ''}${unit}, unless another unit is typed.`;
}
