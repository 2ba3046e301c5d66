import { isLimitId, type LimitId } from '../../limits';

/** The row that says how many bricks of a product are broken. */
export function strengthCount(product: unknown): LimitId {
  const own = `brick.${String(product)}.count`;
  return isLimitId(own) ? own : 'brick.role-count';
}
