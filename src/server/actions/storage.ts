import { IsIn, IsInt, IsNotEmpty, IsOptional, IsString, IsUUID, Max, MaxLength, Min } from 'class-validator';
import { eq } from 'drizzle-orm';
import { IsInstant } from '@/core/methods';
import { DUTIES, type Duty, dutiesOf, STORAGE_KINDS, type StorageKind } from '@/core/storage';
import { storageDuties, storages } from '@/db/schema';
import { NotFound } from '../errors';
import { measureText } from '../measure-text';
import { BENCH, defineUseCase, refuseFields } from '../use-case';
import { projectDuties } from '../waits';
import { instantField } from './samples';

/** What a tank or room can have, °F. */
const POSSIBLE = [0, 212] as const;

export class AddStorageInput {
  @IsNotEmpty({ message: 'Name is needed.' })
  @IsString()
  @MaxLength(40, { message: 'Name: at most 40 characters.' })
  name: string;
  @IsIn(STORAGE_KINDS, { message: 'Kind: tank or room, or a moist cabinet.' }) kind: StorageKind;
  @IsInt({ message: 'Rows: a whole number.' })
  @Min(1, { message: 'At least 1.' })
  @Max(26, { message: 'At most 26: they are named A to Z.' })
  rows: number;
  @IsInt({ message: 'Places in a row: a whole number.' })
  @Min(1, { message: 'At least 1.' })
  @Max(60, { message: 'At most 60.' })
  columns: number;
  @IsOptional() @IsString() volume?: string;
}

/** A curing tank or moist room with its places. */
export const addStorage = defineUseCase({
  name: 'add storage',
  roles: BENCH,
  Input: AddStorageInput,
  async act({ tx, now }, input) {
    const name = input.name.trim();
    const taken = await tx.select({ id: storages.id }).from(storages).where(eq(storages.name, name));
    if (taken.length > 0) refuseFields({ name: `${name} is there already.` });
    const volume = input.volume?.trim()
      ? measureText('volume', input.volume, 'volume', 'gal', [1, 100_000])
      : null;
    const [made] = await tx
      .insert(storages)
      .values({ ...input, name, volume: input.kind === 'tank' ? volume : null, createdAt: now })
      .returning({ id: storages.id });
    if (made) await projectDuties(tx, made.id);
    return { storageId: made?.id ?? '' };
  },
});

export class RecordDutyInput {
  @IsUUID() storageId: string;
  @IsIn(DUTIES, { message: 'What was done: choose one.' }) duty: Duty;
  @IsInstant('When') at: string;
  /** Of the record that was reviewed. */
  @IsOptional() @IsString() lowest?: string;
  @IsOptional() @IsString() highest?: string;
  @IsOptional() @IsString() @MaxLength(500, { message: 'Note: at most 500 characters.' }) note?: string;
}

/** A duty done on a tank or room: its clock starts anew. */
export const recordDuty = defineUseCase({
  name: 'record storage duty',
  roles: BENCH,
  Input: RecordDutyInput,
  async act({ tx, actor, now }, input) {
    const [storage] = await tx.select().from(storages).where(eq(storages.id, input.storageId));
    if (!storage) throw new NotFound('This tank or room');
    if (!dutiesOf(storage.kind).includes(input.duty))
      refuseFields({ duty: `A ${storage.kind} has no such duty.` });
    const temperature = (field: 'lowest' | 'highest'): string | null => {
      const text = input[field]?.trim();
      return text ? measureText(field, text, 'temperature', 'degF', POSSIBLE) : null;
    };
    const [lowest, highest] = [temperature('lowest'), temperature('highest')];
    if (input.duty === 'recorder-reviewed' && (!lowest || !highest)) {
      refuseFields({
        [lowest ? 'highest' : 'lowest']: 'Give the lowest and the highest of the record, with the unit.',
      });
    }
    const [made] = await tx
      .insert(storageDuties)
      .values({
        storageId: storage.id,
        duty: input.duty,
        at: instantField('at', 'When', input.at, now),
        by: actor.id,
        lowest,
        highest,
        note: input.note?.trim() ?? '',
      })
      .returning({ id: storageDuties.id });
    await projectDuties(tx, storage.id);
    return { dutyId: made?.id ?? '' };
  },
});
