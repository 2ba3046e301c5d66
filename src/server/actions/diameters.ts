import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsNotEmpty,
  IsString,
  IsUUID,
  MaxLength,
} from 'class-validator';
import { count, eq, inArray } from 'drizzle-orm';
import { DIAMETER_LOT } from '@/core/methods/cylinder-compression/lot-diameter';
import { drawnForDiameter } from '@/core/methods/press';
import { METHODS } from '@/core/methods/registry';
import { batches, batchMembers, specimens } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { limitsNow } from '../run-setup';
import { BENCH, defineUseCase, refuseFields } from '../use-case';

export class DrawDiametersInput {
  /** Made by the device: pressed twice it is one lot. */
  @IsUUID() id: string;
  @IsNotEmpty({ message: 'Name the lot of moulds: only cylinders of one lot take a common diameter.' })
  @IsString()
  @MaxLength(60, { message: 'Lot of moulds: at most 60 characters.' })
  lot: string;
  @IsArray()
  @ArrayMinSize(4, { message: 'Of three or fewer each is measured: choose at least four.' })
  @ArrayMaxSize(200, { message: 'At most 200 in one lot.' })
  @ArrayUnique()
  @IsUUID(undefined, { each: true })
  specimenIds: string[];
}

/** The forms whose tests ask what a lot of moulds says of the diameter. */
const TAKES: ReadonlySet<string> = new Set(
  METHODS.filter(({ facts }) =>
    Object.values(facts ?? {}).some(({ of, by }) => of === 'batch' && by?.includes(DIAMETER_LOT)),
  ).flatMap(({ forms }) => forms ?? []),
);

/** The cylinders of the day from one lot of moulds: which of them are measured is drawn here, before any is. */
export const drawDiameters = defineUseCase({
  name: 'draw diameters',
  roles: BENCH,
  Input: DrawDiametersInput,
  async act({ tx, actor, now }, input) {
    const [there] = await tx.select().from(batches).where(eq(batches.id, input.id));
    if (!there) {
      const rows = await tx.select().from(specimens).where(inArray(specimens.id, input.specimenIds));
      if (rows.length !== input.specimenIds.length) throw new NotFound('One of these specimens');
      const other = rows.find(({ form: size, testedAt }) => testedAt !== null || !TAKES.has(size));
      if (other)
        throw new Conflict(
          `${other.label} is ${other.testedAt ? 'broken already' : 'no moulded cylinder'}: leave it out.`,
        );
      if (new Set(rows.map(({ form: size }) => size)).size > 1)
        refuseFields({ specimenIds: 'Cylinders of one size only: they come out of one lot of moulds.' });
      const [before] = await tx.select({ n: count() }).from(batches).where(eq(batches.kind, DIAMETER_LOT));
      const number = Number(before?.n ?? 0) + 1;
      const seed = number * 6151;
      const drawn = new Set(drawnForDiameter(rows.length, seed, await limitsNow(tx)));
      await tx.insert(batches).values({
        id: input.id,
        number,
        kind: DIAMETER_LOT,
        title: input.lot.trim(),
        seed,
        madeAt: now,
        by: actor.id,
      });
      await tx.insert(batchMembers).values(
        input.specimenIds.map((specimenId, place) => ({
          batchId: input.id,
          specimenId,
          place,
          drawn: drawn.has(place),
        })),
      );
    }
    const members = await tx
      .select({ label: specimens.label })
      .from(batchMembers)
      .innerJoin(specimens, eq(specimens.id, batchMembers.specimenId))
      .where(eq(batchMembers.batchId, input.id));
    return { batchId: input.id, count: members.length };
  },
});
