import { COMPARED_FROM, FEWEST, type JudgedDose, judgeDoses } from '../../calorimetry';
import type { Limits } from '../../limits';
import type { System } from '../../quantity';
import { type Finding, finding } from '../../working';
import { type Cell, markAt, movedTo } from './read-cells';

/** A series of sulfate as it is judged. */
export interface JudgedSeries {
  readonly doses: readonly JudgedDose[];
  readonly chosen: JudgedDose | undefined;
  readonly findings: readonly Finding[];
}

/** How much later a second maximum comes by more sulfate, to be the aluminate's, h. */
const MOVES_H = 0.5;

/**
 * The cells of one cement with its sulfate raised step by step: which of them are in balance.
 * @returns undefined where fewer than three contents are known
 */
export function judgedDoses(
  cells: readonly Cell[],
  limits: Limits,
  system: System,
): JudgedSeries | undefined {
  // Cells of one content count once: the first of them.
  const own = cells.filter(
    ({ sulfate, row, curve }, place) =>
      sulfate !== undefined &&
      curve &&
      !row.admixture?.trim() &&
      cells.findIndex((each) => each.sulfate === sulfate) === place,
  );
  if (own.length < FEWEST) return undefined;
  const { doses, chosen } = judgeDoses(
    own.map((cell) => {
      const [main, second] = [markAt(cell, 'main'), markAt(cell, 'second')];
      return {
        label: cell.name,
        sulfate: cell.sulfate ?? 0,
        heat: cell.curve?.heat(COMPARED_FROM, 24),
        apart: main === undefined || second === undefined ? undefined : second - main,
        unclear: cell.curve?.features?.unclear !== undefined && !movedTo(cell, 'second'),
      };
    }),
    {
      share: limits.number('heat.best-share', system).toNumber(),
      apart: limits.of('heat.aluminate', system).low?.toNumber() ?? 0,
    },
  );
  const lateOf = (dose: JudgedDose): number | undefined => {
    const cell = own.find(({ name }) => name === dose.label);
    return cell && markAt(cell, 'second');
  };
  const moves = doses.findIndex((dose, place) => {
    const [before, now] = [doses[place - 1], lateOf(dose)];
    const was = before && lateOf(before);
    return was !== undefined && now !== undefined && now - was >= MOVES_H;
  });
  const percent = (value: number): string => `${value.toFixed(2)} %`;
  const [low, high] = [doses[moves - 1], doses[moves]];
  return {
    doses,
    chosen,
    findings: [
      ...(low && high
        ? [
            finding({
              id: 'heat.moves',
              severity: 'advice',
              fields: ['cells'],
              message: `From ${percent(low.sulfate)} to ${percent(high.sulfate)} of SO₃ the second moved from ${lateOf(low)?.toFixed(1)} to ${lateOf(high)?.toFixed(1)} h: it is the aluminate.`,
              action: 'What moves with the sulfate is the aluminate; the silicate stays.',
            }),
          ]
        : []),
      chosen
        ? finding({
            id: 'heat.balance',
            severity: 'advice',
            fields: ['cells'],
            message: `In balance from ${percent(chosen.sulfate)} of SO₃ on: ${((chosen.share ?? 0) * 100).toFixed(1)} % of the best heat of a day, the aluminate ${chosen.apart?.toFixed(1)} h behind the main maximum.`,
            action:
              'Not more than its standard allows. Check it at the temperature and with the admixture of the job, and by cubes of a day.',
          })
        : finding({
            id: 'heat.balance',
            severity: 'advice',
            fields: ['cells'],
            message: 'No content of this series is in balance.',
            action: 'Take the series further; one curve alone does not say which maximum is the aluminate.',
          }),
    ],
  };
}
