import { type Exact, exact } from '../quantity';

/** The whole numbers in counted text: `25 25 24` or `25, 25, 24`; empty when there are none. */
export function countsIn(text: string | undefined): Exact[] {
  return (text?.match(/\d{1,6}/g) ?? []).map((digits) => exact(digits));
}
