import { gypsumFor, sulfurPerCap, waterRatio } from '../../ends';
import { isWithin, type Limits } from '../../limits';
import { findForm } from '../../materials/forms';
import { type Exact, exact, plainOf, roundTo, type System } from '../../quantity';
import { type Finding, finding, type Sheet, standard } from '../../working';
import type { PlanItem } from '../contract';
import { asked, factMeasure } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { MASS } from '../mass-spec';
import { LENGTH_UNIT, STRESS_UNIT } from '../press/units';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup, setupMeasure } from '../setup';
import { labelsOf } from '../tested';
import type { CappingInput } from './input';
import type { LookRow } from './rows';

const C1552 = standard('ASTM C1552');

/** What is to be known of units before material is mixed for them. */
export const SIZES = {
  width: asked('width', { dimension: 'length' }),
  length: asked('length', { dimension: 'length' }),
};

/** True for a batch of masonry: its caps are judged by rules of their own. */
export function isMasonry({ batch }: RunSetup): boolean {
  return (batch?.specimens ?? []).some(({ form }) => form && findForm(form)?.caps === 'masonry');
}

export function isConcrete(setup: RunSetup): boolean {
  return !isMasonry(setup);
}

/** The specified size of the face that is capped, in or mm; a half brick is half as long. */
function faceOf(setup: RunSetup, system: System): { width: Exact; length: Exact } | undefined {
  const [one] = setup.batch?.specimens ?? [];
  const [width, length] = (['width', 'length'] as const).map((side) =>
    factMeasure({ facts: one?.facts }, side, 'length', LENGTH_UNIT[system]),
  );
  if (!width || !length) return undefined;
  return { width, length: one?.form && findForm(one.form)?.half ? length.div(2) : length };
}

/** What to weigh out, and how long it takes: for gypsum on plates, and sulfur in moulds. */
export function masonryPlan(setup: RunSetup, system: System): PlanItem[] {
  const limits = limitsOf(setup);
  const face = faceOf(setup, system);
  const caps = 2 * labelsOf(setup).length;
  const items: PlanItem[] = [
    {
      label: 'Caps harden',
      text: limits.of('caps.unit-age', system).text,
      note: 'from the younger cap of each',
    },
    {
      label: 'Gypsum rests on the plate',
      text: plainOf(limits.number('caps.rest', 'US'), 'h'),
      note: 'then it is turned for its other face',
    },
  ];
  if (!face) return items;
  const ratio = limits.of('caps.gypsum-ratio', system);
  const mix = gypsumFor({ ...face, caps, ratio: exact(ratio.low ?? 0) }, system, limits);
  const sulfur = sulfurPerCap(face, system, limits);
  return [
    ...items,
    {
      label: 'Gypsum for all caps',
      text: `${mix.gypsum.toFixed(0)} g with ${mix.water.toFixed(0)} g of water`,
      note: `${caps} caps at ${limits.of('caps.unit-thick', system).text}, at ${ratio.low}, waste counted; in mixes for five minutes each`,
    },
    {
      label: 'Sulfur for all caps',
      text: plainOf(sulfur.times(caps).toDecimalPlaces(1), MASS.unit[system]),
      note: `about ${plainOf(sulfur.toDecimalPlaces(2), MASS.unit[system])} a cap; the heel of the pot on top`,
    },
  ];
}

/** What is found of caps on masonry: the mixes, the lot, each cap as it was looked at, the pot. */
export function masonryFindings(input: CappingInput, setup: RunSetup, sheet: Sheet): Finding[] {
  const limits = limitsOf(setup);
  return [
    ...mixFindings(input, limits, sheet),
    ...lotFindings(input, setup, limits),
    ...lookFindings(input, setup, limits),
    ...potFindings(input, setup, limits),
  ];
}

function mixFindings(input: CappingInput, limits: Limits, sheet: Sheet): Finding[] {
  const { system } = input;
  if (input.kind !== 'gypsum') return [];
  const step = limits.number('caps.ratio-step', system);
  return wholeRows(input.mixes).flatMap((mix, place): Finding[] => {
    const [gypsum, water] = [readMeasure(mix, 'gypsum')?.value, readMeasure(mix, 'water')?.value];
    if (!gypsum || !water) return [];
    const ratio = sheet.line({
      symbol: `w${place + 1}`,
      name: `Water to gypsum, mix ${place + 1}`,
      formula: 'W / G',
      uses: { W: water, G: gypsum },
      unit: 'one',
      source: C1552,
      round: { step, rule: `to ${limits.of('caps.ratio-step', system).text}` },
    });
    const said = roundTo(ratio, step, 'half-even');
    if (isWithin(said, limits.of('caps.gypsum-ratio', system))) return [];
    const wet = said.greaterThan(limits.of('caps.gypsum-ratio', system).high ?? 0);
    return [
      {
        ...limitFinding(
          limits,
          system,
          { id: 'caps.gypsum-ratio', severity: 'invalid', fields: ['mixes'], beforeLoad: true },
          {
            message: `Mix ${place + 1} has ${said.toFixed(2)} of water to gypsum: ${waterRatio(gypsum, system, limits)}.`,
            action: `Throw it away and weigh out anew: ${wet ? 'too much water makes weak caps' : 'too stiff it cannot be pressed thin'}. Caps of it come off.`,
          },
        ),
        id: `caps.gypsum-ratio.${place + 1}`,
      },
    ];
  });
}

