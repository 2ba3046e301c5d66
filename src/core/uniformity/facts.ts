import { type System, type UnitId, unitLabel, withThousands } from '../quantity';
import { acceptable } from './acceptability';
import type { Scatter } from './scatter';

/** The unit that results of a source are told in, and how. */
export interface SourceUnit {
  readonly unit: string;
  /** Decimals. */
  readonly places: number;
  shown(value: number): string;
}

/**
 * The unit of the results that are followed.
 * @param own of a method that has one unit in both systems
 */
export function sourceUnit(system: System, own?: UnitId): SourceUnit {
  const id = own ?? (system === 'US' ? 'psi' : 'MPa');
  const places = id === 'psi' ? 0 : 1;
  return { unit: unitLabel(id), places, shown: (value) => withThousands(value.toFixed(places)) };
}

/**
 * What the results of a source say together, line by line, for page and report alike.
 * @param formal results from which a report is a formal one
 */
export function scatterFacts(
  scatter: Scatter | undefined,
  { unit, shown }: Pick<SourceUnit, 'unit' | 'shown'>,
  formal: number,
): [what: string, text: string][] {
  if (!scatter) return [];
  const { count, mean, deviation, share, testing, corrected, pairs } = scatter;
  const told = (value: { toNumber(): number }): string => `${shown(value.toNumber())} ${unit}`;
  const above = acceptable(count, mean, deviation);
  const constant: [string, string][] = above
    ? [
        [
          'Nineteen in twenty above',
          `${told(above.value)}, mean less ${above.constant} times the scatter, as EN 197-1 reckons`,
        ],
      ]
    : [];
  return [
    ['Results', `${count}${count < formal ? `; ${formal} are wanted for a formal report` : ''}`],
    ['Mean', told(mean)],
    ['Scatter of all', `${told(deviation)}, ${share.toFixed(1)} %`],
    [
      'Of the laboratory',
      testing
        ? `${told(testing.deviation)}, ${testing.share.toFixed(1)} %, by ${pairs} pairs (by their ranges ${told(testing.byRange)})`
        : 'not known yet',
    ],
    [
      'Of the source alone',
      corrected ? `${told(corrected.deviation)}, ${corrected.share.toFixed(1)} %` : 'not told',
    ],
    ...constant,
  ];
}
