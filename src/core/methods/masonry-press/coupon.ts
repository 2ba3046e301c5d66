import { isWithin, type Limits } from '../../limits';
import { type Exact, plainOf, type System } from '../../quantity';
import type { Finding } from '../../working';
import { limitFinding } from '../limit-finding';
import { LENGTH_UNIT } from '../press/units';

/** Sizes of a coupon of a face shell as it was cut, in in or mm, as far as they are known. */
export interface CouponSizes {
  readonly thickness: Exact | undefined;
  readonly height: Exact | undefined;
  readonly length: Exact | undefined;
}

/**
 * What keeps a coupon from being broken: it is twice as high and four times as long as it is thick, its height as the unit
 * stands.
 * @param fields the names of the readings of thickness, height and length
 * Source: ASTM C140/C140M annex A1 (from memory).
 */
export function couponFindings(
  { thickness: t, height, length }: CouponSizes,
  fields: readonly [thickness: string, height: string, length: string],
  { limits, system, beforeLoad }: { limits: Limits; system: System; beforeLoad?: true },
): Finding[] {
  if (!t || t.isZero()) return [];
  const rows = [
    ['unit.coupon-thick', t, `It is ${plainOf(t.toDecimalPlaces(2), LENGTH_UNIT[system])} thick`],
    ['unit.coupon-height', height?.div(t), `It is ${height?.div(t).toFixed(2)} times as high as thick`],
    ['unit.coupon-length', length?.div(t), `It is ${length?.div(t).toFixed(2)} times as long as thick`],
  ] as const;
  return rows.flatMap(([id, value, words], place) =>
    value && !isWithin(value, limits.of(id, system))
      ? [
          limitFinding(
            limits,
            system,
            { id, severity: 'invalid', ...(beforeLoad ? { beforeLoad } : {}), fields: [fields[place] ?? ''] },
            {
              message: `${words}.`,
              action:
                'No coupon of this method: saw another, its height in the height of the unit, and condition it again.',
            },
          ),
        ]
      : [],
  );
}
