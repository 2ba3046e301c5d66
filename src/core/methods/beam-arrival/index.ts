import { isWithin } from '../../limits';
import { BEAMS, isMould, mouldOf, nominalOf, sizesOf } from '../../moulds';
import { type Exact, exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, finding, ourChoice, Sheet } from '../../working';
import type { Method, Outcome } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { LENGTH_UNIT } from '../press/units';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { BeamArrivalInput, SEEN, type SeenRow } from './input';

const SOURCE = ourChoice('a plain sum of what was seen');
const read = (row: SeenRow, name: 'from' | 'along' | 'across'): Exact | undefined =>
  readMeasure(row, name)?.value;

/**
 * What is seen on a beam when it comes, and how much of its faces is honeycomb.
 * @param input places and sizes in in or mm; a thing without a breadth is as broad as long
 * Source: our choice; nothing of it is a strength.
 */
function compute(input: BeamArrivalInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const size = nominalOf(setup.specimen?.form, BEAMS, system);
  const rows = wholeRows(input.seen);
  const honeycomb = rows.filter(({ what }) => what === 'honeycomb');
  const step = limits.number('arrival.step', system);
  const results: Outcome['results'][number][] = [];
  const findings: Finding[] = [];
  if (size) {
    const uses = Object.fromEntries(
      honeycomb.flatMap((row, index) => {
        const along = read(row, 'along') ?? exact(0);
        return [
          [`l${index + 1}`, along],
          [`w${index + 1}`, read(row, 'across') ?? along],
        ];
      }),
    );
    const sum = honeycomb.map((_, index) => `l${index + 1} * w${index + 1}`).join(' + ') || '0';
    const share = sheet.line({
      symbol: 'h',
      name: 'Honeycomb, of its four faces',
      formula: `100 * (${sum}) / (4 * d * L)`,
      uses: { ...uses, d: size.across, L: size.length },
      unit: 'percent',
      source: SOURCE,
      round: { step, rule: `to ${step} %` },
    });
    results.push(
      resultOf({
        quantity: 'honeycomb of the faces',
        symbol: 'h',
        value: share,
        unit: 'percent',
        step,
        mode: sheet.mode,
      }),
    );
    if (!isWithin(share, limits.of('arrival.honeycomb', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'arrival.honeycomb', severity: 'departure', fields: ['seen'] },
          {
            message: `Honeycomb on ${share.toFixed(1)} % of its faces.`,
            action: 'Photograph it and tell who moulded it: a low result will be the maker’s.',
            remark: `Honeycomb on ${share.toFixed(1)} % of the faces on arrival.`,
          },
        ),
      );
    for (const row of rows) {
      const end = read(row, 'from')?.plus(read(row, 'along') ?? 0);
      if (end?.greaterThan(size.length))
        findings.push(
          finding({
            id: 'arrival.beyond',
            severity: 'advice',
            fields: ['seen'],
            message: `${SEEN[row.what ?? 'void']} would reach beyond the end of the beam.`,
            action: 'Measure it again from the marked end.',
          }),
        );
    }
    const middle = limits.of('arrival.middle', system);
    const inMiddle = rows.filter((row) => {
      const from = read(row, 'from');
      const at = from
        ?.plus((read(row, 'along') ?? exact(0)).div(2))
        .div(size.length)
        .times(100);
      return row.what !== 'void' && row.what !== 'leak' && at !== undefined && isWithin(at, middle);
    });
    for (const row of inMiddle)
      findings.push(
        finding({
          id: 'arrival.middle',
          severity: 'departure',
          fields: ['seen'],
          message: `${SEEN[row.what ?? 'void']} in its middle third.`,
          action: 'It will break there, whatever the concrete is: not for acceptance without the engineer.',
          remark: `${SEEN[row.what ?? 'void']} in the middle third on arrival.`,
        }),
      );
  }
  const small = limits.of('arrival.void', system);
  for (const row of rows.filter(({ what }) => what === 'void')) {
    const along = read(row, 'along');
    if (along && !isWithin(along, small))
      findings.push(
        finding({
          id: 'arrival.void',
          severity: 'advice',
          fields: ['seen'],
          message: `A void of ${plainOf(along, LENGTH_UNIT[system])} is too small to count.`,
          action: 'Every face has such; leave it out.',
        }),
      );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'faces',
      values: {
        length: size?.length.toNumber() ?? null,
        depth: size?.across.toNumber() ?? null,
        unit: LENGTH_UNIT[system],
        seen: rows
          .map(
            (row) =>
              `${row.face}=${[row.what, ...(['from', 'along', 'across'] as const).map((name) => read(row, name)?.toNumber() ?? '')].join('/')}`,
          )
          .join(','),
      },
    },
  };
}

/** A beam looked over when it comes. */
export const beamArrival: Method<BeamArrivalInput> = {
  id: 'beam-arrival',
  title: 'Beam on arrival',
  designations: [ourChoice('what a careful technician looks for')],
  runOn: 'specimen',
  forms: sizesOf(...BEAMS),
  spends: false,
  again: 'freely',
  yields: [{ quantity: 'honeycomb of the faces', symbol: 'h' }],
  Input: BeamArrivalInput,
  steps: [
    {
      id: 'look',
      title: 'Look at its four faces',
      phase: 'before',
      instruction:
        'Wet, in good light: voids, honeycomb, cracks, broken edges, steel or wire that shows, paste that leaked at the joints. Each with its place from the marked end.',
      fields: ['seen', 'trowelled', 'photographed', 'seenAt', 'remarks'],
      caution:
        'A beam weighs 60 to 85 lb [27 to 40 kg]: two people or a hoist. Sensor cables are cut with the power off, after their record is safe.',
    },
  ],
  performedAt: 'seenAt',
  plan: (system, setup) => {
    const { form = '' } = setup.specimen ?? {};
    return isMould(form)
      ? [
          { label: 'Size', text: mouldOf(form).label },
          { label: 'Counted', text: limitsOf(setup).of('arrival.void', system).text },
        ]
      : [];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(BeamArrivalInput), system), system, photographed: true },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-A', form: system === 'US' ? 'beam-6x6x21' : 'beam-150x150x530' },
    },
  }),
};
