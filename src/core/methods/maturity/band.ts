import type { Limits } from '../../limits';
import { type Caution, decisionAt, lowerAt, type StrengthCurve, strengthAt } from '../../maturity';
import type { System } from '../../quantity';

const DRAWN = 48;

/** With what confidence and allowance a strength is decided on. */
export function cautionOf(limits: Limits, system: System): Caution {
  return {
    confidence: limits.number('maturity.confidence', system).div(100).toNumber(),
    allowance: limits.number('maturity.allowance', system).div(100).toNumber(),
  };
}

/** A curve with its lower edge and what may be counted on, as a picture has them: `index/strength`, evenly over the logarithm. */
export function bandText(curve: StrengthCurve, limits: Limits, system: System) {
  const caution = cautionOf(limits, system);
  const [from, to] = curve.range;
  const indices = Array.from({ length: DRAWN + 1 }, (_, step) => from * (to / from) ** (step / DRAWN));
  const drawn = (of: (index: number) => number): string =>
    indices.map((index) => `${index.toFixed(1)}/${of(index).toFixed(2)}`).join(' ');
  return {
    line: drawn((index) => strengthAt(curve, index)),
    lower: drawn((index) => lowerAt(curve, index, caution.confidence)),
    counted: drawn((index) => decisionAt(curve, index, caution)),
  };
}
