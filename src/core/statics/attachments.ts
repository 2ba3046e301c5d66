import type { BeamLoad, SimpleBeam } from './simple-beam';

/** What can sit on the ram above a beam, and what its reading means for the beam. */
export const ATTACHMENTS = ['centre', 'third', 'plate', 'bedded', 'spread', 'elsewhere'] as const;
export type Attachment = (typeof ATTACHMENTS)[number];

export interface AttachmentAbout {
  readonly title: string;
  /** What the number on the indicator is for the beam. */
  readonly means: string;
}

export const ABOUT_ATTACHMENTS: Readonly<Record<Attachment, AttachmentAbout>> = {
  centre: {
    title: 'One roller in the middle',
    means: 'The reading is one load at midspan: all of it bends one section.',
  },
  third: {
    title: 'Two rollers at the third points',
    means:
      'The reading is both loads together: each roller gives half, and between them the moment is the same everywhere.',
  },
  plate: {
    title: 'Stiff plate, bare',
    means:
      'A stiff plate on a beam that bends touches at its two edges only: the reading is two loads there, not a spread load.',
  },
  bedded: {
    title: 'Plate on a soft bed',
    means: 'On rubber or sand the plate spreads the reading over its length, nearly evenly.',
  },
  spread: {
    title: 'Spread over the whole span',
    means: 'The reading is spread evenly from support to support: a bag, sand, many small rollers.',
  },
  elsewhere: {
    title: 'One roller elsewhere',
    means:
      'The reading is one load at that place: the moment is largest under it, the supports carry unlike shares.',
  },
};

export interface AttachmentSizes {
  readonly span: number;
  /** Length of the plate, along the beam. */
  readonly plate: number;
  /** Place of a roller that is not in the middle, from the left support. */
  readonly at: number;
}

/** The loads that a reading puts on the beam, by what is on the machine. */
export function loadsOf(
  attachment: Attachment,
  force: number,
  { span, plate, at }: AttachmentSizes,
): readonly BeamLoad[] {
  const [from, to] = [(span - plate) / 2, (span + plate) / 2];
  const half = (place: number): BeamLoad => ({ kind: 'point', force: force / 2, at: place });
  switch (attachment) {
    case 'centre':
      return [{ kind: 'point', force, at: span / 2 }];
    case 'third':
      return [half(span / 3), half((2 * span) / 3)];
    case 'plate':
      return [half(from), half(to)];
    case 'bedded':
      return [{ kind: 'spread', force, from, to }];
    case 'spread':
      return [{ kind: 'spread', force, from: 0, to: span }];
    case 'elsewhere':
      return [{ kind: 'point', force, at }];
  }
}

/** A beam with what is on the machine over it. */
export function beamUnder(attachment: Attachment, force: number, sizes: AttachmentSizes): SimpleBeam {
  return { span: sizes.span, loads: loadsOf(attachment, force, sizes) };
}
