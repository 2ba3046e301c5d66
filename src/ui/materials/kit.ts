/** One specimen of a sample, as the picture of a sample takes it. */
export interface PieceView {
  readonly id: string;
  readonly label: string;
  readonly role: string | null;
  readonly parentId: string | null;
  /** Its results so far, as printed with their units, by quantity. */
  readonly results: Readonly<Record<string, string>>;
  /** How far it has come, in a word; empty while nothing was begun. */
  readonly state: string;
  readonly href: string;
  readonly gone: boolean;
}
