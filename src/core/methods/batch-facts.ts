import 'reflect-metadata';
import { Type } from 'class-transformer';
import { IsArray, IsBoolean, IsIn, IsObject, IsOptional, IsString, ValidateNested } from 'class-validator';
import { CompoundFacts } from './compound-facts';
import { IsInstant } from './instant-rules';
import { MeasureText } from './measure-text';

/** How the ends of a specimen were made ready, by the batch it was in. */
export class EndsTold {
  @IsIn(['sulfur', 'gypsum', 'ground']) kind: 'sulfur' | 'gypsum' | 'ground';
  @IsString() batch: string;
  /** The younger cap of this specimen where its caps are on record, else of the batch; or the end of grinding. */
  @IsOptional() @IsInstant() finishedAt?: string;
  /** The older cap, where its caps are on record. */
  @IsOptional() @IsInstant() beganAt?: string;
  /** What the lot of compound proved, and what it was qualified to where it was. */
  @IsOptional() @MeasureText('stress') compound?: string;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => CompoundFacts) qualified?: CompoundFacts;
  @IsOptional() @MeasureText('length') length?: string;
  /** What the batch's own run found that must be said with every specimen of it. */
  @IsOptional() @IsArray() @IsString({ each: true }) remarks?: string[];
  /** What is wrong with the caps of this specimen itself. */
  @IsOptional() @IsArray() @IsString({ each: true }) troubles?: string[];
}

/** A specimen of a batch, and what was read of it in any of its tests, by the names of the readings. */
export class MemberRead {
  @IsString() label: string;
  /** True where the draw of the batch chose it. */
  @IsBoolean() drawn: boolean;
  @IsObject() read: Record<string, string>;
}

/** The specimens of a batch that has no test of its own: what they have in common is read in theirs. */
export class MembersTold {
  /** What they have in common, as it is called. */
  @IsString() title: string;
  @IsArray() @ValidateNested({ each: true }) @Type(() => MemberRead) members: MemberRead[];
}
