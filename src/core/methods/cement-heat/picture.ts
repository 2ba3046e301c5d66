import { COMPARED_AT, COMPARED_FROM, type HeatCurve } from '../../calorimetry';
import type { Limits } from '../../limits';
import type { Picture } from '../contract';
import { readMeasure } from '../fields';
import { packedRows } from '../picture-rows';
import { HEATS, heatTo } from './ages';
import type { Blend } from './blends';
import type { CementHeatInput } from './input';
import { MARKS } from './input';
import { type Cell, foundAt, heatFrom, movedTo, powerAt } from './read-cells';
import type { JudgedSeries } from './series';

/** Points that a curve is drawn with: from when on, how far apart, h. */
const DRAWN = [
  [0, 1 / 20],
  [1, 1 / 6],
  [24, 1 / 2],
  [48, 2],
] as const;

/** The curve as it is drawn: hours and mW/g. */
function drawn(curve: HeatCurve): string {
  const points: [string, string][] = [];
  for (const [place, [from, step]] of DRAWN.entries()) {
    const to = Math.min(DRAWN[place + 1]?.[0] ?? curve.until, curve.until);
    for (let at = Math.max(from, curve.first); at < to - 1e-9; at += step) {
      const power = powerAt(curve, at);
      if (power !== undefined) points.push([at.toFixed(2), power.toFixed(3)]);
    }
  }
  return packedRows(points);
}

const text = (value: number | undefined, digits: number): string => value?.toFixed(digits) ?? '';

/** What a test of heat draws: each cell with its curve, the marks that were found and where they were put, heat at ages. */
export function heatPicture(
  input: CementHeatInput,
  cells: readonly Cell[],
  limits: Limits,
  { doses: series, blends }: { readonly doses: JudgedSeries | undefined; readonly blends: readonly Blend[] },
): Picture {
  const from = heatFrom(input, limits);
  return {
    kind: 'cement-heat',
    values: {
      from,
      bath: readMeasure(input, 'bath')?.value.toNumber() ?? null,
      cells: packedRows(
        cells.map(({ name, what, grams, sulfate, curve, plain }) => [
          ...[name, what, text(grams, 2), text(sulfate, 2), plain ? 'plain' : 'other'],
          curve ? curve.until.toFixed(2) : '',
        ]),
      ),
      references: packedRows(
        cells.flatMap(({ name, capacity, reference, weighed }) =>
          capacity === undefined || !reference
            ? []
            : [
                [
                  ...[name, capacity.toFixed(2), reference.water.toFixed(2), reference.sand.toFixed(2)],
                  ...[text(reference.besideSand, 2), text(weighed, 2)],
                ],
              ],
        ),
      ),
      marks: packedRows(
        cells.flatMap((cell) =>
          MARKS.flatMap((mark) => {
            const [was, moved] = [foundAt(cell, mark), movedTo(cell, mark)];
            const at = moved?.at ?? was;
            return at === undefined || !cell.curve
              ? []
              : [
                  [
                    ...[cell.name, mark, at.toFixed(2), text(powerAt(cell.curve, at), 3)],
                    ...[text(was, 2), moved?.why ?? ''],
                  ],
                ];
          }),
        ),
      ),
      heats: packedRows(
        cells.flatMap(({ name, curve }) =>
          curve
            ? [
                [
                  name,
                  ...HEATS.map(([age]) => text(heatTo(curve, from, age), 1)),
                  ...COMPARED_AT.map((age) => text(curve.heat(COMPARED_FROM, age), 1)),
                  text(curve.features?.steepest.slope, 3),
                  text(curve.features?.main.power, 3),
                ],
              ]
            : [],
        ),
      ),
      ...Object.fromEntries(cells.map(({ curve }, place) => [`curve${place}`, curve ? drawn(curve) : ''])),
      sets: packedRows(
        cells.flatMap(({ name, curve }) =>
          (curve?.features?.indicated ?? []).map(({ share, max, rise }) => [
            ...[name, String(share), text(max, 2), text(rise, 2)],
          ]),
        ),
      ),
      blends: packedRows(
        blends.map(({ cell, share, age, cement, binder, diluted }) => [
          ...[cell, share.toFixed(4), String(age)],
          ...[cement, binder, diluted].map((heat) => heat.toFixed(2)),
        ]),
      ),
      doses: packedRows(
        (series?.doses ?? []).map(({ label, sulfate, share, apart, heat, heatHolds, apartHolds }) => [
          ...[label, sulfate.toFixed(2), text(heat, 1), text(share && share * 100, 1), text(apart, 1)],
          ...[heatHolds ? 'yes' : 'no', apartHolds ? 'yes' : 'no'],
        ]),
      ),
      chosen: series?.chosen?.label ?? null,
    },
  };
}
