/** A time of day from hours since midnight, `10:30`. */
export function timeOfDay(hours: number): string {
  const minutes = Math.round((((hours % 24) + 24) % 24) * 60);
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}
