import type { Limits } from '../limits';
import { ChoiceField, MeasureField, RunInput, readMeasure } from '../methods/fields';
import { lengthSpec } from '../methods/specs';
import { convert, exact, type System, type UnitId } from '../quantity';
import { ABOUT_ATTACHMENTS, ATTACHMENTS, type Attachment, beamUnder } from './attachments';
import { largestMoment, largestShear, middleDeflection, type SimpleBeam } from './simple-beam';

const SECTION = {
  ...lengthSpec(['0.05', '60'], ['1', '1500']),
  possible: { US: ['0.5', '60'], SI: ['12', '1500'] },
} as const;

/** What is asked of a load on a beam: what is on the machine, what it reads, how large the beam is, how far the ram goes. */
export class LoadQuestion extends RunInput {
  @ChoiceField({
    label: 'On the machine',
    options: ATTACHMENTS.map((value) => ({ value, label: ABOUT_ATTACHMENTS[value].title })),
    required: true,
    example: 'third',
  })
  attachment?: Attachment;

  @MeasureField({
    label: 'Reading of the machine',
    dimension: 'force',
    unit: { US: 'lbf', SI: 'kN' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['1', '2000000'], SI: ['0.01', '9000'] },
    required: true,
    help: 'All of it, whatever stands below.',
    example: { US: '6,480', SI: '28.8' },
  })
  force?: string;

  @MeasureField({
    label: 'Span, support to support',
    ...lengthSpec(['0.05', '400'], ['1', '10000']),
    possible: { US: ['2', '400'], SI: ['50', '10000'] },
    required: true,
    help: 'Not the length of the beam.',
    example: { US: '18', SI: '450' },
  })
  span?: string;

  @MeasureField({ label: 'Width', ...SECTION, required: true, example: { US: '6', SI: '150' } })
  width?: string;

  @MeasureField({
    label: 'Depth',
    ...SECTION,
    required: true,
    help: 'As it lies.',
    example: { US: '6', SI: '150' },
  })
  depth?: string;

  @MeasureField({
    label: 'Length of the plate',
    ...lengthSpec(['0.05', '400'], ['1', '10000']),
    help: 'Along the beam, where a plate is under the load.',
    example: { US: '7', SI: '180' },
  })
  plate?: string;

  @MeasureField({
    label: 'Roller from the left support',
    ...lengthSpec(['0.05', '400'], ['1', '10000']),
    help: 'Where one roller stands elsewhere than in the middle.',
    example: { US: '7', SI: '180' },
  })
  at?: string;

  @MeasureField({
    label: 'Modulus of elasticity',
    dimension: 'stress',
    unit: { US: 'ksi', SI: 'MPa' },
    step: { US: '10', SI: '100' },
    possible: { US: ['10', '40000'], SI: ['100', '250000'] },
    help: 'For the deflection: concrete about 4,300 ksi [30,000 MPa], steel 29,000 [200,000], softwood about 1,500 [10,000].',
    example: { US: '4,300', SI: '30,000' },
  })
  modulus?: string;

  @MeasureField({
    label: 'Gap above the beam',
    ...lengthSpec(['0.0625', '20'], ['1', '500']),
    help: 'The ram goes this far before it touches.',
    example: { US: '0.6', SI: '15' },
  })
  approach?: string;

  @MeasureField({
    label: 'Travel of the test itself',
    ...lengthSpec(['0.01', '20'], ['0.5', '500']),
    help: 'Seating, deflection up to the end, and what gives in the fixture.',
    example: { US: '0.4', SI: '9' },
  })
  travel?: string;

  @MeasureField({
    label: 'Stroke of the machine',
    ...lengthSpec(['0.25', '60'], ['5', '1500']),
    example: { US: '2.5', SI: '64' },
  })
  stroke?: string;
}

/** What a reading means for the beam under one attachment. Moments in lbf·in or N·m, shear in lbf or kN, stress in psi or MPa. */
export interface LoadMeans {
  readonly attachment: Attachment;
  readonly title: string;
  readonly means: string;
  readonly beam: SimpleBeam;
  readonly moment: number;
  readonly momentAt: number;
  readonly shear: number;
  readonly stress: number;
  /** In or mm; undefined where no modulus is given. */
  readonly deflection: number | undefined;
  /** The reading under this attachment that bends as much as the one asked about. */
  readonly same: number;
  /** How the moment comes about, in symbols. */
  readonly formula: string;
}

export interface LoadAnswer {
  readonly own: LoadMeans;
  /** The same reading under every attachment that its sizes allow, the own one among them. */
  readonly all: readonly LoadMeans[];
  /** How much of the stroke is used; undefined while it is not known. */
  readonly stroke:
    | { readonly need: number; readonly share: number; readonly verdict: 'room' | 'spacer' | 'no' }
    | undefined;
}

