import { airPressure } from './air-pressure';
import { airVolumetric } from './air-volumetric';
import { beamArrival } from './beam-arrival';
import { beamBending } from './beam-bending';
import { beamCentrePoint } from './beam-centre-point';
import { beamSection } from './beam-section';
import { beamThirdPoint } from './beam-third-point';
import { brickAbsorption } from './brick-absorption';
import { brickBoil } from './brick-boil';
import { brickCompression } from './brick-compression';
import { brickDrying } from './brick-drying';
import { brickEfflorescence } from './brick-efflorescence';
import { brickFlexure } from './brick-flexure';
import { brickSize } from './brick-size';
import { brickSoak } from './brick-soak';
import { brickSuction } from './brick-suction';
import { capping } from './capping';
import { carbide } from './carbide';
import { cementAir } from './cement-air';
import { cementAutoclave } from './cement-autoclave';
import { cementConsistency } from './cement-consistency';
import { cementDensity } from './cement-density';
import { cementGillmore } from './cement-gillmore';
import { cementHeat } from './cement-heat';
import { cementLoss } from './cement-loss';
import { cementMillSheet } from './cement-mill-sheet';
import { cementMortar } from './cement-mortar';
import { cementNeedles } from './cement-needles';
import { cementPortions } from './cement-portions';
import { cementPrisms } from './cement-prisms';
import { cementSample } from './cement-sample';
import { cementSetting } from './cement-setting';
import { cementSieve } from './cement-sieve';
import { cementStiffening } from './cement-stiffening';
import { cementSurface } from './cement-surface';
import { complete } from './complete';
import { concreteTemperature } from './concrete-temperature';
import type { Method } from './contract';
import { coreCompression } from './core-compression';
import { cubeCompression } from './cube-compression';
import { cylinderCompression } from './cylinder-compression';
import { delivery } from './delivery';
import { densityYield } from './density-yield';
import { endGrinding } from './end-grinding';
import { evaporation } from './evaporation';
import { fibreBeam } from './fibre-beam';
import { gluing } from './gluing';
import { groutMaking } from './grout-making';
import { groutPrism } from './grout-prism';
import { hardenedDensity } from './hardened-density';
import { impedance } from './impedance';
import { initialCuring } from './initial-curing';
import { manholeStep } from './manhole-step';
import { maturityCalibration } from './maturity-calibration';
import { maturityDatum } from './maturity-datum';
import { maturityEstimate } from './maturity-estimate';
import { mortarCube } from './mortar-cube';
import { mortarMaking } from './mortar-making';
import { moulding } from './moulding';
import { notchedBeam } from './notched-beam';
import { ovenDrying } from './oven-drying';
import { penetrationResistance } from './penetration-resistance';
import { pipeAbsorption } from './pipe-absorption';
import { pipeCore } from './pipe-core';
import { pipeCylinders } from './pipe-cylinders';
import { pipeJoint } from './pipe-joint';
import { pipePermeability } from './pipe-permeability';
import { pipeYear } from './pipe-year';
import { pointLoad } from './point-load';
import { prismBuilding } from './prism-building';
import { prismCompression } from './prism-compression';
import { pullOff } from './pull-off';
import { residualBeam } from './residual-beam';
import { rockCompression } from './rock-compression';
import { rockDrying } from './rock-drying';
import { rockWater } from './rock-water';
import { sampling } from './sampling';
import { serviceRecord } from './service-record';
import { siteFactor } from './site-factor';
import { slabEmission } from './slab-emission';
import { slabHole } from './slab-hole';
import { slabHumidity } from './slab-humidity';
import { slabSheet } from './slab-sheet';
import { slump } from './slump';
import { slumpFlow } from './slump-flow';
import { splittingTensile } from './splitting-tensile';
import { staticModulus } from './static-modulus';
import { surfaceHood } from './surface-hood';
import { surfacePh } from './surface-ph';
import { surfaceProfile } from './surface-profile';
import { temperatureRecord } from './temperature-record';
import { threeEdge } from './three-edge';
import { unitAbsorption } from './unit-absorption';
import { unitCompression } from './unit-compression';
import { unitConditioning } from './unit-conditioning';
import { unitReceiving } from './unit-receiving';
import { unitReport } from './unit-report';
import { unitSawing } from './unit-sawing';
import { unitSoak } from './unit-soak';
import { vibratedCube } from './vibrated-cube';
import { vibratedMortar } from './vibrated-mortar';
import { waterDensity } from './water-density';

