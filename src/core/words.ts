/** A text as it stands at the beginning of a sentence. */
export function capital(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}
