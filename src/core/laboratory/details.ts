import 'reflect-metadata';
import { IsNotEmpty, IsOptional, IsString, MaxLength } from 'class-validator';
import { IsZone } from '../methods/instant-rules';

/** Who issues the reports: stands at the head of each, and its clock is what the laboratory's own pages go by. */
export class LaboratoryDetails {
  @IsNotEmpty({ message: 'Name of the laboratory is needed.' })
  @IsString()
  @MaxLength(120, { message: 'Name: at most 120 characters.' })
  name: string;

  /** Lines as they stand on a letter. */
  @IsNotEmpty({ message: 'Address is needed: it stands on every report.' })
  @IsString()
  @MaxLength(400, { message: 'Address: at most 400 characters.' })
  address: string;

  /** What else its letters carry: telephone, accreditation with its number; lines. */
  @IsOptional()
  @IsString()
  @MaxLength(400, { message: 'Letterhead: at most 400 characters.' })
  letterhead?: string;

  @IsZone('Time zone') zone: string;
}

/** Where nobody has said anything yet. */
const UNSAID = { name: 'Laboratory', address: '', zone: 'UTC' } as const;

/** As it is kept: one text of the settings. */
export function laboratoryText({ name, address, letterhead = '', zone }: LaboratoryDetails): string {
  const lines = (text: string): string =>
    text
      .split(/\r?\n/u)
      .map((line) => line.trim())
      .filter(Boolean)
      .join('\n');
  return JSON.stringify({ name: name.trim(), address: lines(address), letterhead: lines(letterhead), zone });
}

/** As it was kept; the empty one where nothing was. */
export function laboratoryOf(kept: string | undefined): LaboratoryDetails {
  return kept === undefined ? UNSAID : { ...UNSAID, ...(JSON.parse(kept) as LaboratoryDetails) };
}

/** What stands at the head of a report under the name, line by line. */
export function headLines({ address, letterhead = '' }: LaboratoryDetails): string[] {
  return [...address.split('\n'), ...letterhead.split('\n')].filter(Boolean);
}
