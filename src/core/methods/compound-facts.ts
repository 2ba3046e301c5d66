import { IsOptional, IsString } from 'class-validator';
import { IsDay } from './instant-rules';
import { MeasureText } from './measure-text';

/** What a capping material was qualified to above the strength that needs none. */
export class CompoundFacts {
  @MeasureText('stress') usableTo: string;
  @IsDay() qualifiedOn: string;
  /** The document, and what the cylinders came to. */
  @IsString() qualification: string;
  /** Hours that its caps hardened in the qualification, where that time was shown to be enough. */
  @IsOptional() @MeasureText('duration') hardens?: string;
}
