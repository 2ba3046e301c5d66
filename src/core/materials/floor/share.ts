import { type Exact, exact } from '../../quantity';

/** A part among which something is shared out: how large it is, and how many it gets at the least. */
interface Part {
  readonly area: Exact;
  readonly least: number;
}

/**
 * Shares so many points out to the parts of an area: one each, the others by area, what is left over where most of one
 * is missing; then each is given as many as it wants at the least.
 * @param total of all of them; where it or what they want at the least is more, all together get more
 * Source: our choice.
 */
export function shareOut(total: number, parts: readonly Part[]): readonly number[] {
  const whole = parts.reduce((sum, { area }) => sum.plus(area), exact(0));
  const rest = Math.max(0, total - parts.length);
  const quotas = parts.map(({ area }) => (whole.isZero() ? exact(0) : area.times(rest).div(whole)));
  const floors = quotas.map((quota) => quota.floor().toNumber());
  const left = rest - floors.reduce((sum, each) => sum + each, 0);
  const next = quotas
    .map((quota, place) => ({ place, over: quota.minus(quota.floor()) }))
    .toSorted((a, b) => b.over.comparedTo(a.over) || a.place - b.place)
    .slice(0, left);
  return parts.map(({ least }, place) =>
    Math.max(least, 1 + (floors[place] ?? 0) + (next.some((each) => each.place === place) ? 1 : 0)),
  );
}
