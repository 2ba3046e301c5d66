/** What the headings of somebody's own files stand for: their heading, in lower case, to a column. */
export type Headings = Readonly<Record<string, string>>;

/** Headings out of what was sent; what is none of them is left out. */
export function headingsIn(sent: unknown): Headings {
  if (typeof sent !== 'object' || sent === null) return {};
  return Object.fromEntries(
    Object.entries(sent).filter((pair): pair is [string, string] => typeof pair[1] === 'string'),
  );
}
