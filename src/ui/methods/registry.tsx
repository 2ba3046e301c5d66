'use client';
import dynamic from 'next/dynamic';
import type { ComponentType, PropsWithChildren } from 'react';
import type { MethodId } from '@/core/methods/registry';

/**
 * What gives the folder of a method to the views that stand in it, by the method's id. A page fetches those of its own
 * runs and no other, at the same time as itself.
 */
const HOLDERS: Readonly<Record<MethodId, ComponentType<PropsWithChildren>>> = {
  delivery: dynamic(() => import('./delivery').then((all) => all.InDelivery)),
  sampling: dynamic(() => import('./sampling').then((all) => all.InSampling)),
  slump: dynamic(() => import('./slump').then((all) => all.InSlump)),
  'slump-flow': dynamic(() => import('./slump-flow').then((all) => all.InSlumpFlow)),
  'concrete-temperature': dynamic(() =>
    import('./concrete-temperature').then((all) => all.InConcreteTemperature),
  ),
  'air-volumetric': dynamic(() => import('./air-volumetric').then((all) => all.InAirVolumetric)),
  'air-pressure': dynamic(() => import('./air-pressure').then((all) => all.InAirPressure)),
  'density-yield': dynamic(() => import('./density-yield').then((all) => all.InDensityYield)),
  moulding: dynamic(() => import('./moulding').then((all) => all.InMoulding)),
  'initial-curing': dynamic(() => import('./initial-curing').then((all) => all.InInitialCuring)),
  evaporation: dynamic(() => import('./evaporation').then((all) => all.InEvaporation)),
  'temperature-record': dynamic(() => import('./temperature-record').then((all) => all.InTemperatureRecord)),
  'maturity-datum': dynamic(() => import('./maturity-datum').then((all) => all.InMaturityDatum)),
  'maturity-calibration': dynamic(() =>
    import('./maturity-calibration').then((all) => all.InMaturityCalibration),
  ),
  'maturity-estimate': dynamic(() => import('./maturity-estimate').then((all) => all.InMaturityEstimate)),
  capping: dynamic(() => import('./capping').then((all) => all.InCapping)),
  'end-grinding': dynamic(() => import('./end-grinding').then((all) => all.InEndGrinding)),
  'cylinder-compression': dynamic(() =>
    import('./cylinder-compression').then((all) => all.InCylinderCompression),
  ),
  'cube-compression': dynamic(() => import('./cube-compression').then((all) => all.InCubeCompression)),
  'core-compression': dynamic(() => import('./core-compression').then((all) => all.InCoreCompression)),
  'grout-prism': dynamic(() => import('./grout-prism').then((all) => all.InGroutPrism)),
  'mortar-cube': dynamic(() => import('./mortar-cube').then((all) => all.InMortarCube)),
  'splitting-tensile': dynamic(() => import('./splitting-tensile').then((all) => all.InSplittingTensile)),
  'beam-third-point': dynamic(() => import('./beam-third-point').then((all) => all.InBeamThirdPoint)),
  'beam-centre-point': dynamic(() => import('./beam-centre-point').then((all) => all.InBeamCentrePoint)),
  'beam-bending': dynamic(() => import('./beam-bending').then((all) => all.InBeamBending)),
  'fibre-beam': dynamic(() => import('./fibre-beam').then((all) => all.InFibreBeam)),
  'residual-beam': dynamic(() => import('./residual-beam').then((all) => all.InResidualBeam)),
  'notched-beam': dynamic(() => import('./notched-beam').then((all) => all.InNotchedBeam)),
  'beam-arrival': dynamic(() => import('./beam-arrival').then((all) => all.InBeamArrival)),
  'beam-section': dynamic(() => import('./beam-section').then((all) => all.InBeamSection)),
  'hardened-density': dynamic(() => import('./hardened-density').then((all) => all.InHardenedDensity)),
  'water-density': dynamic(() => import('./water-density').then((all) => all.InWaterDensity)),
  'static-modulus': dynamic(() => import('./static-modulus').then((all) => all.InStaticModulus)),
  'site-factor': dynamic(() => import('./site-factor').then((all) => all.InSiteFactor)),
  'unit-receiving': dynamic(() => import('./unit-receiving').then((all) => all.InUnitReceiving)),
  'unit-sawing': dynamic(() => import('./unit-sawing').then((all) => all.InUnitSawing)),
  'unit-conditioning': dynamic(() => import('./unit-conditioning').then((all) => all.InUnitConditioning)),
  'unit-soak': dynamic(() => import('./unit-soak').then((all) => all.InUnitSoak)),
  'oven-drying': dynamic(() => import('./oven-drying').then((all) => all.InOvenDrying)),
  'unit-absorption': dynamic(() => import('./unit-absorption').then((all) => all.InUnitAbsorption)),
  'unit-compression': dynamic(() => import('./unit-compression').then((all) => all.InUnitCompression)),
  'unit-report': dynamic(() => import('./unit-report').then((all) => all.InUnitReport)),
  'brick-size': dynamic(() => import('./brick-size').then((all) => all.InBrickSize)),
  'brick-drying': dynamic(() => import('./brick-drying').then((all) => all.InBrickDrying)),
  'brick-soak': dynamic(() => import('./brick-soak').then((all) => all.InBrickSoak)),
  'brick-boil': dynamic(() => import('./brick-boil').then((all) => all.InBrickBoil)),
  'brick-absorption': dynamic(() => import('./brick-absorption').then((all) => all.InBrickAbsorption)),
  'brick-compression': dynamic(() => import('./brick-compression').then((all) => all.InBrickCompression)),
  'brick-suction': dynamic(() => import('./brick-suction').then((all) => all.InBrickSuction)),
  'brick-flexure': dynamic(() => import('./brick-flexure').then((all) => all.InBrickFlexure)),
  'brick-efflorescence': dynamic(() =>
    import('./brick-efflorescence').then((all) => all.InBrickEfflorescence),
  ),
  'prism-building': dynamic(() => import('./prism-building').then((all) => all.InPrismBuilding)),
  'prism-compression': dynamic(() => import('./prism-compression').then((all) => all.InPrismCompression)),
  'grout-making': dynamic(() => import('./grout-making').then((all) => all.InGroutMaking)),
  'mortar-making': dynamic(() => import('./mortar-making').then((all) => all.InMortarMaking)),
  'service-record': dynamic(() => import('./service-record').then((all) => all.InServiceRecord)),
  'slab-hole': dynamic(() => import('./slab-hole').then((all) => all.InSlabHole)),
  'slab-humidity': dynamic(() => import('./slab-humidity').then((all) => all.InSlabHumidity)),
  'slab-emission': dynamic(() => import('./slab-emission').then((all) => all.InSlabEmission)),
  'slab-sheet': dynamic(() => import('./slab-sheet').then((all) => all.InSlabSheet)),
  'surface-hood': dynamic(() => import('./surface-hood').then((all) => all.InSurfaceHood)),
  carbide: dynamic(() => import('./carbide').then((all) => all.InCarbide)),
  impedance: dynamic(() => import('./impedance').then((all) => all.InImpedance)),
  'surface-profile': dynamic(() => import('./surface-profile').then((all) => all.InSurfaceProfile)),
  gluing: dynamic(() => import('./gluing').then((all) => all.InGluing)),
  'pull-off': dynamic(() => import('./pull-off').then((all) => all.InPullOff)),
  'three-edge': dynamic(() => import('./three-edge').then((all) => all.InThreeEdge)),
  'pipe-year': dynamic(() => import('./pipe-year').then((all) => all.InPipeYear)),
  'pipe-cylinders': dynamic(() => import('./pipe-cylinders').then((all) => all.InPipeCylinders)),
  'pipe-joint': dynamic(() => import('./pipe-joint').then((all) => all.InPipeJoint)),
  'pipe-permeability': dynamic(() => import('./pipe-permeability').then((all) => all.InPipePermeability)),
  'manhole-step': dynamic(() => import('./manhole-step').then((all) => all.InManholeStep)),
  'cement-sample': dynamic(() => import('./cement-sample').then((all) => all.InCementSample)),
  'cement-consistency': dynamic(() => import('./cement-consistency').then((all) => all.InCementConsistency)),
  'cement-setting': dynamic(() => import('./cement-setting').then((all) => all.InCementSetting)),
  'pipe-core': dynamic(() => import('./pipe-core').then((all) => all.InPipeCore)),
  'pipe-absorption': dynamic(() => import('./pipe-absorption').then((all) => all.InPipeAbsorption)),
  'surface-ph': dynamic(() => import('./surface-ph').then((all) => all.InSurfacePh)),
  'rock-compression': dynamic(() => import('./rock-compression').then((all) => all.InRockCompression)),
  'rock-drying': dynamic(() => import('./rock-drying').then((all) => all.InRockDrying)),
  'rock-water': dynamic(() => import('./rock-water').then((all) => all.InRockWater)),
  'point-load': dynamic(() => import('./point-load').then((all) => all.InPointLoad)),
};

/** Gives the folder of a method to the views that stand in it. */
export function InMethodFolder({ id, children }: PropsWithChildren<{ id: MethodId }>) {
  const Holder = HOLDERS[id];
  return <Holder>{children}</Holder>;
}
