import { fieldsOf, rowsText } from '../methods';
import { findMethod } from '../methods/registry';
import { measureIn, parseMeasure, type System } from '../quantity';
import { columnOf, unitSlug } from './columns';
import { csvText } from './csv';
import type { RunRecord } from './run-record';

/** A stored run with the system it was made in, as the export lists it. */
export interface ExportRow {
  readonly record: RunRecord;
  readonly system: System;
}

/**
 * Runs of one method as CSV: where they belong, the readings, the results, the remarks.
 * RFC 4180, UTF-8, header row, plain decimal point, units in the column names, instants with offset.
 * @param rows runs of one method, in the order wanted
 * @returns CSV text with CRLF line ends; the header alone when there are no rows
 */
export function resultsCsv(methodId: string, rows: readonly ExportRow[]): string {
  const method = findMethod(methodId);
  if (!method) return '';
  const named = (system: System) =>
    fieldsOf(method.Input).map((field) => ({ field, column: columnOf(field, system) }));
  const columns = { US: named('US'), SI: named('SI') };
  const lines = rows.map(({ record, system }) => {
    const about = record.about ?? {};
    const line: Record<string, string | number | null> = { ...about, units: system };
    for (const { field, column } of columns[system]) {
      const raw = record.input[field.name];
      line[column] = raw === undefined || raw === null ? null : plainReading(raw, system, field);
    }
    for (const result of record.results) {
      line[`${result.quantity.replaceAll(' ', '_')}_${unitSlug(result.unit)}`] = result.reported;
    }
    line.findings = record.findings
      .filter((found) => found.severity !== 'advice')
      .map((found) => found.remark ?? found.message)
      .join('; ');
    return line;
  });
  // Runs in both systems may stand in one export, so the header is the union, first seen first.
  const header = new Set<string>(lines.flatMap((line) => Object.keys(line)));
  return csvText(
    [...header],
    lines.map((line) => [...header].map((name) => line[name] ?? null)),
  );
}

function plainReading(raw: unknown, system: System, field: ReturnType<typeof fieldsOf>[number]): string {
  if (field.kind === 'rows') return rowsText(field, raw, (_, cell) => String(cell));
  if (field.kind !== 'measure') return String(raw);
  const parsed = parseMeasure(String(raw), field.dimension, field.unit[system]);
  return parsed.ok ? measureIn(parsed.measure, field.unit[system]).value.toFixed() : String(raw);
}
