import { isWithin } from '../../limits';
import { BEAMS, sizesOf } from '../../moulds';
import { exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, finding, ourChoice, Sheet, standard } from '../../working';
import type { Method, Outcome } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { LENGTH_UNIT } from '../press/units';
import { limitsOf, type RunSetup } from '../setup';
import { BeamSectionInput } from './input';

const SOURCE = ourChoice('two shares with their standard error');
const QUANTITY = 'difference of the stones';

/**
 * How the stones lie in a broken face: their share in the lower third less that in the upper, against its standard error,
 * and the layer of mortar on top.
 * @returns (p_b - p_t) / mean in percent; z by the binomial standard error
 * Source: our choice of what is shown; the rating by the mortar on top is AASHTO R 81 (from memory).
 */
function compute(input: BeamSectionInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const of = (name: string) => readMeasure(input, name)?.value;
  const results: Outcome['results'][number][] = [];
  const findings: Finding[] = [];
  const [ts, tn, bs, bn] = ['topStone', 'topPoints', 'bottomStone', 'bottomPoints'].map(of);
  for (const [stone, all, field] of [
    [ts, tn, 'topStone'],
    [bs, bn, 'bottomStone'],
  ] as const)
    if (stone && all && stone.greaterThan(all))
      findings.push(
        finding({
          id: 'section.more',
          severity: 'invalid',
          fields: [field],
          message: 'More points on stone than points.',
          action: 'Count again, or exchange the two numbers.',
        }),
      );
  let shown: { readonly z: number; readonly relative: number } | undefined;
  if (
    ts &&
    tn &&
    bs &&
    bn &&
    findings.length === 0 &&
    !tn.isZero() &&
    !bn.isZero() &&
    !ts.plus(bs).isZero()
  ) {
    const pt = sheet.line({
      symbol: 'pt',
      name: 'Stone in the upper third',
      formula: 'st / nt',
      uses: { st: ts, nt: tn },
      unit: 'one',
      source: SOURCE,
      show: 4,
    });
    const pb = sheet.line({
      symbol: 'pb',
      name: 'Stone in the lower third',
      formula: 'sb / nb',
      uses: { sb: bs, nb: bn },
      unit: 'one',
      source: SOURCE,
      show: 4,
    });
    const step = limits.number('section.step', system);
    const relative = sheet.line({
      symbol: 'r',
      name: 'Difference, of their mean',
      formula: '200 * (pb - pt) / (pb + pt)',
      uses: { pb, pt },
      unit: 'percent',
      source: SOURCE,
      round: { step, rule: `to ${step} %` },
    });
    const error = sheet.line({
      symbol: 'se',
      name: 'Standard error of the difference',
      formula: 'sqrt(pt * (1 - pt) / nt + pb * (1 - pb) / nb)',
      uses: { pt, pb, nt: tn, nb: bn },
      unit: 'one',
      source: SOURCE,
      show: 4,
    });
    if (!error.isZero()) {
      const z = sheet.line({
        symbol: 'z',
        name: 'In standard errors',
        formula: '(pb - pt) / se',
        uses: { pb, pt, se: error },
        unit: 'one',
        source: SOURCE,
        show: 3,
      });
      shown = { z: z.toNumber(), relative: relative.toNumber() };
    }
    results.push(
      resultOf({ quantity: QUANTITY, symbol: 'r', value: relative, unit: 'percent', step, mode: sheet.mode }),
    );
    const usual = limits.of('section.share', system);
    for (const [share, fields] of [
      [pt, ['topStone', 'topPoints']],
      [pb, ['bottomStone', 'bottomPoints']],
    ] as const)
      if (!isWithin(share, usual))
        findings.push(
          limitFinding(
            limits,
            system,
            { id: 'section.share', severity: 'advice', fields },
            {
              message: `Stone at ${share.times(100).toFixed(0)} % of the points is unusual.`,
              action: 'Are stone and all points exchanged, or of another third?',
            },
          ),
        );
    const fewest = limits.of('section.points', system);
    if (!isWithin(tn, fewest) || !isWithin(bn, fewest))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'section.points', severity: 'advice', fields: ['topPoints', 'bottomPoints'] },
          {
            message: 'Few points: a difference of that size comes by chance.',
            action: 'Count a finer grid in both thirds.',
          },
        ),
      );
  }
  const segregated =
    shown !== undefined &&
    shown.z >= limits.number('section.z', system).toNumber() &&
    shown.relative >= limits.number('section.relative', system).toNumber();
  if (segregated)
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'section.relative', severity: 'departure', fields: ['topStone', 'bottomStone'] },
        {
          message: `Segregated: ${shown?.relative.toFixed(0)} % more stone below, ${shown?.z.toFixed(1)} standard errors.`,
          action: 'Over-vibrated, or too wet a concrete: look at the others of the sample, and at its slump.',
          remark: `Segregated: ${shown?.relative.toFixed(0)} % more stone in the lower third as cast.`,
        },
      ),
    );
  const mortar = of('mortar');
  const rating = ratingOf(
    mortar?.toNumber(),
    limits.number('section.mortar-1', system).toNumber(),
    limits.number('section.mortar-2', system).toNumber(),
  );
  if (rating !== null && rating >= 2)
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'section.mortar-1', severity: 'departure', fields: ['mortar'] },
        {
          message: `${mortar ? plainOf(mortar, LENGTH_UNIT[system]) : ''} of mortar on top: rating ${rating} of 3.`,
          action:
            rating === 3
              ? 'Distinct layers: the specimen stands for no concrete.'
              : 'Stones have sunk: say so with its result.',
          remark: `Mortar layer on top as cast, visual rating ${rating}.`,
        },
      ),
    );
  const [steel, drawn] = [of('steelDepth'), of('steelDrawn')];
  const off = steel && drawn ? steel.minus(drawn).abs() : undefined;
  if (off && !isWithin(off, limits.of('section.depth', system)))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'section.depth', severity: 'departure', fields: ['steelDepth'] },
        {
          message: `The steel lies ${plainOf(off, LENGTH_UNIT[system])} off where it is drawn.`,
          action: 'Work the section out with the depth it has: the lever arm hangs on it.',
          remark: `Reinforcement ${plainOf(off, LENGTH_UNIT[system])} off its drawn depth.`,
        },
      ),
    );
  const tested = Date.parse(String(setup.facts?.testedAt ?? ''));
  const after = (Date.parse(input.seenAt ?? '') - tested) / 60_000;
  if (
    !Number.isNaN(after) &&
    after >= 0 &&
    !isWithin(exact(after.toFixed(2)), limits.of('section.within', system))
  )
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'section.within', severity: 'advice', fields: ['seenAt'] },
        {
          message: `Looked at ${after.toFixed(0)} min after the break.`,
          action: 'Wet the face again: what is dry shows less.',
        },
      ),
    );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'section',
      values: {
        top: ts && tn && !tn.isZero() ? ts.div(tn).toNumber() : null,
        bottom: bs && bn && !bn.isZero() ? bs.div(bn).toNumber() : null,
        z: shown?.z ?? null,
        rating,
        compaction: input.compaction ?? null,
        stones: of('stones')?.toNumber() ?? null,
        mortar: mortar?.toNumber() ?? null,
        unit: LENGTH_UNIT[system],
        steel: steel?.toNumber() ?? null,
        depth: system === 'US' ? 6 : 150,
      },
    },
  };
}