/** Every test method by its id, in the order of the work. One entry here makes a method known everywhere. */
const REGISTRY = {
  delivery,
  sampling,
  slump,
  'slump-flow': slumpFlow,
  'concrete-temperature': concreteTemperature,
  'air-volumetric': airVolumetric,
  'air-pressure': airPressure,
  'density-yield': densityYield,
  moulding,
  'initial-curing': initialCuring,
  evaporation,
  'temperature-record': temperatureRecord,
  'maturity-datum': maturityDatum,
  'maturity-calibration': maturityCalibration,
  'maturity-estimate': maturityEstimate,
  capping,
  'end-grinding': endGrinding,
  'cylinder-compression': cylinderCompression,
  'cube-compression': cubeCompression,
  'core-compression': coreCompression,
  'grout-prism': groutPrism,
  'mortar-cube': mortarCube,
  'splitting-tensile': splittingTensile,
  'beam-third-point': beamThirdPoint,
  'beam-centre-point': beamCentrePoint,
  'beam-bending': beamBending,
  'fibre-beam': fibreBeam,
  'residual-beam': residualBeam,
  'notched-beam': notchedBeam,
  'beam-arrival': beamArrival,
  'beam-section': beamSection,
  'hardened-density': hardenedDensity,
  'water-density': waterDensity,
  'static-modulus': staticModulus,
  'point-load': pointLoad,
  'rock-compression': rockCompression,
  'rock-water': rockWater,
  'rock-drying': rockDrying,
  'site-factor': siteFactor,
  'unit-receiving': unitReceiving,
  'unit-conditioning': unitConditioning,
  'unit-soak': unitSoak,
  'oven-drying': ovenDrying,
  'unit-absorption': unitAbsorption,
  'unit-compression': unitCompression,
  'unit-sawing': unitSawing,
  'unit-report': unitReport,
  'brick-size': brickSize,
  'brick-drying': brickDrying,
  'brick-soak': brickSoak,
  'brick-boil': brickBoil,
  'brick-absorption': brickAbsorption,
  'brick-compression': brickCompression,
  'brick-suction': brickSuction,
  'brick-flexure': brickFlexure,
  'brick-efflorescence': brickEfflorescence,
  'prism-building': prismBuilding,
  'prism-compression': prismCompression,
  'grout-making': groutMaking,
  'mortar-making': mortarMaking,
  'service-record': serviceRecord,
  'slab-hole': slabHole,
  'slab-humidity': slabHumidity,
  'slab-emission': slabEmission,
  'slab-sheet': slabSheet,
  'surface-hood': surfaceHood,
  carbide,
  impedance,
  'surface-ph': surfacePh,
  'surface-profile': surfaceProfile,
  gluing,
  'pull-off': pullOff,
  'three-edge': threeEdge,
  'pipe-year': pipeYear,
  'pipe-absorption': pipeAbsorption,
  'pipe-core': pipeCore,
  'pipe-cylinders': pipeCylinders,
  'pipe-joint': pipeJoint,
  'pipe-permeability': pipePermeability,
  'manhole-step': manholeStep,
  'cement-sample': cementSample,
  'cement-consistency': cementConsistency,
  'cement-setting': cementSetting,
  'cement-mortar': cementMortar,
  'cement-surface': cementSurface,
  'cement-sieve': cementSieve,
  'cement-density': cementDensity,
  'cement-air': cementAir,
  'cement-autoclave': cementAutoclave,
  'cement-needles': cementNeedles,
  'cement-heat': cementHeat,
  'penetration-resistance': penetrationResistance,
  'cement-mill-sheet': cementMillSheet,
  'cement-portions': cementPortions,
  'cement-loss': cementLoss,
  'cement-stiffening': cementStiffening,
  'cement-gillmore': cementGillmore,
  'cement-prisms': cementPrisms,
  'vibrated-mortar': vibratedMortar,
  'vibrated-cube': vibratedCube,
} as const satisfies Record<string, Method>;

export type MethodId = keyof typeof REGISTRY;

const COMPLETE: ReadonlyMap<string, Method> = new Map(
  Object.entries(REGISTRY).map(([id, method]) => [id, complete(method)]),
);

export const METHODS: readonly Method[] = [...COMPLETE.values()];

/** The method of an id; undefined when there is none. */
export function findMethod(id: string): Method | undefined {
  return COMPLETE.get(id);
}

/**
 * The methods that a specimen of a form, in its role, can be tested by, in the order of the registry.
 * @param asked what is asked for, where it is known: what it is told by stands first
 */
export function methodsFor(
  { form, role }: { readonly form: string; readonly role?: string | null },
  asked: Readonly<Record<string, unknown>> = {},
): readonly Method[] {
  const said = (name: string): string | undefined => {
    const text = asked[name];
    return typeof text === 'string' ? text : undefined;
  };
  const takes = METHODS.filter(
    (method) =>
      method.runOn === 'specimen' &&
      !method.pieces &&
      method.forms?.includes(form) &&
      (method.role === undefined || method.role === role),
  );
  const isPlanned = ({ plannedWhen }: Method): boolean => plannedWhen?.(said) ?? true;
  return [...takes.filter(isPlanned), ...takes.filter((method) => !isPlanned(method))];
}

/** The methods that the pieces of a broken specimen can be looked at by. */
export function methodsOfPieces({ form }: { readonly form: string }): readonly Method[] {
  return METHODS.filter(({ pieces, forms }) => pieces === true && forms?.includes(form));
}
