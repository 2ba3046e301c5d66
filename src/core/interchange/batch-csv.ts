import { cite, type LimitId, type Limits } from '../limits';
import { convert, type Exact, exact, findUnit, plainOf, type System, type UnitId } from '../quantity';
import { type Finding, finding } from '../working';
import { instantOf, plainNumber, readTable } from './table';

export const MATERIAL_TYPES = ['cement', 'scm', 'fine', 'coarse', 'water', 'ice', 'admixture'] as const;
export type MaterialType = (typeof MATERIAL_TYPES)[number];

/** One material of a batch: masses in lb or kg as plain decimal text. */
export interface BatchMaterial {
  readonly name: string;
  readonly type: MaterialType;
  readonly design: string | null;
  readonly actual: string;
  readonly moisture: string | null;
  readonly absorption: string | null;
}

/** What a batch file says of one ticket. */
export interface Batch {
  readonly ticket: string;
  readonly truck: string;
  /** ISO 8601, UTC; null when the file does not say. */
  readonly loadedAt: string | null;
  /** Volume of the load, yd³ or m³; null when the file does not say. */
  readonly volume: string | null;
  readonly materials: readonly BatchMaterial[];
}

export interface BatchFile {
  readonly batches: readonly Batch[];
  readonly problems: readonly string[];
}

const NEEDED = ['ticket', 'material', 'type', 'actual', 'unit'];

/**
 * Reads a file of batch tickets, a row a material: `ticket, truck, time_loaded, volume, material, type, design,
 * actual, unit, moisture_pct, absorption_pct`. Rows of one ticket belong together wherever they stand.
 * @param zone for times without an offset
 * @returns the tickets in the order of the file; a ticket with a row that cannot be read is left out and named
 */
export function readBatches(text: string, system: System, zone: string): BatchFile {
  const table = readTable(text, NEEDED);
  if (table.problem) return { batches: [], problems: [table.problem] };
  const problems: string[] = [];
  const bad = new Set<string>();
  const batches = new Map<string, Batch>();
  for (const { line, cells } of table.rows) {
    const ticket = cells.ticket ?? '';
    const material = materialOf(cells, system);
    if (ticket === '' || typeof material === 'string') {
      problems.push(`Line ${line}: ${ticket === '' ? 'no ticket number' : material}.`);
      bad.add(ticket);
      continue;
    }
    const before = batches.get(ticket);
    batches.set(ticket, {
      ticket,
      truck: before?.truck || (cells.truck ?? ''),
      loadedAt: before?.loadedAt ?? instantOf(cells.time_loaded ?? '', zone),
      volume: before?.volume ?? plainNumber(cells.volume ?? ''),
      materials: [...(before?.materials ?? []), material],
    });
  }
  return { batches: [...batches.values()].filter((batch) => !bad.has(batch.ticket)), problems };
}

function materialOf(cells: Readonly<Record<string, string>>, system: System): BatchMaterial | string {
  const type = MATERIAL_TYPES.find((each) => each === cells.type?.toLowerCase());
  if (!type) return `type must be one of ${MATERIAL_TYPES.join(', ')}`;
  const unit = massUnit(cells.unit ?? '');
  if (!unit) return `unit "${cells.unit}" is no mass and no volume of water`;
  const actual = plainNumber(cells.actual ?? '');
  if (actual === null || exact(actual).isNegative()) return 'actual is no number';
  const target: UnitId = system === 'US' ? 'lb' : 'kg';
  const mass = (text: string | null): string | null =>
    text === null ? null : unit(exact(text), target).toSignificantDigits(15).toFixed();
  return {
    name: cells.material ?? '',
    type,
    design: mass(plainNumber(cells.design ?? '')),
    actual: mass(actual) ?? '0',
    moisture: plainNumber(cells.moisture_pct ?? ''),
    absorption: plainNumber(cells.absorption_pct ?? ''),
  };
}

/** Mass of a gallon of water, lb; of a litre 1 kg. Common practice: 8.345 lb at about 60 °F. */
const GALLON_LB = '8.345';

/** How an amount in a unit becomes a mass; null when the unit is neither a mass nor a volume. */
function massUnit(words: string): ((amount: Exact, target: UnitId) => Exact) | null {
  const mass = findUnit(words, 'mass');
  if (mass) return (amount, target) => convert(amount, mass, target);
  const volume = findUnit(words, 'volume');
  if (!volume) return null;
  return (amount, target) => convert(convert(amount, volume, 'gal').times(GALLON_LB), 'lb', target);
}

