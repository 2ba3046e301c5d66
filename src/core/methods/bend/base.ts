import { isWithin, type Limits } from '../../limits';
import { convert, type Exact, exact, meanOf, plainOf, type System } from '../../quantity';
import type { BendTrouble } from '../../signals';
import { type Finding, finding, type Sheet } from '../../working';
import { type MeanWords, meanLength } from '../beam/mean-line';
import { DEPTHS, readAll, WIDTHS } from '../beam/sizes';
import type { Driven, Outcome } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { agedFindings, FORCE_UNIT, orderFindings } from '../press';
import type { RunSetup } from '../setup';
import type { BendInput } from './input';
import { BEND_UNITS, type Bend, bendUnits } from './units';

/** The mean of some readings, when all are there. */
export function meanRead(input: object, names: readonly string[]): Exact | undefined {
  const read = readAll(input, names);
  return read && meanOf(read);
}

/** A line for the mean of some readings, and the mean; undefined until all are there. */
export function meanReadLine(
  sheet: Sheet,
  input: object,
  names: readonly string[],
  about: MeanWords,
): Exact | undefined {
  const read = readAll(input, names);
  return read && meanLength(sheet, read, about);
}

/** Mean width and mean depth, in in or mm. */
export function meanSizes(
  sheet: Sheet,
  input: object,
  about: Omit<MeanWords, 'symbol' | 'name'>,
): { readonly b: Exact | undefined; readonly d: Exact | undefined } {
  return {
    b: meanReadLine(sheet, input, WIDTHS, { symbol: 'b', name: 'Width, mean', ...about }),
    d: meanReadLine(sheet, input, DEPTHS, { symbol: 'd', name: 'Depth, mean', ...about }),
  };
}

const TROUBLES: Readonly<
  Record<
    BendTrouble,
    { readonly severity: 'invalid' | 'departure' | 'advice'; readonly what: string; readonly action: string }
  >
> = {
  empty: {
    severity: 'invalid',
    what: 'holds no force',
    action: 'Choose the columns again: force and travel.',
  },
  'no peak': {
    severity: 'invalid',
    what: 'ends while the force still rises',
    action: 'Nothing is known of its peak: was the end cut off?',
  },
  'starts late': {
    severity: 'invalid',
    what: 'begins when the beam is loaded already',
    action: 'Without its beginning there is no stiffness and no energy.',
  },
  'not at zero': {
    severity: 'departure',
    what: 'does not begin at nought',
    action: 'Was the cell zeroed with the fixture hanging?',
  },
  'few points': {
    severity: 'departure',
    what: 'has fewer than 50 readings before its peak',
    action: 'The peak stands; the stiffness is not determined. Record faster.',
  },
  'no linear range': {
    severity: 'advice',
    what: 'has no straight part',
    action: 'Stiffness and toe are not determined. Look at seating and supports.',
  },
  'several cracks': {
    severity: 'advice',
    what: 'drops more than once at about the same force',
    action: 'Look at the picture: which of them was the first crack? What was seen can be taken instead.',
  },
  'goes back': {
    severity: 'advice',
    what: 'goes back in its displacement',
    action: 'The farthest it had come is taken; was it unloaded between?',
  },
};

/** Of a beam that is cracked already there is no line, no first crack and perhaps no peak. */
const OF_THE_WHOLE: readonly BendTrouble[] = ['no peak', 'few points', 'no linear range', 'several cracks'];

/** What a beam was driven by, as it is judged: its record, where there is one, and how its method drives it. */
interface Driving {
  readonly limits: Limits;
  readonly bend: Bend | undefined;
  readonly driven: Driven;
  /** What of its record means nothing where only a part of the curve is asked for. */
  readonly whole?: false;
}

/** What holds for every beam bent by its displacement, whatever is asked of its record. */
export function bendFindings(input: BendInput, setup: RunSetup, about: Driving): Finding[] {
  const { system } = input;
  const { limits, bend, whole } = about;
  const found: Finding[] = [
    ...agedFindings(input, setup, limits),
    ...orderFindings(input, setup),
    ...speedFindings(input, about),
    ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
  ];
  const [seen, top] = [readMeasure(input, 'crackSeen'), peakOf(input, bend)];
  if (seen && top && seen.value.greaterThan(top))
    found.push(
      finding({
        id: 'bend.crack-seen',
        severity: 'advice',
        fields: ['crackSeen'],
        message: `The first crack was called at ${plainOf(seen.value, seen.unit)}, above the peak.`,
        action: 'Read it again: a digit too many, or the display after the peak.',
      }),
    );
  if (!bend) {
    if (input.maximumLoad)
      found.push(
        finding({
          id: 'bend.no-record',
          severity: 'advice',
          fields: ['maximumLoad'],
          message: 'No record of the force over the displacement is kept.',
          action:
            'Choose the machine’s file: stiffness, first crack, energies and residual strengths come from it alone.',
        }),
      );
    return found;
  }
  for (const trouble of bend.troubles) {
    if (whole === false && OF_THE_WHOLE.includes(trouble)) continue;
    const { severity, what, action } = TROUBLES[trouble];
    const words = `The record ${what}.`;
    found.push(
      finding({
        id: `bend.${trouble.replaceAll(' ', '-')}`,
        severity,
        fields: [],
        message: words,
        action,
        ...(severity === 'departure' ? { remark: words } : {}),
      }),
    );
  }
  const display = readMeasure(input, 'maximumLoad');
  const peak = bendUnits(system).force(bend.peak.force);
  if (display && !peak.isZero()) {
    const off = display.value.minus(peak).abs().div(peak).times(100);
    const most = limits.of('bend.agrees', system);
    if (most.high && off.greaterThan(most.high))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'bend.agrees', severity: 'departure', needsReason: true, fields: ['maximumLoad'] },
          {
            message: `The display showed ${plainOf(display.value, FORCE_UNIT[system])}, the record has ${plainOf(peak.toSignificantDigits(5), FORCE_UNIT[system])}.`,
            action: 'Another channel, another unit, a record that was thinned, or another beam’s file.',
            remark: `Peak of the display ${off.toFixed(1)} % off the record.`,
          },
        ),
      );
  }
  return found;
}

