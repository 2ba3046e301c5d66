import {
  convert,
  decimalsOf,
  type Exact,
  type Measure,
  type RoundingMode,
  roundedText,
  roundTo,
  type UnitId,
  unitLabel,
  withThousands,
} from '../quantity';
import { type Finding, finding, plain } from '../working';
import type { Result } from './contract';
import { fieldsOf } from './fields';

interface ResultRequest extends Pick<Result, 'about' | 'bound' | 'provisional'> {
  readonly quantity: string;
  readonly symbol: string;
  readonly value: Exact;
  readonly unit: UnitId;
  readonly step: Exact | string;
  readonly mode: RoundingMode;
  readonly other?: { readonly unit: UnitId; readonly step: Exact | string };
}

const BOUNDS = { 'at least': '≥ ', 'at most': '≤ ' } as const;

/** Makes a result: reported once from the unrounded value; the other system's figure also from the unrounded value. */
export function resultOf(request: ResultRequest): Result {
  const { value, step, mode, other, about, bound, provisional } = request;
  const reported = roundTo(value, step, mode).toFixed(decimalsOf(step));
  return {
    quantity: request.quantity,
    symbol: request.symbol,
    value: plain(value, 15),
    reported,
    text: `${bound ? BOUNDS[bound] : ''}${withThousands(reported)}`,
    unit: request.unit,
    ...(about ? { about } : {}),
    ...(bound ? { bound } : {}),
    ...(provisional ? { provisional } : {}),
    ...(other
      ? {
          converted: {
            text: roundedText(convert(value, request.unit, other.unit), other.step, mode),
            unit: other.unit,
          },
        }
      : {}),
  };
}

/** Advice when a reading was typed more coarsely than the method asks it to be read. */
export function coarseReading(
  input: object,
  field: string,
  measure: Measure,
  step: Exact | string,
): Finding[] {
  if (measure.resolution.lessThanOrEqualTo(step)) return [];
  const label =
    fieldsOf(input.constructor as new () => object).find((spec) => spec.name === field)?.label ?? field;
  const unit = unitLabel(measure.unit);
  return [
    finding({
      id: 'reading.coarse',
      severity: 'advice',
      fields: [field],
      message: `${label} is read to ${step} ${unit}; it was typed to ${plain(measure.resolution, 4)} ${unit}.`,
      action: 'Type every digit that was read, trailing zeros too.',
    }),
  ];
}
