import { modelCurve } from '../../calorimetry';
import type { LimitId } from '../../limits';
import { isWithin, type Limits } from '../../limits';
import { propertyRow, standardOf } from '../../materials/cement/standards';
import {
  type Beside,
  besideSheet,
  equivalentAlkalies,
  patternOf,
  potentialCompounds,
  type Signs,
} from '../../mill-sheet';
import { convert, type Exact, exact, meanOf, type UnitId, unitOf } from '../../quantity';
import { bySeverity, type Finding, finding, ourChoice, Sheet } from '../../working';
import { orderedIn } from '../cement/said';
import type { Outcome } from '../contract';
import { factNumber, factText, factTexts } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { setupMeasure } from '../measure-text';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { limitsOf, type RunSetup } from '../setup';
import type { CementMillSheetInput, SheetRow } from './input';
import { SHEET_PROPERTY_IDS, SHEET_UNITS, type SheetPropertyId, sheetProperty } from './properties';

export const APART = 'values that two laboratories would dispute';

/** A value of the sheet beside the own one, both in the unit that the property is compared in. */
interface Compared {
  readonly row: SheetRow;
  readonly id: SheetPropertyId;
  readonly sheet: Exact;
  readonly own: Exact | undefined;
  readonly beside: Beside | undefined;
  /** Why nothing is compared. */
  readonly why: string;
}

/** The own value of a property: one result, or the mean of the cubes of its age. */
function ownOf(id: SheetPropertyId, setup: RunSetup): Exact | undefined {
  const { own, units } = sheetProperty(id);
  const to: UnitId = units[0];
  const read = (text: string | undefined): Exact | undefined => setupMeasure(text, unitOf(to).dimension, to);
  if (own?.is === 'number') return factNumber(setup, id);
  if (own?.is !== 'texts') return read(factText(setup, id));
  const all = factTexts(setup, id).flatMap((text) => read(text) ?? []);
  return all.length > 0 ? meanOf(all) : undefined;
}

function comparedOf(input: CementMillSheetInput, setup: RunSetup, limits: Limits): Compared[] {
  const { system } = input;
  const number = (id: LimitId): number => limits.number(id, system).toNumber();
  const divides = [number('mill.agrees'), number('mill.within'), number('mill.investigate')] as const;
  const school = standardOf(factText(setup, 'cementType'))?.school ?? 'astm';
  return (input.values ?? []).flatMap((row): Compared[] => {
    const value = readMeasure(row, 'value')?.value;
    const { property: id, unit } = row;
    if (!id || !value || !unit || !SHEET_PROPERTY_IDS.includes(id)) return [];
    const { units, apart } = sheetProperty(id);
    if (!units.includes(unit))
      return [
        { row, id, sheet: value, own: undefined, beside: undefined, why: `not in ${SHEET_UNITS[unit]}` },
      ];
    const [to] = units;
    const sheet = convert(value, unit, to);
    const own = ownOf(id, setup);
    const spread = readMeasure(row, 'spread')?.value;
    const other = row.school !== undefined && row.school !== school;
    // What two laboratories may lie apart is known of the cubes of one school only.
    const foreign = id.startsWith('strength') && school !== 'astm';
    const why = other
      ? 'different methods, not compared'
      : foreign
        ? own
          ? 'no precision known'
          : 'own strengths stand in their own tests'
        : !own
          ? sheetProperty(id).own
            ? 'no own test yet'
            : ''
          : apart
            ? ''
            : 'no precision known';
    return [
      {
        ...{ row, id, sheet, own, why },
        beside:
          own && apart && !other && !foreign
            ? besideSheet(
                own.toNumber(),
                sheet.toNumber(),
                { value: number(apart[0]), ofMean: apart[1] === 'mean' },
                input.basis === 'mean' && spread ? convert(spread, unit, to).toNumber() : 0,
                divides,
              )
            : undefined,
      },
    ];
  });
}

/**
 * The sheet of a plant beside the own tests of the same lot, value by value, within what two laboratories may lie apart; and
 * whether the sheet agrees with itself.
 * @param input values as they are written, with their units @param setup facts: what the own tests say
 * @returns how many values two laboratories would dispute; a comparison rejects no cement
 */
