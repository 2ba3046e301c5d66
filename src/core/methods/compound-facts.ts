import { IsOptional, IsString } from 'class-validator';
import { IsDay } from './instant-rules';
import { MeasureText } from './measure-text';

/** What is on file of a capping material besides its cubes. */
export class CompoundFacts {
  /** What it was qualified to above the strength that needs none, when, and by which document. */
  @IsOptional() @MeasureText('stress') usableTo?: string;
  @IsOptional() @IsDay() qualifiedOn?: string;
  @IsOptional() @IsString() qualification?: string;
  /** Hours that its caps hardened in the qualification, where that time was shown to be enough. */
  @IsOptional() @MeasureText('duration') hardens?: string;
  /** Temperatures of the pot that its own data sheet asks for. */
  @IsOptional() @MeasureText('temperature') potLow?: string;
  @IsOptional() @MeasureText('temperature') potHigh?: string;
}
