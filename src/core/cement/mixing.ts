/** A part of mixing: seconds from the contact of water and cement to its end, and what is done in it. */
export interface MixStage {
  readonly to: number;
  readonly say: string;
  /** The mixer stands still. */
  readonly still?: true;
}

/** What is mixed: cement with water, or with sand as well. */
export type Mixed = 'paste' | 'mortar';
type School = 'astm' | 'en' | 'is';

/**
 * The beats of mixing, from the moment that water and cement meet.
 * Source: ASTM C305, EN 196-1, EN 196-3, IS 4031-4 (from memory). Mortar is mixed at once; paste rests for half a minute first.
 */
const SEQUENCES: Readonly<Record<School, Readonly<Partial<Record<Mixed, readonly MixStage[]>>>>> = {
  astm: {
    paste: [
      { to: 30, say: 'Cement in the water: let it soak', still: true },
      { to: 60, say: 'Slow' },
      { to: 75, say: 'Stop, scrape down', still: true },
      { to: 135, say: 'Medium' },
    ],
    mortar: [
      { to: 30, say: 'Slow, cement in' },
      { to: 60, say: 'Slow, all sand in, evenly' },
      { to: 90, say: 'Medium' },
      { to: 105, say: 'Stop, scrape down', still: true },
      { to: 180, say: 'Cover it, let it stand', still: true },
      { to: 240, say: 'Medium' },
    ],
  },
  en: {
    paste: [
      { to: 90, say: 'Slow' },
      { to: 120, say: 'Stop, scrape down', still: true },
      { to: 210, say: 'Slow' },
    ],
    mortar: [
      { to: 30, say: 'Slow' },
      { to: 60, say: 'Slow, all sand in, evenly' },
      { to: 90, say: 'High' },
      { to: 120, say: 'Stop, scrape down', still: true },
      { to: 180, say: 'Let it stand', still: true },
      { to: 240, say: 'High' },
    ],
  },
  is: {
    paste: [{ to: 240, say: 'Gauge it by hand, three to five minutes to the mould' }],
    mortar: [
      { to: 60, say: 'Dry, to one colour' },
      { to: 270, say: 'With the water, to one colour; no longer than four minutes' },
    ],
  },
};

/** The beats of one school; those of ASTM where it has none of its own. */
export function stagesOf(mixed: Mixed, school: string): readonly MixStage[] {
  const own = school === 'en' || school === 'is' ? SEQUENCES[school][mixed] : undefined;
  return own ?? SEQUENCES.astm[mixed] ?? [];
}

/** Where mixing stands. */
export interface MixStands {
  /** The stage that is on; null when it is over. */
  readonly now: MixStage | null;
  readonly next: MixStage | null;
  /** Whole seconds until the stage ends. */
  readonly left: number;
}

/** How mixing stands so many seconds after the contact. */
export function mixAt(stages: readonly MixStage[], seconds: number): MixStands {
  const place = stages.findIndex(({ to }) => seconds < to);
  const now = stages[place] ?? null;
  return { now, next: now ? (stages[place + 1] ?? null) : null, left: now ? Math.ceil(now.to - seconds) : 0 };
}

/** When the paddle stops for the last time, s. */
export function mixEnds(stages: readonly MixStage[]): number {
  return stages.at(-1)?.to ?? 0;
}