export function compute(input: CementMillSheetInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const compared = comparedOf(input, setup, limits);
  for (const [place, { id, own, sheet: mill, beside }] of compared.entries()) {
    if (!own || !beside) continue;
    sheet.line({
      symbol: `r${place + 1}`,
      name: `${sheetProperty(id).label}: how far apart, of what may be`,
      formula: 'abs(a - b) / D',
      uses: {
        a: exact(own.toPrecision(8)),
        b: exact(mill.toPrecision(8)),
        D: exact(beside.may.toPrecision(8)),
      },
      unit: 'one',
      source: ourChoice('own less the sheet’s, by what two laboratories may lie apart'),
      show: 3,
    });
  }
  modelLines(compared, sheet);
  const judged = compared.filter(({ beside }) => beside);
  const disputed = judged.filter(({ beside }) => beside?.standing === 'disputed');
  return {
    results:
      judged.length === 0
        ? []
        : [
            resultOf({
              ...{ quantity: APART, symbol: 'n', unit: 'one', step: '1', mode: sheet.mode },
              value: exact(disputed.length),
            }),
          ],
    lines: sheet.lines,
    findings: bySeverity([
      ...compared.flatMap((each) => valueFindings(each, setup, limits, system)),
      ...patternFinding(compared),
      ...withinItself(compared, limits, system),
    ]),
    verdicts: [],
    picture: {
      kind: 'cement-mill-sheet',
      values: {
        sheet: input.sheet ?? '',
        basis: input.basis ?? '',
        rows: packedRows(
          compared.map(({ id, own, sheet: mill, beside, why }) => {
            const { decimals } = sheetProperty(id);
            return [
              ...[id, mill.toFixed(decimals), own?.toFixed(decimals) ?? ''],
              ...(beside
                ? [
                    beside.off.toFixed(decimals),
                    beside.percent.toFixed(1),
                    beside.ratio.toFixed(2),
                    beside.standing,
                  ]
                : ['', '', '', '']),
              why,
            ];
          }),
        ),
      },
    },
  };
}

/** What its compounds let a cement give off at all, and what a model of hydration expects of it: to hold an own curve against. */
function modelLines(compared: readonly Compared[], sheet: Sheet): void {
  const of = (id: SheetPropertyId): Exact | undefined => compared.find((each) => each.id === id)?.sheet;
  const [c3s, c2s, c3a, c4af, so3] = (['c3s', 'c2s', 'c3a', 'c4af', 'so3'] as const).map(of);
  if (!c3s || !c2s || !c3a || !c4af || !so3) return;
  const known = compared.find(({ id }) => id === 'surface');
  const surface = (known?.own ?? known?.sheet)?.toNumber();
  const source = ourChoice('usual coefficients of hydration models, recalled; a model, no result');
  const heat = sheet.line({
    symbol: 'Hu',
    name: 'Heat once all of it has reacted',
    formula: '(500 * C3S + 260 * C2S + 866 * C3A + 420 * C4AF + 624 * SO3 + 850 * MgO) / 100',
    uses: { C3S: c3s, C2S: c2s, C3A: c3a, C4AF: c4af, SO3: so3, MgO: of('mgo') ?? exact(0) },
    unit: 'J/g',
    source,
    show: 4,
  });
  if (!surface || c3a.isZero()) return;
  const share = (value: Exact): number => value.toNumber() / 100;
  const model = modelCurve(
    { c3s: share(c3s), c2s: share(c2s), c3a: share(c3a), c4af: share(c4af), sulfate: share(so3) },
    surface,
    0.5,
  );
  for (const [days, hours] of [
    [3, 72],
    [7, 168],
  ] as const)
    sheet.line({
      symbol: `M${days}`,
      name: `Heat that a model expects in ${days} d at 23 °C`,
      formula: 'Hu * au * exp(-((tau / t) ^ beta))',
      uses: {
        ...{ Hu: heat, au: exact(model.ultimate.toFixed(6)), t: exact(hours) },
        ...{ tau: exact(model.tau.toFixed(6)), beta: exact(model.beta.toFixed(6)) },
      },
      unit: 'J/g',
      source,
      show: 4,
    });
}

function valueFindings(
  { id, row, sheet, beside, why }: Compared,
  setup: RunSetup,
  limits: Limits,
  system: CementMillSheetInput['system'],
): Finding[] {
  const { label, usual, asked, units, decimals } = sheetProperty(id);
  const about = (key: string) => ({ id: `mill.${key}.${row.id}`, fields: ['values'] });
  const unit = SHEET_UNITS[units[0]];
  const found: Finding[] = [];
  if (why.startsWith('not in'))
    return [
      finding({
        ...about('unit'),
        severity: 'invalid',
        message: `${label} is ${why}.`,
        action: `Give it in ${units.map((each) => SHEET_UNITS[each]).join(' or ')}.`,
      }),
    ];
  if (usual && (sheet.lessThan(usual[0]) || sheet.greaterThan(usual[1])))
    found.push(
      finding({
        ...about('usual'),
        severity: 'departure',
        message: `${label} of ${sheet.toFixed(decimals)} ${unit}: is the unit right?`,
        action: 'm²/kg and cm²/g are ten times apart, hours and minutes sixty times.',
        remark: `${label} of the sheet: ${sheet.toFixed(decimals)} ${unit}, its unit to be asked.`,
      }),
    );
  const type = factText(setup, 'cementType');
  const held = type && asked ? propertyRow(type, asked, orderedIn(setup)) : undefined;
  if (held && !isWithin(sheet, limits.of(held, system)))
    found.push({
      ...limitFinding(
        limits,
        system,
        { id: held, severity: 'advice', fields: ['values'] },
        {
          message: `The sheet itself has ${label.toLowerCase()} outside of its type: ${sheet.toFixed(decimals)} ${unit}.`,
          action: 'Ask the plant. A cement is judged by tests of its lot, not by its sheet.',
        },
      ),
      id: about('held').id,
    });
  if (beside?.standing === 'disputed')
    found.push(
      finding({
        ...about('disputed'),
        severity: 'departure',
        message: `${label} lies ${beside.ratio.toFixed(1)} times as far off the sheet as two laboratories do.`,
        action: 'Look at the own test, then both test one split sample.',
        remark: `${label} disputed with the sheet: ${beside.off > 0 ? 'above' : 'below'} it by ${Math.abs(beside.off).toFixed(decimals)} ${unit}.`,
      }),
    );
  else if (beside?.standing === 'investigate')
    found.push(
      finding({
        ...about('investigate'),
        severity: 'advice',
        message: `${label} lies further off the sheet than two laboratories do.`,
        action: 'Look at the own test, at how the sample was kept, at what else differs.',
      }),
    );
  return found;
}