/** Cubes of the material at two hours: without them on file the caps prove nothing. */
function lotFindings(input: CappingInput, setup: RunSetup, limits: Limits): Finding[] {
  const { system } = input;
  const unit = STRESS_UNIT[system];
  const lot = setup.equipment?.find(({ number }) => number === input.lot);
  if (!lot) return [];
  const about = {
    id: 'caps.unit-strength',
    severity: 'departure',
    needsReason: true,
    fields: ['lot'],
  } as const;
  const strength = setupMeasure(lot.strength, 'stress', unit);
  if (!strength)
    return [
      limitFinding(limits, system, about, {
        message: `Of lot ${lot.number} no cubes are on file.`,
        action: 'Three 2 in [50 mm] cubes, broken at two hours, under Gear: then cap.',
        remark: `Strength of the capping material not on file: ${lot.number}.`,
      }),
    ];
  return isWithin(strength, limits.of('caps.unit-strength', system))
    ? []
    : [
        limitFinding(
          limits,
          system,
          { ...about, severity: 'invalid' },
          {
            message: `Lot ${lot.number} proved ${plainOf(strength, unit)} at two hours.`,
            action: 'It is not used. Take another lot, or look at the water it was mixed with.',
          },
        ),
      ];
}

/** What is wrong with one cap, in words; undefined where it is in order. */
function troubleOf(row: LookRow, system: System, limits: Limits): string | undefined {
  const thickness = readMeasure(row, 'thickness')?.value;
  if (row.look && row.look !== 'sound') return LOOKS[row.look];
  if (thickness && !isWithin(thickness, limits.of('caps.unit-thick', system)))
    return `${plainOf(thickness, LENGTH_UNIT[system])} thick`;
  return undefined;
}

const LOOKS = {
  'not plane': 'not plane',
  hollow: 'hollow or cracked',
  open: 'not full to the edge',
  tilted: 'tilted',
  patched: 'patched',
} as const;

/** The last look at each end of a specimen: what was capped anew was looked at again. */
function looksAt(input: CappingInput, label: string): LookRow[] {
  const own = wholeRows(input.inspected).filter(({ specimen }) => specimen === label);
  return ['1', '2'].flatMap((end) => own.filter((row) => row.end === end).at(-1) ?? []);
}

function troublesOf(input: CappingInput, label: string, limits: Limits): string[] {
  return looksAt(input, label).flatMap((row) => {
    const trouble = troubleOf(row, input.system, limits);
    return trouble ? [`end ${row.end} ${trouble}`] : [];
  });
}

/** What is wrong with the caps of one specimen: it stands with its break, and with no other. */
export function ownTroubles(input: CappingInput, label: string, setup: RunSetup): string[] {
  return troublesOf(input, label, limitsOf(setup));
}

function lookFindings(input: CappingInput, setup: RunSetup, limits: Limits): Finding[] {
  const bad = labelsOf(setup).flatMap((label) => {
    const troubles = troublesOf(input, label, limits);
    return troubles.length > 0 ? [`${label}, ${troubles.join(', ')}`] : [];
  });
  if (bad.length === 0) return [];
  // Advice here: the remark goes with the specimen itself, not with all of its batch.
  return [
    limitFinding(
      limits,
      input.system,
      { id: 'caps.unit-thick', severity: 'advice', fields: ['inspected'] },
      {
        message: `Not in order: ${bad.join('; ')}.`,
        action: 'Take the cap off and cap again; it is not patched, and its two hours begin anew.',
      },
    ),
  ];
}

/** Whether the pot lasts for the caps, and whether it was filled again. */
function potFindings(input: CappingInput, setup: RunSetup, limits: Limits): Finding[] {
  const { system } = input;
  const face = faceOf(setup, system);
  const there = readMeasure(input, 'potMass')?.value;
  if (input.kind !== 'sulfur' || !face || !there) return [];
  const each = sulfurPerCap(face, system, limits);
  const lasts = there.div(each).floor();
  const caps = Math.max(2 * labelsOf(setup).length, wholeRows(input.pours).length);
  if (lasts.greaterThanOrEqualTo(caps)) return [];
  return [
    finding({
      id: 'caps.pot-low',
      severity: 'advice',
      fields: ['potMass'],
      message: `The pot lasts for about ${lasts} caps, ${caps} are to be made.`,
      action: 'Fill it and let it melt before the first cap: cold compound is not poured.',
    }),
  ];
}
