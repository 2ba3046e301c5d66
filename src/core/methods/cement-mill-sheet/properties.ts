import type { LimitId } from '../../limits';
import type { CementProperty } from '../../materials/cement/standards';
import type { UnitId } from '../../quantity';
import type { FactSource } from '../facts';
import { resultOn } from '../facts';

/** Units that a value of a sheet is written in; the first of a property is the one it is compared in. */
export const SHEET_UNITS = {
  MPa: 'MPa',
  psi: 'psi',
  'm2/kg': 'm²/kg',
  'cm2/g': 'cm²/g',
  min: 'min',
  h: 'h',
  percent: '%',
  one: 'g/cm³',
  'J/g': 'J/g',
  'cal/g': 'cal/g',
} as const satisfies Partial<Record<UnitId, string>>;
export type SheetUnit = keyof typeof SHEET_UNITS;

/** What a sheet says of a cement. */
export interface SheetProperty {
  readonly label: string;
  readonly units: readonly [SheetUnit, ...SheetUnit[]];
  /** Decimals it is shown with. */
  readonly decimals: number;
  /** What the own tests say of it. */
  readonly own?: FactSource;
  /** What two laboratories may lie apart: a row of the register, in the unit or in percent of the mean. */
  readonly apart?: readonly [row: LimitId, of: 'mean' | 'value'];
  /** What its type asks of it. */
  readonly asked?: CementProperty;
  /** Its place in what several values say together. */
  readonly sign?: 'surface' | 'early' | 'late' | 'set' | 'loss';
  /** Value of a cement, beyond which the unit is asked. */
  readonly usual?: readonly [low: number, high: number];
}

const STRENGTH = { units: ['MPa', 'psi'], decimals: 1, usual: [2, 100] } as const;
const cubes = (hours: number): FactSource => ({
  of: 'companions',
  take: 'compressive strength',
  by: ['mortar-cube', 'vibrated-cube'],
  aged: hours,
  is: 'texts',
});
const OXIDE = { units: ['percent'], decimals: 2, usual: [0, 75] } as const;

/** What is on a sheet, in the order in which most have it. */
export const SHEET_PROPERTIES = {
  'strength-1d': { label: 'Strength at 1 d', ...STRENGTH, own: cubes(24), sign: 'early' },
  'strength-3d': {
    label: 'Strength at 3 d',
    ...STRENGTH,
    own: cubes(72),
    sign: 'early',
    apart: ['mill.strength-3d', 'mean'],
  },
  'strength-7d': {
    label: 'Strength at 7 d',
    ...STRENGTH,
    own: cubes(168),
    sign: 'late',
    apart: ['mill.strength-7d', 'mean'],
  },
  'strength-28d': {
    label: 'Strength at 28 d',
    ...STRENGTH,
    own: cubes(672),
    sign: 'late',
    apart: ['mill.strength-28d', 'mean'],
  },
  surface: {
    ...{ label: 'Surface by air permeability', units: ['m2/kg', 'cm2/g'], decimals: 0, usual: [150, 900] },
    ...{ sign: 'surface', asked: 'fineness', apart: ['mill.surface', 'mean'] },
    own: resultOn('surface', ['cement-surface'], { dimension: 'surface' }),
  },
  consistency: {
    ...{ label: 'Normal consistency', units: ['percent'], decimals: 1, usual: [18, 45] },
    apart: ['mill.consistency', 'value'],
    own: resultOn('normal consistency', ['cement-consistency'], { dimension: 'percent' }),
  },
  initial: {
    ...{ label: 'Initial set', units: ['min', 'h'], decimals: 0, usual: [15, 900] },
    ...{ sign: 'set', asked: 'set', apart: ['mill.initial', 'value'] },
    own: resultOn('initial set', ['cement-setting'], { dimension: 'duration' }),
  },
  final: {
    ...{
      label: 'Final set',
      units: ['min', 'h'],
      decimals: 0,
      usual: [30, 1200],
      apart: ['mill.final', 'value'],
    },
    own: resultOn('final set', ['cement-setting'], { dimension: 'duration' }),
  },
  air: {
    ...{ label: 'Air of mortar', units: ['percent'], decimals: 0, usual: [1, 30], asked: 'air' },
    own: resultOn('air of the mortar', ['cement-air'], { dimension: 'percent' }),
  },
  autoclave: {
    ...{
      label: 'Expansion in the autoclave',
      units: ['percent'],
      decimals: 2,
      usual: [-0.5, 2],
      asked: 'autoclave',
    },
    own: resultOn('expansion in the autoclave', ['cement-autoclave'], { dimension: 'percent' }),
  },
  density: {
    ...{ label: 'Density', units: ['one'], decimals: 2, usual: [2.5, 3.4], apart: ['mill.density', 'value'] },
    own: { ...resultOn('density of the cement, g/cm³', ['cement-density'], 'number'), unrounded: true },
  },
  loss: {
    ...{
      label: 'Loss on ignition',
      units: ['percent'],
      decimals: 1,
      usual: [0, 15],
      sign: 'loss',
      asked: 'loss',
    },
    own: resultOn('loss on ignition', ['cement-loss'], { dimension: 'percent' }),
  },
  'heat-3d': {
    ...{ label: 'Heat in 3 d', units: ['J/g', 'cal/g'], decimals: 0, usual: [80, 450], asked: 'heat-3d' },
    own: resultOn('heat in 3 d', ['cement-heat'], { dimension: 'heat' }),
  },
  'heat-7d': {
    ...{ label: 'Heat in 7 d', units: ['J/g', 'cal/g'], decimals: 0, usual: [80, 450], asked: 'heat-7d' },
    apart: ['mill.heat-7d', 'value'],
    own: resultOn('heat in 7 d', ['cement-heat'], { dimension: 'heat' }),
  },
  cao: { label: 'CaO', ...OXIDE },
  sio2: { label: 'SiO₂', ...OXIDE },
  al2o3: { label: 'Al₂O₃', ...OXIDE },
  fe2o3: { label: 'Fe₂O₃', ...OXIDE },
  so3: { label: 'SO₃', ...OXIDE },
  mgo: { label: 'MgO', ...OXIDE },
  na2o: { label: 'Na₂O', ...OXIDE },
  k2o: { label: 'K₂O', ...OXIDE },
  alkalies: { label: 'Alkalies as Na₂O', ...OXIDE },
  c3s: { label: 'C₃S', ...OXIDE },
  c2s: { label: 'C₂S', ...OXIDE },
  c3a: { label: 'C₃A', ...OXIDE },
  c4af: { label: 'C₄AF', ...OXIDE },
} as const satisfies Readonly<Record<string, SheetProperty>>;

export type SheetPropertyId = keyof typeof SHEET_PROPERTIES;
export const SHEET_PROPERTY_IDS = Object.keys(SHEET_PROPERTIES) as SheetPropertyId[];

/** A property by its id, seen through the common interface. */
export function sheetProperty(id: SheetPropertyId): SheetProperty {
  return SHEET_PROPERTIES[id];
}
