import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { and, eq, inArray } from 'drizzle-orm';
import { findMaterial } from '@/core/materials/registry';
import type { FloorPlan } from '@/core/plan';
import { lotPictures, lotPlans, lots, runs, samples, specifications, specimens } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { LONGEST_PICTURE, pictureOf } from '../pictures';
import { newestPlan } from '../plans';
import { defineUseCase, refuseFields, STAFF } from '../use-case';

/** The largest floor that is drawn, m. Our choice. */
const LARGEST_M = 2000;

class SpotInput {
  @IsNumber({}, { message: 'A place on the plan is a number of metres.' })
  @Min(-1)
  @Max(LARGEST_M + 1)
  x: number;
  @IsNumber({}, { message: 'A place on the plan is a number of metres.' })
  @Min(-1)
  @Max(LARGEST_M + 1)
  y: number;
}

class OutlineInput {
  @IsArray()
  @ArrayMinSize(3, { message: 'An outline has three corners at the least.' })
  @ArrayMaxSize(80, { message: 'An outline has 80 corners at the most.' })
  @ValidateNested({ each: true })
  @Type(() => SpotInput)
  outline: SpotInput[];
}

class PlanZoneInput extends OutlineInput {
  @IsUUID() sampleId: string;
  @IsArray() @ArrayMaxSize(80) @IsInt({ each: true }) @Min(0, { each: true }) walls: number[];
}

class CorridorInput extends OutlineInput {
  @IsNotEmpty({ message: 'What lies there: a tendon, a tube, heating.' })
  @IsString()
  @MaxLength(80, { message: 'What lies there: at most 80 characters.' })
  what: string;
}

class FlagInput {
  @IsNotEmpty({ message: 'Why a test is wanted there: a low spot, the last pour.' })
  @IsString()
  @MaxLength(80, { message: 'Why a test is wanted there: at most 80 characters.' })
  what: string;
  @ValidateNested() @Type(() => SpotInput) at: SpotInput;
}

export class DrawPlanInput {
  @IsUUID() id: string;
  @IsUUID() lotId: string;
  @IsOptional() @IsUUID() pictureId?: string;
  /** The plan that the person saw: another one meanwhile is not written over. */
  @IsOptional() @IsUUID() basedOn?: string;
  @IsNumber({}, { message: 'Width: a length.' })
  @Min(0.5, { message: 'Width: half a metre at the least.' })
  @Max(LARGEST_M, { message: `Width: at most ${LARGEST_M} m.` })
  width: number;
  @IsNumber({}, { message: 'Depth: a length.' })
  @Min(0.5, { message: 'Depth: half a metre at the least.' })
  @Max(LARGEST_M, { message: `Depth: at most ${LARGEST_M} m.` })
  height: number;
  @IsArray()
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => PlanZoneInput)
  zones: PlanZoneInput[];
  @IsArray()
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => CorridorInput)
  corridors: CorridorInput[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => FlagInput)
  flags?: FlagInput[];
  @IsBoolean() locked: boolean;
}

/** A floor drawn anew: its size, zones with their walls, corridors. The plan before it is kept. */
export const drawPlan = defineUseCase({
  name: 'draw plan',
  roles: STAFF,
  Input: DrawPlanInput,
  async act({ tx, actor, now }, input) {
    const [done] = await tx.select({ id: lotPlans.id }).from(lotPlans).where(eq(lotPlans.id, input.id));
    if (done) return { planId: done.id };
    // One lot is drawn by one person at a time.
    const [lot] = await tx.select().from(lots).where(eq(lots.id, input.lotId)).for('update');
    if (!lot) throw new NotFound('This floor');
    const [{ material } = { material: '' }] = await tx
      .select({ material: specifications.material })
      .from(specifications)
      .where(eq(specifications.id, lot.specificationId));
    if (!findMaterial(material)?.hasPlan) throw new NotFound('A plan of this');
    const before = await newestPlan(tx, lot.id);
    if (before && before.id !== input.basedOn)
      throw new Conflict('Somebody drew this plan meanwhile: load the page again, then draw yours.');
    const own = await tx.select({ id: samples.id }).from(samples).where(eq(samples.lotId, lot.id));
    const known = new Set(own.map(({ id }) => id));
    if (input.zones.some(({ sampleId }) => !known.has(sampleId)))
      refuseFields({ zones: 'A zone of another floor.' });
    if (new Set(input.zones.map(({ sampleId }) => sampleId)).size < input.zones.length)
      refuseFields({ zones: 'A zone has one outline.' });
    if (input.pictureId) {
      const [picture] = await tx
        .select({ id: lotPictures.id })
        .from(lotPictures)
        .where(and(eq(lotPictures.id, input.pictureId), eq(lotPictures.lotId, lot.id)));
      if (!picture) refuseFields({ pictureId: 'This picture is not of this floor.' });
    }
    const spots = (outline: readonly SpotInput[]) => outline.map(({ x, y }) => ({ x, y }));
    const plan: FloorPlan = {
      width: input.width,
      height: input.height,
      zones: input.zones.map(({ sampleId, outline, walls }) => ({
        sampleId,
        outline: spots(outline),
        walls: [...new Set(walls)].filter((wall) => wall < outline.length),
      })),
      corridors: input.corridors.map(({ what, outline }) => ({ what, outline: spots(outline) })),
      flags: (input.flags ?? []).map(({ what, at: { x, y } }) => ({ what, at: { x, y } })),
      locked: input.locked,
    };
    await tx.insert(lotPlans).values({
      id: input.id,
      lotId: lot.id,
      pictureId: input.pictureId ?? null,
      plan,
      by: actor.id,
      at: now,
    });
    return { planId: input.id };
  },
});

