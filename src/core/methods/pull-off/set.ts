import type { DeriveAbout, Derived, SetPiece } from '../../acceptance/set-rule';
import { type Exact, exact, meanOf, roundedText, withUnit } from '../../quantity';
import { numbered, ourChoice, Sheet } from '../../working';
import { faceText, PLANE_IDS } from '../pull/faces';
import { PLANE } from '../pull/quantities';
import { ruleNamed } from '../pull/standards';

/** Quantile of Student's t for one side, 95 %, by the degrees of freedom from 1. Source: any table (from memory). */
const T95 = [6.314, 2.92, 2.353, 2.132, 2.015, 1.943, 1.895, 1.86, 1.833, 1.812] as const;

/** The plane that a piece parted in mostly, by its name; undefined for one that did not break. */
function planeOf({ quantities }: SetPiece): string | undefined {
  const place = quantities[PLANE];
  return place === undefined ? undefined : PLANE_IDS[Number(place) - 1];
}

/**
 * What the pulls of one area say together besides what is asked of them: scatter, the bound of the mean, the mean of those
 * that parted in one plane. Never pulls of different planes in one mean without a word.
 * Source: our choice.
 */
export function derives(_: Exact, { pieces, system, unit, limits, mode, said: named }: DeriveAbout): Derived {
  const step = limits.number(ruleNamed(named?.('pullBy')).step, system);
  const values = pieces.map(({ value }) => exact(value));
  const text = (value: Exact): string => withUnit(roundedText(value, step, mode), unit);
  const sheet = new Sheet(mode);
  const said: [string, string][] = [];
  const remarks: string[] = [];
  const open = pieces.some(({ bound }) => bound === 'at least');
  const mean = meanOf(values);
  said.push(['Mean', `${open ? '≥ ' : ''}${text(mean)}`]);
  if (values.length > 1) {
    const uses = numbered('x', values);
    const s = sheet.line({
      symbol: 'sd',
      name: 'Standard deviation',
      formula: `std(${Object.keys(uses).join(', ')})`,
      uses,
      unit,
      source: ourChoice('n − 1'),
    });
    const cv = sheet.line({
      symbol: 'CV',
      name: 'Coefficient of variation',
      formula: '100 * sd / m',
      uses: { sd: s, m: mean },
      unit: 'percent',
      source: ourChoice('of the mean'),
      show: 3,
    });
    said.push(['Scatter', `${cv.toFixed(1)} %`]);
    const t = T95[values.length - 2];
    if (t !== undefined) {
      const low = mean.minus(s.times(t).div(Math.sqrt(values.length)));
      said.push(['Mean lies above, 95 %', text(low.isNegative() ? exact(0) : low)]);
    }
    const most = limits.of('pull.scatter', system).high;
    if (most && cv.greaterThan(most))
      remarks.push(
        `They scatter by ${cv.toFixed(0)} %: look at the faces, different planes are different things. None is left out for being low.`,
      );
  }
  const planes = new Map<string, Exact[]>();
  for (const piece of pieces) {
    const plane = planeOf(piece);
    if (plane) planes.set(plane, [...(planes.get(plane) ?? []), exact(piece.value)]);
  }
  if (planes.size > 1)
    for (const plane of PLANE_IDS) {
      const own = planes.get(plane);
      if (own)
        said.push([
          `Mostly ${faceText([[plane, 100]]).split(' ')[0]}`,
          `${text(meanOf(own))}, ${own.length}`,
        ]);
    }
  return { values: {}, said, lines: sheet.lines, remarks };
}
