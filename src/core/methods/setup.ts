import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Min,
  ValidateNested,
} from 'class-validator';
import { EVENT_IDS } from '../clocks';
import { isLimitId, type LimitChanges, Limits, PROFILES, type Profile } from '../limits';
import { type MouldSize, SPECIMEN_SIZES } from '../moulds';
import type { RoundingMode } from '../quantity';
import { LOG_TROUBLES, type LogAnalysis, type LogMapping, type LogTrouble } from '../signals';
import { CompoundFacts } from './compound-facts';
import type { Facts } from './facts';
import { IsDay, IsInstant, IsZone } from './instant-rules';
import { SAMPLE_KINDS, type SampleKind } from './kinds';
import { MachineFacts } from './machine-facts';
import { MeasureText } from './measure-text';
import { AreInstants, AreLimitChanges } from './named-values';
import { PadFacts } from './pad-facts';

export { setupMeasure } from './measure-text';

export const NOMINAL_SIZES = ['4x8', '6x12', '9x18', '100x200', '150x300', '225x450'] as const;
export type NominalSize = (typeof NOMINAL_SIZES)[number];

/** True for the sizes of cylinders, which are compressed. */
export function isCylinderSize(size: string): size is NominalSize {
  return (NOMINAL_SIZES as readonly string[]).includes(size);
}

/** What is known of the specimen before it is tested. */
export class SpecimenFacts {
  @IsOptional() @IsString() label?: string;
  /** Casting instant, ISO 8601 with offset. */
  @IsOptional() @IsInstant() castAt?: string;
  /** Where its age counts from, when it is not the casting: in the IS school the addition of the water. */
  @IsOptional() @IsInstant() ageFrom?: string;
  /** Designated age, elapsed hours; absent for a held specimen. */
  @IsOptional() @IsInt() @Min(1) ageHours?: number;
  /** Age the specified strength is for; a younger specimen is expected to reach a share of it. */
  @IsOptional() @IsInt() @Min(1) designatedAgeHours?: number;
  @IsOptional() @IsIn(NOMINAL_SIZES) nominalSize?: NominalSize;
  /** The mould it was made in, whatever its shape. */
  @IsOptional() @IsIn(SPECIMEN_SIZES) mould?: MouldSize;
  @IsOptional() @IsIn(['standard', 'field']) cure?: 'standard' | 'field';
  /** True while nobody has decided what a held specimen is for. */
  @IsOptional() @IsBoolean() held?: boolean;
  /** Specified strength, `4,500 psi`. */
  @IsOptional() @MeasureText('stress') specifiedStrength?: string;
  /** Strength expected at this age from the mix's history. */
  @IsOptional() @MeasureText('stress') expectedStrength?: string;
  @IsOptional() @ValidateNested() @Type(() => EndsFacts) ends?: EndsFacts;
  @IsOptional() @ValidateNested() @Type(() => LotDiameterFacts) lotDiameter?: LotDiameterFacts;
}

export const LOT_STATES = ['measure', 'wait', 'take', 'measure all'] as const;

/** A cylinder of a day's lot whose diameters are measured on some of them. */
export class LotDiameterFacts {
  /** The moulds, as they are called. */
  @IsString() lot: string;
  /** Drawn to be measured; the drawn ones are not measured yet; their mean holds; their range is too large. */
  @IsIn(LOT_STATES) state: (typeof LOT_STATES)[number];
  @IsOptional() @MeasureText('length') mean?: string;
  @IsOptional() @MeasureText('length') range?: string;
  /** How many of how many are measured. */
  @IsInt() @Min(0) measured: number;
  @IsInt() @Min(1) drawn: number;
  @IsInt() @Min(1) count: number;
}

/** How the ends of a specimen were made ready, in a batch of their own. */
export class EndsFacts {
  @IsIn(['sulfur', 'gypsum', 'ground']) kind: 'sulfur' | 'gypsum' | 'ground';
  @IsString() batch: string;
  /** The younger cap of this specimen where its caps are on record, else of the batch; or the end of grinding. */
  @IsOptional() @IsInstant() finishedAt?: string;
  /** What the lot of compound proved, and what it was qualified to where it was. */
  @IsOptional() @MeasureText('stress') compound?: string;
  @IsOptional() @ValidateNested() @Type(() => CompoundFacts) qualified?: CompoundFacts;
  @IsOptional() @MeasureText('length') length?: string;
  /** What the batch's own run found that must be said with every specimen of it. */
  @IsOptional() @IsArray() @IsString({ each: true }) remarks?: string[];
}

/** The specimens whose ends are made ready together. */
export class BatchFacts {
  @IsString() label: string;
  /** Decides which specimens are looked at more closely. */
  @IsInt() seed: number;
  @IsArray() @IsString({ each: true }) specimens: string[];
  /** Highest strength expected among them. */
  @IsOptional() @MeasureText('stress') expected?: string;
  /** Diameter and count of each size, `4 in x 6`. */
  @IsOptional() @IsArray() @IsString({ each: true }) sizes?: string[];
}

/** The sample a fresh test is made on. */
export class SampleFacts {
  @IsOptional() @IsString() label?: string;
  /** Final portion of the composite. */
  @IsOptional() @IsInstant() sampledAt?: string;
  @IsOptional() @IsIn(SAMPLE_KINDS) kind?: SampleKind;
  /** Kinds of specimens made of it with their curing, `beam/field`; absent when not known. */
  @IsOptional() @IsArray() @IsString({ each: true }) specimens?: string[];
  /** The stamps of the sample clock, by event, ISO 8601 with offset. */
  @IsOptional() @AreInstants(EVENT_IDS) events?: Record<string, string>;
}

