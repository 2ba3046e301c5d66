import { apart, type Spot } from './geometry';

/**
 * An order to walk points in: always on to the nearest, then ways that cross are taken apart.
 * @param from where the round begins @returns the same points, each once
 * Source: nearest neighbour and 2-opt, as any textbook has them.
 */
export function walkingOrder<P extends { readonly at: Spot }>(points: readonly P[], from: Spot): P[] {
  const left = [...points];
  const order: P[] = [];
  let here = from;
  while (left.length > 0) {
    let best = 0;
    for (let place = 1; place < left.length; place += 1)
      if (apart(left[place]?.at ?? here, here) < apart(left[best]?.at ?? here, here)) best = place;
    const [next] = left.splice(best, 1);
    if (!next) break;
    order.push(next);
    here = next.at;
  }
  return untangled(order, from);
}

/** How long a way is, m. */
export function wayLength(points: readonly { readonly at: Spot }[], from: Spot): number {
  return points.reduce(({ sum, here }, { at }) => ({ sum: sum + apart(here, at), here: at }), {
    sum: 0,
    here: from,
  }).sum;
}

function untangled<P extends { readonly at: Spot }>(given: readonly P[], from: Spot): P[] {
  let order = [...given];
  const at = (place: number): Spot | undefined => (place < 0 ? from : order[place]?.at);
  for (let again = true, rounds = 0; again && rounds < 20; rounds += 1) {
    again = false;
    for (let i = 0; i < order.length - 1; i += 1)
      for (let j = i + 1; j < order.length; j += 1) {
        const [a, b, c, d] = [at(i - 1), at(i), at(j), at(j + 1)];
        if (!a || !b || !c) continue;
        // Walked the other way between the two, is it shorter?
        const now = apart(a, b) + (d ? apart(c, d) : 0);
        const then = apart(a, c) + (d ? apart(b, d) : 0);
        if (then < now - 1e-9) {
          order = [...order.slice(0, i), ...order.slice(i, j + 1).toReversed(), ...order.slice(j + 1)];
          again = true;
        }
      }
  }
  return order;
}
