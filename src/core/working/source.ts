/** Where a rule, factor or limit comes from. */
export interface Source {
  /** `standard`: a published document; `common practice`: the trade does it, no document; `our choice`: decided here. */
  readonly kind: 'standard' | 'common practice' | 'our choice';
  /** Designation, `ASTM C39/C39M`; empty for the other kinds. */
  readonly designation?: string;
  readonly clause?: string;
  /** What this rule is, in a few words, when the designation alone does not say it. */
  readonly note?: string;
}

/** A rule of a published standard. */
export function standard(designation: string, clause?: string): Source {
  return { kind: 'standard', designation, ...(clause ? { clause } : {}) };
}

/** A rule that the trade follows and no document is known for. */
export const commonPractice: Source = { kind: 'common practice' };

/** A rule decided by us, for the laboratory to change. */
export function ourChoice(note: string): Source {
  return { kind: 'our choice', note };
}

/** The source as it is printed beside a value. */
export function sourceText(source: Source): string {
  if (source.kind === 'standard') {
    return [source.designation, source.clause].filter(Boolean).join(', ');
  }
  if (source.kind === 'common practice') return 'common practice, no source';
  return source.note ? `our choice: ${source.note}` : 'our choice';
}
