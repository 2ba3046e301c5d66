import { Transform } from 'class-transformer';
import {
  IsBoolean,
  IsIn,
  IsNotEmpty,
  IsOptional,
  IsString,
  MaxLength,
  registerDecorator,
  type ValidationArguments,
} from 'class-validator';
import type { EventId } from '../clocks';
import {
  type Dimension,
  type Measure,
  measureIn,
  parseMeasure,
  type System,
  type UnitId,
  unitLabel,
} from '../quantity';
import type { KeptRecord } from '../records/kept-record';
import { IsInstant } from './instant-rules';
import type { Held, Means } from './means';

/** Validation groups: in `partial` a half-filled run is valid so far, in `complete` required readings must be there. */
export const PARTIAL = 'partial';
export const COMPLETE = 'complete';

/** The reason that stands with a reading that was taken over from the specimen before. */
export const CARRIED = 'As for the specimen before.';

/** The drawings that answers are chosen by; the interface draws them. */
export type DrawingId =
  | 'slump-true'
  | 'slump-shear'
  | 'slump-collapse'
  | `point-${'through' | 'three' | 'leaning' | 'one' | 'chip' | 'old' | 'off' | 'sank'}`
  | `rock-${'splitting' | 'shear' | 'cone' | 'multiple' | 'fabric' | 'joint' | 'spall'}`;

interface FieldBase {
  /** How the reading is called on the form and in messages. */
  readonly label: string;
  readonly help?: string;
  readonly required?: boolean;
  /** Set up once and the same for the specimens that follow: taken over from the one before. */
  readonly carry?: boolean;
  /** Read only when there is something to say: passed over when specimens follow one another. */
  readonly aside?: boolean;
  /** What files call it besides its name and label, with the unit that goes with the word; none for none. */
  readonly also?: Readonly<Record<string, UnitId | ''>>;
  /** What of its sample it sets, which is kept with the sample too. */
  readonly sets?: 'sampledAt' | 'kind';
  /** Seldom read: Enter passes it over, the pointer and Tab reach it; a form asks for it on demand. */
  readonly rare?: boolean;
  /** Kept by an instrument of its step, as it draws: neither typed nor read out. */
  readonly kept?: true;
  readonly example: string | Readonly<Record<System, string>>;
}

export interface MeasureSpec extends FieldBase {
  readonly kind: 'measure';
  readonly dimension: Dimension;
  readonly unit: Readonly<Record<System, UnitId>>;
  /** The place the method asks the reading to be taken to, in the system's unit. */
  readonly step: Readonly<Record<System, string>>;
  /** What cannot be, whatever happened: refused at the field. In the system's unit, ends included. */
  readonly possible: Readonly<Record<System, readonly [string, string]>>;
  /** A count of things: halves of them do not occur. */
  readonly whole?: boolean;
  /** A duration from a stopwatch, asked for only while these events are not stamped. */
  readonly insteadOf?: readonly EventId[];
  /** The row that it is held against by itself. */
  readonly held?: Held;
}
export interface ChoiceSpec extends FieldBase {
  readonly kind: 'choice';
  readonly options: readonly {
    readonly value: string;
    readonly label: string;
    /** What it looks like, for answers that are judged by eye: the name of a drawing. */
    readonly drawing?: DrawingId;
    /** What this answer means by itself. */
    readonly means?: Means;
  }[];
}
export interface CheckSpec extends FieldBase {
  readonly kind: 'check';
  /** What it means by itself that it is ticked, and that it is said not to be so. */
  readonly means?: Means;
  readonly missed?: Means;
}
export interface InstantSpec extends FieldBase {
  readonly kind: 'instant';
  /** The event of the sample clock that this reading stamps. */
  readonly event?: EventId;
  /** In a row: stamps itself when the first other reading of the row is taken. */
  readonly stamps?: boolean;
  /** Its seconds count: a time of day is given with them. */
  readonly seconds?: boolean;
}
/** Rows of readings over time, pasted or from a file: a recorder's log, the level of a meter. */
export interface LogSpec extends FieldBase {
  readonly kind: 'log';
}
/** A record over time: the name of the file, or of the logger, that is kept whole beside the run. */
export interface RecordSpec extends FieldBase {
  readonly kind: 'record';
  /** What it is a record of. */
  readonly records: KeptRecord['kind'];
}
export interface TextSpec extends FieldBase {
  readonly kind: 'text';
}
export interface EquipmentSpec extends FieldBase {
  readonly kind: 'equipment';
  readonly equipmentKind: string;
}
/** The specimen of a batch that a row is of, by its label. */
export interface SpecimenSpec extends FieldBase {
  readonly kind: 'specimen';
}
/** A table that grows: each row a class of fields of its own, each of its cells a reading. */
export interface RowsSpec extends Omit<FieldBase, 'example'> {
  readonly kind: 'rows';
  readonly Row: new () => RowInput;
  /** How one row is called: `cap`, `mould`. */
  readonly row: string;
  /** What a recorder of several channels calls the one that is read here: `oven`. */
  readonly channel?: string;
  /** Example rows, their cells in the order of the columns. */
  readonly example: Readonly<Record<System, readonly (readonly string[])[]>>;
}

