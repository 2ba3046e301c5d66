import { exact, plainOf } from '../../quantity';
import { type Finding, finding } from '../../working';
import { type Bend, bendUnits } from '../bend/units';
import { readMeasure } from '../fields';
import { FORCE_UNIT } from '../press';
import type { BeamBendingInput } from './input';

/** Where and at which force a beam cracked first, and by what in its record that is told. */
export type Crack = NonNullable<Bend['firstCrack']>;

/** What of a record may be the crack that was seen: so near to its force. Our choice. */
const LIKE = 0.2;
export const BY = { drop: 'a drop', deviation: 'leaving its line', peak: 'its peak' } as const;

/** What of a record can be its first crack: falls that are none of the seat, where it leaves its line, its peak. */
function candidates(bend: Bend): Crack[] {
  return [
    ...bend.drops.flatMap(({ kind, peak, at }): Crack[] =>
      kind === 'crack' ? [{ force: peak, at, by: 'drop' }] : [],
    ),
    ...(bend.deviation ? [{ ...bend.deviation, by: 'deviation' } as const] : []),
    { ...bend.peak, by: 'peak' },
  ];
}

/** The first crack that counts: as the record was read, or the place in it that lies nearest to what was seen. */
export function crackTaken(input: BeamBendingInput, bend: Bend | undefined): Crack | null {
  if (!bend?.firstCrack) return null;
  const seen = readMeasure(input, 'crackSeen');
  if (input.crackTaken !== 'seen' || !seen) return bend.firstCrack;
  const force = (crack: Crack): number => bendUnits(input.system).force(crack.force).toNumber();
  const off = (crack: Crack): number => Math.abs(force(crack) / seen.value.toNumber() - 1);
  const [nearest] = candidates(bend).toSorted((one, other) => off(one) - off(other));
  return nearest && off(nearest) <= LIKE ? nearest : bend.firstCrack;
}

/** What is said of a first crack that was taken otherwise than the record was read. */
export function crackFindings(
  input: BeamBendingInput,
  bend: Bend | undefined,
  taken: Crack | null,
): Finding[] {
  if (input.crackTaken !== 'seen' || !bend?.firstCrack) return [];
  const unit = FORCE_UNIT[input.system];
  const said = (crack: Crack): string =>
    `${plainOf(exact(bendUnits(input.system).force(crack.force)).toSignificantDigits(4), unit)} by ${BY[crack.by]}`;
  if (taken && taken.at !== bend.firstCrack.at) {
    const words = `First crack taken as it was seen, ${said(taken)}; the record was read as ${said(bend.firstCrack)}.`;
    return [
      finding({
        id: 'bend.crack-taken',
        severity: 'departure',
        fields: ['crackTaken'],
        message: words,
        action: 'Both are printed. A picture with the display in it settles it.',
        remark: words,
      }),
    ];
  }
  return readMeasure(input, 'crackSeen')
    ? []
    : [
        finding({
          id: 'bend.crack-unseen',
          severity: 'advice',
          fields: ['crackSeen', 'crackTaken'],
          message: 'At which force it was seen is not known.',
          action: 'Give the force at which you called it, at the step of loading.',
        }),
      ];
}
