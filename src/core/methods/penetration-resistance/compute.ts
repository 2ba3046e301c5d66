import { isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact } from '../../quantity';
import { fitLine } from '../../statistics';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { meanLine } from '../mean-line';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { limitsOf, type RunSetup } from '../setup';
import { NEEDLES, type PenetrationResistanceInput, type PushRow } from './input';

export const INITIAL = 'initial set by penetration';
export const FINAL = 'final set by penetration';
const C403 = standard('ASTM C403/C403M');

/** A push that was read, with its resistance in psi or MPa. */
interface Push {
  readonly row: PushRow;
  readonly minutes: number;
  readonly resistance: Exact;
}

/** A specimen with its pushes that count, and the line through their logarithms. */
interface Specimen {
  readonly name: string;
  readonly pushes: readonly Push[];
  readonly left: readonly Push[];
  readonly line: { readonly a: number; readonly b: number; readonly r: number } | undefined;
}

function specimensOf(input: PenetrationResistanceInput): Specimen[] {
  const contact = Date.parse(input.contactAt ?? '');
  const read = (input.pushes ?? []).flatMap((row): (Push & { name: string })[] => {
    const force = readMeasure(row, 'force')?.value;
    const minutes = (Date.parse(row.at ?? '') - contact) / 60_000;
    if (!force || !row.needle || !row.specimen || Number.isNaN(minutes) || minutes <= 0) return [];
    const area = exact(NEEDLES[row.needle][input.system === 'US' ? 0 : 1]);
    return [{ row, name: row.specimen, minutes, resistance: force.div(area) }];
  });
  return [...new Set(read.map(({ name }) => name))].toSorted().map((name): Specimen => {
    const own = read.filter((push) => push.name === name).toSorted((a, b) => a.minutes - b.minutes);
    const pushes = own.filter(({ row, resistance }) => !row.leftOut?.trim() && resistance.greaterThan(0));
    const fitted = fitLine(
      pushes.map(({ minutes, resistance }) => ({
        x: Math.log10(minutes),
        y: Math.log10(resistance.toNumber()),
      })),
    );
    return {
      ...{ name, pushes },
      left: own.filter(({ row }) => row.leftOut?.trim()),
      line: fitted && { a: fitted.intercept, b: fitted.slope, r: Math.sqrt(Math.max(0, fitted.r2)) },
    };
  });
}

/**
 * Setting of a concrete by the resistance of its mortar to needles: a line through the logarithms of resistance and time.
 * @param input forces in lbf or N, instants
 * @returns minutes from the water to both resistances, mean of the specimens; the final only where it was reached
 * Source: ASTM C403/C403M (from memory).
 */
export function compute(input: PenetrationResistanceInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const specimens = specimensOf(input);
  const results: Result[] = [];
  for (const [id, quantity, symbol] of [
    ['penetration.initial', INITIAL, 'ti'],
    ['penetration.final', FINAL, 'tf'],
  ] as const) {
    const mark = limits.number(id, system);
    const times = specimens.flatMap(({ name, line, pushes }): Exact[] => {
      const reached = pushes.at(-1)?.resistance.greaterThanOrEqualTo(mark) ?? false;
      // A line is not drawn on beyond what was read.
      if (!line || line.b <= 0 || !reached) return [];
      return [
        sheet.line({
          symbol: `${symbol}_${name}`,
          name: `${id === 'penetration.initial' ? 'Initial' : 'Final'} set of specimen ${name}`,
          formula: '10 ^ ((log10(P) - a) / b)',
          uses: { P: mark, a: exact(line.a.toFixed(6)), b: exact(line.b.toFixed(6)) },
          unit: 'min',
          source: C403,
          show: 4,
        }),
      ];
    });
    if (times.length === 0) continue;
    const value = meanLine(sheet, times, {
      ...{ symbol, name: `Mean of ${times.length === 1 ? 'one' : times.length}`, unit: 'min', source: C403 },
      show: 4,
    });
    results.push(
      resultOf({
        ...{ quantity, symbol, value, unit: 'min', mode: sheet.mode },
        step: limits.number('penetration.step', system),
        ...(times.length < specimens.length
          ? { provisional: `${specimens.length - times.length} of its specimens has not reached it` }
          : {}),
      }),
    );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(
      specimens
        .flatMap((each) => specimenFindings(each, limits, system))
        .concat(few(specimens, limits, system)),
    ),
    verdicts: [],
    picture: {
      kind: 'penetration',
      values: {
        initial: limits.number('penetration.initial', system).toNumber(),
        final: limits.number('penetration.final', system).toNumber(),
        unit: system === 'US' ? 'psi' : 'MPa',
        pushes: packedRows(
          specimens.flatMap(({ name, pushes, left }) => [
            ...pushes.map((push) => [name, push.minutes.toFixed(1), push.resistance.toPrecision(5), '']),
            ...left.map((push) => [
              name,
              push.minutes.toFixed(1),
              push.resistance.toPrecision(5),
              push.row.leftOut ?? '',
            ]),
          ]),
        ),
        lines: packedRows(
          specimens.flatMap(({ name, line }) =>
            line ? [[name, line.a.toFixed(5), line.b.toFixed(5), line.r.toFixed(4)]] : [],
          ),
        ),
      },
    },
  };
}

