import {
  type CellAsked,
  type HeatChannel,
  type HeatCurve,
  type HeatRecord,
  heatCapacity,
  heatCurve,
  MODEL_ENERGY,
  type ReferenceMass,
  referenceFor,
  SULFATE_SOURCES,
} from '../../calorimetry';
import { rateFactor } from '../../cement/setting';
import type { Limits } from '../../limits';
import type { Exact } from '../../quantity';
import { readMeasure } from '../fields';
import type { RunSetup } from '../setup';
import type { CellRow, CementHeatInput, MarkName, MovedRow } from './input';

const HOUR = 3_600_000;

/** What was put into a cell, g. */
export interface Recipe {
  readonly cement: Exact;
  readonly water: Exact;
  readonly solids: Exact;
  readonly paste: Exact;
}

/** A cell with its curve, as far as both are known. */
export interface Cell {
  readonly row: CellRow;
  readonly name: string;
  readonly what: string;
  /** Nothing was added to the cement: such cells are one cement twice, and give its result. */
  readonly plain: boolean;
  readonly recipe: Recipe | undefined;
  /** Heat capacity of what is in its vial, J/K, and what a reference of the same weighs. */
  readonly capacity: number | undefined;
  readonly reference: ReferenceMass | undefined;
  /** The reference as it was weighed, J/K. */
  readonly weighed: number | undefined;
  /** Cement in the vial, g. */
  readonly grams: number | undefined;
  readonly contact: number | undefined;
  readonly channel: HeatChannel | undefined;
  readonly curve: HeatCurve | undefined;
  /** SO₃ of the blend, percent, where it is known. */
  readonly sulfate: number | undefined;
  readonly moved: readonly MovedRow[];
}

const plain = (text: string | undefined): string => (text ?? '').trim().toLowerCase();

/** The record of a calorimeter that is kept with a run. */
export function heatKept(input: CementHeatInput, setup: RunSetup): HeatRecord | undefined {
  const kept = input.record ? setup.records?.record : undefined;
  return kept?.kind === 'heat' ? kept : undefined;
}

/** When the record began, ms; undefined where neither it nor the person says it. */
export function recordBegan(input: CementHeatInput, record: HeatRecord | undefined): number | undefined {
  const said = record?.start ?? input.beganAt;
  const at = said ? Date.parse(said) : Number.NaN;
  return Number.isNaN(at) ? undefined : at;
}

/** How fast the cement reacts in its bath against 23 °C; one while the bath is not known. */
export function fasterIn(input: CementHeatInput): number {
  const bath = readMeasure(input, 'bath')?.value.toNumber();
  return bath === undefined ? 1 : rateFactor(bath, MODEL_ENERGY);
}

function recipeOf(row: CellRow): Recipe | undefined {
  const [cement, water, paste] = (['cement', 'water', 'paste'] as const).map(
    (name) => readMeasure(row, name)?.value,
  );
  if (!cement?.greaterThan(0) || !water || !paste?.greaterThan(0)) return undefined;
  const solids = (['sand', 'other', 'sulfate'] as const).reduce(
    (sum, name) => sum.plus(readMeasure(row, name)?.value ?? 0),
    cement.minus(cement),
  );
  return { cement, water, solids, paste };
}

/** J/K of what stands in the vial: its share of what was mixed. */
function capacityOf(row: CellRow, { cement, water, solids, paste }: Recipe): number {
  const of = (name: 'sand' | 'other' | 'sulfate'): number => readMeasure(row, name)?.value.toNumber() ?? 0;
  const other = row.otherKind ? { [row.otherKind]: of('other') } : {};
  const mixed = heatCapacity({
    cement: cement.toNumber() + (row.otherKind ? 0 : of('other')),
    water: water.toNumber(),
    sand: of('sand'),
    gypsum: of('sulfate'),
    ...other,
  });
  return (mixed * paste.toNumber()) / cement.plus(water).plus(solids).toNumber();
}

function weighedOf(row: CellRow): number | undefined {
  const [water, sand] = (['referenceWater', 'referenceSand'] as const).map((name) =>
    readMeasure(row, name)?.value.toNumber(),
  );
  if (water === undefined && sand === undefined) return undefined;
  return heatCapacity({ water: water ?? 0, sand: sand ?? 0 });
}

/** W/V of a cell by its heater; undefined where it was not calibrated here. */
export function wattsOf(input: CementHeatInput, channel: string): number | undefined {
  const row = (input.heater ?? []).find((each) => plain(each.channel) === plain(channel));
  if (!row) return undefined;
  const of = (name: 'volts' | 'ohms' | 'steady' | 'without' | 'pulse' | 'area'): number | undefined =>
    readMeasure(row, name)?.value.toNumber();
  const [volts, ohms, steady, without, pulse, area] = [
    ...[of('volts'), of('ohms'), of('steady'), of('without'), of('pulse'), of('area')],
  ];
  if (!volts || !ohms) return undefined;
  const milliwatts = (volts ** 2 / ohms) * 1000;
  if (steady !== undefined && without !== undefined && steady > without)
    return milliwatts / (steady - without);
  return pulse && area ? (milliwatts * pulse) / area : undefined;
}

