/**
 * A school of testing: ASTM; older highway agencies' variants of it; EN; IS; the ISRM's for rock. A project chooses one, and the rows of
 * that school stand in place of ASTM's where they differ.
 */
export const PROFILES = ['astm', 'agency', 'en', 'is', 'isrm'] as const;
export type Profile = (typeof PROFILES)[number];

/** The schools as people name them. */
export const PROFILE_WORDS: Readonly<Record<Profile, string>> = {
  astm: 'ASTM',
  agency: 'Agency, strict',
  en: 'EN',
  is: 'IS',
  isrm: 'ISRM, rock',
};