/** What the values that do not simply agree say together. */
function patternFinding(compared: readonly Compared[]): Finding[] {
  const signOf = (sign: keyof Signs): number => {
    const own = compared.filter(({ id, beside }) => sheetProperty(id).sign === sign && beside);
    const off = own.find(({ beside }) => beside && beside.standing !== 'agrees');
    return off?.beside ? Math.sign(off.beside.off) : 0;
  };
  const loss = compared.find(({ id, own }) => id === 'loss' && own);
  const words = patternOf({
    ...{ surface: signOf('surface'), early: signOf('early'), late: signOf('late'), set: signOf('set') },
    // No precision of it is known: half a percent more is more.
    loss: loss?.own ? (loss.own.minus(loss.sheet).greaterThan(0.5) ? 1 : 0) : 0,
  });
  return words
    ? [
        finding({
          id: 'mill.pattern',
          severity: 'advice',
          fields: ['values'],
          message: words,
          action: 'Several values say it together; one alone says little. Ask the plant what it changed.',
        }),
      ]
    : [];
}

/** Whether a sheet agrees with itself: compounds with oxides, alkalies, strengths that rise with age. */
function withinItself(
  compared: readonly Compared[],
  limits: Limits,
  system: CementMillSheetInput['system'],
): Finding[] {
  const of = (id: SheetPropertyId): number | undefined =>
    compared.find((each) => each.id === id)?.sheet.toNumber();
  const found: Finding[] = [];
  const held = (
    id: 'mill.compound' | 'mill.alkalies',
    what: string,
    printed: number,
    computed: number,
  ): void => {
    if (isWithin(exact(Math.abs(printed - computed).toFixed(4)), limits.of(id, system))) return;
    found.push({
      ...limitFinding(
        limits,
        system,
        { id, severity: 'advice', fields: ['values'] },
        {
          message: `The sheet has ${printed} % of ${what}; its oxides give ${computed.toFixed(2)} %.`,
          action:
            'Typed right? Of a cement with limestone or slag the equations do not hold; else ask the plant.',
        },
      ),
      id: `${id}.${what}`,
    });
  };
  const [cao, sio2, al2o3, fe2o3, so3] = (['cao', 'sio2', 'al2o3', 'fe2o3', 'so3'] as const).map(of);
  if (
    cao !== undefined &&
    sio2 !== undefined &&
    al2o3 !== undefined &&
    fe2o3 !== undefined &&
    so3 !== undefined
  ) {
    const compounds = potentialCompounds({ cao, sio2, al2o3, fe2o3, so3 });
    for (const id of ['c3s', 'c2s', 'c3a', 'c4af'] as const) {
      const printed = of(id);
      if (printed !== undefined) held('mill.compound', sheetProperty(id).label, printed, compounds[id]);
    }
  }
  const [na2o, k2o, alkalies] = (['na2o', 'k2o', 'alkalies'] as const).map(of);
  if (na2o !== undefined && k2o !== undefined && alkalies !== undefined)
    held('mill.alkalies', 'alkalies', alkalies, equivalentAlkalies(na2o, k2o));
  const strengths = (['strength-1d', 'strength-3d', 'strength-7d', 'strength-28d'] as const).flatMap((id) => {
    const value = of(id);
    return value === undefined ? [] : [{ id, value }];
  });
  const falls = strengths.find(
    ({ value }, place) => value <= (strengths[place - 1]?.value ?? Number.NEGATIVE_INFINITY),
  );
  if (falls)
    found.push(
      finding({
        id: 'mill.order',
        severity: 'departure',
        fields: ['values'],
        message: `${sheetProperty(falls.id).label} is no more than at the age before.`,
        action: 'Typed right? Else ask the plant.',
        remark: 'Strengths of the sheet do not rise with age.',
      }),
    );
  return found;
}