const sum = (all: readonly Exact[]): Exact => all.reduce((total, each) => total.plus(each), exact(0));

/** The masses of a kind of material, actual. */
const ofType = (batch: Batch, ...types: readonly MaterialType[]): BatchMaterial[] =>
  batch.materials.filter(({ type }) => types.includes(type));

const actual = (materials: readonly BatchMaterial[]): Exact =>
  sum(materials.map((material) => exact(material.actual)));

/** Several aggregates as one: wet mass, and the moisture and absorption that give the same free water. */
function aggregate(materials: readonly BatchMaterial[]) {
  const known = materials.filter(({ moisture, absorption }) => moisture !== null && absorption !== null);
  if (known.length === 0) return null;
  const dry = known.map(({ actual: wet, moisture }) =>
    exact(wet).div(
      exact(moisture ?? 0)
        .div(100)
        .plus(1),
    ),
  );
  const total = sum(dry);
  if (total.isZero()) return null;
  const share = (of: (material: BatchMaterial) => string | null): Exact =>
    sum(known.map((material, index) => (dry[index] ?? exact(0)).times(of(material) ?? 0))).div(total);
  return {
    wet: actual(known),
    moisture: share(({ moisture }) => moisture),
    absorption: share(({ absorption }) => absorption),
  };
}

const text = (value: Exact, digits = 6): string => value.toSignificantDigits(digits).toFixed();

/**
 * The readings that a batch fills in, by method and field: nobody types a ticket twice.
 * Moistures of several aggregates are weighed by their dry masses, so that their free water is the same.
 */
export function batchReadings(
  batch: Batch,
): Readonly<Record<'delivery' | 'density-yield', Record<string, string>>> {
  const cementitious = ofType(batch, 'cement', 'scm');
  const fine = aggregate(ofType(batch, 'fine'));
  const coarse = aggregate(ofType(batch, 'coarse'));
  const side = (name: 'fine' | 'coarse', of: typeof fine): Record<string, string> =>
    of
      ? {
          [name]: text(of.wet),
          [`${name}Moisture`]: text(of.moisture, 4),
          [`${name}Absorption`]: text(of.absorption, 4),
        }
      : {};
  const cement = text(actual(cementitious));
  const volume: Record<string, string> = batch.volume ? { loadVolume: batch.volume } : {};
  return {
    delivery: {
      ...(batch.loadedAt ? { batchedAt: batch.loadedAt, batchedFrom: 'ticket' } : {}),
      ...volume,
      cementitious: cement,
      water: text(actual(ofType(batch, 'water', 'ice'))),
      ...side('fine', fine),
      ...side('coarse', coarse),
    },
    'density-yield': {
      batchMass: text(actual(batch.materials), 7),
      cementitious: cement,
      ...(batch.volume ? { ticketVolume: batch.volume } : {}),
    },
  };
}

const TOLERANCES: readonly (readonly [string, readonly MaterialType[], LimitId])[] = [
  ['Cementitious material', ['cement', 'scm'], 'delivery.cement-mass'],
  ['Aggregates', ['fine', 'coarse'], 'delivery.aggregate-mass'],
  ['Water', ['water', 'ice'], 'delivery.water-mass'],
  ['Admixtures', ['admixture'], 'delivery.admixture-mass'],
];

/**
 * What was batched against what the mix asks for, by kind of material.
 * @returns advice for each kind outside its batching tolerance
 * Source: ASTM C94/C94M (from memory).
 */
export function batchDifferences(batch: Batch, system: System, limits: Limits): Finding[] {
  return TOLERANCES.flatMap(([what, types, id]) => {
    const compared = ofType(batch, ...types).filter(({ design }) => design !== null);
    const design = sum(compared.map((material) => exact(material.design ?? 0)));
    if (design.isZero()) return [];
    const off = actual(compared).minus(design).div(design).times(100);
    const limit = limits.of(id, system);
    if (off.abs().lessThanOrEqualTo(limit.high ?? 0)) return [];
    return [
      finding({
        id,
        severity: 'advice',
        fields: [],
        limit: cite(limit),
        message: `${what}: ${off.isNegative() ? '−' : '+'}${plainOf(off.abs().toDecimalPlaces(1), 'percent')} of what the mix asks for.`,
        action: 'Tell the purchaser’s representative; sampling may go on.',
      }),
    ];
  });
}