/** The lot that a reading is made for. */
export class LotFacts {
  @IsOptional() @IsString() label?: string;
}

/** What is known of a piece of equipment. */
export class EquipmentFacts {
  @IsString() number: string;
  @IsString() kind: string;
  @IsOptional() @IsString() name?: string;
  /** Date of the last verification, `2031-04-02`. */
  @IsOptional() @IsDay() verifiedOn?: string;
  @IsOptional() @MeasureText('force') verifiedFrom?: string;
  @IsOptional() @MeasureText('force') verifiedTo?: string;
  @IsOptional() @IsBoolean() inService?: boolean;
  /** How the load logs of this machine are written, as it was confirmed last. */
  @IsOptional() @IsObject() logMapping?: LogMapping;
  /** What a testing machine is like. */
  @IsOptional() @ValidateNested() @Type(() => MachineFacts) machine?: MachineFacts;
  /** What a pair of unbonded pads is like, and how often it was used. */
  @IsOptional() @ValidateNested() @Type(() => PadFacts) pads?: PadFacts;
  /** What a lot of capping compound proved, and what it is qualified to. */
  @IsOptional() @MeasureText('stress') strength?: string;
  @IsOptional() @ValidateNested() @Type(() => CompoundFacts) compound?: CompoundFacts;
  /** True when its readings can be followed live. */
  @IsOptional() @IsBoolean() live?: boolean;
}

/** A certificate of the person who makes the test. */
export class CardFact {
  @IsArray() @IsString({ each: true }) methods: string[];
  @IsDay() issuedOn: string;
  @IsDay() expiresOn: string;
  @IsOptional() @IsDay() withdrawnOn?: string;
}

/** Who makes the test, with every certificate on file. */
export class TechnicianFacts {
  @IsString() name: string;
  @IsOptional() @IsArray() @ValidateNested({ each: true }) @Type(() => CardFact) cards?: CardFact[];
}

/** A drop of the load that recovered. */
export class DipFact {
  @IsNumber() load: number;
  @IsNumber() @Min(0) depth: number;
}

/** A reading that was replaced by its neighbours'. */
export class SpikeFact {
  @IsNumber() was: number;
  @IsNumber() now: number;
}

/** What the load log kept with a run came to; `core/signals` says what each is. */
export class LoadLogFacts {
  @IsIn(['valid', 'remark', 'review', 'no result']) verdict: LogAnalysis['verdict'];
  @IsArray() @IsIn(LOG_TROUBLES, { each: true }) troubles: LogTrouble[];
  @IsOptional() @IsNumber() outside?: number | null;
  @IsOptional() @IsNumber() underRead?: number | null;
  /** Load before each drop that recovered, in the unit of the run, and its depth in percent. */
  @IsArray() @ValidateNested({ each: true }) @Type(() => DipFact) dips: DipFact[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => SpikeFact) spikes: SpikeFact[];
}

/** Everything that a computation needs besides the readings. Plain data: it is stored with the run and exported. */
export class RunSetup {
  @IsOptional() @IsIn(['half-even', 'half-up']) rounding?: RoundingMode;
  /** The school of testing the project follows. */
  @IsOptional() @IsIn(PROFILES) profile?: Profile;
  /** Time zone of the job, for calendar dates. */
  @IsOptional() @IsZone() zone?: string;
  /** The instant the checks before loading are made for, when the test has no time of its own yet. */
  @IsOptional() @IsInstant() asOf?: string;
  @IsOptional() @ValidateNested() @Type(() => SpecimenFacts) specimen?: SpecimenFacts;
  @IsOptional() @ValidateNested() @Type(() => SampleFacts) sample?: SampleFacts;
  @IsOptional() @ValidateNested() @Type(() => LotFacts) lot?: LotFacts;
  @IsOptional() @ValidateNested() @Type(() => BatchFacts) batch?: BatchFacts;
  /** What the method asks to know of others, by the names it gives them; it says itself what each is. */
  @IsOptional() @IsObject() facts?: Facts;
  @IsOptional() @ValidateNested() @Type(() => LoadLogFacts) loadLog?: LoadLogFacts;
  @IsOptional() @ValidateNested() @Type(() => TechnicianFacts) technician?: TechnicianFacts;
  /** When stamps were entered, by field, ISO 8601 with offset: apart from what they say, they were typed later. */
  @IsOptional() @AreInstants() enteredAt?: Record<string, string>;
  @IsOptional()
  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => EquipmentFacts)
  equipment?: EquipmentFacts[];
  /** What the laboratory confirmed or changed of the limits register. */
  @IsOptional() @AreLimitChanges() limitChanges?: LimitChanges;
  @IsOptional() @IsInt() @Min(0) limitsRevision?: number;
}

/** The limits in force for a run; entries that the register does not know are left aside. */
export function limitsOf(setup: RunSetup): Limits {
  const { limitChanges, limitsRevision = 0, profile } = setup;
  const own = limitChanges ?? NO_CHANGES;
  const key = `${limitsRevision} ${profile}`;
  const kept = registers.get(own) ?? new Map<string, Limits>();
  const before = kept.get(key);
  if (before) return before;
  const known = Object.entries(own).filter(([id]) => isLimitId(id));
  const limits = new Limits(Object.fromEntries(known) as LimitChanges, limitsRevision, profile);
  registers.set(own, kept.set(key, limits));
  return limits;
}

const NO_CHANGES: LimitChanges = {};
/** A register put together once for the same changes; plain data that nobody alters. */
const registers = new WeakMap<LimitChanges, Map<string, Limits>>();
