/** A text as it stands at the beginning of a sentence. */
export function capital(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}

/** A text as it stands within a sentence: what follows its first letter stays as it is, `C426`. */
export function inSentence(text: string): string {
  return `${text.charAt(0).toLowerCase()}${text.slice(1)}`;
}
