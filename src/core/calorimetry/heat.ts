/**
 * Heat given off between two moments, by trapezia over even steps; the ends are cut where they fall between two of them.
 * @param power mW to a gram, evenly spaced @param first hours of the first of them @param dt hours between two
 * @returns J/g; undefined where the record does not reach that far
 * Source: 1 mW/g over an hour is 3.6 J/g, exactly.
 */
export function heatBetween(
  power: Float64Array,
  first: number,
  dt: number,
  from: number,
  to: number,
): number | undefined {
  const last = first + (power.length - 1) * dt;
  const slack = dt / 2;
  if (power.length < 2 || from < first - slack || to > last + slack || to <= from) return undefined;
  const at = (hours: number): number => {
    const place = Math.min(Math.max((hours - first) / dt, 0), power.length - 1);
    const low = Math.floor(place);
    const a = power[low] as number;
    return a + ((power[low + 1] ?? a) - a) * (place - low);
  };
  const begin = Math.ceil((Math.max(from, first) - first) / dt - 1e-9);
  const end = Math.floor((Math.min(to, last) - first) / dt + 1e-9);
  let sum = 0;
  for (let place = begin; place < end; place += 1)
    sum += (dt * ((power[place] as number) + (power[place + 1] as number))) / 2;
  const [head, tail] = [first + begin * dt - from, to - (first + end * dt)];
  if (head > 1e-9) sum += (head * (at(from) + at(from + head))) / 2;
  if (tail > 1e-9) sum += (tail * (at(to) + at(to - tail))) / 2;
  return 3.6 * sum;
}