/** A field that holds one reading. */
export type CellSpec = (
  | MeasureSpec
  | ChoiceSpec
  | CheckSpec
  | InstantSpec
  | TextSpec
  | LogSpec
  | RecordSpec
  | EquipmentSpec
  | SpecimenSpec
) & {
  readonly name: string;
};
export type FieldSpec = CellSpec | (RowsSpec & { readonly name: string });

type InputClass = abstract new () => object;
const registry = new WeakMap<object, FieldSpec[]>();

/** What was put together of a class once; a field declared later makes all of it anew. */
let known = new WeakMap<
  object,
  { readonly list: readonly FieldSpec[]; readonly byName: ReadonlyMap<string, FieldSpec> }
>();

function declared(input: InputClass) {
  const before = known.get(input.prototype);
  if (before) return before;
  const own: (readonly FieldSpec[])[] = [];
  // What a class shares with others is declared in the one it extends, and stands before its own.
  for (let type = input.prototype; type && type !== Object.prototype; type = Object.getPrototypeOf(type))
    own.unshift(registry.get(type) ?? []);
  // Declared again, a field keeps its place and takes the later words.
  const byName = new Map(own.flat().map((field) => [field.name, field]));
  const made = { list: [...byName.values()], byName };
  known.set(input.prototype, made);
  return made;
}

/** The fields of a method's input class, in the order they were declared. */
export function fieldsOf(input: InputClass): readonly FieldSpec[] {
  return declared(input).list;
}

/** One field of an input class by its name. */
export function fieldOf(input: InputClass, name: string): FieldSpec | undefined {
  return declared(input).byName.get(name);
}

export function remember(target: object, spec: FieldSpec): void {
  const own = registry.get(target) ?? [];
  own.push(spec);
  registry.set(target, own);
  known = new WeakMap();
}

/** Rules that every kind of field shares: blank is "not taken", and required readings are asked for at the end. */
export function common(target: object, name: string, spec: Pick<FieldBase, 'label' | 'required'>): void {
  Transform(({ value }) => (value === '' || value === null ? undefined : value))(target, name);
  IsOptional(spec.required ? { groups: [PARTIAL] } : { always: true })(target, name);
  if (spec.required) {
    IsNotEmpty({ groups: [COMPLETE], message: `${spec.label}: not taken yet.` })(target, name);
  }
}

/** A measured value, typed as a person says it, kept as typed. */
export function MeasureField(spec: Omit<MeasureSpec, 'kind'>): PropertyDecorator {
  return (target, key) => {
    const name = String(key);
    const full = { ...spec, kind: 'measure', name } as const;
    remember(target, full);
    common(target, name, spec);
    Transform(({ value }) => (typeof value === 'number' ? String(value) : value))(target, name);
    registerDecorator({
      name: 'isMeasure',
      target: target.constructor,
      propertyName: name,
      options: { always: true },
      validator: {
        validate: (value: unknown, args?: ValidationArguments) =>
          value === undefined || measureProblem(value, full, systemOf(args?.object)) === null,
        defaultMessage: (args?: ValidationArguments) =>
          measureProblem(args?.value, full, systemOf(args?.object)) ?? '',
      },
    });
  };
}

function systemOf(input: object | undefined): System {
  return (input as { system?: unknown } | undefined)?.system === 'SI' ? 'SI' : 'US';
}

/** What is wrong with typed text for a measured field, in one sentence; null when nothing is. */
export function measureProblem(value: unknown, spec: MeasureSpec, system: System): string | null {
  if (typeof value !== 'string')
    return `${spec.label}: type a number, with its unit if it is not the usual one.`;
  const unit = spec.unit[system];
  const parsed = parseMeasure(value, spec.dimension, unit);
  if (!parsed.ok) return `${spec.label}: ${parsed.message}`;
  const measure = measureIn(parsed.measure, unit);
  if (spec.whole && !measure.value.isInteger()) return `${spec.label}: a whole number is expected.`;
  const [low, high] = spec.possible[system];
  if (measure.value.lessThan(low) || measure.value.greaterThan(high)) {
    return `${spec.label}: ${value.trim()} cannot be; it lies between ${low} and ${high} ${unitLabel(unit)}. Check the digits and the unit.`;
  }
  return null;
}

/** The measured value of a field in the unit of the run's system; undefined when it was not taken. */
export function readMeasure(input: object, name: string): Measure | undefined {
  const type = input.constructor as InputClass;
  const spec = fieldOf(type, name);
  const typed = (input as Record<string, unknown>)[name];
  if (spec?.kind !== 'measure' || typeof typed !== 'string' || typed.trim() === '') return undefined;
  const unit = spec.unit[systemOf(input)];
  const parsed = parseMeasure(typed, spec.dimension, unit);
  return parsed.ok ? measureIn(parsed.measure, unit) : undefined;
}

