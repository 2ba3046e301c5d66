/**
 * Hours that a glue needs at a temperature: twice as long for so many degrees colder than its sheet says.
 * @param hours by its sheet, at `at` °C @param celsius lowest of the surface while it cures
 * @param doubling degrees that it takes twice as long for, °C
 * @returns Infinity below the least temperature of its sheet: there it does not cure
 * Source: common practice, no source.
 */
export function cureHours(
  hours: number,
  at: number,
  celsius: number,
  least: number,
  doubling: number,
): number {
  return celsius < least ? Number.POSITIVE_INFINITY : hours * 2 ** ((at - celsius) / doubling);
}

/** Glue for so many dollies, mL: a layer over each and half as much again. @param diameter,layer mm Source: our choice. */
export function glueVolume(count: number, diameter: number, layer: number): number {
  return (count * (Math.PI / 4) * diameter ** 2 * layer * 1.5) / 1000;
}

/** How many dollies are set before a batch of glue is at the end of its life. @param life,each minutes */
export function dolliesOfBatch(life: number, each: number): number {
  return Math.floor(life / each + 1e-9);
}
