import type { LimitId, Limits } from '../../limits';
import { type CementProperty, propertyRow } from '../../materials/cement/standards';
import type { Exact, System, UnitId } from '../../quantity';
import { bySeverity, type Finding, Sheet, type Source } from '../../working';
import type { Method, Outcome, Step, Yield } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { exampleInput } from '../example';
import { factText } from '../facts';
import { fieldsOf, type RunInput, readMeasure } from '../fields';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { limitsOf, type RunSetup } from '../setup';
import { CEMENT_FACTS, cementVerdicts, orderedIn } from './said';

/** One determination, as it is drawn beside the others: why it does not count, where it does not. */
export interface Determined {
  readonly label: string;
  readonly value: Exact;
  readonly why?: string | undefined;
}

/** What a test of a cement came to by its own arithmetic. */
export interface FineFound {
  /** The quantity with its line already on the sheet; absent while it is not known. */
  readonly value?: Exact | undefined;
  readonly provisional?: string | undefined;
  readonly determined: readonly Determined[];
  readonly findings: readonly Finding[];
}

/** What the arithmetic is given. */
export interface FineAbout {
  readonly sheet: Sheet;
  readonly limits: Limits;
  readonly system: System;
  readonly setup: RunSetup;
  /** A reading by its name, in its own unit. */
  of(name: string): Exact | undefined;
}

interface Fine<I extends RunInput> {
  readonly id: string;
  readonly title: string;
  readonly designation: Source;
  readonly quantity: string;
  readonly symbol: string;
  readonly unit: UnitId;
  readonly step: LimitId;
  readonly named?: Yield['named'];
  readonly Input: new () => I;
  readonly steps: readonly Step[];
  readonly performedAt: string;
  readonly sequence?: Method['sequence'];
  /** The readings that name equipment. */
  readonly uses: readonly string[];
  /** What of its type it is held against, with how it is called there. */
  readonly property?: CementProperty;
  /** Of a figure that has two of them: which. */
  readonly propertyOf?: (value: Exact) => CementProperty;
  readonly rows: readonly LimitId[];
  readonly facts?: Method['facts'];
  readonly day?: Method['day'];
  find(input: I, about: FineAbout): FineFound;
  /** Of the example: facts that it is told. */
  readonly told?: Readonly<Record<string, string>>;
}

/**
 * A test of a cement that comes to one figure by a few determinations: what all of them share.
 * @param fine its own readings, steps and arithmetic
 */
export function fineMethod<I extends RunInput>(fine: Fine<I>): Method<I> {
  const compute = (input: I, setup: RunSetup): Outcome => {
    const { system } = input;
    const limits = limitsOf(setup);
    const sheet = new Sheet(setup.rounding ?? 'half-even');
    const { value, provisional, determined, findings } = fine.find(input, {
      ...{ sheet, limits, system, setup },
      of: (name) => readMeasure(input, name)?.value,
    });
    const result =
      value &&
      resultOf({
        ...{ quantity: fine.quantity, symbol: fine.symbol, value, unit: fine.unit, mode: sheet.mode },
        step: limits.number(fine.step, system),
        ...(provisional ? { provisional } : {}),
      });
    const performed = (input as unknown as Record<string, unknown>)[fine.performedAt];
    const property = value && fine.propertyOf ? fine.propertyOf(value) : fine.property;
    const type = factText(setup, 'cementType');
    const row = type && property ? propertyRow(type, property, orderedIn(setup)) : undefined;
    const held = row && limits.of(row, system);
    return {
      results: result ? [result] : [],
      lines: sheet.lines,
      findings: bySeverity([
        ...equipmentUse(
          input,
          Object.fromEntries(fine.uses.map((name) => [name, 'departure' as const])),
          typeof performed === 'string' ? performed : undefined,
          setup,
          limits,
        ),
        ...findings,
      ]),
      verdicts: property ? cementVerdicts(setup, limits, system, property, fine.title, result) : [],
      picture: {
        kind: 'cement-fine',
        values: {
          quantity: fine.quantity,
          unit: fine.unit,
          value: value?.toNumber() ?? null,
          low: held?.low?.toNumber() ?? null,
          high: held?.high?.toNumber() ?? null,
          asked: held?.text ?? null,
          determined: packedRows(
            determined.map(({ label, value: each, why = '' }) => [
              label,
              Number(each.toSignificantDigits(4)),
              why,
            ]),
          ),
        },
      },
    };
  };
  return {
    id: fine.id,
    title: fine.title,
    designations: [fine.designation],
    runOn: 'sample',
    again: 'freely',
    ...(fine.day ? { day: fine.day } : {}),
    facts: { ...CEMENT_FACTS, ...fine.facts },
    yields: [{ quantity: fine.quantity, symbol: fine.symbol, ...(fine.named ? { named: true } : {}) }],
    Input: fine.Input,
    steps: fine.steps,
    performedAt: fine.performedAt,
    ...(fine.sequence ? { sequence: fine.sequence } : {}),
    plan: (system, setup) => limitRows(fine.rows, system, setup),
    compute,
    example: (system) => ({
      input: { ...exampleInput(fieldsOf(fine.Input), system), system },
      setup: {
        zone: 'America/New_York',
        sample: { label: 'EXAMPLE', sampledAt: '2031-09-11T14:00:00-04:00' },
        facts: { cementType: 'c150.I', ...fine.told },
        equipment: fieldsOf(fine.Input).flatMap((field) =>
          field.kind === 'equipment' && typeof field.example === 'string'
            ? [{ number: field.example, kind: field.equipmentKind, verifiedOn: '2031-02-03' }]
            : [],
        ),
      },
    }),
  };
}
