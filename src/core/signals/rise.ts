/**
 * Least-squares rise of what is read over the last of its time: load a second, displacement a second, °C an hour.
 * @param recent readings in the order of their time
 * @param at when a reading was taken, s or h
 * @param risen what rises
 * @param window in the unit of that time, counted back from the last reading
 * @returns null for fewer than three readings in it
 * Source: Numerical: sums of the ordinary least-squares line, counted from the last reading.
 */
export function riseOver<R>(
  recent: readonly R[],
  at: (reading: R) => number,
  risen: (reading: R) => number,
  window: number,
): number | null {
  const last = recent.at(-1);
  if (last === undefined) return null;
  const end = at(last);
  let [n, st, sf, stt, stf] = [0, 0, 0, 0, 0];
  for (let index = recent.length - 1; index >= 0; index -= 1) {
    const reading = recent[index];
    if (reading === undefined || at(reading) < end - window - 1e-9) break;
    const t = at(reading) - end;
    const value = risen(reading);
    n += 1;
    st += t;
    sf += value;
    stt += t * t;
    stf += t * value;
  }
  const spread = n * stt - st * st;
  return n < 3 || spread <= 0 ? null : (n * stf - st * sf) / spread;
}
