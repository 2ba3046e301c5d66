import { COMPLETE, fieldsOf, type RunInput } from '../methods/fields';
import { type FieldErrors, validated } from '../methods/validated';
import { measureIn, parseMeasure, type System } from '../quantity';

/**
 * What was typed into a class of fields as it is stored: measures as text with their unit, answers and words as they are,
 * ticks as true or false, null for what was not given.
 * @param system the units that are meant where none is typed
 * @returns the record, or what is wrong by field
 */
export function storedOf(
  type: new () => RunInput,
  typed: Readonly<Record<string, unknown>>,
  system: System,
): { ok: true; value: Record<string, unknown> } | { ok: false; errors: FieldErrors } {
  const fields = fieldsOf(type);
  const known = new Set(fields.map(({ name }) => name));
  const strangers = Object.keys(typed).filter((name) => !known.has(name));
  if (strangers.length > 0)
    return {
      ok: false,
      errors: Object.fromEntries(strangers.map((name) => [name, 'There is no such field here.'])),
    };
  const checked = validated(type, { ...typed, system }, { group: COMPLETE });
  if (!checked.ok) {
    const words = (message: string): string => message.replace(/: not taken yet\.$/u, ': it is asked for.');
    return {
      ok: false,
      errors: Object.fromEntries(
        Object.entries(checked.errors).map(([name, message]) => [name, words(message)]),
      ),
    };
  }
  const given = checked.value as unknown as Record<string, unknown>;
  const value = Object.fromEntries(
    fields.map((field): [string, unknown] => {
      const cell = given[field.name];
      if (field.kind === 'check') return [field.name, cell === true];
      if (cell === undefined) return [field.name, null];
      if (field.kind !== 'measure') return [field.name, cell];
      const parsed = parseMeasure(String(cell), field.dimension, field.unit[system]);
      if (!parsed.ok) return [field.name, null];
      // A plain number has no unit to carry; everything else keeps the one it was given in.
      if (field.dimension === 'ratio')
        return [field.name, measureIn(parsed.measure, field.unit[system]).value.toFixed()];
      return [field.name, `${parsed.measure.value.toFixed()} ${parsed.measure.unit}`];
    }),
  );
  return { ok: true, value };
}
