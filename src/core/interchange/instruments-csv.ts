import { DateTime } from 'luxon';
import { serialsProblem } from '../methods/serials';
import { readTable } from './table';

/** One instrument out of a list, with its last verification where the list says it. */
export interface InstrumentRow {
  readonly line: number;
  readonly number: string;
  readonly kind: string;
  readonly name: string;
  readonly place: string;
  readonly verifiedOn: string;
  readonly verifiedFrom: string;
  readonly verifiedTo: string;
  readonly certificate: string;
  /** The serial numbers that the certificate is of, for a pack. */
  readonly serials: string;
  /** What is wrong; empty when it can be brought in. */
  readonly errors: readonly string[];
}

/**
 * Reads a list of instruments: `number, kind, name, place, verified_on, verified_from, verified_to, certificate, serials`.
 * @param kinds that the methods ask for
 * @param known numbers that are in the register already: they are shown and never overwritten
 */
export function readInstruments(
  text: string,
  kinds: readonly string[],
  known: ReadonlySet<string>,
): { readonly rows: readonly InstrumentRow[]; readonly problems: readonly string[] } {
  const table = readTable(text, ['number', 'kind', 'name']);
  if (table.problem) return { rows: [], problems: [table.problem] };
  const seen = new Set<string>();
  const rows = table.rows.map(({ line, cells }): InstrumentRow => {
    const number = cells.number ?? '';
    const kind = (cells.kind ?? '').toLowerCase();
    const verifiedOn = cells.verified_on ?? '';
    const errors = [
      ...(number === '' ? ['number is missing'] : []),
      ...(number.length > 30 ? ['number: at most 30 characters'] : []),
      ...(known.has(number) ? [`${number} is in the register already`] : []),
      ...(seen.has(number) ? [`${number} stands twice`] : []),
      ...(kinds.includes(kind) ? [] : [`kind "${cells.kind}" is none of: ${kinds.join(', ')}`]),
      ...((cells.name ?? '') === '' ? ['name is missing'] : []),
      ...(verifiedOn !== '' &&
      !(/^\d{4}-\d\d-\d\d$/u.test(verifiedOn) && DateTime.fromISO(verifiedOn, { zone: 'utc' }).isValid)
        ? [`verified_on "${verifiedOn}" is no day as 2031-05-14`]
        : []),
    ];
    const serials = cells.serials ?? '';
    if (kind === 'sensor pack' && verifiedOn !== '')
      errors.push(
        ...((cells.certificate ?? '') === '' ? ['certificate is missing'] : []),
        ...(serials === '' ? ['serials are missing'] : [serialsProblem(serials) ?? []].flat()),
      );
    seen.add(number);
    return {
      line,
      number,
      kind,
      name: cells.name ?? '',
      place: cells.place ?? '',
      verifiedOn,
      verifiedFrom: cells.verified_from ?? '',
      verifiedTo: cells.verified_to ?? '',
      certificate: cells.certificate ?? '',
      serials,
      errors,
    };
  });
  return { rows, problems: rows.length === 0 ? ['The file has a header and no rows.'] : [] };
}
