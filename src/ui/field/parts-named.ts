/** Where the parts of the application are kept on a device. */
export const PARTS = 'bricole-parts';

/** The parts of the application that the text of a page names, each once: what it loads, and what it is told to load. */
export function partsNamed(html: string): readonly string[] {
  return [...new Set(html.match(/\/_next\/static\/[^"'\\\s?<>]+\.(?:js|css)/gu) ?? [])];
}

/** Keeps a part, unless it is kept already: under its name it never changes. */
export async function keepPart(kept: Cache, part: string): Promise<void> {
  if (!(await kept.match(part))) await kept.add(part);
}
