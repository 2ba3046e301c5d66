import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Min,
  ValidateNested,
} from 'class-validator';
import { EVENT_IDS } from '../clocks';
import type { Facts } from './facts';
import { IsInstant } from './instant-rules';
import { SAMPLE_KINDS, type SampleKind } from './kinds';
import { AreInstants } from './named-values';

/** What every test is told of a specimen, whatever it is of. What one method wants besides, it asks for as facts. */
export class TestedSpecimen {
  @IsOptional() @IsString() label?: string;
  /** Its form, by the id that a material gives it. */
  @IsOptional() @IsString() form?: string;
  /** What it is for, where specimens of its form are for different tests. */
  @IsOptional() @IsString() role?: string;
  /** When it was made, ISO 8601 with offset. */
  @IsOptional() @IsInstant() since?: string;
  /** Where its age counts from, when it is not the making: in the IS school the addition of the water. */
  @IsOptional() @IsInstant() ageFrom?: string;
  /** Designated age, elapsed hours; absent for a held specimen. */
  @IsOptional() @IsInt() @Min(1) ageHours?: number;
  /** True while nobody has decided what a held specimen is for. */
  @IsOptional() @IsBoolean() held?: boolean;
}

/** A specimen of a batch, with what its own test is told of it before it begins. */
export class BatchSpecimen extends TestedSpecimen {
  @IsString() declare label: string;
  @IsOptional() @IsObject() facts?: Facts;
}

/** The specimens that are made ready together. */
export class TestedBatch {
  @IsString() label: string;
  /** Decides which specimens are looked at more closely. */
  @IsInt() seed: number;
  @IsArray() @ValidateNested({ each: true }) @Type(() => BatchSpecimen) specimens: BatchSpecimen[];
}

/** The labels of a batch's specimens, in their order; none where there is no batch. */
export function labelsOf(setup: { readonly batch?: TestedBatch | undefined }): string[] {
  return (setup.batch?.specimens ?? []).map(({ label }) => label);
}

/** The sample that a test is made on. */
export class TestedSample {
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
export class TestedLot {
  @IsOptional() @IsString() label?: string;
}
