/** Deeper than anything that is sent or stored. */
const DEEPEST = 24;
/** Names that are something else in the language than a field. */
const NOT_NAMES: ReadonlySet<string> = new Set(['__proto__', 'constructor', 'prototype']);

/**
 * What makes data unfit to be read as fields, whoever sent it: nested beyond measure, or with names that are none.
 * @returns the problem in one sentence; null when there is none
 */
export function plainDataProblem(data: unknown): string | null {
  let level: unknown[] = [data];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > DEEPEST) return 'This is nested too deeply to be read.';
    const next: unknown[] = [];
    for (const each of level) {
      if (typeof each !== 'object' || each === null) continue;
      for (const [name, value] of Object.entries(each)) {
        if (NOT_NAMES.has(name)) return `"${name}" is not the name of a field.`;
        if (typeof value === 'object' && value !== null) next.push(value);
      }
    }
    level = next;
  }
  return null;
}
