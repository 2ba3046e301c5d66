/** Whether who made a test may sign the report of it: not at all, only after another reviewer has read it, or alone. */
export const OWN_TESTS = [
  { value: 'never', label: 'Not at all: another reviewer signs' },
  { value: 'second', label: 'Only after another reviewer has read it' },
  { value: 'yes', label: 'Yes, alone' },
] as const;
export type OwnTests = (typeof OWN_TESTS)[number]['value'];

/** What a laboratory that has said nothing wants: not alone. */
export const USUAL_OWN_TESTS: OwnTests = 'second';

/** One of the answers; the usual one for anything else that may be kept. */
export function ownTestsOf(kept: string | undefined): OwnTests {
  return OWN_TESTS.find(({ value }) => value === kept)?.value ?? USUAL_OWN_TESTS;
}

/** The answer that counts, in words. */
export function ownTestsWords(kept: string | undefined): string {
  const counts = ownTestsOf(kept);
  return OWN_TESTS.find(({ value }) => value === counts)?.label ?? '';
}

/** What is known of a report that somebody is about to sign. */
export interface SigningAbout {
  readonly rule: OwnTests;
  /** They made a test of it: took a reading or completed it. */
  readonly made: boolean;
  /** Another reviewer has read just this content, and says so. */
  readonly read: boolean;
}

/** Why they may not sign it now; undefined where they may. */
export function notYours({ rule, made, read }: SigningAbout): string | undefined {
  if (!made || rule === 'yes' || (rule === 'second' && read)) return undefined;
  return rule === 'never'
    ? 'You made tests that it rests on: another reviewer signs it.'
    : 'You made tests that it rests on: another reviewer has to read it first, as it is now.';
}
