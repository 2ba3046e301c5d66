import { type FieldSpec, fieldsOf } from '../methods/fields';
import type { Said, Stored } from './contract';
import { measureWords } from './measure-words';

/** What is stored by a class of fields, as people read it: only what was given, in the order of the fields. */
export function saidOf(type: new () => object, stored: Stored): Said[] {
  return fieldsOf(type).flatMap((field): Said[] => {
    const text = wordsOf(field, stored[field.name]);
    return text === '' ? [] : [[field.label, text]];
  });
}

/** What says nothing without its label: a bare number, a day, a yes. */
const BARE = /^(?:[\d.-]+|yes|no|not known)$/iu;

/** The same in one line, for lists: each by itself where it is understood so, else behind its label. */
export function inShort(said: readonly Said[]): string {
  return said
    .map(([label, text]) => (BARE.test(text) ? `${label.toLowerCase()} ${text.toLowerCase()}` : text))
    .join(', ');
}

function wordsOf(field: FieldSpec, value: unknown): string {
  if (field.kind === 'check') return value === true ? 'yes' : '';
  if (typeof value !== 'string') return '';
  if (field.kind === 'measure') return measureWords(value);
  // The day is enough of what is known of a lot or a sample.
  if (field.kind === 'instant') return value.slice(0, 10);
  if (field.kind === 'choice') return field.options.find((option) => option.value === value)?.label ?? value;
  return value;
}
