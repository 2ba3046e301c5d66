/** What a sample is taken for. */
export const SAMPLE_KINDS = ['acceptance', 'preliminary', 'assurance'] as const;
export type SampleKind = (typeof SAMPLE_KINDS)[number];

/** How a slump is asked for. */
export const SLUMP_KINDS = ['target', 'maximum'] as const;

export const SLUMP_CLASSES = ['S1', 'S2', 'S3', 'S4', 'S5'] as const;
export type SlumpClass = (typeof SLUMP_CLASSES)[number];

/** Exposure classes of freezing and thawing that ask for air. */
export const EXPOSURES = ['F1', 'F2', 'F3'] as const;
export type Exposure = (typeof EXPOSURES)[number];