/** From when on heat is added up, h since the water. */
export function heatFrom(input: CementHeatInput, limits: Limits): number {
  return input.mixed === 'inside' ? 0 : limits.number('heat.from', input.system).toNumber() / 60;
}

/** The cells of a test, each with its curve out of the record. */
export function readCells(input: CementHeatInput, setup: RunSetup, limits: Limits): Cell[] {
  const record = heatKept(input, setup);
  const began = recordBegan(input, record);
  const faster = fasterIn(input);
  const from = heatFrom(input, limits);
  const inert = input.inertAt && began !== undefined ? (Date.parse(input.inertAt) - began) / HOUR : undefined;
  return (input.cells ?? []).map((row): Cell => {
    const name = row.channel?.trim() ?? '';
    const recipe = recipeOf(row);
    const capacity = recipe && capacityOf(row, recipe);
    const total = recipe?.cement.plus(recipe.water).plus(recipe.solids);
    const grams = recipe && total ? recipe.paste.times(recipe.cement).div(total).toNumber() : undefined;
    const contactAt = Date.parse(row.contactAt ?? '');
    const contact = began === undefined || Number.isNaN(contactAt) ? undefined : (contactAt - began) / HOUR;
    const channel = record?.channels.find((each) => plain(each.name) === plain(name));
    const added = readMeasure(row, 'sulfate')?.value;
    const level = (which: 'before' | 'after'): number | undefined =>
      readMeasure(row, which)?.value.toNumber();
    const asked: CellAsked | undefined =
      grams === undefined || contact === undefined
        ? undefined
        : {
            ...{ grams, contact, from, faster, inertFrom: inert },
            ...{ before: level('before'), after: level('after'), watts: wattsOf(input, name) },
            lag: readMeasure(input, 'lag')?.value.toNumber() ?? 0,
          };
    return {
      ...{ row, name, recipe, capacity, grams, contact, channel },
      what: row.what?.trim() || (added ? 'with sulfate' : 'as it came'),
      plain: !readMeasure(row, 'other') && !readMeasure(row, 'sand') && !added && !row.admixture?.trim(),
      reference:
        capacity === undefined
          ? undefined
          : referenceFor(capacity, readMeasure(row, 'referenceSand')?.value.toNumber() ?? 0),
      weighed: weighedOf(row),
      curve: record && channel && asked ? heatCurve(record, channel, asked) : undefined,
      sulfate: sulfateOf(input, recipe, added),
      moved: (input.moved ?? []).filter((each) => plain(each.channel) === plain(name)),
    };
  });
}

/** SO₃ of what was mixed, percent. */
function sulfateOf(
  input: CementHeatInput,
  recipe: Recipe | undefined,
  added: Exact | undefined,
): number | undefined {
  const own = readMeasure(input, 'sulfate')?.value;
  if (!own || !recipe) return undefined;
  if (!added) return own.toNumber();
  const holds = sulfateHeld(input);
  if (holds === undefined) return undefined;
  return recipe.cement
    .times(own)
    .plus(added.times(holds * 100))
    .div(recipe.cement.plus(added))
    .toNumber();
}

/** SO₃ in what is added, a fraction. */
export function sulfateHeld(input: CementHeatInput): number | undefined {
  const pure = input.sulfateAs && SULFATE_SOURCES[input.sulfateAs];
  return pure === undefined
    ? undefined
    : (pure * (readMeasure(input, 'purity')?.value.toNumber() ?? 100)) / 100;
}

/** Where a mark of a cell was put by hand; the last word counts. */
export function movedTo(
  cell: Cell,
  mark: MarkName,
): { readonly at: number; readonly why: string } | undefined {
  const row = cell.moved.findLast((each) => each.mark === mark);
  const at = row && readMeasure(row, 'at')?.value.toNumber();
  return row && at !== undefined && row.why ? { at, why: row.why } : undefined;
}

/** Where a mark was found on the curve of a cell, h. */
export function foundAt(cell: Cell, mark: MarkName): number | undefined {
  const features = cell.curve?.features;
  if (!features) return undefined;
  return {
    main: features.main.at,
    half: features.indicated.find(({ share }) => share === 0.5)?.max,
    lowest: features.lowest.at,
    ends: features.inductionEnds,
    second: features.second?.at,
    'used-up': features.usedUp,
  }[mark];
}

/** Where a mark of a cell counts, h: where a person put it, or where it was found. */
export const markAt = (cell: Cell, mark: MarkName): number | undefined =>
  movedTo(cell, mark)?.at ?? foundAt(cell, mark);

/** mW/g of a curve at an age; undefined where it does not reach. */
export function powerAt({ power, first }: HeatCurve, at: number): number | undefined {
  return power[Math.round((at - first) * 60)];
}
