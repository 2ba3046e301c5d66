import { type FieldSpec, fieldsOf, type Method } from '../methods';
import type { System, UnitId } from '../quantity';

/** A unit as a column name carries it: `in`, `psi_per_s`, `kg_per_m3`. */
export function unitSlug(unit: UnitId): string {
  return unit.replaceAll('/', '_per_').toLowerCase();
}

function snake(name: string): string {
  return name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}

/** The column of a reading: `diameter1_in`, `tested_at`. Measured values carry the unit of the system in the name. */
export function columnOf(field: FieldSpec, system: System): string {
  const base = snake(field.name);
  return field.kind === 'measure' ? `${base}_${unitSlug(field.unit[system])}` : base;
}

/** True for tests of a specimen whose readings stand in one row of a file: a test that needs a table does not. */
export function isImportable({ runOn, Input }: Method): boolean {
  return runOn === 'specimen' && !fieldsOf(Input).some(({ kind, required }) => kind === 'rows' && required);
}

/** Every column a method's readings can have, in both systems, with the field and system it stands for. */
export function columnsOf(method: Method): Map<string, { field: FieldSpec; system: System | null }> {
  const columns = new Map<string, { field: FieldSpec; system: System | null }>();
  // A table has no column of its own: its rows are read from a file at the run itself.
  for (const field of fieldsOf(method.Input).filter((each) => each.kind !== 'rows')) {
    if (field.kind !== 'measure') columns.set(columnOf(field, 'US'), { field, system: null });
    else {
      const us = columnOf(field, 'US');
      const si = columnOf(field, 'SI');
      columns.set(us, { field, system: us === si ? null : 'US' });
      if (us !== si) columns.set(si, { field, system: 'SI' });
    }
  }
  return columns;
}
