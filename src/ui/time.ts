const cache = new Map<string, Intl.DateTimeFormat>();

function formatter(zone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${zone}|${JSON.stringify(options)}`;
  const known = cache.get(key);
  if (known) return known;
  // en-GB writes the day before the month and the clock over 24 hours, which cannot be misread.
  const made = new Intl.DateTimeFormat('en-GB', { timeZone: zone, hourCycle: 'h23', ...options });
  cache.set(key, made);
  return made;
}

type At = number | Date | string;
const date = (at: At): Date => (at instanceof Date ? at : new Date(at));

/** Mon 14 May 09:30, in the job's zone. */
export function dayTime(at: At, zone: string): string {
  return formatter(zone, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  })
    .format(date(at))
    .replaceAll(',', '');
}

/** 14 May 2031, in the job's zone. */
export function fullDay(at: At, zone: string): string {
  return formatter(zone, { day: 'numeric', month: 'short', year: 'numeric' }).format(date(at));
}

/** True on a Saturday or Sunday of the job's zone. */
export function isWeekend(at: At, zone: string): boolean {
  return /^S/u.test(formatter(zone, { weekday: 'short' }).format(date(at)));
}

/** 09:30, in the job's zone. */
export function clock(at: At, zone: string): string {
  return formatter(zone, { hour: '2-digit', minute: '2-digit' }).format(date(at));
}

/** 09:30:15, in the job's zone. */
export function clockSeconds(at: At, zone: string): string {
  return formatter(zone, { hour: '2-digit', minute: '2-digit', second: '2-digit' }).format(date(at));
}

/** The zone's own wall clock as an input of type datetime-local wants it. */
export function localInput(at: At, zone: string): string {
  const parts = formatter(zone, {
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
  }).formatToParts(date(at));
  const get = (type: string): string => parts.find((part) => part.type === type)?.value ?? '00';
  return `${get('year')}-${get('month')}-${get('day')}T${get('hour')}:${get('minute')}`;
}

/** The instant that a wall clock reading of a zone means; when the clocks go back, the first of the two. */
export function fromLocalInput(text: string, zone: string): string | null {
  const wanted = Date.parse(`${text}Z`);
  if (Number.isNaN(wanted)) return null;
  // The zone's offset is found by looking at what the clock shows at a guess, and correcting twice.
  let guess = wanted;
  for (let round = 0; round < 2; round += 1) {
    guess += wanted - Date.parse(`${localInput(guess, zone)}Z`);
  }
  const earlier = guess - 3_600_000;
  if (localInput(earlier, zone) === text) guess = earlier;
  return localInput(guess, zone) === text ? new Date(guess).toISOString() : null;
}
