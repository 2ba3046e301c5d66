import { LIMITS as ACCEPTANCE } from '../acceptance/limits';
import { LIMITS as ENDS } from '../ends/limits';
import { LIMITS as BRICK } from '../materials/brick/limits';
import { LIMITS as CEMENT_TYPES } from '../materials/cement/limits';
import { LIMITS as GROUT } from '../materials/grout/limits';
import { LIMITS as MASONRY } from '../materials/masonry/limits';
import { LIMITS as MORTAR } from '../materials/mortar/limits';
import { LIMITS as PRISM } from '../materials/prism/limits';
import { LIMITS as AIR } from '../methods/air-limits';
import { LIMITS as AIR_PRESSURE } from '../methods/air-pressure/limits';
import { LIMITS as AIR_VOLUMETRIC } from '../methods/air-volumetric/limits';
import { LIMITS as BEAM } from '../methods/beam/limits';
import { LIMITS as BEAM_ARRIVAL } from '../methods/beam-arrival/limits';
import { LIMITS as BEAM_SECTION } from '../methods/beam-section/limits';
import { LIMITS as BEND } from '../methods/bend/limits';
import { LIMITS as BRICK_TESTS } from '../methods/brick/limits';
import { LIMITS as CARBIDE } from '../methods/carbide/limits';
import { LIMITS as CEMENT_FINE } from '../methods/cement/fine-limits';
import { LIMITS as CEMENT } from '../methods/cement/limits';
import { LIMITS as CEMENT_HEAT } from '../methods/cement-heat/limits';
import { LIMITS as CEMENT_MILL_SHEET } from '../methods/cement-mill-sheet/limits';
import { LIMITS as CEMENT_MORTAR } from '../methods/cement-mortar/limits';
import { LIMITS as CEMENT_PRISMS } from '../methods/cement-prisms/limits';
import { LIMITS as CEMENT_SAMPLE } from '../methods/cement-sample/limits';
import { LIMITS as CONCRETE_TEMPERATURE } from '../methods/concrete-temperature/limits';
import { LIMITS as CORE_COMPRESSION } from '../methods/core-compression/limits';
import { LIMITS as CUBE_COMPRESSION } from '../methods/cube-compression/limits';
import { LIMITS as CYLINDER_COMPRESSION } from '../methods/cylinder-compression/limits';
import { LIMITS as DELIVERY } from '../methods/delivery/limits';
import { LIMITS as DENSITY_YIELD } from '../methods/density-yield/limits';
import { LIMITS as DRYING } from '../methods/drying/limits';
import { LIMITS as EVAPORATION } from '../methods/evaporation/limits';
import { LIMITS as GLUING } from '../methods/gluing/limits';
import { LIMITS as GROUT_PRISM } from '../methods/grout-prism/limits';
import { LIMITS as HARDENED_DENSITY } from '../methods/hardened-density/limits';
import { LIMITS as IMPEDANCE } from '../methods/impedance/limits';
import { LIMITS as INITIAL_CURING } from '../methods/initial-curing/limits';
import { LIMITS as EVERY_TEST } from '../methods/limits';
import { LIMITS as MANHOLE_STEP } from '../methods/manhole-step/limits';
import { LIMITS as MASONRY_PRESS } from '../methods/masonry-press/limits';
import { LIMITS as MATURITY } from '../methods/maturity/limits';
import { LIMITS as MORTAR_CUBE } from '../methods/mortar-cube/limits';
import { LIMITS as MOULDING } from '../methods/moulding/limits';
import { LIMITS as OVEN_DRYING } from '../methods/oven-drying/limits';
import { LIMITS as PENETRATION } from '../methods/penetration-resistance/limits';
import { LIMITS as PIPE_ABSORPTION } from '../methods/pipe-absorption/limits';
import { LIMITS as PIPE_CORE } from '../methods/pipe-core/limits';
import { LIMITS as PIPE_CYLINDERS } from '../methods/pipe-cylinders/limits';
import { LIMITS as PIPE_JOINT } from '../methods/pipe-joint/limits';
import { LIMITS as POINT_LOAD } from '../methods/point-load/limits';
import { LIMITS as PRESS } from '../methods/press/limits';
import { LIMITS as PULL } from '../methods/pull/limits';
import { LIMITS as ROCK_COMPRESSION } from '../methods/rock-compression/limits';
import { LIMITS as ROCK_WATER } from '../methods/rock-water/limits';
import { LIMITS as SAMPLING } from '../methods/sampling/limits';
import { LIMITS as SERVICE_RECORD } from '../methods/service-record/limits';
import { LIMITS as SITE_FACTOR } from '../methods/site-factor/limits';
import { LIMITS as SLAB } from '../methods/slab/limits';
import { LIMITS as SLAB_EMISSION } from '../methods/slab-emission/limits';
import { LIMITS as SLAB_SHEET } from '../methods/slab-sheet/limits';
import { LIMITS as SLUMP } from '../methods/slump/limits';
import { LIMITS as SLUMP_FLOW } from '../methods/slump-flow/limits';
import { LIMITS as SPLITTING_TENSILE } from '../methods/splitting-tensile/limits';
import { LIMITS as STATIC_MODULUS } from '../methods/static-modulus/limits';
import { LIMITS as SURFACE_HOOD } from '../methods/surface-hood/limits';
import { LIMITS as SURFACE_PH } from '../methods/surface-ph/limits';
import { LIMITS as SURFACE_PROFILE } from '../methods/surface-profile/limits';
import { LIMITS as TEMPERATURE } from '../methods/temperature/limits';
import { LIMITS as UNIT_ABSORPTION } from '../methods/unit-absorption/limits';
import { LIMITS as UNIT_COMPRESSION } from '../methods/unit-compression/limits';
import { LIMITS as UNIT_CONDITIONING } from '../methods/unit-conditioning/limits';
import { LIMITS as UNIT_RECEIVING } from '../methods/unit-receiving/limits';
import { LIMITS as UNIT_REPORT } from '../methods/unit-report/limits';
import { LIMITS as UNIT_SAWING } from '../methods/unit-sawing/limits';
import { LIMITS as UNIT_SOAK } from '../methods/unit-soak/limits';
import { LIMITS as VIBRATED_CUBE } from '../methods/vibrated-cube/limits';
import { LIMITS as VIBRATED_MORTAR } from '../methods/vibrated-mortar/limits';
import { LIMITS as WATER_DENSITY } from '../methods/water-density/limits';
import { LIMITS as PIPE } from '../pipe/limits';
import { LIMITS as PLAN } from '../sampling-plan/limits';
import { LIMITS as STRENGTH_GAIN } from '../strength-gain/limits';
import { LIMITS as UNIFORMITY } from '../uniformity/limits';
import { LIMITS as AGES } from '../windows/limits';
import type { LimitEntry } from './entry';
import { PROFILES } from './schools';

