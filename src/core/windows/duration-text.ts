/** A length of time in the words a technician uses: `3 h 20 min`, `2 d 4 h`. */
export function durationText(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes));
  const days = Math.floor(whole / 1440);
  const hours = Math.floor((whole % 1440) / 60);
  const rest = whole % 60;
  if (days > 0) return hours > 0 ? `${days} d ${hours} h` : `${days} d`;
  if (hours > 0) return rest > 0 ? `${hours} h ${rest} min` : `${hours} h`;
  return `${rest} min`;
}

/** Beyond a week an age is said in days, whole ones or not. */
const IN_DAYS = 168;

/** A designated age as it is said: 24 h, 30 h, 7 d, 28 d. An age that nobody designated (a core’s) is said in days. */
export function ageText(ageHours: number): string {
  const days = ageHours > IN_DAYS || (ageHours % 24 === 0 && ageHours > 24);
  return days ? `${Math.round(ageHours / 24)} d` : `${ageHours} h`;
}