export class KeepPictureInput {
  @IsUUID() id: string;
  @IsUUID() lotId: string;
  @IsString() @MaxLength(200) name: string;
  /** Base64 of the picture. */
  @IsString() @MaxLength(LONGEST_PICTURE, { message: 'Picture: at most 6 MB.' }) data: string;
}

/** The picture that a floor is drawn over. */
export const keepPicture = defineUseCase({
  name: 'keep picture of a floor',
  roles: STAFF,
  Input: KeepPictureInput,
  async act({ tx, actor, now }, { id, lotId, name, data }) {
    const [done] = await tx.select({ id: lotPictures.id }).from(lotPictures).where(eq(lotPictures.id, id));
    if (done) return { pictureId: done.id };
    const [lot] = await tx.select({ id: lots.id }).from(lots).where(eq(lots.id, lotId));
    if (!lot) throw new NotFound('This floor');
    const picture = pictureOf(data);
    if (!picture) return refuseFields({ data: 'Only a JPEG, PNG or WebP picture can be drawn over.' });
    await tx.insert(lotPictures).values({ id, lotId, name, ...picture, by: actor.id, at: now });
    return { pictureId: id };
  },
});

class PlaceInput {
  @IsUUID() specimenId: string;
  @IsNumber({}, { message: 'A place is a share of the plan.' }) @Min(0) @Max(1) x: number;
  @IsNumber({}, { message: 'A place is a share of the plan.' }) @Min(0) @Max(1) y: number;
}

export class PlacePointsInput {
  @IsUUID() lotId: string;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  @ValidateNested({ each: true })
  @Type(() => PlaceInput)
  places: PlaceInput[];
}

/** Points put on the plan of their floor, or moved there. One that work has begun at stays where it is. */
export const placePoints = defineUseCase({
  name: 'place points',
  roles: STAFF,
  Input: PlacePointsInput,
  async act({ tx }, { lotId, places }) {
    const plan = await newestPlan(tx, lotId);
    if (!plan) throw new Conflict('This floor has no plan yet: draw it first.');
    const ids = places.map(({ specimenId }) => specimenId);
    const own = await tx
      .select({ id: specimens.id, label: specimens.label, place: specimens.place })
      .from(specimens)
      .innerJoin(samples, eq(samples.id, specimens.sampleId))
      .where(and(eq(samples.lotId, lotId), inArray(specimens.id, ids)));
    if (own.length < new Set(ids).size) throw new NotFound('A point of this floor');
    const begun = new Set(
      (await tx.select({ id: runs.specimenId }).from(runs).where(inArray(runs.specimenId, ids))).map(
        ({ id }) => id,
      ),
    );
    for (const { id, label, place } of own) {
      if (place === null) continue;
      if (plan.plan.locked) throw new Conflict('This plan is locked: unlock it to move a point.');
      if (begun.has(id))
        throw new Conflict(`${label} stays where it is: work has begun there. Mark a new point instead.`);
    }
    for (const { specimenId, x, y } of places)
      await tx.update(specimens).set({ place: { x, y } }).where(eq(specimens.id, specimenId));
    return {};
  },
});
