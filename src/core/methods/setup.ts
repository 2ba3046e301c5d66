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
import { isLimitId, type LimitChanges, Limits, PROFILES, type Profile } from '../limits';
import type { RoundingMode } from '../quantity';
import type { KeptRecord } from '../records/kept-record';
import { LOG_TROUBLES, type LogAnalysis, type LogMapping, type LogTrouble } from '../signals';

import { CompoundFacts } from './compound-facts';
import type { Facts } from './facts';
import { IsDay, IsInstant, IsZone } from './instant-rules';
import { MachineFacts } from './machine-facts';
import { MeasureText } from './measure-text';
import { AreInstants, AreLimitChanges, AreRecords } from './named-values';
import { PadFacts } from './pad-facts';
import { TestedBatch, TestedLot, TestedSample, TestedSpecimen } from './tested';

export { setupMeasure } from './measure-text';

/** What is known of a piece of equipment. */
export class EquipmentFacts {
  @IsString() number: string;
  @IsString() kind: string;
  @IsOptional() @IsString() name?: string;
  /** Date of the last verification, `2031-04-02`. */
  @IsOptional() @IsDay() verifiedOn?: string;
  /** The number of that certificate, and the serial numbers it is of. */
  @IsOptional() @IsString() certificate?: string;
  @IsOptional() @IsString() serials?: string;
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
  /** Seconds from half of the peak to the peak. */
  @IsOptional() @IsNumber() @Min(0) secondHalf?: number | null;
  /** Seconds from the first load to the peak. */
  @IsOptional() @IsNumber() @Min(0) toPeak?: number;
  /** Load before each drop that recovered, in the unit of the run, and its depth in percent. */
  @IsArray() @ValidateNested({ each: true }) @Type(() => DipFact) dips: DipFact[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => SpikeFact) spikes: SpikeFact[];
  /** What it says over its displacement, where a beam was bent by it. */
  @IsOptional() @IsObject() bend?: LogAnalysis['bend'];
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
  @IsOptional() @ValidateNested() @Type(() => TestedSpecimen) specimen?: TestedSpecimen;
  @IsOptional() @ValidateNested() @Type(() => TestedSample) sample?: TestedSample;
  @IsOptional() @ValidateNested() @Type(() => TestedLot) lot?: TestedLot;
  @IsOptional() @ValidateNested() @Type(() => TestedBatch) batch?: TestedBatch;
  /** What the method asks to know of others, by the names it gives them; it says itself what each is. */
  @IsOptional() @IsObject() facts?: Facts;
  @IsOptional() @ValidateNested() @Type(() => LoadLogFacts) loadLog?: LoadLogFacts;
  /** What the records kept with the run say, by the names of their readings. */
  @IsOptional() @AreRecords() records?: Record<string, KeptRecord>;
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
