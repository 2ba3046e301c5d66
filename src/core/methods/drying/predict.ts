import type { Step } from './state';

/** What the losses so far let expect; never a weighing itself. */
export type Prediction =
  | {
      readonly kind: 'more';
      /** Weighings still to come, the usual interval apart, and how few or many they may turn out to be. */
      readonly weighings: number;
      readonly least: number;
      readonly most: number;
      /** Loss at the next one, percent of the mass before it. */
      readonly next: number;
      /** What it will weigh in the end, in the unit of the masses. */
      readonly end: number;
    }
  | { readonly kind: 'none'; readonly why: 'too few' | 'grows' };

export interface PredictRule {
  /** Hours from one weighing to the next. */
  readonly every: number;
  /** Loss that ends it, percent. */
  readonly loss: number;
  /** Each loss of the one before over `every`, where only one is known; and how far the guess may be off. */
  readonly shrink: number;
  readonly spread: number;
}

const HOUR = 3_600_000;
/** Nobody weighs that often: the oven is looked at before. */
const MOST = 40;

/**
 * Guesses how many weighings are still to come, as if each loss shrank by the same share over the same time:
 * W(t) = W∞ + A·exp(−t/τ).
 * @param steps counted weighings, two by two
 * Source: arithmetic; that drying goes so is our choice.
 */
export function predictDrying(steps: readonly Step[], rule: PredictRule): Prediction {
  const [one, two] = steps.slice(-2);
  const last = two ?? one;
  if (!last) return { kind: 'none', why: 'too few' };
  const share = two && one ? shareOf(one, two, rule.every) : rule.shrink;
  if (share === undefined) return { kind: 'none', why: 'grows' };
  const at = last.to.mass.toNumber();
  const amplitude = amplitudeOf(last, share, rule.every);
  // Another share is another curve through the same last loss.
  const after = (r: number): number => weighingsAfter(at, amplitudeOf(last, r, rule.every), r, rule);
  return {
    kind: 'more',
    weighings: after(share),
    least: after(Math.max(0.01, share - rule.spread)),
    most: after(Math.min(0.99, share + rule.spread)),
    next: ((amplitude * (1 - share)) / at) * 100,
    end: at - amplitude,
  };
}

const hours = ({ from, to }: Step): number => (to.at - from.at) / HOUR;
const lossOf = ({ from, to }: Step): number => from.mass.minus(to.mass).toNumber();

/** How much of what is still to be lost at a weighing is there an interval later; undefined where losses do not shrink. */
function shareOf(one: Step, two: Step, every: number): number | undefined {
  const [a, b] = [lossOf(one), lossOf(two)];
  if (b <= 0) return 0.01;
  if (a <= 0) return undefined;
  // Over equal times the share is the quotient itself; over unequal ones the time constant is sought between two ends.
  const [ta, tb] = [hours(one), hours(two)];
  const quotient = (r: number): number => {
    const decay = (t: number): number => r ** (t / every);
    return (1 - decay(ta)) / (decay(ta) * (1 - decay(tb)));
  };
  const wanted = a / b;
  // The quotient falls from very large to ta / tb as the share grows to one.
  if (wanted <= ta / tb) return undefined;
  let [low, high] = [1e-6, 1 - 1e-9];
  for (let turn = 0; turn < 200; turn += 1) {
    const middle = (low + high) / 2;
    if (quotient(middle) > wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** What is still to be lost at the last weighing. */
function amplitudeOf(last: Step, share: number, every: number): number {
  const decay = share ** (hours(last) / every);
  return (Math.max(0, lossOf(last)) * decay) / (1 - decay);
}

function weighingsAfter(at: number, amplitude: number, share: number, { loss }: PredictRule): number {
  let [mass, left] = [at, amplitude];
  for (let count = 1; count <= MOST; count += 1) {
    const lost = left * (1 - share);
    if (mass <= 0) return MOST;
    if ((lost / mass) * 100 <= loss) return count;
    mass -= lost;
    left -= lost;
  }
  return MOST;
}