function few(
  specimens: readonly Specimen[],
  limits: Limits,
  system: PenetrationResistanceInput['system'],
): Finding[] {
  if (specimens.length === 0 || isWithin(exact(specimens.length), limits.of('penetration.specimens', system)))
    return [];
  return [
    limitFinding(
      limits,
      system,
      { id: 'penetration.specimens', severity: 'departure', fields: ['pushes'] },
      {
        message: `${specimens.length === 1 ? 'One specimen' : `${specimens.length} specimens`} of the sample.`,
        action: 'Three of them: what is told is their mean.',
        remark: `Of ${specimens.length} specimens only.`,
      },
    ),
  ];
}

function specimenFindings(
  { name, pushes, left, line }: Specimen,
  limits: Limits,
  system: PenetrationResistanceInput['system'],
): Finding[] {
  const found: Finding[] = [];
  const say = (id: LimitId, severity: Finding['severity'], message: string, action: string): void => {
    found.push({
      ...limitFinding(
        limits,
        system,
        { id, severity, fields: ['pushes'] },
        { message, action, ...(severity === 'departure' ? { remark: message } : {}) },
      ),
      id: `${id}.${name}`,
    });
  };
  if (!isWithin(exact(pushes.length), limits.of('penetration.readings', system)))
    say(
      'penetration.readings',
      'departure',
      `Specimen ${name} has ${pushes.length} readings.`,
      'Six at the fewest, the last beyond the final set.',
    );
  if (line && pushes.length > 2 && !isWithin(exact(line.r.toFixed(4)), limits.of('penetration.fit', system)))
    say(
      'penetration.fit',
      'departure',
      `Readings of specimen ${name} do not lie along one line (${line.r.toFixed(3)}).`,
      'Which of them hit a stone or an old mark? Leave it out with the reason.',
    );
  for (const { row, minutes } of pushes) {
    const force = readMeasure(row, 'force')?.value;
    if (force && !isWithin(force, limits.of('penetration.least', system)))
      say(
        'penetration.least',
        'advice',
        `Specimen ${name}, ${minutes.toFixed(0)} min: a force too small to be read well.`,
        'A larger needle.',
      );
  }
  const [first] = pushes;
  if (first && !isWithin(exact(first.minutes.toFixed(1)), limits.of('penetration.first', system)))
    say(
      'penetration.first',
      'advice',
      `Specimen ${name} was first read after ${first.minutes.toFixed(0)} min.`,
      'Three to four hours usually; sooner where it is hot or accelerated.',
    );
  const back = pushes.find(({ resistance }, place) =>
    resistance.lessThan(pushes[place - 1]?.resistance ?? 0),
  );
  if (back)
    found.push(
      finding({
        id: `penetration.back.${name}`,
        severity: 'departure',
        fields: ['pushes'],
        message: `Specimen ${name} resists less after ${back.minutes.toFixed(0)} min than before.`,
        action: 'Needle, force, time: read the row again.',
        remark: `Specimen ${name}: a resistance below the one before.`,
      }),
    );
  for (const { row, minutes } of left)
    found.push(
      finding({
        id: `penetration.left.${row.id}`,
        severity: 'departure',
        fields: ['pushes'],
        message: `Specimen ${name}, ${minutes.toFixed(0)} min is left out: ${row.leftOut}.`,
        action: 'It stands on the plot and does not count.',
        remark: `Specimen ${name}, ${minutes.toFixed(0)} min left out: ${row.leftOut}.`,
      }),
    );
  return found;
}