/** The visual rating by the mortar on top: 0 or 1 where the layer is thin, 2 a visible one, 3 beyond. */
function ratingOf(mortar: number | undefined, slight: number, layer: number): 0 | 1 | 2 | 3 | null {
  if (mortar === undefined) return null;
  if (mortar === 0) return 0;
  if (mortar <= slight) return 1;
  return mortar <= layer ? 2 : 3;
}

/** The broken face of a beam. */
export const beamSection: Method<BeamSectionInput> = {
  id: 'beam-section',
  title: 'Broken section of a beam',
  designations: [standard('AASHTO R 81')],
  runOn: 'specimen',
  forms: sizesOf(...BEAMS),
  spends: false,
  pieces: true,
  facts: {
    testedAt: {
      of: 'specimen',
      take: 'input.testedAt',
      by: ['beam-third-point', 'beam-centre-point'],
      is: 'instant',
    },
  },
  yields: [{ quantity: QUANTITY, symbol: 'r' }],
  Input: BeamSectionInput,
  steps: [
    {
      id: 'face',
      title: 'Look at the face',
      phase: 'test',
      instruction:
        'Wet it, let the water run off, light from the side. Which way was up as it was cast: the trowelled face says it, not the way it lay in the machine.',
      fields: ['seenAt', 'photographed', 'compaction', 'largestVoid', 'mortar', 'stones'],
      caution:
        'Broken edges and wire ends are sharp. Sawing a face needs water or extraction, and a mask: silica.',
    },
    {
      id: 'count',
      title: 'Count the stones',
      phase: 'test',
      instruction:
        'A grid over the face or its picture, at least 150 points in the upper and in the lower third as cast. Without a count nothing is said of segregation.',
      fields: ['topStone', 'topPoints', 'bottomStone', 'bottomPoints'],
    },
    {
      id: 'steel',
      title: 'Steel',
      phase: 'after',
      instruction: 'Where there is any: from the face in tension to its middle, and what the drawing says.',
      fields: ['steelDepth', 'steelDrawn', 'remarks'],
    },
  ],
  performedAt: 'seenAt',
  plan: (system, setup) => limitRows(['section.within', 'section.points'], system, setup),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(BeamSectionInput), system), system, photographed: true },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-A', form: system === 'US' ? 'beam-6x6x21' : 'beam-150x150x530' },
      facts: { testedAt: '2031-06-11T09:05:00-04:00' },
    },
  }),
};
