/** What stands on the label of one specimen, for people and for the scanner. */
export interface SpecimenLabel {
  /** What the barcode says and the scanner types: the specimen's label, nothing else. */
  readonly code: string;
  readonly job: string;
  readonly mix: string;
  readonly element: string;
  /** When it was made, or taken: `Cast 12 May 2031 09:40`. */
  readonly since: string;
  /** Age and date it is due, or that it is held. */
  readonly due: string;
  readonly size: string;
  /** Standard- or field-cured: the two never mix. */
  readonly cure: string;
}

/** Labels on a sheet of paper, three across and ten down, in the order they are stuck. */
export function sheetRows<T>(labels: readonly T[], across = 3): T[][] {
  return Array.from({ length: Math.ceil(labels.length / across) }, (_, row) =>
    labels.slice(row * across, row * across + across),
  );
}