/** The speed in each of its parts: by the record where it has time, else as it was set for the first. */
function speedFindings(input: BendInput, { limits, bend, driven }: Driving): Finding[] {
  const set = readMeasure(input, 'speed');
  return driven.parts.flatMap(({ word, speed }, part) => {
    const recorded = bend?.speeds?.[part] ?? null;
    const read =
      recorded !== null
        ? convert(exact(recorded).toSignificantDigits(3), 'mm/min', speed.unit)
        : part === 0
          ? set?.value
          : undefined;
    if (!read || isWithin(read, speed)) return [];
    const words = `${recorded === null ? 'Driven' : 'By its record it was driven'} at ${plainOf(read.toSignificantDigits(3), speed.unit)}${word}.`;
    return [
      limitFinding(
        limits,
        input.system,
        { id: speed.id, severity: 'departure', fields: ['speed'] },
        { message: words, action: 'Only beams driven alike are laid beside one another.', remark: words },
      ),
    ];
  });
}

/** The peak that counts: of the record where there is one, else of the display. */
export function peakOf(input: BendInput, bend: Bend | undefined): Exact | undefined {
  return bend ? bendUnits(input.system).force(bend.peak.force) : readMeasure(input, 'maximumLoad')?.value;
}

const pointAt = (bend: Bend | undefined, at: number) =>
  bend?.points.find((each) => Math.abs(each.at - at) < 1e-9);

/** The force of the record at one of the displacements that were asked for; undefined beyond its end. */
export function forceAt(bend: Bend | undefined, at: number, system: System): Exact | undefined {
  const force = pointAt(bend, at)?.force ?? undefined;
  return force === undefined ? undefined : bendUnits(system).force(force);
}

/** The energy up to one of the displacements that were asked for; undefined beyond its end. */
export function energyAt(bend: Bend | undefined, at: number, system: System): Exact | undefined {
  const energy = pointAt(bend, at)?.energy ?? undefined;
  return energy === undefined ? undefined : bendUnits(system).energy(energy);
}

/** Stress of the extreme fibre by a moment: 6 M / (b d²), in words of its formula; SI has kN. */
export function fibreFactor(system: System): string {
  return system === 'US' ? '' : '1000 * ';
}

/** What is drawn of a record: its curve, the straight line, what was found on it. */
export function bendPicture(
  input: BendInput,
  bend: Bend | undefined,
  marks: readonly (readonly [at: number, word: string])[],
  /** The first crack that counts, where it is not the one that the record was read as. */
  taken: Bend['firstCrack'] = bend?.firstCrack ?? null,
): Outcome['picture'] {
  const { system } = input;
  const { force, length } = BEND_UNITS[system];
  const to = bendUnits(system);
  const short = (value: Exact): string => value.toSignificantDigits(5).toString();
  const pair = (at: number, newtons: number): string => `${short(to.length(at))}/${short(to.force(newtons))}`;
  return {
    kind: 'bend',
    values: {
      force,
      length,
      curve: bend ? bend.curve.map(([at, newtons]) => pair(at, newtons)).join(' ') : '',
      peak: bend ? pair(bend.peak.at, bend.peak.force) : null,
      crack: taken ? pair(taken.at, taken.force) : null,
      crackBy: taken?.by ?? null,
      crackRead:
        bend?.firstCrack && bend.firstCrack.at !== taken?.at
          ? pair(bend.firstCrack.at, bend.firstCrack.force)
          : null,
      line: bend?.stiffness
        ? `${pair(0, 0)} ${pair((1.15 * bend.stiffness.to) / bend.stiffness.k, 1.15 * bend.stiffness.to)}`
        : null,
      marks: marks
        .filter(([at]) => bend !== undefined && at <= bend.end)
        .map(([at, word]) => `${short(to.length(at))}=${word}`)
        .join(','),
      slips: bend
        ? bend.drops
            .filter(({ kind }) => kind === 'seating')
            .map(({ at, peak }) => pair(at, peak))
            .join(' ')
        : '',
      brittle: bend?.brittle ?? null,
    },
  };
}

/** Millimetres in a span that was read, as a number. */
export function spanMm(input: BendInput): number | undefined {
  const read = readMeasure(input, 'span')?.value;
  return read?.times(input.system === 'US' ? '25.4' : 1).toNumber();
}