/** One of a few answers. */
export function ChoiceField(spec: Omit<ChoiceSpec, 'kind'>): PropertyDecorator {
  return (target, key) => {
    const name = String(key);
    remember(target, { ...spec, kind: 'choice', name });
    common(target, name, spec);
    const values = spec.options.map((option) => option.value);
    IsIn(values, { always: true, message: `${spec.label}: choose one of ${values.join(', ')}.` })(
      target,
      name,
    );
  };
}

/** Something done or seen to be so, ticked. */
export function CheckField(spec: Omit<CheckSpec, 'kind' | 'example'>): PropertyDecorator {
  return (target, key) => {
    const name = String(key);
    remember(target, { ...spec, example: 'true', kind: 'check', name });
    Transform(({ value }) => (value === 'true' ? true : value === 'false' ? false : value))(target, name);
    common(target, name, spec);
    IsBoolean({ always: true, message: `${spec.label}: true or false.` })(target, name);
  };
}

/** A moment, ISO 8601 with its offset from UTC. */
export function InstantField(spec: Omit<InstantSpec, 'kind'>): PropertyDecorator {
  return (target, key) => {
    const name = String(key);
    remember(target, { ...spec, kind: 'instant', name });
    common(target, name, spec);
    IsInstant(spec.label)(target, name);
  };
}

/** Free words. */
export function TextField(spec: Omit<TextSpec, 'kind'>): PropertyDecorator {
  return (target, key) => {
    const name = String(key);
    remember(target, { ...spec, kind: 'text', name });
    common(target, name, spec);
    IsString({ always: true, message: `${spec.label}: words are expected.` })(target, name);
    MaxLength(2000, { always: true, message: `${spec.label}: at most 2,000 characters.` })(target, name);
  };
}

const COUNTS = /^\d{1,4}(?:[\s,;/]+\d{1,4}){0,119}$/u;

/** Counts of whole things, one a layer: `25 25 25`. A sign, a fraction or a word is refused, never half read. */
export function CountsField(spec: Omit<TextSpec, 'kind'>): PropertyDecorator {
  return (target, key) => {
    const name = String(key);
    TextField(spec)(target, key);
    registerDecorator({
      name: 'areCounts',
      target: target.constructor,
      propertyName: name,
      options: { always: true },
      validator: {
        validate: (value: unknown) =>
          value === undefined || (typeof value === 'string' && COUNTS.test(value.trim())),
        defaultMessage: () => `${spec.label}: whole numbers, one a layer, as 25 25.`,
      },
    });
  };
}

/** The most characters of a pasted or loaded log: some months of a recorder. */
export const LOG_LENGTH = 200_000;

/** Rows of readings over time, kept as they came. */
export function LogField(spec: Omit<LogSpec, 'kind'>): PropertyDecorator {
  return (target, key) => {
    const name = String(key);
    remember(target, { ...spec, kind: 'log', name });
    common(target, name, spec);
    IsString({ always: true, message: `${spec.label}: rows of text are expected.` })(target, name);
    MaxLength(LOG_LENGTH, { always: true, message: `${spec.label}: at most 200,000 characters.` })(
      target,
      name,
    );
  };
}

/** A record that is kept whole with the run: the reading is what its file is called, `setup.records` what it says. */
export function RecordField(spec: Omit<RecordSpec, 'kind'>): PropertyDecorator {
  return calledField({ ...spec, kind: 'record' }, 'choose the file.', FILE_NAME);
}

/** The most characters of the name of a file. */
export const FILE_NAME = 200;

/** A piece of equipment, by its number. */
export function EquipmentField(spec: Omit<EquipmentSpec, 'kind'>): PropertyDecorator {
  return calledField({ ...spec, kind: 'equipment' }, "give the equipment's number.");
}

/** The specimen of the batch that a row is of. */
export function SpecimenField(spec: Omit<SpecimenSpec, 'kind'>): PropertyDecorator {
  return calledField({ ...spec, kind: 'specimen' }, 'give the label.');
}

/** Something that goes by what is written on it. */
function calledField(
  spec: EquipmentSpec | SpecimenSpec | RecordSpec,
  give: string,
  most = 60,
): PropertyDecorator {
  return (target, key) => {
    const name = String(key);
    remember(target, { ...spec, name });
    common(target, name, spec);
    IsString({ always: true, message: `${spec.label}: ${give}` })(target, name);
    MaxLength(most, { always: true, message: `${spec.label}: at most ${most} characters.` })(target, name);
  };
}

/** What every run's input has: the system of units, declared once. */
export abstract class RunInput {
  @IsIn(['US', 'SI'], { always: true, message: 'System of units: US or SI.' })
  system: System;
}

/** What every row of a table has: the units of its run, and the name the device gave it, which it keeps. */
export abstract class RowInput extends RunInput {
  id: string;
}

/** The name of the first field that takes equipment of a kind; undefined where there is none. */
export function equipmentField(fields: Iterable<FieldSpec>, kind: string): string | undefined {
  return [...fields].find((each) => each.kind === 'equipment' && each.equipmentKind === kind)?.name;
}
