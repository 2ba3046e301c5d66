import { DateTime } from 'luxon';
import Papa from 'papaparse';
import { type Exact, parseMeasure, type UnitId } from '../quantity';

/** One end of one specimen, capped at a moment. */
export interface Pour {
  readonly label: string;
  readonly end: 1 | 2;
  /** ISO 8601, UTC. */
  readonly at: string;
  /** The pot as it was read then, in the unit asked for. */
  readonly pot?: Exact;
  readonly plate?: string;
}

const COLUMNS = ['label', 'end', 'at', 'pot', 'plate'] as const;
const NAMES: Readonly<Record<string, (typeof COLUMNS)[number] | 'batch'>> = {
  batch_id: 'batch',
  batch: 'batch',
  specimen_id: 'label',
  specimen: 'label',
  label: 'label',
  end: 'end',
  t_pour: 'at',
  time: 'at',
  at: 'at',
  pot_f: 'pot',
  pot_c: 'pot',
  pot: 'pot',
  plate_id: 'plate',
  plate: 'plate',
};

/**
 * The caps of a batch as they were poured: rows of specimen, end, time, pot, plate; typed, pasted or from a file.
 * @param text with or without a header (`batch_id,specimen_id,end,t_pour,pot_F,plate_id`); a time is an instant with
 * its date, or `13:45` on the day of the batch
 * @param about.day calendar date of the batch, `2031-06-10`, for times without one
 * @param about.unit of the pot's readings without a unit
 * @returns the pours in the order of the rows, and the rows that hold no specimen, end and time
 */
export function readPours(
  text: string | undefined,
  about: { readonly zone: string; readonly day: string | undefined; readonly unit: UnitId },
): { readonly pours: readonly Pour[]; readonly bad: readonly string[] } {
  const trimmed = (text ?? '').trim();
  if (trimmed === '') return { pours: [], bad: [] };
  const delimiter = /;/u.test(trimmed) ? ';' : /\t/u.test(trimmed) ? '\t' : ',';
  const { data } = Papa.parse<string[]>(trimmed, { delimiter, skipEmptyLines: true });
  const heads = (data[0] ?? []).map((cell) => NAMES[cell.trim().toLowerCase()]);
  const headed = heads.includes('label') && heads.includes('at');
  const order = headed ? heads : COLUMNS;
  const unit = headed && (data[0] ?? []).some((cell) => /pot_c/iu.test(cell)) ? 'degC' : undefined;
  const pours: Pour[] = [];
  const bad: string[] = [];
  for (const cells of headed ? data.slice(1) : data) {
    const of = (name: (typeof COLUMNS)[number]): string => cells[order.indexOf(name)]?.trim() ?? '';
    const end = { '1': 1, '2': 2, bottom: 1, top: 2, first: 1, second: 2 }[of('end').toLowerCase()];
    const at = instantOf(of('at'), about);
    if (of('label') === '' || !end || !at) {
      bad.push(cells.join(delimiter));
      continue;
    }
    const pot = parseMeasure(of('pot'), 'temperature', unit ?? about.unit);
    pours.push({
      label: of('label'),
      end: end === 1 ? 1 : 2,
      at,
      ...(pot.ok ? { pot: potIn(pot.measure, about.unit) } : {}),
      ...(of('plate') ? { plate: of('plate') } : {}),
    });
  }
  return { pours, bad };
}

function potIn(measure: { readonly value: Exact; readonly unit: UnitId }, unit: UnitId): Exact {
  if (measure.unit === unit) return measure.value;
  return measure.unit === 'degC' ? measure.value.times('1.8').plus(32) : measure.value.minus(32).div('1.8');
}

function instantOf(
  text: string,
  about: { readonly zone: string; readonly day: string | undefined },
): string | undefined {
  const clock = /^(\d{1,2}):(\d\d)$/u.exec(text);
  const read = clock
    ? about.day
      ? DateTime.fromISO(`${about.day}T${clock[1]?.padStart(2, '0')}:${clock[2]}`, { zone: about.zone })
      : undefined
    : DateTime.fromISO(text.replace(' ', 'T'), { zone: about.zone });
  return read?.isValid ? (read.toUTC().toISO() ?? undefined) : undefined;
}

/** When the younger cap of a specimen was poured; undefined while none of its caps is on record. */
export function youngestCap(pours: readonly Pour[], label?: string): string | undefined {
  return pours
    .filter((pour) => label === undefined || pour.label === label)
    .map(({ at }) => at)
    .toSorted()
    .at(-1);
}
