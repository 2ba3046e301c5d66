import { type Finding, finding } from '../working';
import type { RowInput } from './fields';
import type { RunSetup } from './setup';
import { labelsOf } from './tested';

/** A row of a batch that is of one of its specimens. */
interface OfSpecimen extends RowInput {
  specimen?: string;
}

/** The rows that are of one specimen, in the order they were begun. */
export function rowsFor<R extends OfSpecimen>(rows: readonly R[] | undefined, label: string): R[] {
  return (rows ?? []).filter(({ specimen }) => specimen === label);
}

/** Rows that name a specimen the batch does not have. @param field the table */
export function strangerFindings(
  rows: readonly OfSpecimen[] | undefined,
  field: string,
  setup: RunSetup,
): Finding[] {
  const all = labelsOf(setup);
  const strange = [...new Set((rows ?? []).flatMap(({ specimen }) => specimen ?? []))].filter(
    (label) => !all.includes(label),
  );
  if (all.length === 0 || strange.length === 0) return [];
  return [
    finding({
      id: `${field}.strange`,
      severity: 'departure',
      needsReason: false,
      fields: [field],
      message: `Not of this batch: ${strange.slice(0, 4).join(', ')}.`,
      action: 'Read the mark on the unit again.',
      remark: `Rows of specimens that are not of this batch: ${strange.join(', ')}.`,
    }),
  ];
}
