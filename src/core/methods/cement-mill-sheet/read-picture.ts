import type { SheetValue } from '../../uniformity/sheets';
import type { Picture } from '../contract';
import { readRows } from '../picture-rows';
import { SHEET_PROPERTY_IDS, SHEET_UNITS, sheetProperty } from './properties';

/** A value of a sheet as it stands beside the own one. */
export interface DrawnValue {
  readonly label: string;
  readonly unit: string;
  readonly decimals: number;
  readonly sheet: string;
  readonly own: string;
  readonly off: string;
  readonly percent: string;
  readonly ratio: string;
  readonly standing: string;
  readonly why: string;
}

/** What a value is called, and its unit. */
function named(id: string): Pick<DrawnValue, 'label' | 'unit' | 'decimals'> {
  const known = SHEET_PROPERTY_IDS.find((each) => each === id);
  if (!known) return { label: id, unit: '', decimals: 2 };
  const { label, units, decimals } = sheetProperty(known);
  return { label, unit: SHEET_UNITS[units[0]], decimals };
}

/** The picture of a sheet, unpacked. */
export function readSheetPicture({ values }: Picture): DrawnValue[] {
  return readRows(values.rows).map(
    ([
      id = '',
      sheet = '',
      own = '',
      off = '',
      percent = '',
      ratio = '',
      standing = '',
      why = '',
    ]): DrawnValue => ({ ...named(id), ...{ sheet, own, off, percent, ratio, standing, why } }),
  );
}

/** What a sheet says, value by value, for what is followed over its lots; those that could not be read in its unit are none. */
export function sheetValues(picture: Picture): SheetValue[] {
  return readSheetPicture(picture).flatMap(({ label, unit, decimals, sheet, own, why }) =>
    why.startsWith('not in')
      ? []
      : [{ what: label, unit, decimals, sheet: Number(sheet), own: own ? Number(own) : undefined }],
  );
}
