import { IsIn, IsInt, IsOptional, IsString, Min } from 'class-validator';
import { IsDay } from './instant-rules';
import { MeasureText } from './measure-text';

export const DUROMETERS = ['50', '60', '70'] as const;

/** What is known of a pair of unbonded pads with its retainers; uses are counted from the tests, never typed. */
export class PadFacts {
  @IsIn(DUROMETERS) durometer: (typeof DUROMETERS)[number];
  /** Inside diameter of the retainers, and diameter and thickness of the pads. */
  @IsOptional() @MeasureText('length') retainer?: string;
  @IsOptional() @MeasureText('length') pad?: string;
  @IsOptional() @MeasureText('length') thickness?: string;
  @IsOptional() @IsDay() inServiceOn?: string;
  /** Highest strength the material is qualified to, where it is. */
  @IsOptional() @MeasureText('stress') qualifiedTo?: string;
  /** Lowest strength it was shown at, where two levels were tested. */
  @IsOptional() @MeasureText('stress') qualifiedFrom?: string;
  /** The document that qualifies it. */
  @IsOptional() @IsString() qualification?: string;
  /** Tests made with them so far, and the highest strength among them. */
  @IsOptional() @IsInt() @Min(0) uses?: number;
  @IsOptional() @MeasureText('stress') highest?: string;
}