export type { LimitEntry, LimitStatus, LimitValue, Sense } from './entry';

/**
 * The register as it ships, put together from what each method and part says of itself, in the order of the work. All
 * values are recalled from memory (status `recalled`): the laboratory checks each against its own copy of the standard
 * and confirms or changes it.
 */
export const REGISTER = {
  ...AGES,
  ...CYLINDER_COMPRESSION,
  ...PRESS,
  ...EVERY_TEST,
  ...ACCEPTANCE,
  ...ENDS,
  ...CUBE_COMPRESSION,
  ...SPLITTING_TENSILE,
  ...BEAM,
  ...BEAM_ARRIVAL,
  ...BEAM_SECTION,
  ...BEND,
  ...HARDENED_DENSITY,
  ...WATER_DENSITY,
  ...STATIC_MODULUS,
  ...CORE_COMPRESSION,
  ...MORTAR_CUBE,
  ...GROUT_PRISM,
  ...POINT_LOAD,
  ...PIPE,
  ...PIPE_ABSORPTION,
  ...PIPE_CORE,
  ...PIPE_CYLINDERS,
  ...MANHOLE_STEP,
  ...CEMENT,
  ...CEMENT_SAMPLE,
  ...CEMENT_HEAT,
  ...PENETRATION,
  ...CEMENT_MILL_SHEET,
  ...CEMENT_MORTAR,
  ...CEMENT_FINE,
  ...CEMENT_PRISMS,
  ...VIBRATED_MORTAR,
  ...VIBRATED_CUBE,
  ...CEMENT_TYPES,
  ...PIPE_JOINT,
  ...ROCK_COMPRESSION,
  ...ROCK_WATER,
  ...SITE_FACTOR,
  ...SLAB,
  ...SERVICE_RECORD,
  ...SLAB_EMISSION,
  ...SLAB_SHEET,
  ...SURFACE_HOOD,
  ...CARBIDE,
  ...IMPEDANCE,
  ...SURFACE_PH,
  ...SURFACE_PROFILE,
  ...GLUING,
  ...PULL,
  ...MASONRY,
  ...UNIT_RECEIVING,
  ...UNIT_CONDITIONING,
  ...UNIT_SAWING,
  ...UNIT_SOAK,
  ...DRYING,
  ...OVEN_DRYING,
  ...TEMPERATURE,
  ...MATURITY,
  ...STRENGTH_GAIN,
  ...UNIFORMITY,
  ...UNIT_ABSORPTION,
  ...MASONRY_PRESS,
  ...UNIT_COMPRESSION,
  ...UNIT_REPORT,
  ...BRICK,
  ...BRICK_TESTS,
  ...PRISM,
  ...GROUT,
  ...MORTAR,
  ...PLAN,
  ...SAMPLING,
  ...DELIVERY,
  ...SLUMP,
  ...SLUMP_FLOW,
  ...CONCRETE_TEMPERATURE,
  ...EVAPORATION,
  ...AIR,
  ...AIR_VOLUMETRIC,
  ...AIR_PRESSURE,
  ...DENSITY_YIELD,
  ...INITIAL_CURING,
  ...MOULDING,
} as const satisfies Record<string, LimitEntry>;

export type LimitId = keyof typeof REGISTER;
/** Every entry; the rows of a school stand behind the ones they replace. */
export const LIMIT_IDS = (Object.keys(REGISTER) as LimitId[]).toSorted(
  (a, b) => Number(isOfSchool(a)) - Number(isOfSchool(b)),
);

/** True for a row that only one school has, or has in place of another: `en/slump.lift`. */
export function isOfSchool(id: string): boolean {
  return PROFILES.some((profile) => id.startsWith(`${profile}/`));
}

/** True for text that names an entry of the register. */
export function isLimitId(id: string): id is LimitId {
  return Object.hasOwn(REGISTER, id);
}

/** An entry of the register as it ships, seen through the common interface. */
export function shippedLimit(id: LimitId): LimitEntry {
  return REGISTER[id];
}
