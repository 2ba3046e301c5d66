import { IsArray, IsIn, IsOptional, IsString, Matches } from 'class-validator';
import { IsDay } from './instant-rules';
import { MeasureText } from './measure-text';

export const INDICATORS = ['digital', 'dial'] as const;
export const SPACER_PLACES = ['lower block', 'head'] as const;

/** What is known of a testing machine besides its verification; every measure with its unit. */
export class MachineFacts {
  @IsOptional() @MeasureText('force') capacity?: string;
  @IsOptional() @IsIn(INDICATORS) indicator?: (typeof INDICATORS)[number];
  /** Smallest change a digital indicator shows. */
  @IsOptional() @MeasureText('force') increment?: string;
  /** Between the numbered and between the smallest marks of a dial, and the load at its end. */
  @IsOptional() @MeasureText('force') major?: string;
  @IsOptional() @MeasureText('force') minor?: string;
  @IsOptional() @MeasureText('force') fullScale?: string;
  /** From the top of the ram, down, to the face of the upper block. */
  @IsOptional() @MeasureText('length') clearHeight?: string;
  @IsOptional() @MeasureText('length') lowerBlock?: string;
  /** Rated stroke of the ram. */
  @IsOptional() @MeasureText('length') stroke?: string;
  /** Diameter of the upper and of the lower bearing face. */
  @IsOptional() @MeasureText('length') upperFace?: string;
  @IsOptional() @MeasureText('length') lowerFace?: string;
  /** Heights of the spacers that belong to the machine. */
  @IsOptional() @IsArray() @MeasureText('length', { each: true }) spacers?: string[];
  @IsOptional() @IsIn(SPACER_PLACES) spacersUnder?: (typeof SPACER_PLACES)[number];
  /** The day the spherical seat was last cleaned and oiled. */
  @IsOptional() @IsDay() seatOiledOn?: string;
  /** Of a machine whose gauge shows pressure: how many rams, the area of each, load over pressure times area where it is not all. */
  @IsOptional() @Matches(/^[1-9]$/u, { message: 'Rams: a whole number, 1 to 9.' }) rams?: string;
  @IsOptional() @MeasureText('area') ramArea?: string;
  @IsOptional()
  @Matches(/^(?:0\.[5-9]\d{0,3}|1(?:\.0{1,4})?)$/u, {
    message: 'Share that reaches the pipe: 0.5 to 1, as 0.97.',
  })
  ramFactor?: string;
  /** Oil that a stroke of its hand pump moves, and what frame and pipe give against the way of the ram. */
  @IsOptional() @MeasureText('volume') strokeVolume?: string;
  @IsOptional() @MeasureText('stiffness') stiffness?: string;
  /** What its upper beam weighs with what is fixed to it, where the gauge does not show it. */
  @IsOptional() @MeasureText('force') beamWeight?: string;
  /** Division and end of that gauge. */
  @IsOptional() @MeasureText('stress') gaugeDivision?: string;
  @IsOptional() @MeasureText('stress') gaugeEnd?: string;
  /** Which way the approach lever opens. */
  @IsOptional() @IsString() approachOpens?: string;
}