const FORMULAS: Readonly<Record<Attachment, string>> = {
  centre: 'P·L / 4',
  third: 'P·L / 6',
  plate: 'P·(L − c) / 4',
  bedded: 'P·(2·L − c) / 8',
  spread: 'P·L / 8',
  elsewhere: 'P·a·(L − a) / L',
};

/** What of a question cannot be, by field: a plate longer than the span, a roller beyond it. */
export function questionProblems(input: LoadQuestion): Readonly<Record<string, string>> {
  const of = (name: string) => readMeasure(input, name)?.value;
  const [span, plate, at] = [of('span'), of('plate'), of('at')];
  return {
    ...(span && plate?.greaterThanOrEqualTo(span)
      ? { plate: 'Length of the plate: shorter than the span.' }
      : {}),
    ...(span && at?.greaterThanOrEqualTo(span)
      ? { at: 'Roller from the left support: inside of the span.' }
      : {}),
    ...(needsPlate(input.attachment) && !plate
      ? { plate: 'Length of the plate: how long along the beam?' }
      : {}),
    ...(input.attachment === 'elsewhere' && !at ? { at: 'Roller from the left support: where?' } : {}),
  };
}

function needsPlate(attachment: Attachment | undefined): boolean {
  return attachment === 'plate' || attachment === 'bedded';
}

/**
 * Answers what a reading means for the beam, and what it says about other ways to load it.
 * @returns undefined while something that it hangs on is missing or cannot be
 * Source: statics of the simply supported beam; stress σ = 6 M / (b d²); the budget of the stroke is our choice.
 */
export function answerOf(input: LoadQuestion, limits: Limits): LoadAnswer | undefined {
  const { system, attachment } = input;
  const of = (name: string): number | undefined => readMeasure(input, name)?.value.toNumber();
  const [force, span, width, depth] = ['force', 'span', 'width', 'depth'].map(of);
  if (!attachment || !force || !span || !width || !depth) return undefined;
  if (Object.keys(questionProblems(input)).length > 0) return undefined;
  const [plate, at, modulus] = [of('plate'), of('at'), of('modulus')];
  const sizes = { span, plate: plate ?? 0, at: at ?? 0 };
  const kinds = ATTACHMENTS.filter(
    (each) => (plate !== undefined || !needsPlate(each)) && (at !== undefined || each !== 'elsewhere'),
  );
  const bend = bendOf(system);
  const raw = (kind: Attachment) => largestMoment(beamUnder(kind, force, sizes));
  const wanted = raw(attachment).moment;
  const all = kinds.map((kind): LoadMeans => {
    const beam = beamUnder(kind, force, sizes);
    const { moment, at: place } = raw(kind);
    return {
      attachment: kind,
      ...ABOUT_ATTACHMENTS[kind],
      beam,
      moment,
      momentAt: place,
      shear: largestShear(beam),
      stress: (bend.stress * 6 * moment) / (width * depth ** 2),
      deflection:
        modulus === undefined
          ? undefined
          : middleDeflection(beam, (modulus * bend.modulus * width * depth ** 3) / 12),
      same: (force * wanted) / moment,
      formula: FORMULAS[kind],
    };
  });
  const own = all.find((each) => each.attachment === attachment);
  return own && { own, all, stroke: strokeOf(of, limits, system) };
}

/** Factors: kN·mm is N·m and kN over mm² a thousand MPa; ksi a thousand psi, and a load in kN on a modulus in MPa. */
function bendOf(system: System): { readonly stress: number; readonly modulus: number } {
  const [from, to]: readonly [UnitId, UnitId] = system === 'US' ? ['ksi', 'psi'] : ['MPa', 'MPa'];
  const modulus = convert(exact(1), from, to).toNumber();
  return system === 'US' ? { stress: 1, modulus } : { stress: 1000, modulus: modulus / 1000 };
}

/** How much of its stroke a test takes, with room to spare. */
function strokeOf(
  of: (name: string) => number | undefined,
  limits: Limits,
  system: System,
): LoadAnswer['stroke'] {
  const [approach, travel, stroke] = ['approach', 'travel', 'stroke'].map(of);
  if (approach === undefined || travel === undefined || !stroke) return undefined;
  const percent = (id: 'beam.travel-more' | 'beam.travel-share' | 'beam.travel-most'): number =>
    limits.number(id, system).toNumber() / 100;
  const need = (approach + travel) * (1 + percent('beam.travel-more'));
  const share = need / stroke;
  const verdict =
    share <= percent('beam.travel-share') ? 'room' : share <= percent('beam.travel-most') ? 'spacer' : 'no';
  return { need, share, verdict };
}
