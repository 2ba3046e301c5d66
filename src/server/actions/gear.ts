import { Type } from 'class-transformer';
import {
  IsBoolean,
  IsDefined,
  IsIn,
  IsNotEmpty,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import { eq } from 'drizzle-orm';
import { compoundQualification, compoundStrength, padSpan } from '@/core/ends';
import { type NumberPair, readNumberPairs } from '@/core/interchange';
import {
  isLimitId,
  type LimitChange,
  type Limits,
  type LimitValue,
  limitEndProblem,
  shippedLimit,
} from '@/core/limits';
import { fieldsOf, IsDay, MachineFacts, PadFacts, serialsProblem, setupMeasure } from '@/core/methods';
import { readableChange, STRESS_UNIT } from '@/core/methods/press';
import { METHODS } from '@/core/methods/registry';
import { verifiedLoads } from '@/core/press';
import { type Exact, exact, parseMeasure, plainOf, type UnitId } from '@/core/quantity';
import { equipment, equipmentVerifications, jobs, limitChanges } from '@/db/schema';
import { NotFound } from '../errors';
import { measureText } from '../measure-text';
import { limitsNow } from '../run-setup';
import { BENCH, defineUseCase, MANAGERS, refuseFields } from '../use-case';
import { judgeUnderLimit } from '../verdicts';
import { projectUnderLimit } from '../waits';

/** The kinds of equipment that the methods ask for. */
export const EQUIPMENT_KINDS: readonly string[] = [
  ...new Set(
    METHODS.flatMap(({ Input }) => fieldsOf(Input)).flatMap((field) =>
      field.kind === 'equipment' ? [field.equipmentKind] : [],
    ),
  ),
].toSorted();

export class AddEquipmentInput {
  @IsNotEmpty({ message: 'Number is needed.' })
  @IsString()
  @MaxLength(30, { message: 'Number: at most 30 characters.' })
  number: string;
  @IsIn(EQUIPMENT_KINDS, { message: 'Kind: choose one.' }) kind: string;
  @IsNotEmpty({ message: 'Describe it in a few words.' })
  @IsString()
  @MaxLength(120, { message: 'Description: at most 120 characters.' })
  name: string;
  @IsOptional() @IsString() @MaxLength(80, { message: 'Place: at most 80 characters.' }) place?: string;
}

/** A piece of equipment entered in the register. */
export const addEquipment = defineUseCase({
  name: 'add equipment',
  roles: ['laboratory', 'reviewer', 'manager'],
  Input: AddEquipmentInput,
  async act({ tx }, input) {
    const taken = await tx
      .select({ id: equipment.id })
      .from(equipment)
      .where(eq(equipment.number, input.number));
    if (taken.length > 0) refuseFields({ number: `${input.number} is in the register already.` });
    const [made] = await tx.insert(equipment).values(input).returning({ id: equipment.id });
    return { equipmentId: made?.id ?? '' };
  },
});

/** Rows of two numbers out of a field; a row that holds none is told at that field. */
function pairsOf(field: string, text: string): readonly NumberPair[] {
  const { pairs, bad } = readNumberPairs(text);
  if (bad.length > 0) refuseFields({ [field]: `This row holds no two numbers: ${bad[0]}` });
  return pairs;
}

export class RecordVerificationInput {
  @IsUUID() equipmentId: string;
  @IsDay('Verified on') verifiedOn: string;
  @IsOptional() @IsString() verifiedFrom?: string;
  @IsOptional() @IsString() verifiedTo?: string;
  /** Rows of indicated and applied load, from the certificate; the range is worked out from them. */
  @IsOptional()
  @IsString()
  @MaxLength(4000, { message: 'Loads: at most 4,000 characters.' })
  loads?: string;
  @IsOptional() @IsIn(['lbf', 'kN'], { message: 'Loads in lbf or in kN: choose one.' }) loadsIn?:
    | 'lbf'
    | 'kN';
  @IsOptional()
  @IsString()
  @MaxLength(80, { message: 'Certificate: at most 80 characters.' })
  certificate?: string;
  /** The serial numbers that the certificate is of, for a pack. */
  @IsOptional()
  @IsString()
  @MaxLength(1000, { message: 'Serial numbers: at most 1,000 characters.' })
  serials?: string;
}

/** The range that the loads of a verification prove, or what keeps them from proving one, at their field. */
function provedRange(
  pairs: readonly NumberPair[],
  unit: 'lbf' | 'kN',
  machine: MachineFacts | null,
  limits: Limits,
): { readonly from: Exact; readonly to: Exact } {
  const system = unit === 'lbf' ? 'US' : 'SI';
  const found = verifiedLoads(pairs, limits, readableChange(machine ?? undefined, system)?.change);
  const { from, to, proved } = found;
  if (from && to) return { from, to };
  const out = found.loads.find(({ within }) => !within);
  return refuseFields({
    loads: `Neighbouring loads within ${found.permitted.text}: ${proved}; at least ${limits.number('machine.loads', system)} are needed.${
      out
        ? ` At ${plainOf(out.applied, unit)} applied it shows ${plainOf(out.indicated, unit)}, ${out.percent.toFixed(2)} % off.`
        : ''
    }`,
  });
}

/** A verification of a piece of equipment; for a machine with the range it covers. */
export const recordVerification = defineUseCase({
  name: 'record verification',
  roles: BENCH,
  Input: RecordVerificationInput,
  async act({ tx, actor, now }, input) {
    const [item] = await tx.select().from(equipment).where(eq(equipment.id, input.equipmentId));
    if (!item) throw new NotFound('This equipment');
    // A day ahead is allowed: the laboratory's calendar may be a day before the server's.
    if (Date.parse(input.verifiedOn) > now.getTime() + 86_400_000) {
      refuseFields({ verifiedOn: 'Verified on lies in the future.' });
    }
    const force = (field: 'verifiedFrom' | 'verifiedTo'): string | null => {
      const text = input[field]?.trim();
      if (!text) return null;
      const parsed = parseMeasure(text, 'force', 'lbf');
      if (!parsed.ok) return refuseFields({ [field]: parsed.message });
      return `${parsed.measure.value.toFixed()} ${parsed.measure.unit}`;
    };
    let [from, to] = [force('verifiedFrom'), force('verifiedTo')];
    let loads: string[][] | null = null;
    const unit = input.loadsIn ?? 'lbf';
    if (MACHINES.has(item.kind) && input.loads?.trim()) {
      const pairs = pairsOf('loads', input.loads);
      const proved = provedRange(pairs, unit, item.machine, await limitsNow(tx));
      const typed = [from, to].map((text) => setupMeasure(text ?? undefined, 'force', unit));
      if (typed[0]?.lessThan(proved.from) || typed[1]?.greaterThan(proved.to))
        refuseFields({
          [typed[0]?.lessThan(proved.from) ? 'verifiedFrom' : 'verifiedTo']:
            `The loads prove ${plainOf(proved.from, unit)} to ${plainOf(proved.to, unit)} only.`,
        });
      from ??= `${proved.from.toFixed()} ${unit}`;
      to ??= `${proved.to.toFixed()} ${unit}`;
      loads = pairs.map((pair) => pair.map((load) => load.toFixed()));
    }
    if (MACHINES.has(item.kind) && (!from || !to)) {
      refuseFields({
        [from ? 'verifiedTo' : 'verifiedFrom']:
          'A machine is verified over a range of load: give both ends, or the loads it was verified at.',
      });
    }
    const serials = item.kind === 'sensor pack' ? (input.serials?.trim() ?? '') : '';
    if (item.kind === 'sensor pack') {
      if (!input.certificate?.trim()) refuseFields({ certificate: 'Certificate: its number is needed.' });
      const bad = serials ? serialsProblem(serials) : 'Serial numbers: those that the certificate is of.';
      if (bad) refuseFields({ serials: bad });
    }
    await tx.insert(equipmentVerifications).values({
      equipmentId: item.id,
      serials: serials || null,
      verifiedOn: input.verifiedOn,
      verifiedFrom: from,
      verifiedTo: to,
      loads: loads && { unit, pairs: loads },
      certificate: input.certificate ?? '',
      by: actor.id,
      at: now,
    });
    return { equipmentId: item.id };
  },
});

export class SetServiceInput {
  @IsUUID() equipmentId: string;
  @IsBoolean() inService: boolean;
}

/** Takes equipment out of service, or back into it. */
export const setService = defineUseCase({
  name: 'set equipment service',
  roles: BENCH,
  Input: SetServiceInput,
  async act({ tx }, input) {
    const changed = await tx
      .update(equipment)
      .set({ inService: input.inService })
      .where(eq(equipment.id, input.equipmentId))
      .returning({ id: equipment.id });
    if (changed.length === 0) throw new NotFound('This equipment');
    return { equipmentId: input.equipmentId };
  },
});

/** The kinds that are described as machines, and verified over a range of load. */
const MACHINES: ReadonlySet<string> = new Set(['compression machine', 'pipe press']);

export class DescribeMachineInput {
  @IsUUID() equipmentId: string;
  @IsDefined({ message: 'What it is like is needed.' })
  @ValidateNested()
  @Type(() => MachineFacts)
  machine: MachineFacts;
}

/** What a testing machine is like: indicator, room, spacers, faces. It decides what its run sheets say. */
export const describeMachine = defineUseCase({
  name: 'describe machine',
  roles: BENCH,
  Input: DescribeMachineInput,
  async act({ tx }, input) {
    const [item] = await tx.select().from(equipment).where(eq(equipment.id, input.equipmentId));
    if (!item || !MACHINES.has(item.kind)) throw new NotFound('This machine');
    const { machine } = input;
    if (machine.indicator === 'dial' && !(machine.major && machine.minor && machine.fullScale)) {
      refuseFields({ major: 'A dial: give its numbered marks, its small marks and its full scale.' });
    }
    await tx
      .update(equipment)
      .set({ machine: { ...machine } })
      .where(eq(equipment.id, item.id));
    return { equipmentId: item.id };
  },
});

export class DescribePadsInput {
  @IsUUID() equipmentId: string;
  @IsDefined({ message: 'What it is like is needed.' })
  @ValidateNested()
  @Type(() => PadFacts)
  pads: PadFacts;
}

/** What a pair of unbonded pads with its retainers is like. Uses are counted from the tests, never given here. */
export const describePads = defineUseCase({
  name: 'describe pads',
  roles: BENCH,
  Input: DescribePadsInput,
  async act({ tx }, input) {
    const [item] = await tx.select().from(equipment).where(eq(equipment.id, input.equipmentId));
    if (item?.kind !== 'unbonded pads') throw new NotFound('These pads');
    const { uses: _, highest: __, ...given } = input.pads;
    const pads = { ...item.pads, ...given };
    await tx.update(equipment).set({ pads }).where(eq(equipment.id, item.id));
    return { equipmentId: item.id };
  },
});

export class QualifyPadsInput {
  @IsUUID() equipmentId: string;
  /** Rows of reference and pads, psi or MPa. */
  @IsString() @MaxLength(20_000, { message: 'At most 20,000 characters.' }) pairs: string;
  @IsIn(['US', 'SI'], { message: 'Strengths in psi or in MPa: choose one.' }) system: 'US' | 'SI';
  @IsNotEmpty({ message: 'Name the document it stands in.' })
  @IsString()
  @MaxLength(120, { message: 'Document: at most 120 characters.' })
  document: string;
}

/** Pads qualified above the strengths that need none, by pairs of cylinders; kept only when they pass. */
export const qualifyPads = defineUseCase({
  name: 'qualify pads',
  roles: ['reviewer', 'manager'],
  Input: QualifyPadsInput,
  async act({ tx }, input) {
    const [item] = await tx.select().from(equipment).where(eq(equipment.id, input.equipmentId));
    if (item?.kind !== 'unbonded pads' || !item.pads) throw new NotFound('These pads');
    const limits = await limitsNow(tx);
    const found = padSpan(
      pairsOf('pairs', input.pairs).map(([reference, pads]) => ({ reference, pads })),
      input.system,
      limits,
    );
    if (!found.ok) return refuseFields({ pairs: found.why });
    const unit = STRESS_UNIT[input.system];
    const { levels, from, to } = found.span;
    const words = levels
      .map(
        ({ meanPads, wanted }) => `mean ${meanPads.toFixed(1)} on pads, ${wanted.toFixed(1)} ${unit} wanted`,
      )
      .join('; ');
    const text = (value: typeof from): string => `${value.toSignificantDigits(6).toFixed()} ${unit}`;
    const qualifiedTo = text(to);
    await tx
      .update(equipment)
      .set({
        pads: {
          ...item.pads,
          qualifiedTo,
          // One level alone qualifies from the strength that needs none up to it.
          ...(levels.length > 1 ? { qualifiedFrom: text(from) } : {}),
          qualification: `${input.document}: ${words}`,
        },
      })
      .where(eq(equipment.id, item.id));
    return { equipmentId: item.id, qualifiedTo };
  },
});

export class QualifyCompoundInput {
  @IsUUID() equipmentId: string;
  @IsDay('Tested on') qualifiedOn: string;
  /** Rows of a cylinder ground or capped with neat cement and its companion capped with the lot, psi or MPa. */
  @IsString() @MaxLength(20_000, { message: 'At most 20,000 characters.' }) pairs: string;
  @IsIn(['US', 'SI'], { message: 'Strengths in psi or in MPa: choose one.' }) system: 'US' | 'SI';
  @IsOptional() @IsString() @MaxLength(20, { message: 'Hardened: at most 20 characters.' }) hardens?: string;
  @IsNotEmpty({ message: 'Name the document it stands in.' })
  @IsString()
  @MaxLength(120, { message: 'Document: at most 120 characters.' })
  document: string;
}

/** A lot of capping compound qualified above the strengths that need none, by fifteen and fifteen cylinders. */
export const qualifyCompound = defineUseCase({
  name: 'qualify compound',
  roles: ['reviewer', 'manager'],
  Input: QualifyCompoundInput,
  async act({ tx, now }, input) {
    const [item] = await tx.select().from(equipment).where(eq(equipment.id, input.equipmentId));
    if (item?.kind !== 'capping compound') throw new NotFound('This lot');
    if (Date.parse(input.qualifiedOn) > now.getTime() + 86_400_000)
      refuseFields({ qualifiedOn: 'Tested on lies in the future.' });
    const pairs = pairsOf('pairs', input.pairs);
    const limits = await limitsNow(tx);
    const found = compoundQualification(
      pairs.map(([reference]) => reference),
      pairs.map(([, capped]) => capped),
      input.system,
      limits,
    );
    if (!found)
      return refuseFields({
        pairs: `${pairs.length} rows: ${limits.number('caps.pair-count', input.system)} of each kind are needed.`,
      });
    const unit = STRESS_UNIT[input.system];
    const words = `mean ${found.meanCapped.toFixed(1)} capped, ${found.wantedMean.toFixed(1)} ${unit} wanted; deviation ${found.deviationCapped.toFixed(1)}, at most ${found.mostDeviation.toFixed(1)} ${unit}`;
    if (!found.qualified) refuseFields({ pairs: `Not qualified: ${words}.` });
    const hardens = input.hardens
      ? measureText('hardens', input.hardens, 'duration', 'h', [0.25, 72])
      : undefined;
    const usableTo = `${found.usableTo.toSignificantDigits(6).toFixed()} ${unit}`;
    await tx
      .update(equipment)
      .set({
        compound: {
          ...item.compound,
          usableTo,
          qualifiedOn: input.qualifiedOn,
          qualification: `${input.document}: ${words}`,
          ...(hardens ? { hardens } : {}),
        },
      })
      .where(eq(equipment.id, item.id));
    return { equipmentId: item.id, usableTo };
  },
});

export class DescribeCompoundInput {
  @IsUUID() equipmentId: string;
  @IsString() @MaxLength(20, { message: 'Pot from: at most 20 characters.' }) potLow: string;
  @IsString() @MaxLength(20, { message: 'Pot to: at most 20 characters.' }) potHigh: string;
}

/** What the data sheet of a lot of capping compound asks of its pot: it counts instead of the register. */
export const describeCompound = defineUseCase({
  name: 'describe compound',
  roles: BENCH,
  Input: DescribeCompoundInput,
  async act({ tx }, { equipmentId, ...typed }) {
    const [item] = await tx.select().from(equipment).where(eq(equipment.id, equipmentId));
    if (item?.kind !== 'capping compound') throw new NotFound('This lot');
    const potLow = measureText('potLow', typed.potLow, 'temperature', 'degF', [230, 330]);
    const potHigh = measureText('potHigh', typed.potHigh, 'temperature', 'degF', [230, 330]);
    const of = (text: string) => setupMeasure(text, 'temperature', 'degF') ?? exact(0);
    if (of(potHigh).lessThanOrEqualTo(of(potLow)))
      refuseFields({ potHigh: 'Pot to: warmer than where it begins.' });
    await tx
      .update(equipment)
      .set({ compound: { ...item.compound, potLow, potHigh } })
      .where(eq(equipment.id, item.id));
    return { equipmentId: item.id };
  },
});

export class RecordLotStrengthInput {
  @IsUUID() equipmentId: string;
  @IsDay('Tested on') verifiedOn: string;
  /** Loads of three cubes, with spaces or semicolons between. */
  @IsString() @MaxLength(200, { message: 'Loads: at most 200 characters.' }) loads: string;
  @IsIn(['US', 'SI'], { message: 'Loads in lbf or in kN: choose one.' }) system: 'US' | 'SI';
}

/** The strength of a lot of capping compound, from its cubes. Too weak a lot is recorded all the same, and not used. */
export const recordLotStrength = defineUseCase({
  name: 'record lot strength',
  roles: BENCH,
  Input: RecordLotStrengthInput,
  async act({ tx, actor, now }, input) {
    const [item] = await tx.select().from(equipment).where(eq(equipment.id, input.equipmentId));
    if (item?.kind !== 'capping compound') throw new NotFound('This lot');
    if (Date.parse(input.verifiedOn) > now.getTime() + 86_400_000)
      refuseFields({ verifiedOn: 'Tested on lies in the future.' });
    const cells = input.loads.split(/[;\s]+/u).filter(Boolean);
    const loads = cells.map((cell) => {
      const plain = cell.replaceAll(',', '');
      if (!/^\d+(\.\d+)?$/u.test(plain)) refuseFields({ loads: `${cell} is no load.` });
      return exact(plain);
    });
    const found = compoundStrength(loads, input.system, await limitsNow(tx));
    if (!found) return refuseFields({ loads: 'Three cubes are needed.' });
    const unit = STRESS_UNIT[input.system];
    await tx.insert(equipmentVerifications).values({
      equipmentId: item.id,
      verifiedOn: input.verifiedOn,
      strength: `${found.reported.toFixed()} ${unit}`,
      certificate: `cubes: ${found.each.map((each) => each.toFixed(1)).join(', ')} ${unit}`,
      by: actor.id,
      at: now,
    });
    return { equipmentId: item.id, strength: `${found.reported.toFixed()} ${unit}`, usable: found.usable };
  },
});

export class ChangeLimitInput {
  @IsString() limitId: string;
  @IsIn(['confirmed', 'set by the laboratory', 'set by the project'], {
    message: 'Confirm it, or set a value.',
  })
  status: LimitChange['status'];
  /** The project whose document sets it. */
  @IsOptional() @IsUUID() jobId?: string;
  @IsNotEmpty({ message: 'Edition: which one did you check it against?' })
  @IsString()
  @MaxLength(80, { message: 'Edition: at most 80 characters.' })
  edition: string;
  @IsNotEmpty({ message: 'Say what you checked, or why you set it.' })
  @IsString()
  @MaxLength(500, { message: 'Note: at most 500 characters.' })
  note: string;
  /** New numbers by system (`US`, `SI` or `both`), each with the ends that the entry has. */
  @IsOptional() @IsObject() values?: Record<string, { low?: string; high?: string }>;
}

/** Confirms an entry of the limits register against the laboratory's own copy, or sets its value. */
export const changeLimit = defineUseCase({
  name: 'change limit',
  roles: MANAGERS,
  Input: ChangeLimitInput,
  async act({ tx, actor, now }, input) {
    if (!isLimitId(input.limitId)) throw new NotFound('This limit');
    const ofProject = input.status === 'set by the project';
    if (ofProject !== (input.jobId !== undefined)) throw new NotFound('This project');
    if (input.jobId) {
      const [job] = await tx.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, input.jobId));
      if (!job) throw new NotFound('This project');
    }
    const shipped = shippedLimit(input.limitId);
    const change: { -readonly [K in keyof LimitChange]: LimitChange[K] } = {
      status: input.status,
      edition: input.edition,
    };
    if (input.status !== 'confirmed') {
      for (const system of ['both', 'US', 'SI'] as const) {
        const own = shipped[system];
        if (own) change[system] = newValue(system, own, input.values?.[system] ?? {});
      }
    }
    const [made] = await tx
      .insert(limitChanges)
      .values({
        limitId: input.limitId,
        jobId: input.jobId ?? null,
        change,
        note: input.note,
        by: actor.id,
        at: now,
      })
      .returning({ revision: limitChanges.revision });
    return { revision: made?.revision ?? 0 };
  },
  async after({ db, now }, { status, limitId, jobId }) {
    if (status === 'confirmed') return;
    await db.transaction((tx) => projectUnderLimit(tx, now));
    await judgeUnderLimit(db, limitId, jobId);
  },
});

function newValue(system: string, shipped: LimitValue, given: { low?: string; high?: string }): LimitValue {
  const end = (name: 'low' | 'high'): string | undefined => {
    if (shipped[name] === undefined) return undefined;
    const text = String(given[name] ?? '').trim();
    const problem = limitEndProblem(shipped[name] ?? '0', text);
    if (problem) return refuseFields({ [`${system}.${name}`]: problem });
    return text;
  };
  const low = end('low');
  const high = end('high');
  if (low !== undefined && high !== undefined && exact(low).greaterThan(high)) {
    return refuseFields({ [`${system}.low`]: 'The lower end is above the upper.' });
  }
  const unit: UnitId = shipped.unit;
  return { unit, ...(low === undefined ? {} : { low }), ...(high === undefined ? {} : { high }) };
}
