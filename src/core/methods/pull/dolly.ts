/** Dollies that are common, by what they are called, with the diameter that they often have, mm. */
export const DOLLIES = [
  { name: '10 mm', mm: 10 },
  { name: '14 mm', mm: 14.2 },
  { name: '20 mm', mm: 20 },
  { name: '50 mm', mm: 50 },
  { name: '2 in', mm: 50.8 },
] as const;

/** What a dolly is chosen by; stresses in one unit, diameters in one unit. */
export interface DollyQuestion {
  /** Reach of the tester as a stress, with the dolly that it is told for. */
  readonly reach: number;
  readonly of: number;
  readonly expected: number;
  readonly required: number;
  /** Part of the reach that the expected stress lies in, 0 to 1; what the reach is to exceed what is required by. */
  readonly from: number;
  readonly to: number;
  readonly reserve: number;
  /** Accuracy of the tester, of its reach. */
  readonly accuracy: number;
}

/** How one dolly suits. */
export interface DollyAnswer {
  readonly name: string;
  readonly mm: number;
  readonly reach: number;
  /** Expected stress of the reach. */
  readonly share: number;
  /** How far off the expected stress may be read, of itself. */
  readonly error: number;
  readonly suits: boolean;
  readonly why: string;
}

/**
 * The stress that a tester reaches with another dolly: the smaller the face, the higher, by the ratio of areas.
 * @param reach with the dolly of the diameter `of`
 */
export function reachWith(reach: number, of: number, diameter: number): number {
  return reach * (of / diameter) ** 2;
}

/**
 * How each of the common dollies suits, the largest first.
 * @param of,mm diameters in mm
 * Source: reach by the ratio of areas is geometry; the band of the reach is our choice.
 */
export function dollyAnswers({
  reach,
  of,
  expected,
  required,
  from,
  to,
  reserve,
  accuracy,
}: DollyQuestion): readonly DollyAnswer[] {
  return DOLLIES.toReversed().map(({ name, mm }) => {
    const own = reachWith(reach, of, mm);
    const share = expected / own;
    const why =
      share > to
        ? 'the tester would come to its end'
        : share < from
          ? 'too low in its range to be read'
          : own < reserve * required
            ? 'it hardly reaches what is required'
            : '';
    return { name, mm, reach: own, share, error: accuracy / share, suits: why === '', why };
  });
}
