/** Where the parts of the application are kept on a device. */
export const PARTS = 'bricole-parts';

/** The parts of the application that the text of a page names, each once: what it loads, and what it is told to load. */
export function partsNamed(html: string): readonly string[] {
  return [...new Set(html.match(/\/_next\/static\/[^"'\\\s?<>]+\.(?:js|css)/gu) ?? [])];
}
