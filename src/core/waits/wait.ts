/** The places of work, in the order that their lanes stand in. */
export const LANES = {
  field: 'Field',
  paste: 'Paste',
  ends: 'Ends',
  press: 'Press',
  tank: 'Tank',
  slab: 'Slab',
} as const;
export type Lane = keyof typeof LANES;

/** Something that is waited for: from its opening to its closing it can be done. Derived anew, never typed. */
export interface Wait {
  /** Its name within what it belongs to. */
  readonly id: string;
  /** What is done then, as an order: `Collect the specimens`. */
  readonly what: string;
  readonly lane: Lane;
  /** Label of the specimen it is about, where it belongs to several. */
  readonly about?: string;
  /** Instants, RFC 3339. Without a closing it stays open until it is done. */
  readonly opens: string;
  readonly closes?: string;
  readonly best?: string;
  /** When it was done. What ends by itself, such as a hardening, is done at its opening, which may be to come. */
  readonly done?: string;
  /** It is still to be done when its test is complete: until its specimen is broken. */
  readonly stays?: true;
  /** Why its opening can still change. */
  readonly provisional?: string;
}
