import { IsBoolean, IsIn, IsInt, Max, Min } from 'class-validator';
import { DELIMITERS, type Delimiter, MOST_BEFORE, type RowsMapping } from '@/core/signals';

/** How the rows of a file are written, as it is sent; what is measured in them is of its own kind. */
export class RowsMappingInput implements RowsMapping {
  @IsIn(DELIMITERS, { message: 'Between columns: choose one.' })
  delimiter: Delimiter;
  @IsBoolean() decimalComma: boolean;
  @IsInt() @Min(0) @Max(MOST_BEFORE) header: number;
  @IsInt() @Min(0) @Max(MOST_BEFORE) time: number;
}
